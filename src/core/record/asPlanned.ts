import type { BatchSheet } from '../batch/batchSheet';
import { asWay } from '../formula/ways';
import type { Formula } from '../formula/formula';
import { withLots } from '../ingredients/lots';
import type { IngredientBook } from '../ingredients/ingredientBook';

/** A formula and a larder as a bake was planned with them: its pieces, its bags. Of several breads the first. */
export function asPlanned(
  sheet: BatchSheet,
  formula: Formula,
  larder: IngredientBook,
): { readonly formula: Formula; readonly book: IngredientBook } {
  const lots = new Map((sheet.lots ?? []).map(({ ingredientId, lotId }) => [ingredientId, lotId]));
  const one = asWay(formula);
  const pieceMassG = sheet.ways?.[0]?.doughG ?? sheet.pieces.doughG;
  return {
    formula: {
      ...one,
      usualYield: { ...one.usualYield, pieces: Math.max(1, sheet.pieces.count), pieceMassG },
    },
    book: withLots(larder, lots),
  };
}
