'use client';
import { Minus, Plus, Refrigerator, TriangleAlert } from 'lucide-react';
import { useMemo, useState } from 'react';
import { coldCourse, type BakeRecord } from '@/core/bake';
import { coldPlans, riseAsked } from '@/core/run';
import { formatDuration } from '@/core/units';
import { Button, IconButton } from '@/ui/Button';
import { grownWord } from '@/wording/rise';
import { words } from '@/wording/screens/bench/CourseDialog';
import { useBook } from '../book/BookProvider';
import { useKitchenTime } from '../preferences/time';
import type { Bench } from './useBench';
import type { Rising } from './useRise';

const HALF_HOUR_S = 1800;
const LEAST_S = HALF_HOUR_S;
const MOST_S = 72 * 3600;
/** Taken out in the morning, if that is long enough to be worth it. */
const MORNING_H = 7;
const WORTH_S = 3 * 3600;
const TO_S = 300;

function untilMorning(hourOf: (ms: number) => number, nowMs: number): number {
  const halfMs = HALF_HOUR_S * 1000;
  for (let ms = Math.ceil((nowMs + WORTH_S * 1000) / halfMs) * halfMs; ; ms += halfMs)
    if (hourOf(ms) === MORNING_H) return (ms - nowMs) / 1000;
}

interface ColdChoiceProps {
  readonly bake: BakeRecord;
  readonly bench: Bench;
  readonly rising: Rising | null;
  readonly stepId: string;
  readonly nowMs: number;
  readonly onDone: () => void;
  readonly onBack: () => void;
}

/** When it comes out of the fridge again, and what it is by then. */
export function ColdChoice({ bake, bench: { state, tap }, rising, stepId, nowMs, onDone, onBack }: ColdChoiceProps) {
  const time = useKitchenTime();
  const book = useBook();
  const [coldS, setColdS] = useState(() => untilMorning((ms) => time.hour(ms), nowMs));
  const planOf = useMemo(() => {
    const asked = rising && riseAsked(bake, state, stepId, rising.formula, book, rising.kitchen, nowMs);
    return asked && coldPlans(asked, rising.kitchen.fridgeC, nowMs);
  }, [bake, book, nowMs, rising, state, stepId]);
  const plan = useMemo(() => planOf?.(coldS) ?? null, [coldS, planOf]);
  // clocks at full five minutes are what one goes by
  const outMs = Math.round((nowMs + coldS * 1000) / (TO_S * 1000)) * TO_S * 1000;
  const onS = plan ? Math.round((plan.onS ?? plan.most.afterS) / TO_S) * TO_S : null;
  const move = (byS: number) => setColdS((was) => Math.min(MOST_S, Math.max(LEAST_S, was + byS)));
  const go = () => {
    const actions = coldCourse(bake.sheet, state, stepId, Math.round((outMs - nowMs) / 1000), { onS, grownPercent: plan?.grownPercent ?? null }, nowMs);
    if (tap(...actions) === null) onDone();
  };
  return (
    <div data-testid="cold-choice">
      <p className="text-xl text-soft">{words.outAt}</p>
      <div className="flex items-center gap-3">
        <IconButton label={words.sooner} className="size-16" onClick={() => move(-HALF_HOUR_S)}><Minus size={30} aria-hidden /></IconButton>
        <span className="figure flex-1 text-center text-6xl" role="status">{time.clock(outMs)}</span>
        <IconButton label={words.later} className="size-16" onClick={() => move(HALF_HOUR_S)}><Plus size={30} aria-hidden /></IconButton>
      </div>
      <p className="mt-1 text-center text-soft">{time.day(outMs)}, {words.inFor(formatDuration(Math.round((outMs - nowMs) / 60_000) * 60))}</p>
      <div className="mt-4 text-xl leading-snug" aria-live="polite">
        {plan ? (
          <>
            <p>{words.grown(grownWord(Math.round(plan.grownPercent)))}</p>
            <p className="mt-1 font-semibold">{onS === null || onS === 0 ? words.readyAtOnce : (plan.onS === null ? words.mostThen(grownWord(Math.round(plan.most.percent))) : words.readyThen)(time.clock(outMs + onS * 1000), formatDuration(onS))}</p>
            {plan.sinks && <p className="mt-2 flex gap-2 text-alarm"><TriangleAlert size={24} aria-hidden className="shrink-0" />{words.sinks}</p>}
          </>
        ) : (
          <p>{words.unknown}</p>
        )}
      </div>
      <div className="mt-5 grid gap-3 sm:grid-cols-[auto_1fr]">
        <Button size="bench" onClick={onBack}>{words.back}</Button>
        <Button look="now" size="bench" className="text-2xl" onClick={go}><Refrigerator size={24} aria-hidden />{words.intoIt}</Button>
      </div>
    </div>
  );
} // prettier-ignore
