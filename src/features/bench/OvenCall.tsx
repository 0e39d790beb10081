'use client';
import { Flame } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { ovenDue, type BakeRecord, type OvenDue } from '@/core/bake';
import { heatUpTimes } from '@/core/kit/heatUpTimes';
import { ovenFor } from '@/core/kit/ovenFor';
import { Button } from '@/ui/Button';
import { words as callWords } from '@/wording/screens/day/calls';
import { words } from '@/wording/screens/bench/OvenCall';
import { useNow } from '../clock/useNow';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useStoredKit } from '../kit/KitProvider';
import { useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { timerBoard } from '../timers/timerBoard';
import type { Bench } from './useBench';

/** Told so long before it is due: sooner it is only one more thing on the screen. */
const SOON_MS = 90 * 60_000;
const EVERY_MS = 10_000;

interface OvenCallProps {
  readonly bake: BakeRecord;
  readonly bench: Bench;
  readonly nowMs: number;
}

/** The oven is called for when it is due, while the dough still rises: it rings as a timer does, and stands until somebody says that it is on. */
export function OvenCall({ bake, bench: { state, outbox, tap }, nowMs }: OvenCallProps) {
  const units = useUnits();
  const time = useKitchenTime();
  const { kit } = useStoredKit();
  const kitchen = useKitchen();
  const usual = useMemo(() => ovenFor(kit, { steps: bake.sheet.steps }), [kit, bake.sheet.steps]);
  const heatUpS = useMemo(() => heatUpTimes(kit, usual), [kit, usual]);
  const now = Math.floor(useNow(outbox.offsetMs, nowMs) / EVERY_MS) * EVERY_MS;
  const due = useMemo(() => ovenDue(bake.sheet, state, heatUpS, now), [bake.sheet, state, heatUpS, now]);
  const isDue = due !== null && due.atMs <= now;
  const [since, setSince] = useState<{ readonly stepId: string; readonly ms: number } | null>(null);
  // a call that is late already would move on with the clock: it rings from when it was first seen
  if (isDue && since?.stepId !== due.stepId) setSince({ stepId: due.stepId, ms: now });
  if (!isDue && since !== null) setSince(null);
  const name = (kit.ovens.find(({ id }) => id === due?.ovenId) ?? usual)?.name ?? words.theOven;
  const call = due && callWords.light(name, units.temperature(due.setC), due.plate);
  const sinceMs = since?.ms ?? null;
  const stepId = due?.stepId ?? null;
  useEffect(() => {
    const key = `${bake.id} oven`;
    const rings = sinceMs !== null && stepId !== null && call !== null;
    timerBoard.fromBench(key, rings ? [{ kitchen: kitchen.address, bakeId: bake.id, bakeName: bake.sheet.name, stepId, isCall: true, stepKind: 'preheat', stepTitle: call, call: null, until: '', endsAtMs: sinceMs, mayUntilMs: null }] : null, outbox.offsetMs);
    return () => timerBoard.fromBench(key, null, 0);
  }, [bake.id, bake.sheet.name, kitchen.address, sinceMs, stepId, call, outbox.offsetMs]);
  if (!due || due.atMs - now > SOON_MS) return null;
  if (!isDue)
    return (
      <p className="mb-3 flex items-center gap-2 rounded-lg border border-edge bg-surface px-4 py-2 text-lg" data-testid="oven-soon">
        <Flame size={20} aria-hidden className="shrink-0 text-alarm" />
        <span><strong className="tabular-nums">{time.clock(due.atMs)}</strong> {call}</span>
      </p>
    );
  return (
    <section className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2 rounded-xl border-2 border-alarm bg-alarm-wash px-4 py-3 low:mb-2 low:flex-nowrap low:py-0.5" data-testid="oven-due">
      <Flame size={30} aria-hidden className="shrink-0 text-alarm" />
      <p className="min-w-48 flex-1 low:truncate">
        <strong role="alert" className="block text-2xl leading-tight low:inline low:text-lg">{words.now(call!)}</strong>
        <span className="text-lg low:ml-3">{words.hotBy(time.clock(hotMs(due, now)), time.clock(due.wantedMs))}</span>
      </p>
      <Button look="strong" size="bench" className="max-sm:w-full" onClick={() => light(due, tap)}>{words.itIsOn}</Button>
    </section>
  );
} // prettier-ignore

const hotMs = ({ atMs, wantedMs }: OvenDue, nowMs: number): number => nowMs + (wantedMs - atMs);

/** It is on: where the method has a step for it, that step's clock runs beside the others. */
function light({ ovenId, setC, preheatId, atMs, wantedMs }: OvenDue, tap: Bench['tap']): void {
  tap({ type: 'lit', ovenId, setC });
  const durationS = Math.max(60, Math.round((wantedMs - atMs) / 1000));
  if (preheatId !== null) tap({ type: 'timerStarted', stepId: preheatId, durationS });
}
