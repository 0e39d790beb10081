import { riseCurve } from '../fermentation/riseCurve';
import type { RiseQuestion } from '../fermentation/riseSimulation';
import type { Formula } from '../formula/formula';
import { simulateBake, CENTRAL_DRAW } from '../heat/bake';
import { heatingEndS, uncovered } from '../heat/forecast';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { formulaAnswers } from '../notices/formulaAnswers';
import { asLearnt } from '../slice/learnSlice';
import { sliceOf, type SliceFigures } from '../slice/slice';
import { bakeQuestionOf, bodyToDraw, type RunFeel } from './forecastRun';
import type { RunKitchen } from './ordinaryKitchen';
import { runOf, type Run } from './runOf';

/**
 * All that a small mark follows from, and nothing else: formulas that differ in their words only, or in a corner of the kitchen that
 * they never use, ask the same question, so that an answer can be kept by it.
 */
export interface SliceQuestion {
  readonly rise: RiseQuestion;
  readonly bake: Run['bake'];
  readonly feel: RunFeel;
}

/**
 * What {@link quickSlice} would have to compute for a formula in a kitchen; about a millisecond.
 * @returns null where a formula has no bake that could be computed
 */
export function sliceQuestion(
  formula: Formula,
  book: IngredientBook,
  kitchen: RunKitchen,
): SliceQuestion | null {
  const { totals, consistency } = formulaAnswers(formula, book);
  const run = runOf(formula, book, totals, consistency, kitchen);
  if (!run.ok || !consistency) return null;
  const { rise, bake } = run.value;
  const { rested, holds, clings } = consistency;
  return { rise: { ...rise, beyondS: 0, central: true }, bake, feel: { rested, holds, clings } };
}

/** Crackers dry for three hours; whatever heats longer than this is worth no second of a server's time for a small mark. */
const MOST_HEAT_S = 4 * 3600;

/**
 * The slice alone, from the central rise and one bake on the coarse grid: for a list's small marks, some 20 ms a formula. Differs from
 * the full forecast's slice by the grid's few percent; a crumb counts as set or not, nothing between.
 * @returns null where nothing is baked, where it is in the heat for more than four hours, or a limit of {@link riseCurve} or {@link simulateBake} is passed
 */
export function quickSlice({ rise: riseQuestion, bake, feel }: SliceQuestion): SliceFigures | null {
  const rise = riseCurve(riseQuestion);
  if (!rise.ok) return null;
  const question = bakeQuestionOf({ rise: riseQuestion, bake }, rise.value, feel);
  if (!question) return null;
  if (heatingEndS(question) > MOST_HEAT_S) return null;
  const last = question.phases.findLastIndex((phase) => phase.kind !== 'rack');
  const baked = simulateBake(
    // the drawing shows the rim of what is topped
    uncovered({ ...question, phases: question.phases.slice(0, last + 1) }),
    CENTRAL_DRAW,
    'coarse',
    6,
  );
  if (!baked.ok) return null;
  const { brownTop, brownBase, setAtS } = baked.value;
  const drawn = sliceOf({
    ...bodyToDraw(question, rise.value, feel, baked.value),
    brownTop: brownTop[brownTop.length - 1] ?? 0,
    brownBase: brownBase[brownBase.length - 1] ?? 0,
    setChance: setAtS !== null && setAtS <= heatingEndS(question) ? 1 : 0,
  });
  return asLearnt(drawn, bake?.slices);
}
