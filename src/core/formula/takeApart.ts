import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Ingredient } from '../ingredients/ingredient';
import { ok, refuse, type Result } from '../result';

export interface Part {
  readonly ingredient: Ingredient;
  readonly massG: number;
}

/**
 * Takes a mixture (a starter, later a jar blend) apart into the simple ingredients it is made of, to any depth.
 * Mass is conserved: the shares of a mixture are normalised by their sum, so rounding in a share loses nothing.
 *
 * 200 g of a 1 : 1 starter is 100 g of flour and 100 g of water.
 *
 * @returns the parts in the order met; an ingredient that is no mixture is its own only part. Refuses
 *   `unknownIngredient`, and `cycle` when a mixture contains itself.
 */
export function takeApart(
  book: IngredientBook,
  ingredientId: string,
  massG: number,
  inside: readonly string[] = [],
): Result<Part[]> {
  const ingredient = book.get(ingredientId);
  if (!ingredient) return refuse('unknownIngredient', '', { ingredientId });
  if (!ingredient.madeOf || ingredient.madeOf.length === 0) return ok([{ ingredient, massG }]);
  if (inside.includes(ingredientId)) return refuse('cycle', '', { ingredientId });
  const whole = ingredient.madeOf.reduce((sum, part) => sum + part.share, 0);
  const parts: Part[] = [];
  for (const { ingredientId: partId, share } of ingredient.madeOf) {
    const below = takeApart(book, partId, (massG * share) / whole, [...inside, ingredientId]);
    if (!below.ok) return below;
    parts.push(...below.value);
  }
  return ok(parts);
}
