export { forecastRun, type RunFeel, type RunForecast } from './forecastRun';
export {
  bakedAsOf,
  ORDINARY_KITCHEN,
  runOf,
  stepS,
  type Run,
  type RunKitchen,
  type TimedStep,
} from './runOf';
export { stepHeat, type StepHeat } from './stepHeat';
