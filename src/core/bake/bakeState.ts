import { isAskedFor } from '../batch/askedFor';
import type { BatchLine, BatchSheet } from '../batch/batchSheet';
import { purposeOf } from '../formula/parts';
import type { Band } from '../consistency/parameters';
import { never } from '../result';
import type { BakeAction, BakeEvent, MENDS, READING_OF } from './bakeEvent';
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
  /** Not done, and not to be done any more: `doneAtMs` is null then. */
  readonly skippedAtMs: number | null;
  readonly timer: Timer | null;
}

interface Addition {
  readonly ingredientId: string;
  readonly massG: number;
  readonly note: string;
  readonly atMs: number;
}

/** What a thermometer said. */
export interface Reading {
  readonly of: (typeof READING_OF)[number];
  readonly tempC: number;
  readonly stepId: string | null;
  readonly atMs: number;
}

/** What was done about a wrong amount. */
export interface Mended {
  readonly lineId: string;
  readonly by: (typeof MENDS)[number];
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
  /** What is in of a line whose rest comes, in the order it went in, g. */
  readonly parts: ReadonlyMap<string, readonly number[]>;
  /** Lines that stay out because somebody said so. */
  readonly leftOut: ReadonlySet<string>;
  /** How much of a line is meant to be in, where that is no longer what the sheet says, g. */
  readonly targets: ReadonlyMap<string, number>;
  /** Lines that are in, but not as much as is meant by now. */
  readonly dueAgain: ReadonlySet<string>;
  readonly mends: readonly Mended[];
  readonly readings: readonly Reading[];
  readonly lit: readonly { readonly ovenId: string | null; readonly setC: number; readonly atMs: number }[];
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
  parts: new Map(),
  leftOut: new Set(),
  targets: new Map(),
  dueAgain: new Set(),
  mends: [],
  readings: [],
  lit: [],
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

const noProgress: StepProgress = { doneAtMs: null, skippedAtMs: null, timer: null };

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

function afterAction(state: BakeState, action: BakeAction, atMs: number): BakeState {
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
    case 'reading': {
      const { of, tempC, stepId } = action;
      return { ...state, readings: [...state.readings, { of, tempC, stepId, atMs }] };
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

/** Asked for, and neither in nor left out; or in, but not as much as is meant by now. */
const isOpen = (line: BatchLine, { weighed, leftOut, dueAgain }: BakeState): boolean =>
  dueAgain.has(line.id) || (isAskedFor(line) && !weighed.has(line.id) && !leftOut.has(line.id));

/** How much of a line is meant to be in, g. */
export const targetG = ({ id, massG }: Pick<BatchLine, 'id' | 'massG'>, state: BakeState): number =>
  state.targets.get(id) ?? massG;

/** What of a line is in already, g: weighed, or in parts. */
export const inAlreadyG = (lineId: string, { weighed, parts }: BakeState): number =>
  weighed.get(lineId)?.massG ?? (parts.get(lineId) ?? []).reduce((sum, massG) => sum + massG, 0);

/** Lines not ticked yet: those whose turn has come, in that order; those of a later step. What is held back, or for another day, is never asked for. */
export function stillToWeigh(sheet: BatchSheet, state: BakeState): { now: BatchLine[]; later: BatchLine[] } {
  const step = sheet.steps.findIndex(({ id }) => !isStepDone(state, id));
  const open = sheet.stages.flatMap((stage) =>
    stage.lines
      .filter((line) => isOpen(line, state))
      .map((line) => ({ line, turn: turnOf(sheet, stage, line) })),
  );
  const due = open.filter(({ turn }) => turn <= (step < 0 ? Infinity : step));
  return {
    now: due.sort((a, b) => a.turn - b.turn).map(({ line }) => line),
    later: open.filter((each) => !due.includes(each)).map(({ line }) => line),
  };
}

/** How much of what is asked for is in; what was held back counts once it went in after all. */
export function weighedCount(
  sheet: BatchSheet,
  { weighed, leftOut, dueAgain }: BakeState,
): { done: number; of: number } {
  const lines = sheet.stages.flatMap((stage) => stage.lines);
  return {
    done: [...weighed.keys()].filter((id) => !dueAgain.has(id)).length,
    of: lines.filter((line) => weighed.has(line.id) || (isAskedFor(line) && !leftOut.has(line.id))).length,
  };
}

/** Over for this bake: done, or skipped. */
export function isStepDone(state: BakeState, stepId: string): boolean {
  const { doneAtMs = null, skippedAtMs = null } = state.steps.get(stepId) ?? {};
  return doneAtMs !== null || skippedAtMs !== null;
}

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
