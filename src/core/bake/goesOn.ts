import { isAskedFor } from '../batch/askedFor';
import type { BatchSheet } from '../batch/batchSheet';
import type { StageKind } from '../formula/formulaLimits';
import type { MethodStep, StepKind } from '../method/step';
import { timerS } from '../method/step';
import type { BakeAction } from './bakeEvent';
import { afterEvent, isStepDone, type BakeState } from './bakeState';
import { sheetNow } from './sheetNow';
import { isBeside } from './toWeigh';

/** Waiting that has begun as soon as what was before it is done: the dough lies there already. */
const WAITS: ReadonlySet<StepKind> = new Set(['rest', 'bulk', 'proof', 'chill', 'cool']);
/** Waiting that has begun as soon as all of it is in: it swells while it is stirred, too. */
const SOAKS: ReadonlySet<StepKind> = new Set(['bloom', 'soak', 'preDough']);

/** Parts that soak before the rest is mixed in. */
const SOAKED: ReadonlySet<StageKind> = new Set(['gel', 'bloom', 'soaker', 'preDough']);

type Sheet = Pick<BatchSheet, 'stages' | 'steps' | 'activities'>;

/** One dough, or one bread, all of it at once: what goes by loads and sides is led call by call. */
function strandOf({ activities }: Sheet, stepId: string): string | null {
  const each = activities?.find(({ id }) => id === stepId);
  if (!each) return '';
  return each.load || each.side || each.time ? null : (each.wayId ?? '');
}

/** The clock of a step, unless it has run or has none. */
const starts = (state: BakeState, step: MethodStep | undefined): BakeAction[] => {
  const durationS = step && timerS(step);
  if (!step || durationS == null || isStepDone(state, step.id) || state.steps.get(step.id)?.timer) return [];
  return [{ type: 'timerStarted', stepId: step.id, durationS }];
}; // prettier-ignore

/** What soaks in a step: what goes in there by its word, or else the parts that usually do. */
function soakedAt({ stages, activities }: Sheet, stepId: string): readonly string[] {
  const partOf = activities?.find(({ id }) => id === stepId)?.stepId ?? stepId;
  const lines = stages.flatMap((stage) => stage.lines.filter(isAskedFor).map((line) => ({ ...line, of: stage.kind })));
  const asked = lines.filter(({ atStepId }) => atStepId === stepId || atStepId === partOf);
  const meant = asked.length > 0 ? asked : lines.filter(({ atStepId, of }) => atStepId === undefined && SOAKED.has(of));
  return meant.map(({ id }) => id);
} // prettier-ignore

/**
 * What begins, or is over, by the same press: the wait after hands are done, baking on at another heat, the bloom whose water is in, and the oven's
 * heating when the bread is in it.
 *
 * @param before the bake before the press, and what was pressed
 * @returns what else happens, to be decided after it; most often nothing
 */
function goesOnWith(planned: BatchSheet, before: BakeState, action: BakeAction, after: BakeState): readonly BakeAction[] {
  const sheet = sheetNow(planned, after);
  const { steps } = sheet;
  if (action.type === 'weighed' || action.type === 'leftOut') {
    const step = steps.find(({ id }) => !isStepDone(after, id));
    if (!step || !SOAKS.has(step.kind)) return [];
    const soaks = soakedAt(sheet, step.id);
    const isOpen = (state: BakeState, id: string) => !state.weighed.has(id) && !state.leftOut.has(id);
    const isLast = soaks.includes(action.lineId) && isOpen(before, action.lineId) && !soaks.some((id) => isOpen(after, id));
    return isLast ? starts(after, step) : [];
  }
  if (action.type === 'stepDone') {
    const at = steps.findIndex(({ id }) => id === action.stepId);
    const strand = strandOf(sheet, action.stepId);
    if (at === -1 || strand === null) return [];
    const next = steps.slice(at + 1).find((each) => !isBeside(each));
    if (!next || strandOf(sheet, next.id) !== strand) return [];
    const bakesOn = steps[at]!.kind === 'bake' && (next.kind === 'bake' || next.kind === 'coast');
    // a wait that hands are in begins when they do
    return (WAITS.has(next.kind) || bakesOn) && !next.handsOn ? starts(after, next) : [];
  }
  if (action.type === 'timerStarted') {
    const at = steps.findIndex(({ id }) => id === action.stepId);
    const strand = strandOf(sheet, action.stepId);
    if (steps[at]?.kind !== 'bake') return [];
    return steps
      .slice(0, at)
      .filter(({ id, kind }) => kind === 'preheat' && !isStepDone(after, id) && ['', strand].includes(strandOf(sheet, id)))
      .map(({ id }) => ({ type: 'stepDone', stepId: id }));
  }
  return [];
} // prettier-ignore

/**
 * The bake that the bread goes in for where an oven heats: what is said there is that it is in.
 *
 * @returns null where something else comes first, or it goes in by loads
 */
export function goesInAfter(sheet: BatchSheet, state: BakeState, preheatId: string): MethodStep | null {
  const at = sheet.steps.findIndex(({ id }) => id === preheatId);
  if (sheet.steps[at]?.kind !== 'preheat') return null;
  const next = sheet.steps.slice(at + 1).find(({ id, kind }) => kind !== 'grease' && !isStepDone(state, id));
  const isBake = next?.kind === 'bake' && strandOf(sheet, next.id) !== null && timerS(next) !== null && !state.steps.get(next.id)?.timer;
  // the same bread's, or all of the dough's
  const isOurs = next && ['', strandOf(sheet, next.id)].includes(strandOf(sheet, preheatId));
  const isFirst = sheet.steps.slice(0, at).every(({ id }) => isStepDone(state, id));
  return next && isBake && isOurs && isFirst ? next : null;
} // prettier-ignore

/** What the press does itself, maybe for another time, does not happen twice. */
const sameDeed = (action: BakeAction): string => `${action.type} ${'stepId' in action ? action.stepId : ''}`;

/** What is pressed, with all that goes on by it, in the order it happens. */
export function withWhatGoesOn(sheet: BatchSheet, state: BakeState, actions: readonly BakeAction[], atMs: number): readonly BakeAction[] {
  const all: BakeAction[] = [];
  let so = state;
  const put = (action: BakeAction): void => {
    all.push(action);
    so = afterEvent(so, { seq: so.lastSeq + 1, atMs, action });
  };
  for (const [at, action] of actions.entries()) {
    const before = so;
    put(action);
    const pressed = new Set(actions.slice(at + 1).map(sameDeed));
    goesOnWith(sheet, before, action, so)
      .filter((each) => !pressed.has(sameDeed(each)))
      .forEach(put);
  }
  return all;
} // prettier-ignore
