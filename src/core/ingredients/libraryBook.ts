import type { IngredientBook } from './ingredientBook';
import { ingredientLibrary } from './library';

/** What comes with the program, by id. On its own: who searches a book needs no library for that. */
export const libraryBook: IngredientBook = new Map(
  ingredientLibrary.map((ingredient) => [ingredient.id, ingredient]),
);
