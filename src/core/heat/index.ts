export { simulateBake, type BakeQuestion, type BakeSimulation } from './bake';
export { colourOf, type Colour } from './colour';
export { fitOffset, fitTrace, offsetAt, type DialReading, type TraceFit, type TracePoint } from './fitOven';
export { setCentralS, bakeForecast, finish, type Progress, type HeatParameter } from './forecast';
export { heatUpS, ORDINARY_OVENS } from './oven';
export { preheat } from './preheat';
export { newPhase } from './programme';
export { READING_LIMITS } from './heatLimits';
