export { formulaAnswers, type FormulaAnswers } from './formulaAnswers';
export type { Notice } from './notice';
export { noticesOf } from './notices';
export { STYLE_BANDS } from './styleBands';
