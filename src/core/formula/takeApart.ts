import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Ingredient } from '../ingredients/ingredient';
import { ok, refuse, type Result } from '../result';

export interface Part {
  readonly ingredient: Ingredient;
  readonly massG: number;
  /** The bought mixture it is in whose shares are guessed, or which is known as a whole; the outermost of several. */
  readonly bag: Ingredient | null;
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
  bag: Ingredient | null = null,
): Result<Part[]> {
  const ingredient = book.get(ingredientId);
  if (!ingredient) return refuse('unknownIngredient', '', { ingredientId });
  if (!ingredient.madeOf || ingredient.madeOf.length === 0) return ok([{ ingredient, massG, bag }]);
  if (inside.includes(ingredientId)) return refuse('cycle', '', { ingredientId });
  const whole = ingredient.madeOf.reduce((sum, part) => sum + part.share, 0);
  const parts: Part[] = [];
  const mine = bag ?? (ingredient.thirstCv !== undefined || ingredient.absorbs ? ingredient : null);
  for (const { ingredientId: partId, share } of ingredient.madeOf) {
    const below = takeApart(book, partId, (massG * share) / whole, [...inside, ingredientId], mine);
    if (!below.ok) return below;
    parts.push(...below.value);
  }
  return ok(parts);
}
