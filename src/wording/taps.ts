import type { BakeAction } from '@/core/bake';
import { formatClock } from '@/core/units';

/** A press at the bench in a few words, for a list of what waits or was not taken. */
export function wordTap(action: BakeAction): string {
  switch (action.type) {
    case 'weighed':
      return `Weighed ${action.massG} g (line ${action.lineId})`;
    case 'unweighed':
      return `Weighing taken back (line ${action.lineId})`;
    case 'weighedPart':
      return `Weighed ${action.massG} g, a part (line ${action.lineId})`;
    case 'leftOut':
      return `Left out (line ${action.lineId})`;
    case 'mended':
      return `A wrong amount answered (line ${action.lineId})`;
    case 'stepSkipped':
      return `Step skipped (${action.stepId})`;
    case 'notYet':
      return `Not yet, again in ${formatClock(action.againS)}`;
    case 'timerCleared':
      return 'Timer taken back';
    case 'unlit':
      return 'Oven not on after all';
    case 'cleanedDown':
      return 'Cleaned down';
    case 'trialBegun':
      return `${action.pieces} first, as a trial`;
    case 'looked':
      return `Looked at (${action.stepId})`;
    case 'setAnew':
      return `Set anew: ${formatClock(action.durationS)}`;
    case 'courseChanged':
      return 'Another course';
    case 'courseTakenBack':
      return 'The course as it was';
    case 'handedOver':
      return `Handed over to ${action.to}`;
    case 'paused':
      return 'Paused';
    case 'resumed':
      return 'Gone on with';
    case 'lit':
      return `Oven lit for ${action.setC} °C`;
    case 'reading':
      return `Thermometer: ${action.tempC} °C`;
    case 'added':
      return `Added ${action.massG} g of ${action.ingredientId}`;
    case 'lotUsed':
      return `Another bag of ${action.ingredientId}`;
    case 'stockCounted':
      return `${action.leftPieces} left of what was put by`;
    case 'leftoverCounted':
      return `${action.leftG} g left over`;
    case 'stepDone':
      return `Step done (${action.stepId})`;
    case 'stepReopened':
      return `Step opened again (${action.stepId})`;
    case 'timerStarted':
      return `Timer started, ${formatClock(action.durationS)}`;
    case 'timerChanged':
      return `Timer changed by ${formatClock(action.deltaS)}`;
    case 'timerStopped':
      return 'Timer stopped';
    case 'rise':
      return `Risen ${action.grownPercent} %`;
    case 'riseTakenBack':
      return 'A rise mark taken back';
    case 'felt':
      return `Felt ${action.band}`;
    case 'noted':
      return `Note: ${action.text.slice(0, 60)}`;
    case 'closed':
      return 'The log of a bake';
    case 'outcomeCorrected':
      return 'A correction of the log';
    case 'abandoned':
      return 'A bake abandoned';
    case 'tasted':
      return 'A tasting';
    case 'tastingTakenBack':
      return 'A tasting taken back';
    case 'photographed':
      return 'A photograph';
    case 'photoRead':
      return 'A crumb read from a photograph';
    case 'photoPutAway':
      return action.away ? 'A photograph put away' : 'A photograph shown again';
    case 'advised':
      return 'Advice taken';
    case 'causeTold':
      return action.cause === null ? 'A cause taken back' : 'What the cause was';
    case 'teachingSet':
      return action.teaches ? 'A bake that teaches again' : 'A bake that teaches nothing';
    case 'reopened':
      return 'A bake opened again';
  }
}
