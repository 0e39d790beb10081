import { endOfMixing, sheetNow, stateOf, type BakeRecord } from '../bake';
import type { RiseObservation } from '../fermentation/learnRise';
import { allLines, type Formula } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { breadOf, doughHistory, inJar, type Bread, type DoughHistory } from './doughHistory';
import type { RunKitchen } from './ordinaryKitchen';

type Marks = ReturnType<typeof stateOf>['rises'];

/**
 * What the marks of a bake say, for {@link learnRise}: the dough as it was really weighed, through the times its steps really
 * took until the last mark. Steps that were never ticked took as long as planned.
 *
 * @param formula the revision that was baked
 * @param kitchen as it was that day: its room and fridge
 * @returns none without marks, where the end of mixing was not ticked, or where no run can be made
 */
export function riseObservations(
  bake: BakeRecord,
  formula: Formula,
  book: IngredientBook,
  kitchen: RunKitchen,
): RiseObservation[] {
  const state = stateOf(bake);
  const sheet = sheetNow(bake.sheet, state);
  const { mixedAtMs } = endOfMixing(sheet, state);
  if (mixedAtMs === null) return [];
  const marks = state.rises.filter(({ atMs }) => atMs > mixedAtMs);
  const wayOf = new Map(sheet.activities?.map(({ id, wayId }) => [id, wayId]));
  const ways = [...new Set(marks.flatMap(({ stepId }) => wayOf.get(stepId) ?? []))];
  // what was marked before the dough parted counts once, with the first of its breads
  return (ways.length > 0 ? ways : [null]).flatMap((wayId, index) => {
    const mine = marks.filter(({ stepId }) => {
      const way = wayOf.get(stepId) ?? null;
      return way === wayId || (way === null && index === 0);
    });
    return observed(breadOf(bake, state, mixedAtMs, wayId, formula), mine, formula, book, kitchen);
  });
}

/** What the marks of one bread of a bake say. */
function observed(
  bread: Bread,
  marks: Marks,
  formula: Formula,
  book: IngredientBook,
  kitchen: RunKitchen,
): RiseObservation[] {
  if (marks.length === 0) return [];
  const untilMs = Math.max(...marks.map(({ atMs }) => atMs));
  const inStep = new Set(marks.map(({ stepId }) => stepId));
  const history = doughHistory(bread, { untilMs, inStep }, formula, book, kitchen);
  if (!history) return [];
  return (['jar', 'dough'] as const).flatMap((of) => {
    const points = pointsOf(marks, of, bread.mixedAtMs, history.beganS);
    if (points.length === 0) return [];
    return [
      {
        question: of === 'jar' ? inJar(history.question) : history.question,
        points,
        leavenOf: leavenLot(history.made, history.book, history.lots),
        doughOf: bread.bake.formulaId,
      },
    ];
  });
}

/** Marks as the simulator is asked about them. */
export const pointsOf = (
  marks: Marks,
  of: 'jar' | 'dough',
  mixedAtMs: number,
  beganS: DoughHistory['beganS'],
): RiseObservation['points'] =>
  marks
    .filter((mark) => mark.of === of)
    .map(({ stepId, atMs, grownPercent }) => ({
      atS: (atMs - mixedAtMs) / 1000,
      // just after it was knocked back
      sinceS: of === 'jar' ? 0 : (beganS.get(stepId) ?? 0) + 1,
      grown: 1 + grownPercent / 100,
    }));

/** The jar of yeast or starter in a formula that is told apart; '': none is. */
export function leavenLot(formula: Formula, book: IngredientBook, lots: ReadonlyMap<string, string>): string {
  const line = allLines(formula).find(({ ingredientId }) => {
    const roles = book.get(ingredientId)?.roles;
    return lots.has(ingredientId) && (roles?.includes('leaven') || roles?.includes('starter'));
  });
  return line ? lots.get(line.ingredientId)! : '';
}
