export { readRecipe, type RecipeReading } from './readRecipe';
export { readLineAs, type Asking, type IngredientLine } from './readLine';
export { sheetOfRecipe, type Answer } from './sheetOf';
export { matchIngredient } from './match';
