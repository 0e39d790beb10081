export {
  KITCHEN_FORMAT,
  KITCHEN_VERSION,
  fileBook,
  newestEntries,
  newestKit,
  readKitchenFile,
  sheetOf,
  type KitchenFile,
} from './kitchenFile';
export { readFormulaFile, writeFormulaFile } from './formulaFile';
export { readFormulaCsv, writeFormulaCsv } from './formulaCsv';
export { writeFormulaMarkdown } from './formulaMarkdown';
export { readRecipeJsonLd, writeRecipeJsonLd } from './recipeJsonLd';
export type { Loss } from './loss';
