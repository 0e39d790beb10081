'use client';
import { useState } from 'react';
import type { RunningCard } from '@/core/bake';
import { formatClock } from '@/core/units';
import { buttonClass } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { KitchenLink, useKitchen } from '../kitchen/KitchenProvider';
import { useBenchesKept } from '../offline/useOffline';
import { clockOffsetMs, useNow } from '../clock/useNow';
import { useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { wordCall } from '@/wording/calls';
import { STEP_WORD } from '@/wording/words';
import { words } from '@/wording/screens/home/RunningBakes';

/** A bake under way as the server lists it. */
export interface RunningBake extends RunningCard {
  readonly id: string;
  readonly startedAtMs: number;
}

/** Whose timer ended longest ago, or ends soonest, comes first; those without one after them, as they were. */
const mostPressingFirst = (bakes: readonly RunningBake[]): RunningBake[] =>
  [...bakes].sort(
    (a, b) => (a.timers[0]?.endsAtMs ?? Number.MAX_VALUE) - (b.timers[0]?.endsAtMs ?? Number.MAX_VALUE),
  );

/** What is in progress and what it needs next, the most pressing thing first. */
export function RunningBakes({ bakes, nowMs }: { bakes: readonly RunningBake[]; nowMs: number }) {
  const { page } = useKitchen();
  useBenchesKept(bakes.map(({ id }) => page(`/bench/${id}`)));
  if (bakes.length === 0) {
    return (
      <div className="docket rounded-b-md p-6">
        <p className="font-head text-2xl font-semibold">{words.nothingIsInProgress}</p>
        <p className="mt-1 text-soft">{words.openAFormulaSayHow}</p>
        <KitchenLink href="/formulas" className={buttonClass('strong', 'table', 'mt-4 min-h-11 px-5')}>
          {words.chooseAFormula}
        </KitchenLink>
      </div>
    );
  }
  return (
    <ul className="grid gap-4 lg:grid-cols-2">
      {mostPressingFirst(bakes).map((bake) => (
        <RunningBakeCard key={bake.id} bake={bake} nowMs={nowMs} />
      ))}
    </ul>
  );
}

function RunningBakeCard({ bake, nowMs }: { bake: RunningBake; nowMs: number }) {
  const time = useKitchenTime();
  // this page only counts down; the bench asks the server again
  const [offsetMs] = useState(() => clockOffsetMs(nowMs));
  const now = useNow(offsetMs, nowMs);
  const [pressing] = bake.timers;
  const leftS = pressing ? (pressing.endsAtMs - now) / 1000 : 0;
  const over = leftS < 0;
  return (
    <li className="docket rounded-b-md">
      <KitchenLink href={`/bench/${bake.id}`} className="block p-5 hover:bg-well">
        <span className="flex justify-between gap-3 text-sm text-soft">
          <span className="font-head text-xl font-bold text-ink">{bake.name}</span>
          <span className="text-right">{words.startedAt(time.dayAndClock(bake.startedAtMs))}</span>
        </span>
        {pressing ? (
          <>
            <span className={cx('figure mt-3 block text-7xl', over && 'text-alarm')}>
              {over ? '+' : ''}
              {formatClock(leftS)}
            </span>
            <span className="mt-2 block text-lg">
              {over ? words.timeIsUp : words.leftOf}
              <strong>{pressing.stepTitle || STEP_WORD[pressing.stepKind]}</strong>
              {pressing.call && ` ${wordCall(pressing.call)}`}
              {pressing.until && <span className="text-soft">{words.until(pressing.until)}</span>}
            </span>
          </>
        ) : (
          <span className="mt-3 block text-2xl leading-snug">
            <NextThing next={bake.next} />
          </span>
        )}
        <span className={buttonClass('now', 'table', 'mt-4 min-h-11 px-5')}>{words.toTheBench}</span>
      </KitchenLink>
    </li>
  );
}

function NextThing({ next }: { next: RunningCard['next'] }) {
  const units = useUnits();
  switch (next.kind) {
    case 'weigh':
      return (
        <>
          <span className="figure mb-2 block text-7xl">{units.mass(next.massG)}</span>
          <span className="text-lg">
            {words.nextToWeigh}
            <strong>{next.name}</strong>
            {words.ofAreIn(next.done, next.of)}
          </span>
        </>
      );
    case 'step':
      return (
        <>
          {words.next}
          <strong>{next.stepTitle || STEP_WORD[next.stepKind]}</strong>
          {next.call && ` ${wordCall(next.call)}`}
        </>
      );
    case 'log':
      return words.allDoneLookTasteAnd;
  }
}
