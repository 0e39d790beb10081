export { temperatureForTime, yeastForTime, type Solved } from './inverse';
export { leavenKinds, leaveningOf, type Leavening, type LeavenKind } from './leavening';
export { learnRise, type RiseLearning, type RiseObservation } from './learnRise';
export { FERMENTATION } from './parameters';
export {
  READY_SHARE,
  riseCurve,
  type Learnt,
  type RiseCurve,
  type RiseParameter,
  type RiseQuestion,
} from './riseCurve';
export { schoolMethod, SCHOOLS, type School, type SchoolMethod, type SchoolStep } from './schools';
export { bakedVolume } from './spring';
export { FEED_LIMITS, starterPeak, type Feed } from './starter';
export { PLACES, thermalLagS, type PlaceKind, type Standing, type Stay } from './thermalLag';
