import type { Formula } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { laterDay } from '../process/laterDay';
import type { Room } from '../process/room';
import { refuse, ok, type Result } from '../result';
import { planBatch } from './planBatch';
import type { BatchSheet } from './batchSheet';
import type { ScaleRanges } from './scale';

/** So many pieces of a way that were put by. */
interface TakenOut {
  readonly wayId: string;
  readonly pieces: number;
}

/**
 * What is done to pieces that were put by on the day they are taken out, as a batch of its own: the steps behind the freezing, in loads as the kitchen takes
 * them, and of the lines only those that go on then.
 *
 * @returns `unknownWay` where the formula has no such way, or none of it is put by, or nothing is done to it any more; else as `planBatch`
 */
export function takenOutSheet(formula: Formula, { wayId, pieces }: TakenOut, scales: ScaleRanges, book: IngredientBook, room: Room): Result<BatchSheet> {
  const way = formula.ways?.find(({ id }) => id === wayId);
  const { later } = laterDay(way?.steps ?? []);
  if (!way?.putBy || later.length === 0) return refuse('unknownWay', 'wayId');
  const { pieceMassG } = way.amount;
  const request = { mode: 'ways' as const, ways: [{ wayId, pieces }], pieceMassG, bowlLossPercent: 0 };
  // as it was made, with its other breads: what those took is not wanted again
  const made = planBatch(formula, { mode: 'factor', factor: 1, pieceMassG, bowlLossPercent: 0 }, scales, book, room);
  if (!made.ok) return made;
  const { putBy: _, ...onThatDay } = way;
  // the dough is made and shaped: nothing is left of the method but this
  const rest = planBatch({ ...formula, steps: [], ways: [{ ...onThatDay, steps: [...later] }] }, request, scales, book, room);
  if (!rest.ok) return rest;
  const goesOn = new Set(made.value.stages.flatMap(({ lines }) => lines.flatMap(({ id, of, later: isLater }) => (isLater ? [of?.lineId ?? id] : []))));
  const { lots: __, leftOver: ___, mixes: ____, stages, ...sheet } = rest.value;
  return ok({
    ...sheet,
    stages: stages
      .map((stage) => ({ ...stage, lines: stage.lines.filter(({ id, of, atStepId }) => atStepId !== undefined && goesOn.has(of?.lineId ?? id)) }))
      .filter(({ lines }) => lines.length > 0),
  });
} // prettier-ignore
