'use client';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { bakeState, isRunning, nextThing, stillToWeigh, timerLeftS, type BakeRecord } from '@/core/bake';
import { formatClock } from '@/core/units';
import { buttonClass } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { clockOffsetMs, useNow } from '../bench/useNow';
import { useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { STEP_WORD } from '../wording/words';

/** What is under way and what it needs next, the most pressing thing largest. */
export function RunningBakes({ bakes, nowMs }: { bakes: readonly BakeRecord[]; nowMs: number }) {
  if (bakes.length === 0) {
    return (
      <div className="docket rounded-b-md p-6">
        <p className="font-head text-2xl font-semibold">Nothing is under way.</p>
        <p className="mt-1 text-soft">Open a formula, say how much, and take it to the bench.</p>
        <Link href="/formulas" className={buttonClass('strong', 'table', 'mt-4 min-h-11 px-5')}>
          Choose a formula
        </Link>
      </div>
    );
  }
  return (
    <ul className="grid gap-4 lg:grid-cols-2">
      {bakes.map((bake) => (
        <RunningBake key={bake.id} bake={bake} nowMs={nowMs} />
      ))}
    </ul>
  );
}

function RunningBake({ bake, nowMs }: { bake: BakeRecord; nowMs: number }) {
  const units = useUnits();
  const time = useKitchenTime();
  const state = useMemo(() => bakeState(bake.startedAtMs, bake.events), [bake]);
  // this page only counts down; the bench asks the server again
  const [offsetMs] = useState(() => clockOffsetMs(nowMs));
  const now = useNow(offsetMs, nowMs);
  const next = nextThing(bake.sheet, state);
  const timers = bake.sheet.steps.flatMap((step) => {
    const timer = state.steps.get(step.id)?.timer;
    return isRunning(timer) ? [{ step, leftS: timerLeftS(timer, now) }] : [];
  });
  const [pressing] = timers.sort((a, b) => a.leftS - b.leftS);
  const line = stillToWeigh(bake.sheet, state).now[0];
  const step = next.kind === 'step' ? bake.sheet.steps.find(({ id }) => id === next.stepId) : undefined;
  const over = pressing && pressing.leftS < 0;
  return (
    <li className="docket rounded-b-md">
      <Link href={`/bench/${bake.id}`} className="block p-5 hover:bg-well">
        <span className="flex justify-between gap-3 text-sm text-soft">
          <span className="font-semibold text-ink">{bake.sheet.name}</span>
          <span>since {time.clock(bake.startedAtMs)}</span>
        </span>
        {pressing ? (
          <>
            <span className={cx('figure mt-3 block text-7xl', over && 'text-alarm')}>
              {over ? '+' : ''}
              {formatClock(pressing.leftS)}
            </span>
            <span className="mt-2 block text-lg">
              {over ? 'Time is up: ' : 'left of '}
              <strong>{pressing.step.title || STEP_WORD[pressing.step.kind]}</strong>
              {pressing.step.until && <span className="text-soft">, until {pressing.step.until}</span>}
            </span>
          </>
        ) : (
          <span className="mt-3 block text-2xl leading-snug">
            {next.kind === 'weigh' && line && (
              <>
                <span className="figure mb-2 block text-7xl">{units.mass(line.massG)}</span>
                <span className="text-lg">
                  next to weigh: <strong>{line.name}</strong>, {next.done} of {next.of} are in
                </span>
              </>
            )}
            {step && (
              <>
                Next: <strong>{step.title || STEP_WORD[step.kind]}</strong>
              </>
            )}
            {next.kind === 'log' && 'All done: look, taste and log it'}
            {next.kind === 'weigh' && !line && 'Something on top is still to weigh'}
          </span>
        )}
        <span className={cx(buttonClass('now', 'table'), 'mt-4 min-h-11 px-5')}>To the bench</span>
      </Link>
    </li>
  );
}
