import type { BatchSheet } from '../batch/batchSheet';
import { isDoughStage } from '../formula/formula';
import { actualStages } from './actualSheet';
import { type BakeState } from './bakeState';
import { stillToWeigh } from './toWeigh';

/** So many pieces, each of so much dough, of one bread of the batch. */
export interface PieceWeight {
  /** Empty: the dough is one bread. */
  readonly name: string;
  readonly count: number;
  readonly pieceG: number;
  readonly plannedG: number;
  /** As large as they were planned there are so many whole ones, and so much is left; null: as many as planned. */
  readonly whole: { readonly count: number; readonly overG: number } | null;
}

const doughG = (stages: ReturnType<typeof actualStages>): number =>
  stages.filter(isDoughStage).reduce((sum, { lines }) => sum + lines.reduce((all, { massG }) => all + massG, 0), 0); // prettier-ignore

/**
 * What a piece weighs by what was really weighed: the dough there is, shared out as it was planned; and how many whole ones of the planned size there are,
 * where that is another number.
 *
 * 990 g planned as eight of 120 g (30 g left), and 1,143 g in the bowl: eight of 138.5 g, or nine of 120 g and 63 g left.
 *
 * @returns none while something of the dough is still to be weighed
 */
export function pieceWeights(sheet: BatchSheet, state: BakeState): PieceWeight[] {
  const dough = new Set(sheet.stages.filter(isDoughStage).flatMap(({ lines }) => lines.map(({ id }) => id)));
  const open = stillToWeigh(sheet, state);
  if ([...open.now, ...open.later].some(({ id }) => dough.has(id)) || sheet.doughG <= 0) return [];
  const share = doughG(actualStages(sheet, state)) / sheet.doughG;
  if (sheet.ways)
    return sheet.ways.flatMap(({ name, count, doughG: plannedG }) => (count > 0 ? [{ name, count, plannedG, pieceG: plannedG * share, whole: null }] : []));
  const { count, doughG: plannedG } = sheet.pieces;
  if (count === 0) return [];
  const usableG = share * sheet.usableDoughG;
  const whole = Math.floor(usableG / plannedG + 1e-9);
  const another = count > 1 && whole !== count && whole > 0;
  return [{ name: '', count, plannedG, pieceG: plannedG * share, whole: another ? { count: whole, overG: usableG - whole * plannedG } : null }];
} // prettier-ignore
