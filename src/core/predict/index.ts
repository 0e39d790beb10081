export { ORDINARY_DAY, predict, type Prediction } from './predict';
