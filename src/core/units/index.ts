export { formatDecimal, parseDecimal, within, withMark, type Bounds, type DecimalMark } from './decimal';
export {
  heightNumber,
  lengthNumber,
  parseLengthCm,
  parseLitres,
  thicknessNumber,
  volumeNumber,
  type LengthUnit,
} from './length';
export { formatMass, GRAMS_PER_OUNCE, massCell, parseMassG, showMass, type MassUnit } from './mass';
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
