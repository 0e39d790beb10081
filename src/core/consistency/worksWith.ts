import type { Formula } from '../formula/formula';
import type { Estimate } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { WorkingRecipe } from '../ingredients/kitchenEntrySchema';
import { consistencyOf } from './consistency';
import { learnAbsorption, type FeltObservation } from './learnAbsorption';

/**
 * A recipe that works with a bag, as hands would tell it: "500 g of it and 420 g of water, and after ten minutes it is sticky".
 * @returns null where the book does not know the bag
 */
export function feltOfRecipe(
  bagId: string,
  { bagG, waterG, oilG, eggG, standMin, band }: WorkingRecipe,
  book: IngredientBook,
): FeltObservation | null {
  const lines = [
    [bagId, bagG],
    ['water', waterG],
    ['neutral-oil', oilG],
    ['egg-whole', eggG],
  ] as const;
  const formula: Pick<Formula, 'stages' | 'steps' | 'percentBase'> = {
    percentBase: 'flours',
    steps: [],
    stages: [
      {
        id: 'works',
        kind: 'main',
        name: '',
        lines: lines
          .filter(([, massG]) => massG > 0)
          .map(([ingredientId, massG]) => ({
            id: ingredientId,
            ingredientId,
            massG,
            note: '',
          })),
      },
    ],
  };
  const consistency = consistencyOf(formula, book);
  return consistency && { consistency, standMin, band };
}

/**
 * What a bag absorbs as a whole against what is guessed to be in it, from a recipe that works with it; with the doubt that one feel leaves.
 * @param book in which the bag stands as its label or its kind has it
 * @returns null where the bag is no mixture, or the recipe tells nothing of it
 */
export function absorbsByRecipe(bagId: string, works: WorkingRecipe, book: IngredientBook): Estimate | null {
  const felt = feltOfRecipe(bagId, works, book);
  const learnt = felt && learnAbsorption([felt], book).find(({ ingredientId }) => ingredientId === bagId);
  return learnt?.of === 'whole' ? learnt.after : null;
}
