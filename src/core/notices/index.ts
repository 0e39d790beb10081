export { formulaAnswers, type FormulaAnswers } from './formulaAnswers';
export type { Notice } from './notice';
