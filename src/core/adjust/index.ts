export { avoidableIn, leaveOut, swapIngredient } from './exchange';
export type { Proposal } from './proposal';
export { AVOIDED, fallsUnder, type Avoided } from './avoided';
export { solveWater } from './solveWater';
export { tooWet } from './tooWet';
export { useUp } from './useUp';
