export {
  newStep,
  STEP_KINDS,
  STEP_LIMITS,
  stepTempRangeC,
  timerS,
  type MethodStep,
  type StepKind,
} from './step';
export { methodTime, type MethodTime } from './methodTime';
export { methodStepSchema } from './stepSchema';
