import { never } from '../result';
import type { BakeAction } from './bakeEvent';
import { isRunning, type BakeState } from './bakeState';
import { cardOf } from './looking';

const leftS = (startedAtMs: number, durationS: number, nowMs: number): number =>
  Math.max(1, Math.round((startedAtMs + durationS * 1000 - nowMs) / 1000));

/** The clock of a step as it was before, running on as if nothing had been. */
function clockAgain(before: BakeState, stepId: string, nowMs: number): BakeAction[] {
  const timer = before.steps.get(stepId)?.timer;
  return isRunning(timer)
    ? [{ type: 'timerStarted', stepId, durationS: leftS(timer.startedAtMs, timer.durationS, nowMs) }]
    : [];
}

/** What was in of a line before. */
function lineAgain(before: BakeState, lineId: string): BakeAction[] {
  const weighed = before.weighed.get(lineId);
  if (weighed) return [{ type: 'weighed', lineId, massG: weighed.massG }];
  if (before.leftOut.has(lineId)) return [{ type: 'leftOut', lineId }];
  return (before.parts.get(lineId) ?? []).map((massG) => ({ type: 'weighedPart', lineId, massG }));
}

/**
 * What takes an action back: more events, since what happened is never struck out. Empty: there is nothing to be taken back, as of a note,
 * or it has a way of its own, as the end of a bake.
 *
 * @param before the bake as it was when it was done
 * @param nowMs when it is taken back
 */
export function undoOf(before: BakeState, action: BakeAction, nowMs: number): BakeAction[] {
  switch (action.type) {
    case 'weighed':
    case 'weighedPart':
    case 'leftOut': {
      const { lineId } = action;
      // a correction is corrected, without a moment in which nothing is in
      const earlier = before.weighed.get(lineId);
      if (earlier) return [{ type: 'weighed', lineId, massG: earlier.massG }];
      return [{ type: 'unweighed', lineId }, ...lineAgain(before, lineId)];
    }
    case 'unweighed':
      return lineAgain(before, action.lineId);
    case 'stepDone':
    case 'stepSkipped':
      return [{ type: 'stepReopened', stepId: action.stepId }, ...clockAgain(before, action.stepId, nowMs)];
    case 'stepReopened':
      return before.steps.get(action.stepId)?.skippedAtMs == null
        ? [{ type: 'stepDone', stepId: action.stepId }]
        : [{ type: 'stepSkipped', stepId: action.stepId }];
    case 'timerStarted':
    case 'trialBegun':
      return [{ type: 'timerCleared', stepId: action.stepId }];
    case 'timerChanged':
      return [{ type: 'timerChanged', stepId: action.stepId, deltaS: -action.deltaS }];
    case 'timerStopped':
    case 'timerCleared':
      return clockAgain(before, action.stepId, nowMs);
    case 'rise':
      return [{ type: 'riseTakenBack', stepId: action.stepId }];
    case 'lit':
      return [{ type: 'unlit' }];
    case 'courseChanged':
      return [{ type: 'courseTakenBack' }];
    case 'tasted':
    case 'tastingTakenBack': {
      const { tastingId } = action;
      const earlier = before.tastings.get(tastingId);
      if (earlier) return [{ type: 'tasted', tastingId, tasting: cardOf(earlier) }];
      return action.type === 'tasted' ? [{ type: 'tastingTakenBack', tastingId }] : [];
    }
    case 'causeTold':
      return [{ type: 'causeTold', cause: before.cause }];
    case 'teachingSet':
      return [{ type: 'teachingSet', teaches: before.teaches }];
    case 'photoPutAway':
      return [{ type: 'photoPutAway', photoId: action.photoId, away: !action.away }];
    case 'paused':
      return [{ type: 'resumed' }];
    case 'resumed':
      return [{ type: 'paused' }];
    case 'notYet':
    case 'courseTakenBack':
    case 'unlit':
    case 'cleanedDown':
    case 'looked':
    case 'setAnew':
    case 'mended':
    case 'added':
    case 'lotUsed':
    case 'stockCounted':
    case 'leftoverCounted':
    case 'reading':
    case 'riseTakenBack':
    case 'felt':
    case 'noted':
    case 'handedOver':
    case 'photographed':
    case 'photoRead':
    case 'advised':
    case 'closed':
    case 'outcomeCorrected':
    case 'reopened':
    case 'abandoned':
      return [];
    default:
      return never(action);
  }
}
