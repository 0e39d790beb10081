export { batchRequestSchema, type BatchRequest } from './batchRequest';
export { batchSheetSchema, type BatchLine, type BatchSheet, type Shift } from './batchSheet';
export { FACTOR_LIMITS } from './factorLimits';
export { planBatch } from './planBatch';
export { takenOutSheet } from './takenOut';
export { ordinaryScales, roundToScale, type ScaleRanges } from './scale';
export { smallDoses } from './doses';
export { callOf, type Call } from './callOf';
export { processOfSheet } from './processOfSheet';
