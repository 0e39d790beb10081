export {
  newStep,
  STEP_KINDS,
  STEP_LIMITS,
  stepTempRangeC,
  timerS,
  type MethodStep,
  type StepKind,
} from './step';
export { isRising } from './risingSteps';
export { methodTime } from './methodTime';
export { methodStepSchema } from './stepSchema';
export { type Cue } from './standing';
export {
  COVERS,
  CUE_KINDS,
  CUE_LIMITS,
  PLACES,
  STANDS_LIMITS,
  type Cover,
  type Place,
} from './standingLimits';
