export { consistencyOf, type Consistency, type Feel } from './consistency';
export { learnAbsorption, type FeltObservation, type AbsorptionLearnt } from './learnAbsorption';
export { BAND_AIMS, BAND_ENDS, BANDS, type Band } from './parameters';
export { waterState, type WaterBalance, type WaterState } from './waterBalance';
