export { ORDINARY_DAY, predict } from './predict';
