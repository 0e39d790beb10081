export { bakeActionSchema, type BakeAction, type BakeEvent } from './bakeEvent';
export { isWho, LOOK_COLOURS, READING_C, RISE_MARK_PERCENT } from './bakeLimits';
export {
  afterEvent,
  bakeState,
  isRunning,
  inAlreadyG,
  isStepDone,
  targetG,
  timerLeftS,
  type BakeState,
  type Feeling,
  type Handover,
  type Look,
  type Reading,
  type RiseMark,
  type TakenPhoto,
  type TakenTasting,
  type Timer,
} from './bakeState';
export { missingAt, nextThing, stillToWeigh, weighedCount } from './toWeigh';
export { decide } from './decide';
export { decideAll, type Deed } from './decideAll';
export {
  BEYOND_RIM_PERCENT,
  canChangeTin,
  canChill,
  coldCourse,
  leavenToCome,
  lostCourse,
  lostPieces,
  tinCourse,
  tinNow,
  yeastCourse,
} from './course';
export { sheetNow } from './sheetNow';
export { actualStages, actualTotals, takenUpG } from './actualSheet';
export { endOfMixing } from './endOfMixing';
export { feltObservations } from './feltObservations';
export { deviationsOf, withDeviations, type Deviation } from './asDone';
export {
  COMPARE_GROUPS,
  compareBakes,
  type CompareGroup,
  type Compared,
  type ComparedRow,
} from './compareBakes';
export { stepTimes } from './stepTimes';
export { lotsOf } from './lotsOf';
export { emptyOutcome, lossPercent, SCORE_NAMES, type Outcome } from './outcome';
export { onScaleBeforeG } from './scaleDisplay';
export { outcomeSchema } from './outcomeSchema';
export { cutCrumb, cutsRead } from './cameOut';
export { bakeCard, CARD_DERIVATION, type BakeCard } from './bakeCard';
export { SCORES_ASKED, TOLD_ASKED, type ScoreAsked, type ToldAsked } from './bakeAsked';
export { leftoversOf, stockOf, type Leftover, type Stock } from './stock';
export { stateOf, type BakeRecord } from './bakeRecord';
export { runningCard, runningCardSchema, type CardOvens, type RunningCard } from './runningCard';
export { benchCalls, type BenchCall } from './benchCalls';
export { feltWrong, wrongAmount, type Mend } from './wrongAmount';
export { wrongLine } from './wrongLine';
export { doneC, likelyReadings, lookAgainS, readingAnswer, type ReadingAnswer } from './readingAnswer';
export { goesInAfter, withWhatGoesOn } from './goesOn';
export { toldReadings } from './toldReadings';
export { toleranceG } from './weighTolerance';
export { ovenDue, turnMs, type OvenDue } from './ovenDue';
export {
  alikeOpen,
  asSetAnew,
  isLookedAt,
  isTold,
  passesOf,
  roundOf,
  type Round,
  type RoundCall,
} from './conductor';
export { stepCautions, type StepCaution } from './stepCautions';
export { undoOf } from './undo';
export { handsOf, whoDid } from './whoDid';
export { trialAnswer } from './trialAnswer';
export { canBeNotRight, inHeatSinceMs, remedyOf, type NotRight } from './notRight';
export { pieceWeights } from './pieceWeight';
export { insteadOf, takeInstead, type Instead } from './insteadOf';
export { runningTimers, type RunningTimer } from './runningTimers';
