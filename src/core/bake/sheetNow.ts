import type { BatchSheet } from '../batch/batchSheet';
import type { MethodStep } from '../method/step';
import type { BakeState } from './stateShape';

type Steps = Pick<BatchSheet, 'steps' | 'activities'>;

/**
 * A sheet as a bake goes on by it: what was put into its method when it changed its course stands where it was put. The sheet that was planned stays as it
 * is stored. Asked of a sheet that holds them already it changes nothing.
 */
export function sheetNow<S extends Steps>(sheet: S, { courses }: Pick<BakeState, 'courses'>): S {
  if (courses.every(({ puts }) => puts.length === 0)) return sheet;
  const steps: MethodStep[] = [...sheet.steps];
  const activities = [...(sheet.activities ?? [])];
  for (const { atStepId, where, step } of courses.flatMap(({ puts }) => puts)) {
    const at = steps.findIndex(({ id }) => id === atStepId);
    if (at === -1 || steps.some(({ id }) => id === step.id)) continue;
    steps.splice(where === 'before' ? at : at + 1, 0, step);
    const beside = activities.find(({ id }) => id === atStepId);
    // of one of several breads what is put beside it is of that bread
    if (beside?.wayId)
      activities.push({ id: step.id, stepId: step.id, wayId: beside.wayId, load: null, side: null, time: null, pieces: null }); // prettier-ignore
  }
  return { ...sheet, steps, ...(activities.length > 0 && { activities }) };
}
