export {
  energyKjPer100g,
  isFlourBase,
  type Allergen,
  type Composition,
  type Estimate,
  type Family,
  type GlutenRisk,
  type Ingredient,
  type Role,
} from './ingredient';
export { ingredientLibrary } from './library';
export { libraryBook, searchIngredients, type IngredientBook } from './ingredientBook';
