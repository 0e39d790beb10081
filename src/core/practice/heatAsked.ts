import { lotsOf, sheetNow, type BakeRecord, type BakeState } from '../bake';
import { riseCurve } from '../fermentation/riseCurve';
import type { BakeQuestion } from '../heat/bake';
import { asWay } from '../formula/ways';
import type { Formula } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { withLots } from '../ingredients/lots';
import { formulaAnswers } from '../notices/formulaAnswers';
import { bakeQuestionOf } from '../run/forecastRun';
import type { RunKitchen } from '../run/ordinaryKitchen';
import { runOf } from '../run/runOf';
import { HEATS } from '../run/stepTimes';

/** It may stay in so many times as long as is planned before nobody would call it bread. */
const MOST_TIMES = 2.5;
const LEAST_MS = 60_000;

interface HeatAsked {
  readonly question: BakeQuestion;
  /** When the piece went in, ms. */
  readonly sinceMs: number;
}

/**
 * What to ask of a piece that is in the heat, or out of it and cooling: as planned up to where it is, and on as it is now for as long as nobody takes it out.
 *
 * @returns null where nothing heats or cools there, it has not gone in, or no run can be made
 */
export function heatAsked(bake: BakeRecord, state: BakeState, stepId: string, formula: Formula, larder: IngredientBook, kitchen: RunKitchen): HeatAsked | null {
  const { steps, activities } = sheetNow(bake.sheet, state);
  const of = (id: string) => activities?.find((each) => each.id === id);
  const here = of(stepId);
  const step = steps.find(({ id }) => id === stepId);
  if (!step || !(HEATS.has(step.kind) || step.kind === 'cool')) return null;
  const isMine = (id: string) => {
    const each = of(id);
    return (each?.wayId ?? null) === (here?.wayId ?? null) && (!each?.load || !here?.load || each.load.at === here.load.at);
  };
  const timers = steps.filter(({ id, kind }) => HEATS.has(kind) && isMine(id)).flatMap(({ id }) => state.steps.get(id)?.timer ?? []);
  if (timers.length === 0) return null;
  const sinceMs = Math.min(...timers.map(({ startedAtMs }) => startedAtMs));
  const book = withLots(larder, lotsOf(bake.sheet, state));
  const made = asWay(formula, here?.wayId ?? null);
  const { totals, consistency } = formulaAnswers(made, book);
  const run = consistency && runOf(made, book, totals, consistency, kitchen);
  if (!consistency || !run || !run.ok) return null;
  const rise = riseCurve({ ...run.value.rise, central: true });
  const question = rise.ok ? bakeQuestionOf(run.value, rise.value, consistency) : null;
  if (!question) return null;
  const heats = question.phases.filter(({ kind }) => kind !== 'rack');
  const last = heats.at(-1);
  if (!last) return null;
  const plannedS = heats.reduce((sum, { durationS }) => sum + durationS, 0);
  if (step.kind !== 'cool') {
    const longer = { ...last, durationS: last.durationS + (MOST_TIMES - 1) * plannedS };
    return { question: { ...question, phases: [...heats.slice(0, -1), longer] }, sinceMs };
  }
  const outMs = Math.max(...steps.filter(({ id, kind }) => HEATS.has(kind) && isMine(id)).map(({ id }) => state.steps.get(id)?.doneAtMs ?? 0));
  const reallyS = Math.max(LEAST_MS, outMs - sinceMs) / 1000;
  const lastS = Math.max(60, Math.min(MOST_TIMES * plannedS, last.durationS + reallyS - plannedS));
  const racks = question.phases.filter(({ kind }) => kind === 'rack');
  return { question: { ...question, phases: [...heats.slice(0, -1), { ...last, durationS: lastS }, ...racks] }, sinceMs };
} // prettier-ignore
