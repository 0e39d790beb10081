export { MEASURE_SYSTEMS, type MeasureSystem } from './measures';
export { measureLearnt, type MeasureLearnt } from './measureLearnt';
export { parseQuantity } from './parseQuantity';
export { type OwnMeasure } from './ownMeasures';
export type { Weighed, WeighingContext } from './weigh';
