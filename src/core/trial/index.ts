export { rungCodes } from './codes';
export { ladderAxes, ladderFormula } from './ladder';
export { LADDER_LIMITS, type Ladder, type LadderAxis, type LadderWish } from './ladderSchema';
export { responseOf, type Response, type RungScore } from './response';
