'use client';
import { lazy, Suspense } from 'react';
import { patiently } from '@/ui/patiently';
import { useAwake } from '@/ui/useAwake';
import { words } from '@/wording/screens/formula/TimelinePlace';

const RunPanel = lazy(
  patiently(() => import('../run/RunPanel').then((module) => ({ default: module.RunPanel }))),
);

const FormulaLanes = lazy(
  patiently(() => import('./FormulaLanes').then((module) => ({ default: module.FormulaLanes }))),
);

/** From mixing to cutting on one clock. The page stands before its computation does. */
export function TimelinePlace() {
  const awake = useAwake();
  return (
    <section
      aria-labelledby="timeline-title"
      className="docket min-h-[36rem] rounded-b-md px-3 pt-4 pb-2 sm:px-4"
    >
      <h2 id="timeline-title" className="mb-2 text-xl">
        {words.timeline}
      </h2>
      {awake && (
        <Suspense fallback={<p className="text-sm text-soft">{words.calculatingRiseAndBake}</p>}>
          <RunPanel />
          <FormulaLanes />
        </Suspense>
      )}
    </section>
  );
}
