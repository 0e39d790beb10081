import type { Formula } from '../formula/formula';
import { asWay, type Divided } from '../formula/ways';
import type { MethodStep } from '../method/step';
import { activitiesOf, withOwnIds, type Activity } from '../process/activities';
import type { BatchSheet } from './batchSheet';

/** A step as it is called: its own time is for one side, one load, one time; what was repeated is no longer one step. */
function called(step: MethodStep, { id, time }: Activity): MethodStep {
  const { sides: _, again, atATime: __, takes: ___, ...plain } = step;
  // before each time but the first it is waited for
  const waitS = time && time.at > 1 ? (again?.everyS ?? null) : null;
  const minS = waitS === null ? step.minS : Math.max(waitS, step.minS ?? 0);
  return { ...plain, id, minS, maxS: waitS === null ? step.maxS : null };
}

/** What of the method is done one after the other: the dough's own steps, then each way's. */
export function laidOut(
  formula: Formula,
  parted: Divided | null,
  count: number,
): {
  readonly steps: MethodStep[];
  readonly activities: NonNullable<BatchSheet['activities']>;
  readonly firstOf: (stepId: string) => string;
} {
  const fits = (of: Formula) => () => of.bakedAs?.perLoad ?? Infinity;
  const calls = parted
    ? [
        ...activitiesOf({ wayId: null, steps: formula.steps, pieces: null, fits: fits(formula) }),
        ...parted.shares
          .filter(({ pieces }) => pieces > 0)
          .flatMap(({ way, pieces }) =>
            activitiesOf({ wayId: way.id, steps: way.steps, pieces, fits: fits(asWay(formula, way.id)) }),
          ),
      ]
    : activitiesOf({ wayId: null, steps: formula.steps, pieces: count, fits: fits(formula) });
  // what is done once keeps its id, whatever ids the loads of others would like
  const once = new Set(calls.flatMap(({ id, stepId }) => (id === stepId ? [id] : [])));
  const several = withOwnIds(
    calls.filter(({ id, stepId }) => id !== stepId),
    once,
  );
  let next = 0;
  const all = calls.map((each) => (each.id === each.stepId ? each : several[next++]!));
  const byId = new Map(
    [...formula.steps, ...(parted?.shares.flatMap(({ way }) => way.steps) ?? [])].map((step) => [
      step.id,
      step,
    ]),
  );
  const first = new Map<string, string>();
  for (const { id, stepId } of all) if (!first.has(stepId)) first.set(stepId, id);
  return {
    steps: all.map((activity) => called(byId.get(activity.stepId)!, activity)),
    activities: all.filter(({ wayId, load, side, time }) => wayId ?? load ?? side ?? time),
    firstOf: (stepId) => first.get(stepId) ?? stepId,
  };
}
