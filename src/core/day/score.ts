import { Board } from './board';
import type { DayActivity, DayPlan, DayProblem, Due, PlacedBatch, Strand, Variant } from './dayProblem';

/**
 * How good a plan is, less is better, the first that differs decides: batches that found no place, slots that breads are late, slots of work in unwanted
 * hours, slots that breads are older than they need be at their time, what levers do to taste, slots an oven is hot for nothing, activities that lie elsewhere
 * than in an earlier plan.
 */
export interface Score {
  readonly unplaced: number;
  readonly late: number;
  readonly unwanted: number;
  readonly old: number;
  readonly taste: number;
  readonly idle: number;
  readonly changed: number;
}

const SCORE_ORDER = ['unplaced', 'late', 'unwanted', 'old', 'taste', 'idle', 'changed'] as const;

/** Below 0: the first is better. */
export function compareScores(a: Score, b: Score): number {
  for (const part of SCORE_ORDER) if (a[part] !== b[part]) return a[part] - b[part];
  return 0;
}

/** Slots late, and slots old, of a bread that is ready then. */
const keptPromise = ({ fromSlot, toSlot }: Due, readySlot: number) => ({
  late: Math.max(0, readySlot - toSlot),
  old: Math.max(0, fromSlot - readySlot),
});

export const variantOf = (
  problem: DayProblem,
  batchId: string,
  { variantId }: PlacedBatch,
): Variant | undefined =>
  problem.batches.find(({ id }) => id === batchId)?.variants.find(({ id }) => id === variantId);

/** What names an activity in the whole day. */
export const keyOf = (batchId: string, { id }: Pick<DayActivity, 'id'>): string => `${batchId} ${id}`;

/** What names what lies behind an activity: by another variant it takes another time. */
export const blockKey = (batchId: string, variantId: string, { id }: Pick<DayActivity, 'id'>): string =>
  `${batchId} ${variantId} ${id}`;

const endOf = ({ at }: PlacedBatch, { activities }: Strand): number => {
  const last = activities.at(-1);
  return last ? at[last.id]!.startSlot + last.lastsSlots : 0;
};

export const NOTHING: Score = { unplaced: 0, late: 0, unwanted: 0, old: 0, taste: 0, idle: 0, changed: 0 };

export const addScores = (a: Score, b: Score): Score => ({
  unplaced: a.unplaced + b.unplaced,
  late: a.late + b.late,
  unwanted: a.unwanted + b.unwanted,
  old: a.old + b.old,
  taste: a.taste + b.taste,
  idle: a.idle + b.idle,
  changed: a.changed + b.changed,
});

/** Slots that the breads of a batch are late where it lies in a plan: not by when they were to be ready to be surer, by when they have to be. */
export const lateSlotsOf = ({ strands }: Variant, placed: PlacedBatch): number =>
  strands.reduce((sum, strand) => sum + (strand.promise ? Math.max(0, endOf(placed, strand) - (strand.promise.heldSlot ?? strand.promise.toSlot)) : 0), 0); // prettier-ignore

/** What one batch adds to the score, its ovens apart. */
export function scoreOfBatch(
  { earlier }: DayProblem,
  board: Board,
  batchId: string,
  { tasteCost, strands }: Variant,
  placed: PlacedBatch,
): Score {
  const score = { ...NOTHING, taste: tasteCost };
  for (const strand of strands) {
    for (const activity of strand.activities) {
      const { startSlot } = placed.at[activity.id]!;
      score.unwanted += board.unwantedSlots(activity, startSlot);
      const before = earlier?.[keyOf(batchId, activity)];
      if (before !== undefined && before !== startSlot) score.changed += 1;
    }
    if (!strand.promise) continue;
    const { late, old } = keptPromise(strand.promise, endOf(placed, strand));
    score.late += late;
    score.old += old;
  }
  return score;
}

/** The score of a plan. */
export function scoreOf(problem: DayProblem, plan: DayPlan): Score {
  const board = new Board(problem);
  let score = NOTHING;
  for (const { id } of problem.batches) {
    const placed = plan.batches[id];
    const variant = placed && variantOf(problem, id, placed);
    if (!placed || !variant) {
      score = { ...score, unplaced: score.unplaced + 1 };
      continue;
    }
    for (const { activities } of variant.strands)
      for (const activity of activities) {
        const { startSlot, ovenId } = placed.at[activity.id]!;
        board.put(activity, keyOf(id, activity), startSlot, ovenId);
      }
    score = addScores(score, scoreOfBatch(problem, board, id, variant, placed));
  }
  return { ...score, idle: board.idleSlots() };
}
