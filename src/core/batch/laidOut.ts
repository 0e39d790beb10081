import type { Formula } from '../formula/formula';
import { bakedAsOf } from '../formula/usualShape';
import { asWay, type Divided } from '../formula/ways';
import type { MethodStep } from '../method/step';
import { activitiesOf, mixingOf, withOwnIds, type Activity, type Stretch } from '../process/activities';
import { fitOf } from '../process/fits';
import { laterDay } from '../process/laterDay';
import type { Room } from '../process/room';
import type { BatchSheet } from './batchSheet';

/** A step as it is called: its own time is for one side, one load, one time; what was repeated is no longer one step. */
function called(step: MethodStep, { id, time }: Activity): MethodStep {
  const { sides: _, again, atATime: __, takes: ___, ...plain } = step;
  // before each time but the first it is waited for
  const waitS = time && time.at > 1 ? (again?.everyS ?? null) : null;
  const minS = waitS === null ? step.minS : Math.max(waitS, step.minS ?? 0);
  return { ...plain, id, minS, maxS: waitS === null ? step.maxS : null };
}

/** A batch as far as laying it out asks: the pieces, in how many mixes, and what there is room for. */
interface Laying {
  readonly parted: Divided | null;
  readonly pieces: BatchSheet['pieces'];
  readonly mixes: number;
  readonly room: Room;
}

interface LaidOut {
  readonly steps: MethodStep[];
  readonly activities: NonNullable<BatchSheet['activities']>;
  readonly loads: NonNullable<BatchSheet['loads']>;
  /** Of the ways that are put by: what is done on the day they are taken out. */
  readonly later: ReadonlyMap<string, readonly MethodStep[]>;
  /** The call that a step's lines are asked for at: the first it became, or that of one mix; null: it is of a later day. */
  readonly callAt: (stepId: string, mix?: number) => string | null;
}

/** How many pieces of a bread go in together at each step, noting what was asked and answered. */
function fitting(of: Formula, pieceG: number, pieces: number, room: Room, wayId: string | null) {
  const as = bakedAsOf(of);
  const piece = { shape: as.shape, massG: pieceG, lengthCm: as.lengthCm, widthCm: as.widthCm, tin: as.tin };
  const found: LaidOut['loads'] = [];
  const fits = (step: MethodStep): number => {
    // crackers bake as the sheet they are cut from
    if (of.style === 'crackers' && as.perLoad === null) return Infinity;
    const fit = fitOf(step, piece, room, as.perLoad, step.heat?.on ?? null);
    if (!fit) return Infinity;
    const together = Math.max(1, fit.count);
    if (fit.count < pieces)
      found.push({
        stepId: step.id,
        wayId,
        fits: fit.count,
        by: fit.by,
        loads: Math.ceil(pieces / together),
      });
    return together;
  };
  return { fits, found };
}

/** The dough's own steps, those of mixing once for each mix. */
function ofDough(stretch: Stretch, mixes: number): Activity[] {
  const { from, to } = mixingOf(stretch.steps);
  if (mixes < 2 || from === to) return activitiesOf(stretch);
  const part = (steps: readonly MethodStep[]) => activitiesOf({ ...stretch, steps });
  const mixing = part(stretch.steps.slice(from, to));
  return [
    ...part(stretch.steps.slice(0, from)),
    ...Array.from({ length: mixes }, (_, at) =>
      mixing.map((each) => ({ ...each, id: `${each.id}-${at + 1}`, mix: { at: at + 1, of: mixes } })),
    ).flat(),
    ...part(stretch.steps.slice(to)),
  ];
}

/** What of the method is done one after the other: the dough's own steps, mix by mix where it takes several, then each way's, load by load. */
export function laidOut(formula: Formula, { parted, pieces, mixes, room }: Laying): LaidOut {
  const whole = fitting(formula, pieces.doughG, pieces.count, room, null);
  const ways = (parted?.shares ?? [])
    .filter((share) => share.pieces > 0)
    .map((share) => ({
      ...share,
      ...(share.way.putBy ? laterDay(share.way.steps) : { today: share.way.steps, later: [] }),
      ...fitting(asWay(formula, share.way.id), share.pieceG, share.pieces, room, share.way.id),
    }));
  const calls = [
    ...ofDough(
      { wayId: null, steps: formula.steps, pieces: parted ? null : pieces.count, fits: whole.fits },
      mixes,
    ),
    ...ways.flatMap(({ way, today, pieces: count, fits }) =>
      activitiesOf({ wayId: way.id, steps: today, pieces: count, fits }),
    ),
  ];
  // what is done once keeps its id, whatever ids the loads of others would like
  const once = new Set(calls.flatMap(({ id, stepId }) => (id === stepId ? [id] : [])));
  const several = withOwnIds(
    calls.filter(({ id, stepId }) => id !== stepId),
    once,
  );
  let next = 0;
  const all = calls.map((each) => (each.id === each.stepId ? each : several[next++]!));
  const byId = new Map(
    [...formula.steps, ...ways.flatMap(({ way }) => way.steps)].map((step) => [step.id, step]),
  );
  const at = new Map<string, string>();
  for (const { id, stepId, mix } of all)
    for (const key of [stepId, ...(mix ? [`${stepId} ${mix.at}`] : [])]) if (!at.has(key)) at.set(key, id);
  return {
    steps: all.map((activity) => called(byId.get(activity.stepId)!, activity)),
    activities: all.filter(({ wayId, load, side, time, mix }) => wayId ?? load ?? side ?? time ?? mix),
    loads: [...whole.found, ...ways.flatMap(({ found }) => found)],
    later: new Map(ways.map(({ way, later }) => [way.id, later])),
    callAt: (stepId, mix) => (mix && at.get(`${stepId} ${mix}`)) || (at.get(stepId) ?? null),
  };
}
