import { SCORE_NAMES, stateOf, type BakeRecord } from '../bake';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { QUESTION_IDS } from '../tasting/questions';
import { bakeFigures, CAME, MADE } from './bakeFigures';

/** One bake as a line of a table: plain texts and numbers, each with its unit in its name; null: nobody said. */
export type LogRow = Readonly<Record<string, string | number | null>>;

export const LOG_COLUMNS: readonly string[] = [
  'bakeId', 'startedAt', 'endedAt', 'formula', 'formulaId', 'version', 'pieces', ...MADE, ...CAME,
  ...SCORE_NAMES.map((name) => `score.${name}`), ...QUESTION_IDS.map((id) => `tasted.${id}`), 'tasters', 'bakeAgain', 'givenUp', 'cause', 'change', 'bags', 'by', 'words',
]; // prettier-ignore

const round = (value: number | null | undefined): number | null =>
  value === null || value === undefined ? null : Number(value.toPrecision(6));

/** A bake as a line of the log; times are UTC, amounts as they really were. */
export function logRow(bake: BakeRecord, book: IngredientBook): LogRow {
  const state = stateOf(bake);
  const { made, came, scores, tasted, tasters, lots } = bakeFigures(bake, state, book);
  const iso = (ms: number | null) => (ms === null ? null : new Date(ms).toISOString());
  const hands = [...new Set(bake.events.flatMap(({ by }) => by ?? []))];
  const rounded = (all: Readonly<Record<string, number | null>>) =>
    Object.fromEntries(Object.entries(all).map(([name, value]) => [name, round(value)]));
  return {
    bakeId: bake.id,
    startedAt: iso(bake.startedAtMs),
    endedAt: iso(state.endedAtMs),
    formula: bake.sheet.name,
    formulaId: bake.formulaId,
    version: bake.revision,
    pieces: state.outcome?.pieces ?? bake.sheet.pieces.count,
    ...rounded(made),
    ...rounded(came),
    ...Object.fromEntries(SCORE_NAMES.map((name) => [`score.${name}`, scores[name]])),
    ...Object.fromEntries(QUESTION_IDS.map((id) => [`tasted.${id}`, round(tasted[id])])),
    tasters,
    bakeAgain: state.outcome?.again ?? null,
    givenUp: state.abandoned ? state.abandoned.reason || 'yes' : null,
    cause: state.cause,
    change: state.advice ? `${state.advice.change.kind} ${state.advice.change.by}` : null,
    bags: [...lots].map(([ingredientId, lotId]) => `${ingredientId}: ${lotId}`).join('; ') || null,
    by: hands.join(', ') || null,
    words: state.outcome?.words || null,
  };
}
