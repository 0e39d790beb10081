export { formatDecimal, parseDecimal, within, type Bounds } from './decimal';
export { formatMass, GRAMS_PER_OUNCE, massNumber, parseMassG, type MassUnit } from './mass';
export {
  degreesPerC,
  formatTemperature,
  parseTemperatureC,
  temperatureNumber,
  type TemperatureUnit,
} from './temperature';
export {
  formatClock,
  formatDuration,
  formatDurationRange,
  parseDurationRangeS,
  parseDurationS,
} from './duration';
