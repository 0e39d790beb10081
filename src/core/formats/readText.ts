import type { IngredientBook } from '../ingredients/ingredientBook';
import type { MeasureSystem } from '../quantity/measures';
import { readRecipe, type RecipeReading, type Told } from '../recipe/readRecipe';
import { ok, type Result } from '../result';
import { readFormulaCsv } from './formulaCsv';
import { FORMULA_FORMAT } from './formulaFile';
import { readRecipeJsonLd } from './recipeJsonLd';

/** What a text turned out to be. Our own format is for the server: it may bring ingredients along. */
export type ReadText =
  | { readonly as: 'ours'; readonly text: string }
  | {
      readonly as: 'recipe' | 'table' | 'recipeData';
      readonly reading: RecipeReading;
      readonly left: readonly string[];
    };

/**
 * Finds out what a text is by looking at it, not by its file name: JSON of ours, JSON-LD of a recipe, a table with a head for
 * ingredient and grams, or a recipe as people write it (Markdown too).
 * @param told what lines of a recipe are by the baker's own word, and the kitchen's own measures
 */
export function readText(
  text: string,
  book: IngredientBook,
  system: MeasureSystem,
  newId: () => string,
  told?: Told,
): Result<ReadText> {
  const start = text.replace(/^\uFEFF/, '').trimStart();
  if (/^[[{]/.test(start)) {
    if (start.slice(0, 2000).includes(FORMULA_FORMAT)) return ok({ as: 'ours', text });
    const data = readRecipeJsonLd(text, book, system, newId);
    return data.ok ? ok({ as: 'recipeData', reading: data.value.reading, left: data.value.left }) : data;
  }
  const head = start.split(/\r?\n/, 1)[0]?.toLowerCase() ?? '';
  if (
    /[,;\t]/.test(head) &&
    /\b(?:ingredient|name|id)\b/.test(head) &&
    /\b(?:grams|g|weight|amount)\b/.test(head)
  ) {
    const table = readFormulaCsv(text, book);
    return table.ok ? ok({ as: 'table', reading: table.value, left: [] }) : table;
  }
  const recipe = readRecipe(text, book, system, newId, told);
  return recipe.ok ? ok({ as: 'recipe', reading: recipe.value, left: [] }) : recipe;
}
