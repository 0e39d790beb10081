import type { BatchSheet } from '../batch/batchSheet';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { STEP_LIMITS } from '../method/step';
import { never, ok, refuse, type Result } from '../result';
import type { BakeAction } from './bakeEvent';
import { isRunning, isStepDone, type BakeState } from './bakeState';
import { decideLooking, isLooking } from './looking';
import { lotsOf } from './lotsOf';
import { sheetNow } from './sheetNow';
import { leftoversOf, stockOf } from './stock';

/**
 * May this happen to the bake now? The server asks before it keeps an event, the bench before it shows one. A bake
 * that has ended takes only corrections of its outcome and of the bags it was made of, notes, tastings and pictures (the next day's taste is still news), what is left of
 * what it put by, and its opening again.
 *
 * @returns the action itself, or why not: unknown line/step/ingredient/lot, alreadyClosed, alreadyDone, notDoneYet,
 *   timerRunning, noTimer, tooSmall/tooLarge for a timer changed beyond 1 s ... 7 days
 */
export function decide(
  sheet: BatchSheet,
  state: BakeState,
  action: BakeAction,
  book: IngredientBook,
): Result<BakeAction> {
  const ended = state.endedAtMs !== null;
  const { steps } = sheetNow(sheet, state);
  const step = (stepId: string) => steps.find(({ id }) => id === stepId);
  const line = (lineId: string) => sheet.stages.flatMap(({ lines }) => lines).find(({ id }) => id === lineId);

  if (action.type === 'outcomeCorrected') return state.outcome ? ok(action) : refuse('notDoneYet');
  if (action.type === 'noted') return ok(action);
  if (isLooking(action)) return decideLooking(sheet.ladder?.rungs.map(({ id }) => id) ?? [], state, action);
  if (action.type === 'reopened') return ended ? ok(action) : refuse('notDoneYet');
  if (action.type === 'lotUsed') {
    const ingredient = book.get(action.ingredientId);
    if (!ingredient) return refuse('unknownIngredient', 'ingredientId');
    if (action.lotId !== null && !ingredient.lots?.some(({ id }) => id === action.lotId))
      return refuse('unknownLot', 'lotId');
    return (lotsOf(sheet, state).get(action.ingredientId) ?? null) === action.lotId
      ? refuse('alreadyDone', 'lotId')
      : ok(action);
  }
  if (action.type === 'stockCounted') {
    const stock = stockOf(sheet, state).find(({ wayId }) => wayId === action.wayId);
    if (!stock) return state.outcome ? refuse('unknownWay', 'wayId') : refuse('notDoneYet', 'wayId');
    if (action.leftPieces > stock.madePieces)
      return refuse('tooLarge', 'leftPieces', { max: stock.madePieces });
    return stock.leftPieces === action.leftPieces ? refuse('alreadyDone', 'leftPieces') : ok(action);
  }
  if (action.type === 'leftoverCounted') {
    const left = leftoversOf(sheet, state).find(({ stageId }) => stageId === action.stageId);
    if (!left) return state.outcome ? refuse('unknownStage', 'stageId') : refuse('notDoneYet', 'stageId');
    if (action.leftG > left.madeG) return refuse('tooLarge', 'leftG', { max: left.madeG });
    return left.leftG === action.leftG ? refuse('alreadyDone', 'leftG') : ok(action);
  }
  if (ended) return refuse('alreadyClosed');

  switch (action.type) {
    case 'weighed': {
      if (!line(action.lineId)) return refuse('unknownLine', 'lineId');
      return state.weighed.get(action.lineId)?.massG === action.massG
        ? refuse('alreadyDone', 'lineId')
        : ok(action);
    }
    case 'unweighed':
      return state.weighed.has(action.lineId) ||
        state.parts.has(action.lineId) ||
        state.leftOut.has(action.lineId)
        ? ok(action)
        : refuse('notDoneYet', 'lineId');
    case 'weighedPart':
      if (!line(action.lineId)) return refuse('unknownLine', 'lineId');
      return state.weighed.has(action.lineId) ? refuse('alreadyDone', 'lineId') : ok(action);
    case 'leftOut':
      if (!line(action.lineId)) return refuse('unknownLine', 'lineId');
      return state.weighed.has(action.lineId) || state.leftOut.has(action.lineId)
        ? refuse('alreadyDone', 'lineId')
        : ok(action);
    case 'mended': {
      if (!line(action.lineId)) return refuse('unknownLine', 'lineId');
      const unknown = action.targets.findIndex(({ lineId }) => !line(lineId));
      return unknown === -1 ? ok(action) : refuse('unknownLine', `targets.${unknown}.lineId`);
    }
    case 'lit':
    case 'handedOver':
      return ok(action);
    case 'courseChanged':
      return decideCourse(steps, state, action, line);
    case 'courseTakenBack': {
      const last = state.courses.at(-1);
      if (!last) return refuse('notDoneYet');
      // what has begun since is no plan any more
      return last.puts.some(
        ({ step: { id } }) => isStepDone(state, id) || isRunning(state.steps.get(id)?.timer),
      )
        ? refuse('alreadyDone')
        : ok(action);
    }
    case 'paused':
      return state.pause ? refuse('alreadyDone') : ok(action);
    case 'resumed':
      return state.pause ? ok(action) : refuse('notDoneYet');
    case 'timerCleared':
      return state.steps.get(action.stepId)?.timer ? ok(action) : refuse('noTimer', 'stepId');
    case 'unlit':
      return state.lit.length > 0 ? ok(action) : refuse('notDoneYet');
    case 'cleanedDown':
      return state.cleanedAtMs === null ? ok(action) : refuse('alreadyDone');
    case 'trialBegun':
      if (!step(action.stepId)) return refuse('unknownStep', 'stepId');
      if (isStepDone(state, action.stepId)) return refuse('alreadyDone', 'stepId');
      return isRunning(state.steps.get(action.stepId)?.timer) ? refuse('timerRunning', 'stepId') : ok(action);
    case 'looked':
      if (!step(action.stepId)) return refuse('unknownStep', 'stepId');
      return state.steps.get(action.stepId) ? ok(action) : refuse('notDoneYet', 'stepId');
    case 'setAnew': {
      const unknown = action.stepIds.findIndex((id) => !step(id));
      return unknown === -1 ? ok(action) : refuse('unknownStep', `stepIds.${unknown}`);
    }
    case 'reading':
      return action.stepId === null || step(action.stepId) ? ok(action) : refuse('unknownStep', 'stepId');
    case 'added':
      return book.has(action.ingredientId) ? ok(action) : refuse('unknownIngredient', 'ingredientId');
    case 'stepDone':
      if (!step(action.stepId)) return refuse('unknownStep', 'stepId');
      return state.steps.get(action.stepId)?.doneAtMs == null ? ok(action) : refuse('alreadyDone', 'stepId');
    case 'stepReopened':
      if (!step(action.stepId)) return refuse('unknownStep', 'stepId');
      return isStepDone(state, action.stepId) ? ok(action) : refuse('notDoneYet', 'stepId');
    case 'stepSkipped':
      if (!step(action.stepId)) return refuse('unknownStep', 'stepId');
      return isStepDone(state, action.stepId) ? refuse('alreadyDone', 'stepId') : ok(action);
    case 'notYet':
      if (!step(action.stepId)) return refuse('unknownStep', 'stepId');
      return isStepDone(state, action.stepId) ? refuse('alreadyDone', 'stepId') : ok(action);
    case 'timerStarted':
      if (!step(action.stepId)) return refuse('unknownStep', 'stepId');
      return isRunning(state.steps.get(action.stepId)?.timer) ? refuse('timerRunning', 'stepId') : ok(action);
    case 'timerChanged': {
      const timer = state.steps.get(action.stepId)?.timer;
      if (!isRunning(timer)) return refuse('noTimer', 'stepId');
      const durationS = timer.durationS + action.deltaS;
      if (durationS < STEP_LIMITS.durationS.min) return refuse('tooSmall', 'deltaS', { min: 1 });
      if (durationS > STEP_LIMITS.durationS.max) {
        return refuse('tooLarge', 'deltaS', { max: STEP_LIMITS.durationS.max });
      }
      return ok(action);
    }
    case 'timerStopped':
      return isRunning(state.steps.get(action.stepId)?.timer) ? ok(action) : refuse('noTimer', 'stepId');
    case 'rise':
      return step(action.stepId) ? ok(action) : refuse('unknownStep', 'stepId');
    case 'felt':
      if (!step(action.stepId)) return refuse('unknownStep', 'stepId');
      return state.feelings.some(({ stepId, band }) => stepId === action.stepId && band === action.band)
        ? refuse('alreadyDone', 'stepId')
        : ok(action);
    case 'riseTakenBack':
      return state.rises.some(({ stepId }) => stepId === action.stepId)
        ? ok(action)
        : refuse('notDoneYet', 'stepId');
    case 'closed':
    case 'abandoned':
      return ok(action);
    default:
      return never(action);
  }
}

/** Steps may be put into a bake so often; a course is changed a few times, not without end. */
const MOST_PUT = 40;

function decideCourse(
  steps: BatchSheet['steps'],
  state: BakeState,
  action: Extract<BakeAction, { type: 'courseChanged' }>,
  line: (lineId: string) => unknown,
): Result<BakeAction> {
  const { by, puts, drops, sets, targets, tin } = action;
  if ((by === 'tin') !== (tin !== undefined)) return refuse(tin ? 'notAllowed' : 'required', 'tin');
  const known = new Set(steps.map(({ id }) => id));
  if (state.courses.reduce((sum, each) => sum + each.puts.length, puts.length) > MOST_PUT)
    return refuse('tooMany', 'puts', { max: MOST_PUT });
  for (const [index, { atStepId, step }] of puts.entries()) {
    if (!known.has(atStepId)) return refuse('unknownStep', `puts.${index}.atStepId`);
    if (known.has(step.id)) return refuse('alreadyDone', `puts.${index}.step.id`);
    known.add(step.id);
  }
  for (const [index, id] of drops.entries()) {
    if (!known.has(id)) return refuse('unknownStep', `drops.${index}`);
    if (isStepDone(state, id)) return refuse('alreadyDone', `drops.${index}`);
  }
  const unset = sets.findIndex(({ stepId }) => !known.has(stepId));
  if (unset !== -1) return refuse('unknownStep', `sets.${unset}.stepId`);
  const unmet = targets.findIndex(({ lineId }) => !line(lineId));
  return unmet === -1 ? ok(action) : refuse('unknownLine', `targets.${unmet}.lineId`);
}
