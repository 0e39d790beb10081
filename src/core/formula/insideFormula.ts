import type { Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { isDoughStage, type Formula } from './formula';
import { takeApart } from './takeApart';

/** One simple ingredient of one line: a weighed one itself, or a part of a blend that stands there. */
export interface Inside {
  readonly ingredient: Ingredient;
  readonly massG: number;
  readonly lineId: string;
  /** Does it go into the dough, or onto it? */
  readonly dough: boolean;
}

/**
 * Everything that is in a formula, blends and starters taken apart to the last flour. Whoever asks "is there egg in it?" or "how
 * much psyllium?" asks here, never the lines: a line may hold both inside a jar. Lines the book does not know are not in it.
 */
export function insideFormula(formula: Pick<Formula, 'stages'>, book: IngredientBook): Inside[] {
  return formula.stages.flatMap((stage) =>
    stage.lines.flatMap((line) => {
      const apart = takeApart(book, line.ingredientId, line.massG);
      return apart.ok
        ? apart.value.map((part): Inside => ({ ...part, lineId: line.id, dough: isDoughStage(stage) }))
        : [];
    }),
  );
}
