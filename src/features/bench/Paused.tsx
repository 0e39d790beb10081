'use client';
import { Pause, Play } from 'lucide-react';
import type { BakeRecord } from '@/core/bake';
import { Button } from '@/ui/Button';
import { useSteady } from '@/ui/useSteady';
import { STEP_WORD } from '@/wording/words';
import { words } from '@/wording/screens/bench/Paused';
import { useKitchenTime } from '../preferences/time';
import type { Bench } from './useBench';

/** All of a bake stands still: since when, which clocks wait, and the one press that goes on. */
export function Paused({ sheet, bench: { state, tap } }: { sheet: BakeRecord['sheet']; bench: Bench }) {
  const time = useKitchenTime();
  const steady = useSteady(true);
  if (!state.pause) return null;
  const { atMs, stepIds } = state.pause;
  const waiting = sheet.steps.filter(({ id }) => stepIds.includes(id));
  return (
    <section aria-label={words.paused} className="docket rounded-b-xl p-5 sm:p-7" data-testid="paused">
      <h2 className="flex items-center gap-3 text-5xl leading-none sm:text-6xl">
        <Pause size={44} aria-hidden />
        {words.paused}
      </h2>
      <p className="mt-4 text-2xl">{words.since(time.dayAndClock(atMs))}</p>
      {waiting.length > 0 && <p className="mt-3 text-xl text-soft">{words.waits(waiting.map(({ kind }) => STEP_WORD[kind]).join(', '))}</p>}
      <Button look="now" size="wall" data-primary disabled={!steady} className="mt-6 w-full disabled:opacity-100" onClick={() => tap({ type: 'resumed' })}>
        <Play size={28} aria-hidden fill="currentColor" />
        {words.goOn}
      </Button>
    </section>
  );
} // prettier-ignore
