import type { BatchLine, BatchSheet } from '../batch/batchSheet';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { targetG, type BakeState } from './bakeState';
import { toleranceG } from './weighTolerance';

/** A line that is not as it should be. */
export interface WrongLine {
  readonly line: BatchLine;
  readonly isG: number;
  readonly wantedG: number;
}

/** The last line that is in by more, or less, than is no matter, and that nobody has answered for. Null: all that is in is as it should be. */
export function wrongLine(sheet: Pick<BatchSheet, 'stages'>, state: BakeState, book: IngredientBook): WrongLine | null {
  const wrong = sheet.stages
    .flatMap(({ lines }) => lines)
    .flatMap((line) => {
      const weighed = state.weighed.get(line.id);
      const wantedG = targetG(line, state);
      // what is to go in, or to come out, by a mend is called for already
      if (!weighed || state.dueAgain.has(line.id)) return [];
      // what was held back goes in as far as the dough asks for it
      if (line.heldBack && weighed.massG <= wantedG) return [];
      const isWrong = Math.abs(weighed.massG - wantedG) > toleranceG(line, wantedG, book.get(line.ingredientId)) + 1e-6;
      return isWrong ? [{ line, wantedG, weighed }] : [];
    });
  const last = wrong.sort((a, b) => b.weighed.atMs - a.weighed.atMs)[0];
  return last ? { line: last.line, wantedG: last.wantedG, isG: last.weighed.massG } : null;
} // prettier-ignore
