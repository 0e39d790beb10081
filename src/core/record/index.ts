export { asPlanned } from './asPlanned';
export { forecastOf, type ForecastQuestion } from './forecastOf';
export { type Forecast } from './forecastSchema';
export { recordRows, type RecordRow, type RecordWhat } from './recordRows';
export { bakeFigures, type Made } from './bakeFigures';
export { LOG_COLUMNS, logRow, type LogRow } from './logRow';
export { whatGoesWith, type GoesWith } from './whatGoesWith';
