'use client';
import { parseAsString, useQueryState } from 'nuqs';
import { useSyncExternalStore } from 'react';
import { inAlreadyG, nextThing, stillToWeigh, targetG, type BakeState } from '@/core/bake';
import type { BatchSheet } from '@/core/batch';
import { crustLab } from '@/core/heat/colour';
import { inHeatNow } from '@/core/practice/inHeatNow';
import { seriesAt } from '@/core/practice/truth';
import { Button } from '@/ui/Button';
import { Segmented } from '@/ui/Segmented';
import { useTwice } from '@/ui/useTwice';
import { words } from '@/wording/screens/practice/PracticePage';
import { useKitchenTime } from '../preferences/time';
import { SPEEDS } from './practiceClock';
import type { PracticeKitchen } from './practiceKitchen';
import type { Truths } from './useTruth';

interface PracticeStripProps {
  readonly sheet: BatchSheet;
  readonly state: BakeState;
  readonly kitchen: PracticeKitchen;
  readonly truths: Truths;
  readonly away: boolean;
  readonly onStop: () => void;
}

/** The played kitchen above the bench: its clock, what a hand pours, what an eye sees. */
export function PracticeStrip({ sheet, state, kitchen, truths, away, onStop }: PracticeStripProps) {
  const { clock } = kitchen;
  const time = useKitchenTime();
  const now = useSyncExternalStore(clock.subscribe, clock.read, clock.read);
  const stopping = useTwice();
  const [next] = stillToWeigh(sheet, state).now;
  const toGoG = next ? targetG(next, state) - inAlreadyG(next.id, state) : 0;
  const [asked] = useQueryState('at', parseAsString);
  const weighs = asked ? asked === 'weigh' : nextThing(sheet, state).kind === 'weigh';
  return (
    <section aria-label={words.practice} className="border-b-4 border-now bg-well px-3 py-2 sm:px-5" data-testid="practice">
      <div className="mx-auto flex max-w-[80rem] flex-wrap items-center gap-x-3 gap-y-2">
        <strong className="text-lg max-sm:sr-only">{words.practice}</strong>
        <span className="figure text-2xl sm:text-3xl" data-testid="practice-clock">{time.clock(now)}</span>
        <Segmented label={words.howFast} className="max-sm:[&_.segment]:px-1.5" value={String(clock.speed())} onChange={(speed) => clock.setSpeed(SPEEDS.find((each) => String(each) === speed) ?? 1)}
          options={SPEEDS.map((speed) => ({ value: String(speed), label: words.times(speed) }))} />
        <Button look={stopping.asked ? 'alarm' : 'quiet'} className="ml-auto min-h-12 px-2 sm:order-last" onClick={() => stopping.press() && onStop()}>{stopping.asked ? words.yesStop : words.stop}</Button>
        {next && weighs && (
          <span className="flex gap-2">
            <Button size="bench" look="strong" className="min-h-12 touch-none px-3 text-base select-none sm:px-4 sm:text-lg" onPointerDown={() => kitchen.pour({ lineId: next.id, toGoG })} onPointerUp={() => kitchen.stop()} onPointerLeave={() => kitchen.stop()}
              onKeyDown={(event) => event.key === ' ' && !event.repeat && kitchen.pour({ lineId: next.id, toGoG })} onKeyUp={() => kitchen.stop()} onBlur={() => kitchen.stop()}>{words.pour}</Button>
            <Button size="bench" className="min-h-12 px-3 text-base sm:px-4 sm:text-lg" onClick={() => kitchen.spoon(spoonG(toGoG))}>{words.spoonMore}</Button>
            <Button size="bench" className="min-h-12 px-3 text-base sm:px-4 sm:text-lg" onClick={() => kitchen.spoon(-spoonG(toGoG))}>{words.spoonLess}</Button>
          </span>
        )}
        <Seen sheet={sheet} state={state} truths={truths} now={now} />
      </div>
      {away && <p role="status" className="mx-auto max-w-[80rem] text-lg font-semibold text-alarm">{words.away}</p>}
    </section>
  );
} // prettier-ignore

const spoonG = (toGoG: number): number => Math.max(0.2, Math.min(10, toGoG / 20));
/** An eye sees no finer, %. */
const roughly = (percent: number): number => Math.round(percent / 5) * 5;

/** What an eye sees of it: the jar and the dough while it rises, the crust while it bakes. */
function Seen({ sheet, state, truths: { rise, heat }, now }: Pick<PracticeStripProps, 'sheet' | 'state' | 'truths'> & { now: number }) {
  const inHeat = inHeatNow(sheet, state);
  const brown = heat && inHeat ? seriesAt(heat.atMs, heat.brown, now) : null;
  if (brown !== null) {
    const { l, a, b } = crustLab(Math.max(0, brown));
    return <span className="flex items-center gap-2 text-lg"><span aria-hidden className="size-10 rounded-full border border-edge" style={{ background: `lab(${l} ${a} ${b})` }} />{words.crust}</span>;
  }
  const [jar, grown] = rise ? [seriesAt(rise.atMs, rise.jar, now), seriesAt(rise.atMs, rise.grown, now)] : [null, null];
  if (jar === null || grown === null) return null;
  return (
    <span className="flex items-center gap-2 text-lg" data-testid="practice-jar">
      <svg aria-hidden viewBox="0 0 20 40" className="h-11 w-6">
        <rect x="2" y="2" width="16" height="36" rx="3" className="fill-surface stroke-ink" strokeWidth="1.5" />
        <rect x="3" y={37 - Math.min(34, 12 * (1 + jar / 100))} width="14" height={Math.min(34, 12 * (1 + jar / 100))} className="fill-now" />
        <line x1="2" x2="18" y1="25" y2="25" className="stroke-ink" strokeWidth="1" />
      </svg>
      {words.jar(roughly(jar))}; {words.dough(roughly(grown))}
    </span>
  );
} // prettier-ignore
