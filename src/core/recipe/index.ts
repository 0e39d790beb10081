export { readRecipe, RECIPE_LIMITS, type RecipeReading, type SourceLine } from './readRecipe';
export { readLineAs, type Asking, type IngredientLine } from './readLine';
export { sheetOfRecipe, type Answer } from './sheetOf';
export { matchIngredient } from './match';
