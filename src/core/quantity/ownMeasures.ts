import { Z80 } from '../numeric';

/** A kitchen's own cup, mug or scoop, weighed full: of one ingredient, or with water (null), for any. Weights of single fillings, g. */
export interface OwnMeasure {
  readonly measure: string;
  readonly ingredientId: string | null;
  readonly weighedG: readonly number[];
}

/** What may be weighed once and counted with from then on: the word by which a recipe calls it. */
export const OWN_MEASURES = [
  'cup', 'tbsp', 'tsp', 'mug', 'scoop', 'glass', 'ladle', 'handful', 'pinch', 'packet',
] as const; // prettier-ignore

/** Weighed once, a filling is known to about so much; often, as its fillings differ, but never closer than a scale and a hand are. */
const ONCE = 0.05;
const CLOSEST = 0.015;

/** What one filling of a measure weighs, g, with its 80 % half-width as a share; of several entries the last is meant. */
export function fillingOf({ weighedG }: OwnMeasure): { readonly g: number; readonly doubt: number } {
  const g = weighedG.reduce((sum, each) => sum + each, 0) / weighedG.length;
  if (weighedG.length < 2) return { g, doubt: ONCE };
  const variance = weighedG.reduce((sum, each) => sum + (each - g) ** 2, 0) / (weighedG.length - 1);
  return { g, doubt: Math.max(CLOSEST, (Z80 * Math.sqrt(variance)) / g) };
}

/** The kitchen's own of a measure: for this ingredient, else with water; null where nobody weighed it. */
export function ownFilling(
  own: readonly OwnMeasure[],
  measure: string,
  ingredientId: string,
): { readonly g: number; readonly doubt: number; readonly of: 'ingredient' | 'water' } | null {
  const mine = own.findLast((each) => each.measure === measure && each.ingredientId === ingredientId);
  if (mine) return { ...fillingOf(mine), of: 'ingredient' };
  const water = own.findLast((each) => each.measure === measure && each.ingredientId === null);
  return water ? { ...fillingOf(water), of: 'water' } : null;
}
