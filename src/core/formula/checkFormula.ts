import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Problem } from '../result';
import { allLines, FORMULA_LIMITS, type Formula } from './formula';
import { formulaTotals } from './totals';
import { allSteps } from './ways';

function duplicates(ids: readonly string[]): string[] {
  const seen = new Set<string>();
  return ids.filter((id) => seen.size === seen.add(id).size);
}

/**
 * What must hold of a whole formula beyond the shape of its fields (which the schema checks): ids are unique, every
 * ingredient is known, and the water is possible. Both the sheet and the server ask this before a revision is saved.
 *
 * @returns every problem with its path ("stages.0.lines.2.massG"), none when the formula may be saved
 */
export function checkFormula(formula: Formula, book: IngredientBook): Problem[] {
  const problems: Problem[] = [];
  for (const id of duplicates([
    ...formula.stages.map((stage) => stage.id),
    ...allLines(formula).map((line) => line.id),
  ])) {
    problems.push({ code: 'duplicateId', path: 'stages', params: { id } });
  }
  for (const id of duplicates([...allSteps(formula), ...(formula.ways ?? [])].map(({ id }) => id))) {
    problems.push({ code: 'duplicateId', path: 'steps', params: { id } });
  }
  if (allSteps(formula).length > FORMULA_LIMITS.steps) {
    problems.push({ code: 'tooMany', path: 'steps', params: { max: FORMULA_LIMITS.steps } });
  }
  // what a step takes has to be on the sheet
  const there = new Set([...formula.stages.map(({ id }) => id), ...allLines(formula).map(({ id }) => id)]);
  for (const step of allSteps(formula))
    for (const each of step.takes ?? [])
      if (!there.has('lineId' in each ? each.lineId : each.stageId))
        problems.push({ code: 'unknownLine', path: 'steps', params: { id: step.id } });
  if (formula.stages.length > FORMULA_LIMITS.stages) {
    problems.push({ code: 'tooMany', path: 'stages', params: { max: FORMULA_LIMITS.stages } });
  }
  formula.stages.forEach((stage, stageIndex) => {
    if (stage.lines.length > FORMULA_LIMITS.linesPerStage) {
      const params = { max: FORMULA_LIMITS.linesPerStage };
      problems.push({ code: 'tooMany', path: `stages.${stageIndex}.lines`, params });
    }
    stage.lines.forEach((line, lineIndex) => {
      if (!book.has(line.ingredientId)) {
        problems.push({
          code: 'unknownIngredient',
          path: `stages.${stageIndex}.lines.${lineIndex}.ingredientId`,
          params: { ingredientId: line.ingredientId },
        });
      }
    });
  });
  const totals = formulaTotals(formula, book);
  if (totals.hydrationAll !== null && totals.hydrationAll > FORMULA_LIMITS.hydrationPercent) {
    const wettest = [...totals.waterSources].sort((a, b) => b.waterG - a.waterG)[0];
    formula.stages.forEach((stage, stageIndex) => {
      stage.lines.forEach((line, lineIndex) => {
        if (line.id !== wettest?.lineId) return;
        problems.push({
          code: 'tooWet',
          path: `stages.${stageIndex}.lines.${lineIndex}.massG`,
          params: { percent: Math.round(totals.hydrationAll ?? 0), max: FORMULA_LIMITS.hydrationPercent },
        });
      });
    });
  }
  return problems;
}
