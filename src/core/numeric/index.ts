export { Z80 } from './normal';
export type { Range } from './range';
