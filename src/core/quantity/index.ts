export { MEASURE_SYSTEMS, type MeasureSystem } from './measures';
export { parseQuantity } from './parseQuantity';
export type { Weighed, WeighingContext } from './weigh';
