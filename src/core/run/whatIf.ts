import { allLines, atWeight, type Formula } from '../formula/formula';
import { YEAST_KINDS } from '../formula/yeast';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Oven } from '../heat/oven';
import type { PlateKind, TinKind } from '../method/heating';
import type { RunKitchen } from './ordinaryKitchen';
import { bakedAsOf } from '../formula/usualShape';

/** A question put beside the run as it is. */
export type WhatIf =
  | { readonly type: 'room'; readonly tempC: number }
  | { readonly type: 'yeast'; readonly factor: number }
  | { readonly type: 'pieces'; readonly factor: number }
  | { readonly type: 'altitude'; readonly altitudeM: number }
  | { readonly type: 'oven'; readonly oven: Oven }
  | { readonly type: 'tin'; readonly tin: TinKind }
  | { readonly type: 'plate'; readonly on: PlateKind }
  /** Discs and flats: the same dough, so many times as thick. */
  | { readonly type: 'thicker'; readonly factor: number }
  | { readonly type: 'offset'; readonly byC: number };

const LIFTS: ReadonlySet<string> = new Set(YEAST_KINDS);
const STANDS: ReadonlySet<string> = new Set(['rest', 'bulk', 'proof']);

/** The formula and kitchen in which that is so; the sheet itself is not touched. */
export function supposing(
  what: WhatIf,
  formula: Formula,
  kitchen: RunKitchen,
  book: IngredientBook,
): { readonly formula: Formula; readonly kitchen: RunKitchen } {
  switch (what.type) {
    case 'room':
      return {
        formula: {
          ...formula,
          steps: formula.steps.map((step) => (STANDS.has(step.kind) ? { ...step, tempC: what.tempC } : step)),
        },
        kitchen: { ...kitchen, roomC: what.tempC },
      };
    case 'yeast':
      return {
        formula: {
          ...formula,
          stages: formula.stages.map((stage) => ({
            ...stage,
            lines: stage.lines.map((line) =>
              lifts(line.ingredientId, book) ? atWeight(line, line.massG * what.factor) : line,
            ),
          })),
        },
        kitchen,
      };
    case 'pieces': {
      // two small instead of one big: the dough is the same, each piece weighs less, and its tin is not the old one
      const { usualYield } = formula;
      const as = bakedAsOf(formula);
      return {
        formula: {
          ...formula,
          usualYield: {
            ...usualYield,
            pieces: Math.max(1, Math.round(usualYield.pieces * what.factor)),
            pieceMassG: usualYield.pieceMassG / what.factor,
          },
          bakedAs: { ...as, lengthCm: null, widthCm: null },
        },
        kitchen,
      };
    }
    case 'altitude':
      return { formula, kitchen: { ...kitchen, altitudeM: what.altitudeM } };
    case 'oven':
      return { formula, kitchen: { ...kitchen, oven: what.oven } };
    case 'tin':
      return { formula: { ...formula, bakedAs: { ...bakedAsOf(formula), tin: what.tin } }, kitchen };
    case 'plate':
      return {
        formula: {
          ...formula,
          steps: formula.steps.map((step) =>
            step.kind === 'bake' ? { ...step, heat: { ...step.heat, on: what.on, inTin: false } } : step,
          ),
        },
        kitchen,
      };
    case 'thicker': {
      const as = bakedAsOf(formula);
      // pressed to the same weight, its area shrinks as its thickness grows
      const lengthCm = as.lengthCm === null ? null : as.lengthCm / Math.sqrt(what.factor);
      return { formula: { ...formula, bakedAs: { ...as, lengthCm } }, kitchen };
    }
    case 'offset':
      return {
        formula,
        kitchen: { ...kitchen, oven: { ...kitchen.oven, offsetC: kitchen.oven.offsetC + what.byC } },
      };
  }
}

/** Yeast, or a starter: the library's or the baker's own. */
const lifts = (ingredientId: string, book: IngredientBook): boolean =>
  LIFTS.has(ingredientId) || (book.get(ingredientId)?.roles[0] ?? '') === 'starter';

/** Has it any yeast or starter to have less of? */
export const hasYeast = (formula: Formula, book: IngredientBook): boolean =>
  allLines(formula).some((line) => lifts(line.ingredientId, book));
