export {
  energyKjPer100g,
  isFlourBase,
  type Allergen,
  type Estimate,
  type Family,
  type GlutenRisk,
  type Ingredient,
  type Role,
} from './ingredient';
export { ALLERGENS, ENTRY_LIMITS, FAMILIES, GLUTEN_RISKS, PARTS, ROLES } from './entryLimits';
export { ingredientLibrary } from './library';
export { searchIngredients, type IngredientBook } from './ingredientBook';
export { libraryBook } from './libraryBook';
export { lookAlikesOf } from './lookAlikes';
export { energySdKjPer100g, FIGURE_SPREADS, saltSdPer100g } from './spreads';
export { bookWith } from './bookWith';
export { kitchenBook, sparingBook, type StoredEntry } from './kitchenBook';
export { estimateFromLabel, type Label, type LabelEstimate } from './label';
export { ageOfLot, withLots } from './lots';
export type {
  BagEntry,
  BlendEntry,
  KitchenEntry,
  LotEntry,
  OwnEntry,
  WorkingRecipe,
} from './kitchenEntrySchema';
export { isOwnId } from './ownId';
