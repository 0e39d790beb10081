export { bakeQuestionOf, forecastRun, type RunFeel, type RunForecast } from './forecastRun';
export {
  bakedAsOf,
  ORDINARY_KITCHEN,
  runOf,
  stepS,
  type Run,
  type RunKitchen,
  type TimedStep,
} from './runOf';
export { keepingsOf, type Keeping, type Kept } from './keeping';
export { quickSlice, sliceQuestion, type SliceQuestion } from './quickSlice';
export { leavenLot, riseObservations } from './riseMarks';
export { ticksS, timeAxis, type TimeAxis } from './timeAxis';
export { hasYeast, supposing, type WhatIf } from './whatIf';
