export { bakeQuestionOf, forecastRun, type RunFeel, type RunForecast } from './forecastRun';
export { bakedAsOf, runOf, type Run, type TimedStep } from './runOf';
export { ORDINARY_KITCHEN, type RunKitchen } from './ordinaryKitchen';
export { stepS } from './stepTimes';
export { keepingsOf, type Keeping, type Kept } from './keeping';
export { quickSlice, sliceQuestion, type SliceQuestion } from './quickSlice';
export { leavenLot, riseObservations } from './riseMarks';
export { ticksS, timeAxis, type TimeAxis } from './timeAxis';
export { hasYeast, supposing, type WhatIf } from './whatIf';
