export { leavenKinds, leaveningOf, type Leavening } from './leavening';
export { learnRise, type LearnRiseOf, type RiseLearning, type RiseObservation } from './learnRise';
export { FERMENTATION } from './parameters';
export { riseCurve, type RiseParameter, type RiseQuestion } from './riseCurve';
export { risesVisibly } from './risesVisibly';
export { schoolMethod, SCHOOLS, type School } from './schools';
export { bakedVolume } from './spring';
export { starterPeak } from './starter';
export { thermalLagS, type Stay } from './thermalLag';
