'use client';
import { Check, Flame, RefreshCw } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { timerLeftS, type Round, type RoundCall } from '@/core/bake';
import { timerS } from '@/core/method';
import { formatClock, formatDuration } from '@/core/units';
import { Button } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { words } from '@/wording/screens/bench/Round';
import { useUnits } from '../preferences/PreferencesProvider';
import type { Bench } from './useBench';

/** A knuckle that bounces turns nothing twice. */
const BOUNCE_MS = 700;

/** A call in as few words as tell it from its neighbours. */
function shortName({ call: { load, side, time } }: Pick<RoundCall, 'call'>): string {
  const parts = [load && words.load(load.at, load.of), side && words.side(side.at), time && words.time(time.at)];
  return parts.filter(Boolean).join(', ');
} // prettier-ignore
/** Of the same load. */
const passName = ({ call: { side, time } }: Pick<RoundCall, 'call'>): string =>
  [time && words.time(time.at), side && words.side(side.at)].filter(Boolean).join(', ');
export const loadName = ({ call: { load } }: Pick<RoundCall, 'call'>): string =>
  load ? words.load(load.at, load.of) : words.all;

interface RoundTargetProps {
  readonly round: Round;
  readonly bench: Bench;
  readonly now: number;
  readonly steady: boolean;
  /** To another call; null: to whatever is next. */
  readonly onGo: (stepId: string | null) => void;
}

/** The one thing to do in a round, large: in, turn, out. A turn ends one side and starts the clock of the next. */
export function RoundTarget({ round, bench: { tap }, now, steady, onGo }: RoundTargetProps) {
  const pressedAt = useRef(-Infinity);
  const here = round.calls[round.at]!;
  const { next } = round;
  const isIn = here.state === 'running';
  const means = `${here.step.id} ${here.state}`;
  const meant = useRef(means);
  useEffect(() => {
    // pressed on another device while a finger was on its way here: that was not meant for what stands here now
    if (meant.current !== means) pressedAt.current = performance.now();
    meant.current = means;
  }, [means]);
  const durationOf = ({ step }: RoundCall) => timerS(step);
  const turns = isIn && round.goesOn && next !== null;
  const start = (call: RoundCall) => {
    const durationS = durationOf(call);
    return durationS === null ? null : tap({ type: 'timerStarted', stepId: call.step.id, durationS });
  };
  const press = () => {
    const at = performance.now();
    if (at - pressedAt.current < BOUNCE_MS) return;
    pressedAt.current = at;
    if (!isIn && durationOf(here) !== null) return void start(here);
    if (tap({ type: 'stepDone', stepId: here.step.id })) return;
    if (turns) start(next);
    onGo(turns ? next.step.id : null);
  };
  const lasts = (call: RoundCall) => {
    const durationS = durationOf(call);
    // a figure and its unit stay on one line
    return durationS === null ? null : formatDuration(durationS).replaceAll(' ', '\u00a0');
  };
  const isTurned = (here.call.side?.at ?? 1) > 1;
  const label = turns
    ? (next.call.side?.at === here.call.side?.at ? words.again : words.turn)(passName(next), lasts(next))
    : isIn
      ? words.isOut(loadName(here))
      : isTurned
        ? words.turn(passName(here), lasts(here))
        : words.goesIn((here.call.time?.at ?? 1) > 1 ? shortName(here) : loadName(here), lasts(here));
  const hotInS = isIn || round.hotAgainMs === null ? null : (round.hotAgainMs - now) / 1000;
  return (
    <>
      {hotInS !== null && (
        <p className="flex items-center gap-2 text-xl" data-testid="hot-again">
          <Flame size={22} aria-hidden className={hotInS > 0 ? 'text-alarm' : 'text-good'} />
          {hotInS > 0 ? words.hotAgainIn(formatClock(hotInS)) : words.hotAgain}
        </p>
      )}
      <Button
        look="now"
        size="wall"
        data-primary
        data-stays
        disabled={!steady}
        className={cx('min-h-28 text-3xl low:min-h-16', !steady && 'disabled:opacity-100')}
        onClick={press}
      >
        {turns ? <RefreshCw size={30} aria-hidden /> : isIn ? <Check size={32} aria-hidden strokeWidth={3} /> : <Flame size={30} aria-hidden />}
        {label}
      </Button>
      {isIn && !turns && next && <p className="text-xl text-soft">{words.thenIn(shortName(next))}</p>}
    </>
  );
} // prettier-ignore

/** So many loads are shown before and after the one that is on. */
const SHOWN = { before: 2, after: 8 } as const;

/** The calls of a round by their loads. */
function byLoad(calls: readonly RoundCall[]): readonly (readonly RoundCall[])[] {
  const loads = new Map<number, RoundCall[]>();
  for (const call of calls) {
    const at = call.call.load?.at ?? 0;
    loads.set(at, [...(loads.get(at) ?? []), call]);
  }
  return [...loads.values()];
}

/** All loads of a round: what is out and what it was like, what is in, what is to come; a mark for each of its sides. */
export function RoundBoard({ round, now, onGo }: { round: Round; now: number; onGo: (stepId: string) => void }) {
  const units = useUnits();
  const loads = byLoad(round.calls);
  const on = loads.findIndex((calls) => calls.includes(round.calls[round.at]!));
  return (
    <ol aria-label={words.rounds} className="mt-5 flex flex-wrap gap-1.5" data-testid="round">
      {loads.slice(Math.max(0, on - SHOWN.before), on + SHOWN.after).map((calls) => {
        const first = calls.find(({ state }) => state !== 'done') ?? calls[0]!;
        const isOut = calls.every(({ state }) => state === 'done' || state === 'skipped');
        const timer = calls.find(({ state }) => state === 'running')?.timer ?? null;
        const leftS = timer && timerLeftS(timer, now);
        const look = calls.findLast((each) => each.look)?.look ?? null;
        const was = look && words.lookedAt(look.coreC === null ? null : units.temperature(look.coreC), look.colour && words.colours[look.colour].toLowerCase());
        return (
          <li key={first.step.id}>
            <button
              type="button"
              onClick={() => onGo(first.step.id)}
              aria-current={loads.indexOf(calls) === on ? 'step' : undefined}
              className={cx(
                'min-h-14 rounded-lg border px-3 text-left leading-tight',
                loads.indexOf(calls) === on ? 'border-2 border-ink font-semibold' : 'border-edge',
                isOut && 'bg-well text-soft',
                leftS !== null && (leftS <= 0 ? 'bg-alarm text-surface' : 'bg-now text-now-ink'),
              )}
            >
              {first.call.load ? words.loadShort(first.call.load.at) : words.all}
              <span className="flex items-center gap-1 text-sm tabular-nums">
                {calls.map(({ step, state }) => (
                  <span key={step.id} aria-label={words.states[state]} role="img">{MARKS[state]}</span>
                ))}
                {leftS !== null && <span>{leftS < 0 ? '+' : ''}{formatClock(leftS)}</span>}
                {was && <span>{was}</span>}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
} // prettier-ignore

/** For each side of a load. */
const MARKS = { done: '●', running: '◐', open: '○', skipped: '–' } as const;
