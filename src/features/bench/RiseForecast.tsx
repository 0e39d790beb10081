'use client';
import { ChartSpline } from 'lucide-react';
import { lookAgainS } from '@/core/bake';
import type { MethodStep } from '@/core/method';
import type { RiseNow } from '@/core/run';
import { formatDuration } from '@/core/units';
import { grownWord } from '@/wording/rise';
import { words } from '@/wording/screens/bench/RiseForecast';
import { useKitchenTime } from '../preferences/time';

/** No forecast is better than this, ms. */
const TO_MS = 300_000;
/** What moves it by less is not told, s. */
const TELLS_S = 90;
/** Nobody sees so little, %. */
const LEAST_PERCENT = 4;
const SOONEST_S = 180;
const LATEST_S = 3600;

const rounded = (ms: number): number => Math.round(ms / TO_MS) * TO_MS;

const at = (values: readonly number[], { atMs }: RiseNow, ms: number): number => {
  const index = atMs.findIndex((each) => each >= ms);
  return values[index === -1 ? values.length - 1 : index] ?? 0;
};

/** After how long to look again at a step, s: when its dough is ready, where that is known; else as is usual. */
export function againS(step: MethodStep, rise: RiseNow | null, now: number): number {
  const leftS = ((rise?.ready?.value ?? 0) - now) / 1000;
  return leftS < SOONEST_S ? lookAgainS(step) : Math.round(Math.min(LATEST_S, leftS) / 60) * 60;
}

interface RiseForecastProps {
  readonly rise: RiseNow;
  readonly now: number;
  /** When its clock is up; null: none runs. */
  readonly endsMs: number | null;
}

/** When the dough is ready by all that is known by now, how far it should be, and the most there is to wait for. */
export function RiseForecast({ rise, now, endsMs }: RiseForecastProps) {
  const time = useKitchenTime();
  const clock = (ms: number) => time.clock(rounded(ms));
  const { ready, topPercent, marks, movedS } = rise;
  if (topPercent.high < LEAST_PERCENT)
    return <p className="mt-4 text-xl text-soft" data-testid="rise-forecast">{words.hardly}</p>;
  const near = (of: Pick<RiseNow, 'grown' | 'low' | 'high'>, ms: number) =>
    words.about(grownWord(Math.round(at(of.grown, rise, ms))), Math.round(at(of.low, rise, ms)), Math.round(at(of.high, rise, ms)));
  return (
    <div className="mt-4 flex gap-2 text-xl leading-snug" data-testid="rise-forecast">
      <ChartSpline size={24} aria-hidden className="mt-1 shrink-0" />
      <div>
        {/* told when it changes; what grows by the minute is only looked at */}
        <div aria-live="polite">
          {ready && <Ready rise={rise} now={now} clock={clock} />}
          {movedS !== null && Math.abs(movedS) >= TELLS_S && (
            <p className="font-semibold" data-testid="rise-moved">
              {(movedS > 0 ? words.later : words.earlier)(formatDuration(Math.round(Math.abs(movedS) / 60) * 60))}
            </p>
          )}
        </div>
        <p className="text-soft">
          {words.byNow(near(rise, now), grownWord(Math.round(at(rise.jar, rise, now))))}
          {!ready && endsMs !== null && endsMs > now && words.atItsTime(grownWord(Math.round(at(rise.grown, rise, endsMs))))}
        </p>
        {ready && <p className="text-soft">{ready.value !== null && words.most(grownWord(Math.round(topPercent.value)))}{marks === 0 && words.aMarkHelps}</p>}
      </div>
    </div>
  );
} // prettier-ignore

/** When it is there, as a span; or that it will not be, and when waiting is no use. */
function Ready({ rise, now, clock }: Pick<RiseForecastProps, 'rise' | 'now'> & { readonly clock: (ms: number) => string }) {
  const { ready, wantedPercent, past, topPercent, nearTopMs } = rise;
  const wanted = grownWord(Math.round(wantedPercent ?? 0));
  if (past.value !== null && now >= past.value) return <p className="font-semibold text-alarm">{words.past}</p>;
  if (ready?.value == null)
    return (
      <>
        <p className="figure text-3xl">{(topPercent.high < (wantedPercent ?? 0) ? words.never : words.hardlyThere)(wanted)}</p>
        <p>{(now >= nearTopMs ? words.goOnNow : words.goOn)(grownWord(Math.round(topPercent.value)), clock(nearTopMs))}</p>
      </>
    );
  if (now >= ready.value)
    return (
      <>
        <p className="figure text-3xl">{words.readyByNow}</p>
        {past.value !== null && <p>{words.holdsUntil(clock(past.value))}</p>}
      </>
    );
  const from = Math.max(now, ready.low ?? now);
  return (
    <p>
      <span className="text-soft">{words.ready}</span>
      <span className="figure text-3xl whitespace-nowrap">
        {ready.high === null ? words.from(clock(from)) : clock(from) === clock(ready.high) ? clock(from) : words.span(clock(from), clock(ready.high))}
      </span>{' '}
      <span className="text-soft">{(ready.high === null ? words.likelyOrNever : words.likely)(clock(ready.value), wanted)}</span>
    </p>
  );
} // prettier-ignore
