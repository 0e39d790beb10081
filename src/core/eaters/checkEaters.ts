import { allLines, type Formula } from '../formula/formula';
import { everythingIn } from '../cautions/allergenStatement';
import { fallsUnder, type Avoided } from '../adjust/avoided';
import type { Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Eater, Exclusion } from './eater';

/**
 * Why an eater has to look twice. `holds`: what must not be in it is in it. `madeFromWheat`: gluten washed out, wheat still there.
 * `certifiedOnly`, `crossContact`: fine only as the product that says so. `crossReaction`: lupin, to who reacts to peanut. `unknown`: the
 * book has no such ingredient, so that nothing can be said.
 */
export type EaterReason = {
  readonly exclusion: Exclusion;
  readonly why: 'holds' | 'madeFromWheat' | 'certifiedOnly' | 'crossContact' | 'crossReaction' | 'unknown';
  readonly ingredientIds: readonly string[];
};

export interface EaterCheck {
  readonly eater: Eater;
  /** `no`: not for them. `look`: only after a look at the labels. `nothingFound` promises nothing beyond what stands on the sheet. */
  readonly verdict: 'no' | 'look' | 'nothingFound';
  readonly reasons: readonly EaterReason[];
}

type Why = EaterReason['why'];
const REFUSES: ReadonlySet<Why> = new Set(['holds']);

/** Of one ingredient and one exclusion: why to look at it; null when nothing is known against it. */
function whyNot(exclusion: Exclusion, ingredient: Ingredient): Why | null {
  if (exclusion === 'gluten') {
    if (ingredient.gluten === 'processedWheatStarch') return 'madeFromWheat';
    if (ingredient.gluten === 'onlyIfCertified') return 'certifiedOnly';
    return ingredient.gluten === 'crossContactCommon' ? 'crossContact' : null;
  }
  // to these an allergen is all there is; the others may also come of a plant
  const plain: readonly Exclusion[] = ['peanut', 'mustard', 'sulphites'];
  const holds = plain.includes(exclusion)
    ? (ingredient.allergens as readonly string[]).includes(exclusion)
    : fallsUnder(exclusion as Avoided, ingredient);
  if (holds) return 'holds';
  return exclusion === 'peanut' && ingredient.allergens.includes('lupin') ? 'crossReaction' : null;
}

function reasonsOf(
  avoids: readonly Exclusion[],
  ingredients: readonly Ingredient[],
  unknownIds: readonly string[],
): EaterReason[] {
  const reasons = avoids.flatMap((exclusion) => {
    const byWhy = new Map<Why, string[]>();
    for (const ingredient of ingredients) {
      const why = whyNot(exclusion, ingredient);
      if (why) byWhy.set(why, [...(byWhy.get(why) ?? []), ingredient.id]);
    }
    return [...byWhy].map(([why, ingredientIds]) => ({ exclusion, why, ingredientIds }));
  });
  const first = avoids[0];
  if (first && unknownIds.length > 0)
    reasons.push({ exclusion: first, why: 'unknown', ingredientIds: [...unknownIds] });
  return reasons.sort((a, b) => Number(REFUSES.has(b.why)) - Number(REFUSES.has(a.why)));
}

const verdictOf = (reasons: readonly EaterReason[]): EaterCheck['verdict'] => {
  if (reasons.some(({ why }) => REFUSES.has(why))) return 'no';
  return reasons.length > 0 ? 'look' : 'nothingFound';
};

/**
 * Holds a formula against what each eater must not eat: every line, toppings too, blends and starters taken apart. By typical ingredients
 * and by what the kitchen entered of its own: the label in the hand decides, never this. Eaters who avoid nothing are not in the answer.
 */
export function checkEaters(
  formula: Pick<Formula, 'stages'>,
  book: IngredientBook,
  eaters: readonly Eater[],
): EaterCheck[] {
  const ingredients = everythingIn(formula, book);
  const unknownIds = [...new Set(allLines(formula).map(({ ingredientId }) => ingredientId))].filter(
    (id) => !book.has(id),
  );
  return eaters
    .filter(({ avoids }) => avoids.length > 0)
    .map((eater) => {
      const reasons = reasonsOf(eater.avoids, ingredients, unknownIds);
      return { eater, verdict: verdictOf(reasons), reasons };
    });
}
