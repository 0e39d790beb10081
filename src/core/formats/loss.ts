import { isOwnId } from '../ingredients/ownId';
import { allLines, type Formula } from '../formula/formula';
import { allSteps } from '../formula/ways';

/** What a format that is not our own cannot carry; said when it is written, not found out when it is read. */
export type Loss =
  | 'percentBase'
  | 'usualYield'
  | 'partKinds'
  | 'method'
  | 'stepDetails'
  | 'ownIngredients'
  | 'measured'
  | 'heldBack'
  | 'partFigures'
  | 'stepFields'
  | 'ways'
  | 'about'
  | 'style'
  | 'roundedGrams';

/** The losses of a format that apply to this very formula: what is not on the sheet can't be lost. */
export function lossesOf(formula: Formula, loses: readonly Loss[]): Loss[] {
  const { stages, about, percentBase } = formula;
  const steps = allSteps(formula);
  return loses.filter((loss) => {
    switch (loss) {
      case 'percentBase':
        return percentBase !== 'flours';
      case 'partKinds':
        return stages.some(({ kind }) => kind !== 'main');
      case 'method':
        return steps.length > 0;
      case 'stepDetails':
        return steps.some(
          (step) => step.until !== '' || step.tempC !== null || step.minS !== null || step.handsOn,
        );
      case 'ownIngredients':
        return allLines(formula).some((line) => isOwnId(line.ingredientId));
      case 'measured':
        return allLines(formula).some((line) => line.measured);
      case 'heldBack':
        return allLines(formula).some((line) => line.heldBack);
      case 'partFigures':
        return stages.some((stage) => stage.perPieceG != null || stage.takenUp || stage.keeps);
      case 'stepFields':
        return steps.some(
          ({ takes, stands, cue, sides, again, atATime, heat }) =>
            takes ?? stands ?? cue ?? sides ?? again ?? atATime ?? heat,
        );
      case 'ways':
        return formula.ways !== undefined;
      case 'about':
        return about !== '';
      case 'roundedGrams':
        return allLines(formula).some(
          (line) => Math.abs(line.massG * 100 - Math.round(line.massG * 100)) > 1e-6,
        );
      default:
        return true;
    }
  });
}
