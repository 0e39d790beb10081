export { drawSlice, type Pore, type SliceDrawing } from './draw';
export { crustRgb, sliceOf, standsOverWidth, type SliceFigures } from './slice';
