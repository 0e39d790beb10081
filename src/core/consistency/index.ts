export { consistencyOf, type Consistency, type Feel } from './consistency';
export { learnThirst, type FeltObservation, type ThirstLearnt } from './learnThirst';
export { BAND_AIMS, BAND_ENDS, BANDS, type Band } from './parameters';
export { waterState, type WaterBalance, type WaterState } from './waterBalance';
