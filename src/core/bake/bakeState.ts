import type { BatchLine } from '../batch/batchSheet';
import { never } from '../result';
import type { BakeAction, BakeEvent } from './bakeEvent';
import { afterLooking, isLooking } from './looking';
import { startedBake, withStep, type BakeState, type Timer } from './stateShape';

export type {
  BakeState,
  Feeling,
  Handover,
  Look,
  Mended,
  Reading,
  RiseMark,
  TakenPhoto,
  TakenTasting,
  Timer,
} from './stateShape';

function afterWeighing(state: BakeState, lineId: string, massG: number, atMs: number): BakeState {
  const old = state.weighed.get(lineId);
  const before = old ? [...old.before, { massG: old.massG, atMs: old.atMs }] : [];
  return {
    ...state,
    weighed: new Map(state.weighed).set(lineId, { massG, atMs, before }),
    ...withoutLine(state, lineId),
  };
}

/** Nothing of it is in by halves, left out, or due once more. */
function withoutLine({ parts, leftOut, dueAgain }: BakeState, lineId: string) {
  const others = (ids: ReadonlySet<string>) => new Set([...ids].filter((id) => id !== lineId));
  return {
    parts: new Map([...parts].filter(([id]) => id !== lineId)),
    leftOut: others(leftOut),
    dueAgain: others(dueAgain),
  };
}

/** Half of the smallest step a scale shows: nearer to its target nothing is weighed again. */
const AS_GOOD_G = 0.05;

function afterMending(
  state: BakeState,
  { lineId, by, targets }: Extract<BakeAction, { type: 'mended' }>,
  atMs: number,
): BakeState {
  const aims = new Map(state.targets);
  const dueAgain = new Set(state.dueAgain);
  for (const each of targets) {
    aims.set(each.lineId, each.massG);
    const weighed = state.weighed.get(each.lineId);
    if (weighed && Math.abs(weighed.massG - each.massG) > AS_GOOD_G) dueAgain.add(each.lineId);
    else dueAgain.delete(each.lineId);
  }
  return { ...state, targets: aims, dueAgain, mends: [...state.mends, { lineId, by, atMs }] };
}

function afterAction(state: BakeState, action: BakeAction, atMs: number, by: string | null): BakeState {
  if (isLooking(action)) return afterLooking(state, action, atMs, by);
  switch (action.type) {
    case 'weighed':
      return afterWeighing(state, action.lineId, action.massG, atMs);
    case 'unweighed': {
      const weighed = new Map(state.weighed);
      weighed.delete(action.lineId);
      return { ...state, weighed, ...withoutLine(state, action.lineId) };
    }
    case 'weighedPart': {
      const { lineId, massG } = action;
      const parts = new Map(state.parts).set(lineId, [...(state.parts.get(lineId) ?? []), massG]);
      return { ...state, ...withoutLine(state, lineId), parts };
    }
    case 'leftOut':
      return { ...state, leftOut: new Set([...state.leftOut, action.lineId]) };
    case 'mended':
      return afterMending(state, action, atMs);
    case 'lit':
      return { ...state, lit: [...state.lit, { ovenId: action.ovenId, setC: action.setC, atMs }] };
    case 'timerCleared': {
      const trials = new Map([...state.trials].filter(([id]) => id !== action.stepId));
      return { ...withStep(state, action.stepId, (step) => ({ ...step, timer: null })), trials };
    }
    case 'unlit':
      return { ...state, lit: state.lit.slice(0, -1) };
    case 'cleanedDown':
      return { ...state, cleanedAtMs: atMs };
    case 'trialBegun': {
      const timer = { startedAtMs: atMs, durationS: action.durationS, stoppedAtMs: null };
      const trials = new Map(state.trials).set(action.stepId, action.pieces);
      return { ...withStep(state, action.stepId, (step) => ({ ...step, timer })), trials };
    }
    case 'looked':
      return afterLook(state, action, atMs);
    case 'setAnew': {
      const { stepIds, durationS, tempC } = action;
      const anew = new Map(state.anew);
      for (const id of stepIds) anew.set(id, { durationS, tempC, atMs });
      return { ...state, anew };
    }
    case 'courseChanged':
      return afterCourse(state, action, atMs);
    case 'courseTakenBack':
      return withoutCourse(state);
    case 'handedOver':
      return state;
    case 'paused': {
      const stepIds = [...state.steps].flatMap(([id, { timer }]) => (isRunning(timer) ? [id] : []));
      const stopped = stepIds.reduce(
        (so, id) =>
          withStep(so, id, (step) => ({
            ...step,
            timer: step.timer && { ...step.timer, stoppedAtMs: atMs },
          })),
        state,
      );
      return { ...stopped, pause: { atMs, stepIds } };
    }
    case 'resumed':
      return afterPause(state, atMs);
    case 'reading': {
      const { of, tempC, stepId } = action;
      return { ...state, readings: [...state.readings, { of, tempC, stepId, atMs }] };
    }
    case 'added': {
      const { ingredientId, massG, note, bench } = action;
      const addition = { ingredientId, massG, note, atMs, ...(bench && { bench }) };
      return { ...state, additions: [...state.additions, addition] };
    }
    case 'lotUsed':
      return { ...state, lots: new Map(state.lots).set(action.ingredientId, action.lotId) };
    case 'stepDone':
      return withStep(state, action.stepId, (step) => ({
        doneAtMs: atMs,
        skippedAtMs: null,
        timer:
          step.timer && step.timer.stoppedAtMs === null ? { ...step.timer, stoppedAtMs: atMs } : step.timer,
      }));
    case 'stepReopened':
      return withStep(state, action.stepId, (step) => ({ ...step, doneAtMs: null, skippedAtMs: null }));
    case 'stepSkipped':
      return withStep(state, action.stepId, ({ timer }) => ({
        doneAtMs: null,
        skippedAtMs: atMs,
        timer: timer?.stoppedAtMs === null ? { ...timer, stoppedAtMs: atMs } : timer,
      }));
    case 'notYet':
      return withStep(state, action.stepId, (step) => ({
        ...step,
        timer: {
          startedAtMs: step.timer?.startedAtMs ?? atMs,
          durationS:
            Math.max(0, Math.round((atMs - (step.timer?.startedAtMs ?? atMs)) / 1000)) + action.againS,
          stoppedAtMs: null,
        },
      }));
    case 'timerStarted':
      return withStep(state, action.stepId, (step) => ({
        ...step,
        timer: { startedAtMs: atMs, durationS: action.durationS, stoppedAtMs: null },
      }));
    case 'timerChanged':
      return withStep(state, action.stepId, (step) =>
        step.timer
          ? { ...step, timer: { ...step.timer, durationS: step.timer.durationS + action.deltaS } }
          : step,
      );
    case 'timerStopped':
      return withStep(state, action.stepId, (step) =>
        step.timer ? { ...step, timer: { ...step.timer, stoppedAtMs: atMs } } : step,
      );
    case 'rise': {
      const { stepId, of, grownPercent } = action;
      return { ...state, rises: [...state.rises, { stepId, of, grownPercent, atMs }] };
    }
    case 'riseTakenBack': {
      const last = state.rises.findLastIndex(({ stepId }) => stepId === action.stepId);
      return { ...state, rises: state.rises.filter((_, index) => index !== last) };
    }
    case 'felt': {
      const { stepId, band } = action;
      const others = state.feelings.filter((each) => each.stepId !== stepId);
      return { ...state, feelings: [...others, { stepId, band, atMs }] };
    }
    case 'noted':
      return { ...state, notes: [...state.notes, { text: action.text, atMs }] };
    case 'stockCounted':
      return { ...state, stockLeft: new Map(state.stockLeft).set(action.wayId, action.leftPieces) };
    case 'leftoverCounted':
      return { ...state, leftoverG: new Map(state.leftoverG).set(action.stageId, action.leftG) };
    case 'closed':
      return { ...state, outcome: action.outcome, endedAtMs: atMs };
    case 'outcomeCorrected': {
      const { outcome, earlierOutcomes } = state;
      return {
        ...state,
        outcome: action.outcome,
        earlierOutcomes: outcome ? [...earlierOutcomes, { outcome, atMs }] : earlierOutcomes,
      };
    }
    case 'abandoned':
      return { ...state, abandoned: { reason: action.reason }, endedAtMs: atMs };
    case 'reopened': {
      const { outcome, earlierOutcomes, endings, abandoned } = state;
      return {
        ...state,
        outcome: null,
        abandoned: null,
        endedAtMs: null,
        earlierOutcomes: outcome ? [...earlierOutcomes, { outcome, atMs }] : earlierOutcomes,
        endings: [...endings, { endedAtMs: state.endedAtMs ?? atMs, reopenedAtMs: atMs, abandoned }],
      };
    }
    default:
      return never(action);
  }
}

function afterCourse(state: BakeState, action: Extract<BakeAction, { type: 'courseChanged' }>, atMs: number): BakeState {
  const { by, puts, drops, sets, targets: aims, lostPieces, tin = null } = action;
  const anew = new Map(state.anew);
  for (const { stepId, durationS } of sets) anew.set(stepId, { durationS, tempC: null, atMs });
  const targets = new Map(state.targets);
  for (const { lineId, massG } of aims) targets.set(lineId, massG);
  const dropped = drops.reduce(
    (so, id) =>
      withStep(so, id, ({ timer }) => ({
        doneAtMs: null,
        skippedAtMs: atMs,
        timer: timer?.stoppedAtMs === null ? { ...timer, stoppedAtMs: atMs } : timer,
      })),
    state,
  );
  const course = { by, atMs, puts, drops, sets: sets.map(({ stepId }) => stepId), aims: aims.map(({ lineId }) => lineId), lostPieces, tin, before: state };
  return { ...dropped, anew, targets, courses: [...state.courses, course] };
} // prettier-ignore

/** A map with these keys as they were. */
function asBefore<V>(now: ReadonlyMap<string, V>, before: ReadonlyMap<string, V>, keys: readonly string[]): Map<string, V> {
  const map = new Map(now);
  for (const key of keys) {
    const was = before.get(key);
    if (was === undefined) map.delete(key);
    else map.set(key, was);
  }
  return map;
} // prettier-ignore

/** As it was before the last change of course; what was done since stays done. */
function withoutCourse(state: BakeState): BakeState {
  const last = state.courses.at(-1);
  if (!last) return state;
  const { atMs, drops, sets, aims, before } = last;
  return {
    ...state,
    steps: asBefore(
      state.steps,
      before.steps,
      drops.filter((id) => state.steps.get(id)?.skippedAtMs === atMs),
    ),
    anew: asBefore(
      state.anew,
      before.anew,
      sets.filter((id) => state.anew.get(id)?.atMs === atMs),
    ),
    targets: asBefore(state.targets, before.targets, aims),
    courses: state.courses.slice(0, -1),
  };
}

/** The clocks that stood still go on with what they had left. */
function afterPause(state: BakeState, atMs: number): BakeState {
  const { pause } = state;
  if (!pause) return state;
  const gone = pause.stepIds.reduce(
    (so, id) =>
      withStep(so, id, (step) =>
        // whatever was done to it meanwhile stays
        step.timer?.stoppedAtMs === pause.atMs && step.doneAtMs === null && step.skippedAtMs === null
          ? { ...step, timer: { ...step.timer, startedAtMs: step.timer.startedAtMs + atMs - pause.atMs, stoppedAtMs: null } }
          : step,
      ),
    state,
  );
  return { ...gone, pause: null, pauses: [...state.pauses, { fromMs: pause.atMs, toMs: atMs }] };
} // prettier-ignore

/** What came out of a trial is looked at: its load is still to go in. */
function afterLook(
  state: BakeState,
  { stepId, coreC, colour }: Extract<BakeAction, { type: 'looked' }>,
  atMs: number,
): BakeState {
  const trialOf = state.trials.get(stepId) ?? null;
  const progress = state.steps.get(stepId);
  const timer = progress?.timer ?? null;
  const outMs = timer?.stoppedAtMs ?? progress?.doneAtMs ?? atMs;
  const tookS = timer ? Math.max(0, Math.round((outMs - timer.startedAtMs) / 1000)) : 0;
  const looks = [...state.looks, { stepId, trialOf, coreC, colour, tookS, atMs }];
  if (trialOf === null) return { ...state, looks };
  const trials = new Map([...state.trials].filter(([id]) => id !== stepId));
  return { ...withStep(state, stepId, (step) => ({ ...step, timer: null })), looks, trials };
}

/** The state after one more event. Pure; an event already folded in (by its number) changes nothing. */
export function afterEvent(state: BakeState, event: BakeEvent): BakeState {
  if (event.seq <= state.lastSeq) return state;
  return {
    ...withHands(afterAction(state, event.action, event.atMs, event.by ?? null), event),
    lastSeq: event.seq,
  };
}

/** Whose it is after an event: who did it, or got it. */
function withHands(before: BakeState, { action, atMs, by }: BakeEvent): BakeState {
  const isNew = by !== undefined && !before.hands.includes(by);
  const state = isNew ? { ...before, hands: [...before.hands, by] } : before;
  if (action.type === 'handedOver') {
    const { to, words } = action;
    // to oneself is taken up already
    const handover = to === by ? null : { to, from: by ?? null, words, atMs };
    return { ...state, withWhom: to, handover };
  }
  if (by === undefined) return state;
  // whoever gave it away may still do something, and it stays given
  const { handover } = state;
  return handover && handover.to !== by ? state : { ...state, withWhom: by, handover: null };
}

export const bakeState = (startedAtMs: number, events: readonly BakeEvent[]): BakeState =>
  events.reduce(afterEvent, startedBake(startedAtMs));

/** Seconds a timer has left at `nowMs`; negative once it is over. A stopped one stays at what it showed. */
export function timerLeftS(timer: Timer, nowMs: number): number {
  return timer.durationS - ((timer.stoppedAtMs ?? nowMs) - timer.startedAtMs) / 1000;
}

export const isRunning = (timer: Timer | null | undefined): timer is Timer =>
  !!timer && timer.stoppedAtMs === null;

/** How much of a line is meant to be in, g. */
export const targetG = ({ id, massG }: Pick<BatchLine, 'id' | 'massG'>, state: BakeState): number =>
  state.targets.get(id) ?? massG;

/** What of a line is in already, g: weighed, or in parts. */
export const inAlreadyG = (lineId: string, { weighed, parts }: BakeState): number =>
  weighed.get(lineId)?.massG ?? (parts.get(lineId) ?? []).reduce((sum, massG) => sum + massG, 0);

/** Over for this bake: done, or skipped. */
export function isStepDone(state: BakeState, stepId: string): boolean {
  const { doneAtMs = null, skippedAtMs = null } = state.steps.get(stepId) ?? {};
  return doneAtMs !== null || skippedAtMs !== null;
}
