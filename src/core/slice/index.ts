export { drawSlice } from './draw';
export { crustRgb, type SliceFigures } from './slice';
