export { Z80 } from './normal';
export type { MaybeRange, Range } from './range';
