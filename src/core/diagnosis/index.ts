export { advise, adviceAsks, type Advised, type AdviceQuestion } from './advise';
export { axesOf, type Axes } from './axes';
export type { BakeAsked } from './factors';
export { withChange, type Advice } from './nextChange';
export type { SignId } from './signs';
export type { TellApart } from './tellApart';
export { changedBetween } from './changed';
