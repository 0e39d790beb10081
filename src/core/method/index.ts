export {
  newStep,
  STEP_KINDS,
  STEP_LIMITS,
  stepTempRangeC,
  timerS,
  type MethodStep,
  type StepKind,
} from './step';
export { methodTime } from './methodTime';
export { methodStepSchema } from './stepSchema';
