import { consistencyOf } from '../consistency/consistency';
import { riseCurve } from '../fermentation/riseCurve';
import type { Formula } from '../formula/formula';
import { formulaTotals } from '../formula/totals';
import { bakedAsOf } from '../formula/usualShape';
import type { BakeQuestion } from '../heat/bake';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { TinKind } from '../method/heating';
import { doughDensity } from '../vessel/vessel';
import { bakeQuestionOf } from './forecastRun';
import type { RunKitchen } from './ordinaryKitchen';
import { runOf } from './runOf';

/** A tin of the kitchen, inside, cm. */
export interface TinAsked {
  readonly kind: TinKind;
  readonly lengthCm: number;
  readonly widthCm: number;
  readonly heightCm: number;
}

/** What comes of a piece in another tin, and what to ask the heat model ({@link setCentralS}): the bake as planned and in that tin. */
export interface TinAnswer {
  /** Where the shaped dough stands in it, share of its height. */
  readonly fills: number;
  /** By how much it has grown when it is at the rim, %; below 0: it does not go in at all. */
  readonly rimPercent: number;
  /** Null where no bake can be asked about. */
  readonly bakes: readonly [BakeQuestion, BakeQuestion] | null;
}

/**
 * The same piece of dough in another tin: how full, when it is at the rim, and what tells how much longer or shorter it bakes.
 *
 * @param formula as it is made; its own tin, or the usual one for such a piece
 * @param pieceG what one piece weighs as it goes into its tin
 * @returns null for what is baked in no tin
 */
export function anotherTin(formula: Formula, pieceG: number, tin: TinAsked, kitchen: RunKitchen, book: IngredientBook): TinAnswer | null {
  const as = bakedAsOf(formula);
  if (as.shape !== 'tin' || !(pieceG > 0)) return null;
  const totals = formulaTotals(formula, book);
  const doughMl = pieceG / doughDensity(formula, book, totals.doughG);
  const tinMl = tin.lengthCm * tin.widthCm * tin.heightCm;
  const bakeIn = (bakedAs: typeof as): BakeQuestion | null => {
    const made = { ...formula, usualYield: { ...formula.usualYield, pieceMassG: pieceG }, bakedAs };
    const consistency = consistencyOf(made, book);
    const run = runOf(made, book, totals, consistency, kitchen);
    const rise = run.ok ? riseCurve({ ...run.value.rise, central: true }) : null;
    if (!run.ok || !rise?.ok || !consistency) return null;
    return bakeQuestionOf(run.value, rise.value, consistency);
  };
  const [before, after] = [bakeIn(as), bakeIn({ ...as, tin: tin.kind, lengthCm: tin.lengthCm, widthCm: tin.widthCm })];
  return {
    fills: doughMl / tinMl,
    rimPercent: 100 * (tinMl / doughMl - 1),
    bakes: before && after && [before, after],
  };
} // prettier-ignore
