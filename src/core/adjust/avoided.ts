import type { Ingredient } from '../ingredients/ingredient';
import { comesOf, SOURCE_PLANTS, type SourcePlant } from '../ingredients/sourcePlants';

/** What somebody wants to do without. */
export const AVOIDED = [
  'egg', 'milk', 'maize', 'oats', 'treeNuts', 'soya', 'lupin', 'sesame', 'potato', 'psyllium', 'xanthan', 'rice', 'wheat',
] as const; // prettier-ignore
export type Avoided = (typeof AVOIDED)[number];

const isPlant = (avoided: Avoided): avoided is Avoided & SourcePlant =>
  (SOURCE_PLANTS as readonly string[]).includes(avoided);

/** Does an ingredient fall under it? By what it comes of, or by the allergen where there is one. */
export const fallsUnder = (avoided: Avoided, ingredient: Ingredient): boolean =>
  (isPlant(avoided) && comesOf(avoided, ingredient)) ||
  (ingredient.allergens as readonly string[]).includes(avoided);
