export { LINE_ROLES, readRecipe, type LineRole, type RecipeReading } from './readRecipe';
export { readLineAs, type Asking, type IngredientLine } from './readLine';
export { sheetOfRecipe, type Answer } from './sheetOf';
export { matchIngredient } from './match';
export { answered } from './method/answered';
export { readMethod } from './method/readMethod';
export type { StepAsk } from './method/draft';
