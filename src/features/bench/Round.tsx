'use client';
import { Check, Flame, RefreshCw } from 'lucide-react';
import { useRef } from 'react';
import { isRunning, timerLeftS, type Round, type RoundCall } from '@/core/bake';
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
    return durationS === null ? null : formatDuration(durationS);
  };
  const isTurned = (here.call.side?.at ?? 1) > 1;
  const label = turns
    ? words.turn(shortName(next), lasts(next))
    : isIn
      ? words.isOut(loadName(here))
      : (isTurned ? words.turn : words.goesIn)(shortName(here), lasts(here));
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
        disabled={!steady}
        className={cx('min-h-28 text-3xl', !steady && 'disabled:opacity-100')}
        onClick={press}
      >
        {turns ? <RefreshCw size={30} aria-hidden /> : isIn ? <Check size={32} aria-hidden strokeWidth={3} /> : <Flame size={30} aria-hidden />}
        {label}
      </Button>
      {isIn && !turns && next && <p className="text-xl text-soft">{words.thenIn(shortName(next))}</p>}
    </>
  );
} // prettier-ignore

/** So many are shown before and after the one that is on. */
const SHOWN = { before: 4, after: 12 } as const;

/** All calls of a round: what is out and what it was like, what is in, what is to come. */
export function RoundBoard({ round, now, onGo }: { round: Round; now: number; onGo: (stepId: string) => void }) {
  const units = useUnits();
  const from = Math.max(0, round.at - SHOWN.before);
  const shown = round.calls.slice(from, round.at + SHOWN.after);
  return (
    <ol aria-label={words.rounds} className="mt-4 flex flex-wrap gap-1.5" data-testid="round">
      {shown.map((call) => {
        const { step, state, timer, look } = call;
        const isHere = call === round.calls[round.at];
        const leftS = isRunning(timer) ? timerLeftS(timer, now) : null;
        const was = look && words.lookedAt(look.coreC === null ? null : units.temperature(look.coreC), look.colour && words.colours[look.colour].toLowerCase());
        return (
          <li key={step.id}>
            <button
              type="button"
              onClick={() => onGo(step.id)}
              aria-current={isHere ? 'step' : undefined}
              className={cx(
                'min-h-12 rounded-lg border px-3 text-left text-sm leading-tight',
                isHere ? 'border-2 border-ink font-semibold' : 'border-edge',
                state === 'done' && 'bg-well text-soft',
                leftS !== null && (leftS <= 0 ? 'bg-alarm text-surface' : 'bg-now text-now-ink'),
              )}
            >
              {state === 'done' && <Check size={14} aria-hidden className="mr-1 inline" />}
              {shortName(call)}
              {(leftS !== null || was) && <span className="block tabular-nums">{leftS !== null ? `${leftS < 0 ? '+' : ''}${formatClock(leftS)}` : was}</span>}
            </button>
          </li>
        );
      })}
    </ol>
  );
} // prettier-ignore
