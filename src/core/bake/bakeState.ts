import { isAskedFor } from '../batch/askedFor';
import type { BatchLine, BatchSheet } from '../batch/batchSheet';
import { purposeOf } from '../formula/parts';
import type { Band } from '../consistency/parameters';
import { never } from '../result';
import type { BakeAction, BakeEvent } from './bakeEvent';
import type { Outcome } from './outcome';

interface Weighing {
  readonly massG: number;
  readonly atMs: number;
  /** Earlier values of the same line, oldest first: a correction keeps both. */
  readonly before: readonly { readonly massG: number; readonly atMs: number }[];
}

export interface Timer {
  readonly startedAtMs: number;
  readonly durationS: number;
  readonly stoppedAtMs: number | null;
}

interface StepProgress {
  readonly doneAtMs: number | null;
  readonly timer: Timer | null;
}

interface Addition {
  readonly ingredientId: string;
  readonly massG: number;
  readonly note: string;
  readonly atMs: number;
}

/** How far the dough had risen at a moment, %. */
export interface RiseMark {
  readonly stepId: string;
  readonly of: 'jar' | 'dough';
  readonly grownPercent: number;
  readonly atMs: number;
}

/** How the dough felt in a step. */
export interface Feeling {
  readonly stepId: string;
  readonly band: Band;
  readonly atMs: number;
}

export interface BakeState {
  readonly startedAtMs: number;
  readonly weighed: ReadonlyMap<string, Weighing>;
  readonly additions: readonly Addition[];
  /** Bags that were other than the sheet says, by ingredient; null: none that is told apart. */
  readonly lots: ReadonlyMap<string, string | null>;
  readonly steps: ReadonlyMap<string, StepProgress>;
  readonly rises: readonly RiseMark[];
  /** One for each step it was felt in, the newest. */
  readonly feelings: readonly Feeling[];
  readonly notes: readonly { readonly text: string; readonly atMs: number }[];
  /** How many of what was put by are left, by its way, where it was counted since. */
  readonly stockLeft: ReadonlyMap<string, number>;
  /** What is left of a part, g, by its part, where it was counted since. */
  readonly leftoverG: ReadonlyMap<string, number>;
  readonly outcome: Outcome | null;
  readonly earlierOutcomes: readonly { readonly outcome: Outcome; readonly atMs: number }[];
  readonly endedAtMs: number | null;
  readonly abandoned: { readonly reason: string } | null;
  /** Endings that were taken back, oldest first. */
  readonly endings: readonly {
    readonly endedAtMs: number;
    readonly reopenedAtMs: number;
    readonly abandoned: { readonly reason: string } | null;
  }[];
  readonly lastSeq: number;
}

const startedBake = (startedAtMs: number): BakeState => ({
  startedAtMs,
  weighed: new Map(),
  additions: [],
  lots: new Map(),
  steps: new Map(),
  rises: [],
  feelings: [],
  notes: [],
  stockLeft: new Map(),
  leftoverG: new Map(),
  outcome: null,
  earlierOutcomes: [],
  endedAtMs: null,
  abandoned: null,
  endings: [],
  lastSeq: 0,
});

const noProgress: StepProgress = { doneAtMs: null, timer: null };

const withStep = (
  state: BakeState,
  stepId: string,
  change: (step: StepProgress) => StepProgress,
): BakeState => ({
  ...state,
  steps: new Map(state.steps).set(stepId, change(state.steps.get(stepId) ?? noProgress)),
});

function afterWeighing(state: BakeState, lineId: string, massG: number, atMs: number): BakeState {
  const old = state.weighed.get(lineId);
  const before = old ? [...old.before, { massG: old.massG, atMs: old.atMs }] : [];
  return { ...state, weighed: new Map(state.weighed).set(lineId, { massG, atMs, before }) };
}

function afterAction(state: BakeState, action: BakeAction, atMs: number): BakeState {
  switch (action.type) {
    case 'weighed':
      return afterWeighing(state, action.lineId, action.massG, atMs);
    case 'unweighed': {
      const weighed = new Map(state.weighed);
      weighed.delete(action.lineId);
      return { ...state, weighed };
    }
    case 'added': {
      const { ingredientId, massG, note } = action;
      return { ...state, additions: [...state.additions, { ingredientId, massG, note, atMs }] };
    }
    case 'lotUsed':
      return { ...state, lots: new Map(state.lots).set(action.ingredientId, action.lotId) };
    case 'stepDone':
      return withStep(state, action.stepId, (step) => ({
        doneAtMs: atMs,
        timer:
          step.timer && step.timer.stoppedAtMs === null ? { ...step.timer, stoppedAtMs: atMs } : step.timer,
      }));
    case 'stepReopened':
      return withStep(state, action.stepId, (step) => ({ ...step, doneAtMs: null }));
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

/** The state after one more event. Pure; an event already folded in (by its number) changes nothing. */
export function afterEvent(state: BakeState, event: BakeEvent): BakeState {
  if (event.seq <= state.lastSeq) return state;
  return { ...afterAction(state, event.action, event.atMs), lastSeq: event.seq };
}

export const bakeState = (startedAtMs: number, events: readonly BakeEvent[]): BakeState =>
  events.reduce(afterEvent, startedBake(startedAtMs));

/** Seconds a timer has left at `nowMs`; negative once it is over. A stopped one stays at what it showed. */
export function timerLeftS(timer: Timer, nowMs: number): number {
  return timer.durationS - ((timer.stoppedAtMs ?? nowMs) - timer.startedAtMs) / 1000;
}

export const isRunning = (timer: Timer | null | undefined): timer is Timer =>
  !!timer && timer.stoppedAtMs === null;

/** What the bench should show next: something to weigh, a step, or the log once all is done. */
export type NextThing =
  | { readonly kind: 'weigh'; readonly lineId: string; readonly done: number; readonly of: number }
  | { readonly kind: 'step'; readonly stepId: string; readonly done: number; readonly of: number }
  | { readonly kind: 'log' }
  | { readonly kind: 'ended' };

/** Weighed when their turn comes, not before mixing: what is folded in late, and all that is not the dough. */
const isLater = (stage: BatchSheet['stages'][number]): boolean =>
  stage.kind === 'late' || purposeOf(stage) !== 'dough';

/** After which of its steps (-1: none) a line's turn comes; Infinity: after all, where an older sheet does not say. */
function turnOf(sheet: BatchSheet, stage: BatchSheet['stages'][number], line: BatchLine): number {
  if (line.atStepId !== undefined) {
    const at = sheet.steps.findIndex(({ id }) => id === line.atStepId);
    if (at >= 0) return at;
  }
  return isLater(stage) ? Infinity : -1;
}

/** Lines not ticked yet: those whose turn has come, in that order; those of a later step. What is held back, or for another day, is never asked for. */
export function stillToWeigh(sheet: BatchSheet, state: BakeState): { now: BatchLine[]; later: BatchLine[] } {
  const step = sheet.steps.findIndex(({ id }) => !isStepDone(state, id));
  const open = sheet.stages.flatMap((stage) =>
    stage.lines
      .filter((line) => isAskedFor(line) && !state.weighed.has(line.id))
      .map((line) => ({ line, turn: turnOf(sheet, stage, line) })),
  );
  const due = open.filter(({ turn }) => turn <= (step < 0 ? Infinity : step));
  return {
    now: due.sort((a, b) => a.turn - b.turn).map(({ line }) => line),
    later: open.filter((each) => !due.includes(each)).map(({ line }) => line),
  };
}

/** How much of what is asked for is in; what was held back counts once it went in after all. */
export function weighedCount(sheet: BatchSheet, { weighed }: BakeState): { done: number; of: number } {
  const lines = sheet.stages.flatMap((stage) => stage.lines);
  return {
    done: weighed.size,
    of: lines.filter((line) => isAskedFor(line) || weighed.has(line.id)).length,
  };
}

export const isStepDone = (state: BakeState, stepId: string): boolean =>
  (state.steps.get(stepId)?.doneAtMs ?? null) !== null;

export function nextThing(sheet: BatchSheet, state: BakeState): NextThing {
  if (state.endedAtMs !== null) return { kind: 'ended' };
  const open = stillToWeigh(sheet, state);
  const step = sheet.steps.find(({ id }) => !isStepDone(state, id));
  const line = open.now[0];
  if (line) return { kind: 'weigh', lineId: line.id, ...weighedCount(sheet, state) };
  if (!step) return { kind: 'log' };
  const done = sheet.steps.filter(({ id }) => isStepDone(state, id)).length;
  return { kind: 'step', stepId: step.id, done, of: sheet.steps.length };
}
