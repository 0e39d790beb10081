export { Z80 } from './normal';
