import { riseCurve } from '../fermentation/riseCurve';
import type { Formula } from '../formula/formula';
import { bakeRun, CENTRAL_DRAW } from '../heat/bake';
import { heatingEndS, uncovered } from '../heat/forecast';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { reckon } from '../notices/reckon';
import { sliceOf, type SliceFigures } from '../slice/slice';
import { bakeQuestionOf, bodyToDraw } from './forecastRun';
import { runOf, type RunKitchen } from './runOf';

/**
 * The slice alone, from the central rise and one bake on the coarse grid: for a list's small marks, some 20 ms a formula. Differs from
 * the full forecast's slice by the grid's few percent; a crumb counts as set or not, nothing between.
 * @returns null where a formula has no bake that could be reckoned
 */
export function quickSlice(formula: Formula, book: IngredientBook, kitchen: RunKitchen): SliceFigures | null {
  const { totals, consistency } = reckon(formula, book);
  const run = runOf(formula, book, totals, consistency, kitchen);
  if (!run.ok || !consistency) return null;
  const rise = riseCurve({ ...run.value.rise, beyondS: 0, central: true });
  if (!rise.ok) return null;
  const question = bakeQuestionOf(run.value, rise.value, consistency);
  if (!question) return null;
  const last = question.phases.findLastIndex((phase) => phase.kind !== 'rack');
  const baked = bakeRun(
    // the drawing shows the rim of what is topped
    uncovered({ ...question, phases: question.phases.slice(0, last + 1) }),
    CENTRAL_DRAW,
    'coarse',
    6,
  );
  if (!baked.ok) return null;
  const { brownTop, brownBase, setAtS } = baked.value;
  return sliceOf({
    ...bodyToDraw(question, rise.value, consistency, baked.value),
    brownTop: brownTop[brownTop.length - 1] ?? 0,
    brownBase: brownBase[brownBase.length - 1] ?? 0,
    setChance: setAtS !== null && setAtS <= heatingEndS(question) ? 1 : 0,
  });
}
