'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import { isRunning, runningTimers, timerLeftS, type BakeRecord, type BakeState } from '@/core/bake';
import type { BatchSheet } from '@/core/batch';
import { isRising, type StepKind } from '@/core/method';
import { FAULT, type PracticeDay } from '@/core/practice/faults';
import { inHeatNow } from '@/core/practice/inHeatNow';
import { litOvenC, seriesAt } from '@/core/practice/truth';
import { INSTRUMENT_WORD } from '@/wording/instruments';
import { words } from '@/wording/screens/practice/PracticePage';
import { BenchScreen } from '../bench/BenchPage';
import type { Rising } from '../bench/useRise';
import { ClockContext } from '../clock/pageClock';
import { InstrumentsProvider } from '../instruments/InstrumentsProvider';
import { ring } from '../timers/bell';
import { PracticeClock } from './practiceClock';
import { PracticeEnd } from './PracticeEnd';
import { PracticeKitchen, type Around } from './practiceKitchen';
import { PracticeStrip } from './PracticeStrip';
import { usePracticeBench } from './usePracticeBench';
import { useTruth, type Truths } from './useTruth';

const TICK_MS = 200;

interface PracticeBenchProps {
  readonly formulaId: string;
  readonly sheet: BatchSheet;
  readonly rising: Rising;
  readonly nowMs: number;
  readonly day: PracticeDay;
  readonly onAgain: () => void;
}

/** What the probes are in, by how it really is. */
function aroundOf(sheet: BatchSheet, state: BakeState, { rise, heat }: Truths, { kitchen }: Rising, day: PracticeDay, nowMs: number): Around {
  const at = (atMs: readonly number[], values: readonly number[]) => seriesAt(atMs, values, nowMs);
  const inHeat = inHeatNow(sheet, state);
  const isOil = inHeat?.kind === 'fry';
  const lit = state.lit.at(-1);
  const around = heat && inHeat && inHeat.kind !== 'cool' ? at(heat.atMs, heat.aroundC) : null;
  const litC = lit && !isOil ? litOvenC(kitchen.oven, lit.setC, kitchen.roomC, (nowMs - lit.atMs) / 1000, day) : null;
  return {
    roomProbe: kitchen.roomC,
    doughProbe: rise ? at(rise.atMs, rise.doughC) : null,
    coreProbe: heat && inHeat ? at(heat.atMs, heat.coreC) : null,
    oilProbe: isOil ? around : null,
    ovenProbe: isOil ? null : (around ?? litC),
  };
} // prettier-ignore

/** The bench as it always is, in a kitchen that is played. */
export function PracticeBench({ formulaId, sheet, rising, nowMs, day, onAgain }: PracticeBenchProps) {
  const [clock] = useState(() => new PracticeClock(nowMs));
  const bake = useMemo<BakeRecord>(() => ({ id: 'practice', formulaId, revision: 1, startedAtMs: nowMs, sheet, events: [] }), [formulaId, nowMs, sheet]);
  const bench = usePracticeBench(bake, clock);
  const { state } = bench;
  const truths = useTruth(bake, state, rising, day, clock.now);
  const [kitchen] = useState(
    () => new PracticeKitchen(clock, day, { ...INSTRUMENT_WORD, scale: words.scale }),
  );
  useEffect(() => {
    kitchen.stands((ms) => aroundOf(sheet, state, truths, rising, day, ms));
  }, [day, kitchen, rising, sheet, state, truths]);
  const [away, setAway] = useState(false);
  useBell(bake, state, clock, (kind) => {
    // while a dough rises: of a mix nothing would be learnt by it
    if (!isRising({ kind }) || kind === 'rest' || !day.faults.includes('late') || away) return;
    setAway(true);
    clock.jump(FAULT.awayS * 1000);
  });
  const ended = state.endedAtMs !== null;
  useEffect(() => {
    if (ended) return undefined;
    let wasMs = performance.now();
    const timer = setInterval(() => {
      const isMs = performance.now();
      // a page that slept does not make up for it
      kitchen.tick(Math.min(1, (isMs - wasMs) / 1000));
      wasMs = isMs;
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [ended, kitchen]);
  if (ended) return <PracticeEnd sheet={sheet} state={state} presses={bench.presses} day={day} formulaId={formulaId} onAgain={onAgain} />;
  return (
    <ClockContext value={clock}>
      <InstrumentsProvider board={kitchen.board}>
        <PracticeStrip sheet={sheet} state={state} kitchen={kitchen} truths={truths} away={away} onStop={() => bench.tap({ type: 'abandoned', reason: '' })} />
        <BenchScreen bake={bake} bench={bench} nowMs={nowMs} shared={null} rising={rising} onEnded={() => undefined} />
      </InstrumentsProvider>
    </ClockContext>
  );
} // prettier-ignore

/** Rings as a time is up, and goes no faster than real from then on: whoever practises should not miss it. */
function useBell(
  bake: BakeRecord,
  state: BakeState,
  clock: PracticeClock,
  onUp: (kind: StepKind) => void,
): void {
  const rung = useRef(new Set<string>());
  const up = useRef(onUp);
  useEffect(() => {
    up.current = onUp;
  });
  useEffect(
    () =>
      clock.subscribe(() => {
        for (const [tune, { stepId, stepKind, endsAtMs }] of runningTimers(bake, state).entries()) {
          const timer = state.steps.get(stepId)?.timer;
          const key = `${stepId} ${endsAtMs}`;
          if (!isRunning(timer) || timerLeftS(timer, clock.now()) > 0 || rung.current.has(key)) continue;
          rung.current.add(key);
          // at × 600 a tick is two minutes: the clock stands where it rang
          clock.stopAt(Math.max(endsAtMs, state.startedAtMs));
          ring('due', tune);
          up.current(stepKind);
        }
      }),
    [bake, clock, state],
  );
}
