import type { Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Formula, StageKind } from './formula';
import { purposeOf, type Purpose } from './parts';
import { takeApart } from './takeApart';

/** One simple ingredient of one line: a weighed one itself, or a part of a blend that stands there. */
export interface Inside {
  readonly ingredient: Ingredient;
  readonly massG: number;
  readonly lineId: string;
  /** The part it is in, and what that is for. */
  readonly stageId: string;
  readonly kind: StageKind;
  readonly purpose: Purpose;
  /** Does it go into the dough, for certain? */
  readonly dough: boolean;
  /** Put out, and goes in only if it is wanted. */
  readonly heldBack: boolean;
  /** In a bought mixture whose shares nobody knows. */
  readonly guessed: boolean;
}

/** The last answer for a list of stages: a sheet asks a dozen times between two keys, and its stages never change in place. */
const remembered = new WeakMap<
  Formula['stages'],
  { readonly book: IngredientBook; readonly all: readonly Inside[] }
>();

/**
 * Everything that is in a formula, blends and starters taken apart to the last flour. Whoever asks "is there egg in it?" or "how
 * much psyllium?" asks here, never the lines: a line may hold both inside a jar. Lines the book does not know are not in it.
 */
export function insideFormula({ stages }: Pick<Formula, 'stages'>, book: IngredientBook): readonly Inside[] {
  const known = remembered.get(stages);
  if (known?.book === book) return known.all;
  const all: Inside[] = [];
  for (const stage of stages) {
    const purpose = purposeOf(stage);
    for (const { id: lineId, ingredientId, massG: lineG, heldBack = false } of stage.lines) {
      const apart = takeApart(book, ingredientId, lineG);
      if (!apart.ok) continue;
      for (const { ingredient, massG, bag } of apart.value)
        all.push({
          ingredient,
          massG,
          lineId,
          stageId: stage.id,
          kind: stage.kind,
          purpose,
          dough: purpose === 'dough' && !heldBack,
          heldBack,
          guessed: bag?.thirstCv !== undefined,
        });
    }
  }
  remembered.set(stages, { book, all });
  return all;
}
