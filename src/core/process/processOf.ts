import type { MethodStep, StepKind } from '../method/step';
import { usualS } from '../method/usualTimes';
import type { Activity } from './activities';

/** What an activity needs for itself while it lasts; `hands` beside it where the baker is busy with it. */
export type Resource = 'oven' | 'kettle' | 'fryer' | 'plate' | 'mixer' | 'fridge' | 'freezer';

/** A length of time, s: the shortest, the usual, the longest. `said`: by the method; else as is usual for such a step. */
interface Lasts {
  readonly minS: number;
  readonly typicalS: number;
  readonly maxS: number;
  readonly by: 'said' | 'usual';
}

/** An activity with how long it takes, what it needs, how long what comes of it may wait, and where it lies when nothing holds it up. */
interface PlacedActivity extends Activity {
  readonly kind: StepKind;
  readonly lasts: Lasts;
  readonly resource: Resource | null;
  readonly hands: boolean;
  /** How long it may wait afterwards before it suffers, s: the slack of the dough, not of the baker. */
  readonly mayWaitS: number;
  /** From the beginning of the batch, s, at usual lengths. */
  readonly startS: number;
  readonly endS: number;
  /** Runs beside the others: it ends when what it is for begins. */
  readonly beside: boolean;
  /** It had to wait for its oven, kettle or pan, s. */
  readonly waitedS: number;
  /** Of that, what is more than the thing that waits bears, s: after what was done to it before. */
  readonly tooLongS: number;
}

interface Call {
  readonly activity: Activity;
  readonly step: MethodStep;
}

export interface Process {
  readonly activities: readonly PlacedActivity[];
  readonly endS: number;
}

const RESOURCE: Partial<Record<StepKind, Resource>> = {
  bake: 'oven', coast: 'oven', boil: 'kettle', fry: 'fryer', griddle: 'plate', mix: 'mixer', kneadAgain: 'mixer', chill: 'fridge', freeze: 'freezer',
}; // prettier-ignore
/** Where only one load at a time is; fridge and mixer take what there is. */
export const ONE_LOAD: ReadonlySet<Resource> = new Set(['oven', 'kettle', 'fryer', 'plate']);

/** How long what holds one load takes between two, s. */
export type Recovery = Partial<Record<Resource, number>>;

/** Between two loads: the door was open, the stone gave its heat away, the oil cooled. Craft; the heat model tells it of a piece. */
export const RECOVERS_S: Partial<Record<Resource, number>> = { oven: 240, fryer: 120, kettle: 60, plate: 30 };

const BESIDE: ReadonlySet<StepKind> = new Set(['preheat', 'grease', 'rotate', 'turn']);

const MIN = 60;
const HOUR = 3600;
/**
 * How long what a step leaves may wait before it is worse for it, s (craft): a shaped roll 20 min in the cool, a boiled ring a few, a fried knot none, a
 * dough in the cold half a night, what is frozen or cold for days. Of a rise a fifth of its own time.
 */
const MAY_WAIT_S: Readonly<Record<StepKind, number | 'fifth'>> = {
  weigh: 2 * HOUR, bloom: 10 * MIN, soak: 4 * HOUR, preDough: 'fifth', mix: 20 * MIN, kneadAgain: 10 * MIN, rest: 20 * MIN, bulk: 'fifth', fold: 15 * MIN,
  knockBack: 10 * MIN, divide: 15 * MIN, shape: 20 * MIN, fill: 15 * MIN, proof: 'fifth', chill: 6 * HOUR, freeze: 14 * 24 * HOUR, thaw: HOUR,
  grease: HOUR, preheat: HOUR, score: 2 * MIN, top: 10 * MIN, boil: 5 * MIN, griddle: 0, fry: 0, bake: 5 * MIN, turn: 0, rotate: 0, coast: 30 * MIN,
  cool: 12 * HOUR, wrap: 48 * HOUR, hold: 30 * MIN, reheat: 10 * MIN, refresh: 10 * MIN, free: 30 * MIN,
}; // prettier-ignore

const mayWaitS = (kind: StepKind, typicalS: number): number => {
  const wait = MAY_WAIT_S[kind];
  return wait === 'fifth' ? 0.2 * typicalS : wait;
};

/** How long one call of a step lasts: of one side, of one time. */
function lastsOf(step: MethodStep): Lasts {
  if (step.minS === null) {
    const typicalS = usualS(step);
    return { minS: 0.7 * typicalS, typicalS, maxS: 1.5 * typicalS, by: 'usual' };
  }
  const maxS = step.maxS ?? step.minS;
  return { minS: step.minS, typicalS: (step.minS + maxS) / 2, maxS, by: 'said' };
}

/**
 * Lays the activities of one batch out at their natural times: what the dough does first, then every way on its own, one load after another through what
 * holds one load at a time, with the recovery between. No wall clock: hours after the batch begins.
 *
 * @param calls in their order, each with its step as it is called: its time is of one side, of one load
 * @param recoversS between loads, where the models of heat know it of this bread; else as is usual
 */
export function processOf(calls: readonly Call[], recoversS: Recovery = {}): Process {
  const placed: PlacedActivity[] = [];
  const freeS = new Map<Resource, number>();
  /** When each load of each way, and what has none, is done. */
  const doneS = new Map<string, number>();
  /** How long what each of those left may wait, s. */
  const bearsS = new Map<string, number>();
  const laneOf = ({ wayId, load }: Activity) => `${wayId ?? ''}/${load?.at ?? ''}`;
  let trunkS = 0;
  calls.forEach(({ activity, step }, at) => {
    const { wayId, load } = activity;
    const lasts = lastsOf(step);
    const beside = BESIDE.has(step.kind);
    const mine = `${wayId ?? ''}/`;
    const since = wayId === null ? 0 : trunkS;
    // what of a way has no load follows all its loads; a load follows what its way had done before there were loads
    const before = load
      ? Math.max(since, doneS.get(laneOf(activity)) ?? 0, doneS.get(mine) ?? 0)
      : Math.max(since, ...[...doneS].filter(([lane]) => lane.startsWith(mine)).map(([, done]) => done));
    const resource = RESOURCE[step.kind] ?? null;
    const alone = resource !== null && ONE_LOAD.has(resource);
    const from = alone ? Math.max(before, freeS.get(resource) ?? 0) : before;
    const endS = from + lasts.typicalS;
    // what it was before it had loads, or in the dough, where nothing of its own was done to it yet
    const bears = bearsS.get(laneOf(activity)) ?? bearsS.get(mine) ?? bearsS.get('/') ?? Infinity;
    const mayS = mayWaitS(step.kind, lasts.typicalS);
    placed.push({
      ...activity, kind: step.kind, lasts, resource, hands: step.handsOn, mayWaitS: mayS,
      startS: beside ? from - lasts.typicalS : from, endS: beside ? from : endS, beside, waitedS: from - before, tooLongS: Math.max(0, from - before - bears),
    }); // prettier-ignore
    if (beside) return;
    doneS.set(laneOf(activity), endS);
    bearsS.set(laneOf(activity), mayS);
    if (wayId === null) trunkS = Math.max(trunkS, endS);
    if (alone)
      freeS.set(
        resource,
        endS + (load && isLast(at, calls) ? (recoversS[resource] ?? RECOVERS_S[resource] ?? 0) : 0),
      );
  });
  return heatedBeside(placed);
}

/** The last thing a load does where it is: only then the next may come, and what it took has to come back. */
function isLast(at: number, calls: readonly Call[]): boolean {
  const [mine, next] = [calls[at]?.activity, calls[at + 1]?.activity];
  return !next || next.load?.at !== mine?.load?.at || next.wayId !== mine?.wayId;
}

/** What heats up beside ends when the first that needs it begins; nothing begins before the batch. */
function heatedBeside(placed: readonly PlacedActivity[]): Process {
  const moved = placed.map((each, at): PlacedActivity => {
    if (!each.beside || each.kind !== 'preheat') return each;
    const used = placed.slice(at + 1).find(({ resource, wayId }) => resource !== null && ONE_LOAD.has(resource) && (each.wayId === null || wayId === each.wayId));
    const endS = used?.startS ?? each.endS;
    return { ...each, startS: endS - each.lasts.typicalS, endS };
  }); // prettier-ignore
  const firstS = Math.min(0, ...moved.map(({ startS }) => startS));
  const activities = moved.map((each) => ({
    ...each,
    startS: each.startS - firstS,
    endS: each.endS - firstS,
  }));
  return { activities, endS: Math.max(0, ...activities.map(({ endS }) => endS)) };
}
