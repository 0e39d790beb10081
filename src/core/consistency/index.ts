export { consistencyOf, type Consistency } from './consistency';
export { learnAbsorption, type AbsorptionLearnt } from './learnAbsorption';
export { BAND_ENDS, BANDS, type Band } from './parameters';
export { feltOfRecipe, absorbsByRecipe } from './worksWith';
export { waterState, type WaterBalance } from './waterBalance';
