export { airPressurePa, boilingPointC } from './boilingPoint';
export { specificHeatJPerGK } from './heatCapacity';
export {
  DOUGH_TEMPERATURE_LIMITS,
  doughTemperatureFor,
  waterTemperatureFor,
  YEAST_C,
  type MixingDay,
  type WaterWarning,
} from './waterTemperature';
