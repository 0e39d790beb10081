import { turnMs } from './ovenDue';
import type { RunningCard } from './runningCard';

/** A bake under way as a list knows it. */
export interface CalledBake extends Pick<
  RunningCard,
  'name' | 'next' | 'then' | 'oven' | 'timers' | 'pausedAtMs'
> {
  readonly id: string;
}

type StepWords = Omit<Extract<RunningCard['next'], { kind: 'step' }>, 'kind'>;

/** What a bake asks of whoever is there. */
type Asked =
  | Extract<RunningCard['next'], { kind: 'weigh' | 'log' }>
  | ({ readonly kind: 'step' } & StepWords)
  /** Its clock runs, or has run out: then it is looked at. */
  | ({ readonly kind: 'clock'; readonly until: string } & StepWords)
  /** It stands still until somebody goes on with it. */
  | { readonly kind: 'paused' }
  | ({ readonly kind: 'light' } & Pick<NonNullable<RunningCard['oven']>, 'stepId' | 'ovenId' | 'ovenName' | 'setC' | 'plate'>); // prettier-ignore

/** One thing of one bake: to be done now, next at its time, or under way by itself. */
export interface BenchCall {
  readonly bakeId: string;
  readonly bakeName: string;
  readonly asked: Asked;
  readonly state: 'now' | 'next' | 'waits';
  /** When it is due, or was; null: whenever somebody has a hand free. */
  readonly atMs: number | null;
  /** Until when it may wait after that; null: nothing says. */
  readonly mayUntilMs: number | null;
}

/** Of two that could be done now the one that can wait less comes first: what is past all waiting, what has run out, an oven, hands, the log. */
function pressure({ asked, mayUntilMs }: BenchCall, nowMs: number): number {
  if (mayUntilMs !== null && mayUntilMs < nowMs) return 0;
  // a bake that is begun goes on before another is
  if (asked.kind === 'weigh' && asked.done === 0) return 4;
  return { clock: 1, light: 2, step: 3, weigh: 3, log: 5, paused: 6 }[asked.kind];
}

const ORDER = { now: 0, next: 1, waits: 2 } as const;

/** What one bake asks for. */
function callsOf({ id, name, next, then, oven, timers, pausedAtMs }: CalledBake, nowMs: number): BenchCall[] {
  const of = { bakeId: id, bakeName: name };
  if (pausedAtMs !== null)
    return [{ ...of, asked: { kind: 'paused' }, state: 'waits', atMs: pausedAtMs, mayUntilMs: null }];
  const running = timers.some(({ endsAtMs }) => endsAtMs > nowMs);
  const calls: BenchCall[] = timers.map(({ stepId, stepKind, stepTitle, call, until, endsAtMs, mayUntilMs }) => ({
    ...of,
    asked: { kind: 'clock', stepId, stepKind, stepTitle, call, until },
    state: endsAtMs <= nowMs ? 'now' : 'waits',
    atMs: endsAtMs,
    mayUntilMs,
  }));
  const isTimed = next.kind === 'step' && timers.some(({ stepId }) => stepId === next.stepId);
  if (!isTimed) calls.push({ ...of, asked: next, state: 'now', atMs: null, mayUntilMs: null });
  // what has run out is looked at first; what comes after it is its turn then
  else if (then && running) {
    const { wait, ...words } = then;
    calls.push({ ...of, asked: { kind: 'step', ...words }, state: 'next', atMs: turnMs(wait, nowMs), mayUntilMs: null });
  }
  if (oven) {
    const { wait, leadS, ...words } = oven;
    const wantedMs = turnMs(wait, nowMs);
    const atMs = wantedMs - 1000 * leadS;
    calls.push({ ...of, asked: { kind: 'light', ...words }, state: atMs <= nowMs ? 'now' : 'next', atMs, mayUntilMs: null });
  }
  return calls;
} // prettier-ignore

/**
 * What all bakes under way ask for: what to do now, the most pressing first; what comes next, by its time; what is under way by itself, the
 * first to end first. Of several that will ask for one oven only the first is told: for the others it is hot by then, or was lit for another.
 */
export function benchCalls(bakes: readonly CalledBake[], nowMs: number): BenchCall[] {
  const ovens = new Set<string>();
  const isFirstOfOven = ({ asked, state }: BenchCall): boolean => {
    if (asked.kind !== 'light' || state === 'now') return true;
    const oven = asked.ovenId ?? asked.ovenName;
    return !ovens.has(oven) && !!ovens.add(oven);
  };
  return bakes
    .flatMap((bake) => callsOf(bake, nowMs))
    .sort(
      (a, b) =>
        ORDER[a.state] - ORDER[b.state] ||
        (a.state === 'now' ? pressure(a, nowMs) - pressure(b, nowMs) : 0) ||
        (a.atMs ?? Infinity) - (b.atMs ?? Infinity),
    )
    .filter(isFirstOfOven);
}
