import { consistencyOf, liquidForG } from '../consistency/consistency';
import { BAND_AIMS, type Band } from '../consistency/parameters';
import { atWeight, FORMULA_LIMITS, doughLines, type Formula, type Line } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { ok, refuse, type Result } from '../result';
import { proposalOf, type Proposal } from './proposal';

const isPlainWater = (line: Line): boolean =>
  line.ingredientId === 'water' || line.ingredientId === 'sparkling-water';

/** Rounded as a baker would write it: tenths of a gram, hundredths below ten. */
export const tidy = (massG: number): number =>
  massG >= 10 ? Math.round(massG * 10) / 10 : Math.round(massG * 100) / 100;

/** Adds water to (or takes it from) the largest water line of the dough; puts a line in where there is none. */
function addWater(
  formula: Formula,
  deltaG: number,
  book: IngredientBook,
  newId: () => string,
): Result<Formula> {
  const lines = doughLines(formula).filter(isPlainWater);
  const largest = lines.sort((a, b) => b.massG - a.massG)[0];
  if (!largest) {
    if (deltaG < FORMULA_LIMITS.lineMassG.min)
      return Math.abs(deltaG) < 0.05 ? ok(formula) : refuse('notSolvable', 'water');
    const home = formula.stages.find((stage) => stage.kind === 'main') ?? formula.stages[0];
    return ok({
      ...formula,
      stages: formula.stages.map((stage) =>
        stage === home
          ? {
              ...stage,
              lines: [...stage.lines, { id: newId(), ingredientId: 'water', massG: tidy(deltaG), note: '' }],
            }
          : stage,
      ),
    });
  }
  // sparkling water is not all water
  const waterShare = (book.get(largest.ingredientId)?.per100g.water.value ?? 100) / 100;
  const massG = tidy(largest.massG + deltaG / waterShare);
  if (massG < FORMULA_LIMITS.lineMassG.min || massG > FORMULA_LIMITS.lineMassG.max)
    return refuse('notSolvable', 'water');
  return ok({
    ...formula,
    stages: formula.stages.map((stage) => ({
      ...stage,
      lines: stage.lines.map((line) => (line.id === largest.id ? atWeight(line, massG) : line)),
    })),
  });
}

/** Water until the rested dough reads as `s`. Exact up to the rounding of the line, because the balance is linear in water. */
export function withWaterFor(
  formula: Formula,
  s: number,
  book: IngredientBook,
  newId: () => string,
): Result<Formula> {
  const consistency = consistencyOf(formula, book);
  if (!consistency) return refuse('noFlour');
  return addWater(formula, liquidForG(consistency, s), book, newId);
}

/** "Make it shapeable": the water that brings the rested dough into the middle of a band. */
export function solveWater(
  formula: Formula,
  band: Band,
  book: IngredientBook,
  newId: () => string,
): Result<Proposal> {
  const solved = withWaterFor(formula, BAND_AIMS[band], book, newId);
  return solved.ok ? proposalOf(formula, solved.value, book) : solved;
}
