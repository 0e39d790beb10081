import { allLines, atWeight, FORMULA_LIMITS, massByIngredient, type Formula } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { refuse, type Result } from '../result';
import { proposalOf, type Proposal } from './proposal';

/** "Use up 430 g of this": the whole sheet scaled so that the ingredient comes to the weight there is. */
export function useUp(
  formula: Formula,
  ingredientId: string,
  massG: number,
  book: IngredientBook,
): Result<Proposal> {
  const haveG = massByIngredient(formula).get(ingredientId) ?? 0;
  if (haveG <= 0) return refuse('unknownLine', 'ingredientId');
  const factor = massG / haveG;
  const { min, max } = FORMULA_LIMITS.lineMassG;
  if (!(factor > 0)) return refuse('tooSmall', 'massG', { min });
  const lines = allLines(formula);
  if (lines.some((line) => line.massG * factor > max))
    return refuse('tooLarge', 'massG', {
      max: Math.floor((haveG * max) / Math.max(...lines.map((line) => line.massG))),
    });
  if (lines.some((line) => line.massG * factor < min))
    return refuse('tooSmall', 'massG', {
      min: Math.ceil((haveG * min) / Math.min(...lines.map((line) => line.massG))),
    });
  return proposalOf(
    formula,
    {
      ...formula,
      stages: formula.stages.map((stage) => ({
        ...stage,
        lines: stage.lines.map((line) => atWeight(line, line.massG * factor)),
      })),
      usualYield: scaledYield(formula.usualYield, factor),
    },
    book,
  );
}

/** Twice the dough is twice the pieces; where that is no whole number the pieces keep their count and grow. */
function scaledYield(usual: Formula['usualYield'], factor: number): Formula['usualYield'] {
  const pieces = Math.round(usual.pieces * factor);
  if (pieces >= 1 && Math.abs(usual.pieces * factor - pieces) < 0.02 * pieces)
    return { ...usual, pieces: Math.min(FORMULA_LIMITS.pieces.max, pieces) };
  const { min, max } = FORMULA_LIMITS.pieceMassG;
  return { ...usual, pieceMassG: Math.min(max, Math.max(min, usual.pieceMassG * factor)) };
}
