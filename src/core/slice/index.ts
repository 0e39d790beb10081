export { evennessRead, lineRead } from './reading';
export { drawSlice } from './draw';
export { formOf, learnSlice, type SliceLearning, type SliceObservation } from './learnSlice';
export { crustRgb, type SliceFigures } from './slice';
