export { KITCHEN_FORMAT, KITCHEN_VERSION, readKitchenFile, type KitchenFile } from './kitchenFile';
export { FORMULA_FORMAT, readFormulaFile, writeFormulaFile } from './formulaFile';
export { readFormulaCsv, writeFormulaCsv } from './formulaCsv';
export { writeFormulaMarkdown } from './formulaMarkdown';
export { readRecipeJsonLd, writeRecipeJsonLd } from './recipeJsonLd';
export type { Loss } from './loss';
