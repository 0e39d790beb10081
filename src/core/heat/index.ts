export {
  bakeRun,
  CENTRAL_DRAW,
  checkBake,
  SET,
  type BakeQuestion,
  type BakeRun,
  type HeatDraw,
} from './bake';
export { COLOURS, colourOf, crustLab, type Colour } from './colour';
export { crumbMatterOf, type CrumbMatter } from './crumbMatter';
export {
  fitOffset,
  fitTrace,
  offsetAt,
  READING_LIMITS,
  TRACE_LIMITS,
  type DialReading,
  type OffsetFit,
  type TraceFit,
  type TracePoint,
} from './fitOven';
export {
  bakeForecast,
  finish,
  heatingEndS,
  type Progress,
  type BakeForecast,
  type HeatParameter,
} from './forecast';
export { heatUpS, ORDINARY_OVENS, type Oven } from './oven';
export { PLATES, TINS, type Plate } from './parameters';
export { LENGTH_CM, PIECE_LIMITS, type Piece } from './piece';
export { preheat, type Preheat } from './preheat';
export { checkProgramme, newPhase, PHASE_LIMITS, type Phase } from './programme';
