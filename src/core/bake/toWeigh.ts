import { isAskedFor } from '../batch/askedFor';
import type { BatchLine, BatchSheet } from '../batch/batchSheet';
import { purposeOf } from '../formula/parts';
import { isStepDone, type BakeState } from './bakeState';

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

/** Done beside the others: an oven that heats, a tin that is greased, hold up nothing. */
export const isBeside = ({ kind }: Pick<BatchSheet['steps'][number], 'kind'>): boolean =>
  kind === 'preheat' || kind === 'grease';

/** The step whose turn it is: the first that is open, what is done beside the others last. */
const turnNow = ({ steps }: Pick<BatchSheet, 'steps'>, state: BakeState) => {
  const open = steps.filter(({ id }) => !isStepDone(state, id));
  return open.find((step) => !isBeside(step)) ?? open[0];
};

/** Lines not ticked yet: those whose turn has come, in that order; those of a later step. What is held back, or for another day, is never asked for. */
export function stillToWeigh(sheet: BatchSheet, state: BakeState): { now: BatchLine[]; later: BatchLine[] } {
  const next = turnNow(sheet, state);
  const step = next ? sheet.steps.indexOf(next) : -1;
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

/** Steps that take in whatever is to be in by then; what blooms or soaks may do so while the rest is weighed. */
const TAKES_IN: ReadonlySet<string> = new Set(['mix', 'kneadAgain']);

/** What a step would begin without: lines whose turn has come, where it mixes or is the very step that asks for them. None once it has begun. */
export function missingAt(sheet: BatchSheet, state: BakeState, stepId: string): BatchLine[] {
  const step = sheet.steps.find(({ id }) => id === stepId);
  const isTurn = step && (turnNow(sheet, state) === step || sheet.steps.find(({ id }) => !isStepDone(state, id)) === step);
  if (!isTurn || state.steps.get(stepId)?.timer) return [];
  const partOf = sheet.activities?.find(({ id }) => id === stepId)?.stepId ?? stepId;
  return stillToWeigh(sheet, state).now.filter(
    ({ atStepId }) => atStepId === stepId || atStepId === partOf || (atStepId === undefined && TAKES_IN.has(step.kind)),
  );
} // prettier-ignore

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
