export { batchRequestSchema, type BatchRequest } from './batchRequest';
export { batchSheetSchema, type BatchLine, type BatchSheet, type Shift } from './batchSheet';
export { planBatch } from './planBatch';
export { ordinaryScales, roundToScale, scaleRangesSchema, type ScaleRanges } from './scale';
