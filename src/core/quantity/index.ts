export { MEASURE_SYSTEMS, type MeasureSystem } from './measures';
export { inMeasures } from './inMeasures';
export { parseQuantity } from './parseQuantity';
export { type OwnMeasure } from './ownMeasures';
export type { Weighed, WeighingContext } from './weigh';
