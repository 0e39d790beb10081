export { checkEaters, type EaterCheck, type EaterReason } from './checkEaters';
export { EATER_LIMITS, EXCLUSIONS, type Eater, type Exclusion } from './eater';
