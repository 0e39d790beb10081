export { KITCHEN_FORMAT, readKitchenFile, type KitchenFile } from './kitchenFile';
export { readFormulaFile, writeFormulaFile } from './formulaFile';
export { readFormulaCsv, writeFormulaCsv } from './formulaCsv';
export { writeFormulaMarkdown } from './formulaMarkdown';
export { readRecipeJsonLd, writeRecipeJsonLd } from './recipeJsonLd';
export type { Loss } from './loss';
