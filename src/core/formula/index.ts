export {
  allLines,
  emptyFormula,
  FORMULA_LIMITS,
  KEPT_IN,
  PUT_BY,
  massByIngredient,
  STAGE_KINDS,
  STYLES,
  type Formula,
  type Line,
  type StageKind,
  type Style,
} from './formula';
export { formulaTotals, type FormulaTotals } from './totals';
export { takeApart } from './takeApart';
export { checkFormula } from './checkFormula';
export { applyEdit, type FormulaEdit } from './edit';
export { record, redo, settle, startHistory, takeBack, undo, type History } from './history';
export { compareFormulas, type Difference } from './compare';
export { firstMassG } from './firstMass';
export { formulaSchema } from './formulaSchema';
export { NUTRIENTS, type Nutrition } from './nutrition';
export { YEAST_KINDS, type YeastDose } from './yeast';
export { doughLines } from './formula';
export { eatenOf, followsDough, makesDough, missingG, partMassG, purposeOf } from './parts';
export { allSteps, asWay, divideDough, usableG, yieldOf } from './ways';
export type { Way } from './formulaSchema';
