'use client';
import { Flame, Hand } from 'lucide-react';
import { useMemo } from 'react';
import type { DayCallOut } from '@/core/day/agenda';
import { CLOCK_MOST_H, dayClock, type DayClock } from '@/core/day/dayClock';
import { cx } from '@/ui/cx';
import { useWidth } from '@/ui/useWidth';
import { words } from '@/wording/screens/home/DayClock';
import { BLOCK_WORD } from '@/wording/words';
import { useDayValue, useDayWords } from '../day/DayContext';
import { colourOf } from '../day/laneLayout';

const HOUR_MS = 3_600_000;
/** Hours between two figures, so that they never touch. */
const STEPS = [1, 2, 3, 6, 12];
const LEAST_STEP_PX = 52;
/** A name is written into a bar so wide, a temperature into one so wide. */
const NAMED_PX = 34;
const TOLD_PX = 52;
/** On a phone fewer hours are seen. */
const NARROW_PX = 560;
const NARROW_H = 7;
/** What stands at the line of now is so wide, and the figure of an hour. */
const NOW_PX = 56;
const HOUR_PX = 44;

/** The hours around now on one clock: hands, each dough, each oven, and a line where it is now. As the day is saved; changed on the page of the day. */
export function DayClockStrip({ calls }: { calls: readonly DayCallOut[] }) {
  const { nowMs } = useDayValue();
  const say = useDayWords();
  const { ref, width } = useWidth();
  const mostH = width < NARROW_PX ? NARROW_H : CLOCK_MOST_H;
  const clock = useMemo(() => dayClock(calls, nowMs, mostH), [calls, nowMs, mostH]);
  if (!clock) return null;
  const perMs = width / (clock.toMs - clock.fromMs);
  const place = (fromMs: number, toMs: number) => {
    const from = Math.max(fromMs, clock.fromMs);
    return { left: (from - clock.fromMs) * perMs, width: Math.max(3, (Math.min(toMs, clock.toMs) - from) * perMs - 1) };
  };
  const nowX = (nowMs - clock.fromMs) * perMs;
  return (
    <div className="docket mb-4 rounded-b-md px-3 pt-2 pb-3" data-testid="day-clock">
      <div ref={ref} className={cx('relative isolate', width === 0 && 'h-32')} role="img" aria-label={told(clock, say)}>
        {width > 0 && (
          <>
            <Hours clock={clock} perMs={perMs} />
            <div className="relative h-5">
              <Hand size={14} aria-hidden className="absolute top-0.5 left-0 z-30 bg-surface text-soft" />
              {clock.hands.map((each, at) => <span key={at} className="absolute top-1.5 h-2.5 rounded-sm bg-ink" style={place(each.fromMs, each.toMs)} />)}
            </div>
            {clock.lanes.map(({ batchId, rows, readyMs }) => (
              <div key={batchId} className="border-t border-rule pt-0.5 pb-1.5">
                <p className="relative z-30 text-sm leading-tight"><strong className="bg-surface">{say.batch(batchId)}</strong> <span className="bg-surface text-soft">{words.ready(say.at(readyMs))}</span></p>
                {rows.map((row, at) => (
                  <div key={at} className="relative mt-0.5 h-6">
                    {row.map((bar) => {
                      const at = place(bar.fromMs, bar.toMs);
                      const isOver = bar.state === 'done' || (bar.state !== 'running' && bar.toMs <= nowMs);
                      return (
                        <span key={bar.fromMs} style={at}
                          className={cx('absolute top-0 h-6 overflow-hidden rounded-sm border px-1 text-xs leading-5.5 whitespace-nowrap', colourOf(bar.look, isOver), bar.state === 'running' && 'border-2 border-now')}>
                          {at.width > NAMED_PX && (bar.title || BLOCK_WORD[bar.step])}
                        </span>
                      );
                    })}
                  </div>
                ))}
              </div>
            ))}
            {clock.ovens.map(({ ovenId, bars }) => (
              <div key={ovenId} className="border-t border-rule pt-0.5 pb-1">
                <p className="relative z-30 flex items-center gap-1 text-sm leading-tight"><Flame size={14} aria-hidden className="text-alarm" /><strong className="bg-surface">{say.oven(ovenId)}</strong></p>
                <div className="relative mt-0.5 h-5">
                  {bars.map((bar) => {
                    const at = place(bar.fromMs, bar.toMs);
                    return (
                      <span key={`${bar.fromMs} ${bar.bakes}`} style={at} className={cx('absolute top-0 h-5 overflow-hidden rounded-sm px-1 text-xs leading-5 whitespace-nowrap', bar.bakes ? 'bg-alarm text-surface' : 'bg-alarm-wash text-ink')}>
                        {at.width > TOLD_PX && bar.setC !== null && say.temp(bar.setC)}
                      </span>
                    );
                  })}
                </div>
              </div>
            ))}
            <div className="pointer-events-none absolute top-0 bottom-0 z-20 w-0.5 bg-now" style={{ left: nowX }}>
              <span className="absolute -top-0.5 left-0 -translate-x-1/2 rounded bg-now px-1.5 text-sm font-bold whitespace-nowrap text-now-ink tabular-nums">{say.clock(nowMs)}</span>
            </div>
          </>
        )}
      </div>
    </div>
  );
} // prettier-ignore

function Hours({ clock: { fromMs, toMs }, perMs }: { clock: DayClock; perMs: number }) {
  const say = useDayWords();
  const { nowMs } = useDayValue();
  const step = STEPS.find((hours) => hours * HOUR_MS * perMs >= LEAST_STEP_PX) ?? STEPS.at(-1)!;
  const hours = Array.from({ length: Math.ceil((toMs - fromMs) / HOUR_MS) }, (_, at) => fromMs + at * HOUR_MS);
  return (
    <div className="relative h-6 text-xs text-soft">
      {hours.map((ms, at) => (
        <span key={ms} className="absolute top-0 bottom-0 border-l border-rule pl-1 whitespace-nowrap tabular-nums" style={{ left: (ms - fromMs) * perMs }}>
          {at % step === 0 && isFree((ms - nowMs) * perMs, (toMs - ms) * perMs) && say.clock(ms)}
        </span>
      ))}
    </div>
  );
} // prettier-ignore

/** The figure of an hour touches neither what stands at now nor the edge. */
const isFree = (fromNowPx: number, toEdgePx: number): boolean =>
  toEdgePx > HOUR_PX && (fromNowPx > NOW_PX / 2 || fromNowPx < -NOW_PX / 2 - HOUR_PX);

/** What is drawn, in words, in the order of the clock. */
function told({ lanes, ovens }: DayClock, say: ReturnType<typeof useDayWords>): string {
  const bars = lanes.flatMap(({ batchId, rows }) => rows.flat().map((bar) => ({ ms: bar.fromMs, text: words.bar(bar.title || BLOCK_WORD[bar.step], say.batch(batchId), say.at(bar.fromMs)) })));
  const heats = ovens.flatMap(({ ovenId, bars: each }) => each.filter(({ bakes }) => !bakes).map(({ fromMs }) => ({ ms: fromMs, text: words.heats(say.oven(ovenId), say.at(fromMs)) })));
  return `${words.onTheClock}: ${[...bars, ...heats].sort((a, b) => a.ms - b.ms).map(({ text }) => text).join('; ')}`;
} // prettier-ignore
