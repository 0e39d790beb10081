import type { BatchLine } from '../batch/batchSheet';
import type { Ingredient, Role } from '../ingredients/ingredient';

/**
 * How far from its grams a line may be in before anybody has to be told, as a share of it. What little of makes much (gum, salt, yeast, soda) is held
 * tighter than what is on the bread for its taste; flour and water as near as makes no other dough (2 % of the water is a fifth of a band). Our own figures.
 */
const SHARE: Readonly<Record<Role, number>> = {
  flour: 0.02, starch: 0.02, seedMeal: 0.03, liquid: 0.02, egg: 0.06, binder: 0.05, salt: 0.06, leaven: 0.06, starter: 0.03,
  sweet: 0.05, fat: 0.05, acid: 0.08, flavour: 0.15, inclusion: 0.1,
}; // prettier-ignore
/** What the book does not know. */
const PLAIN = 0.03;

/**
 * How much more or less of a line than is meant is no matter, g: a share of it by what it does in the dough, at least what one step of the scale hides.
 *
 * 500 g of rice flour on a scale of 1 g: 10 g; 12 g of psyllium on one of 0.1 g: 0.6 g.
 */
export function toleranceG({ stepG }: Pick<BatchLine, 'stepG'>, wantedG: number, ingredient: Ingredient | undefined): number {
  const share = ingredient ? SHARE[ingredient.roles[0]] : PLAIN;
  return Math.max(stepG, share * wantedG);
} // prettier-ignore
