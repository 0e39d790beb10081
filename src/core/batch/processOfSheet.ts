import { processOf, type Process, type Recovery } from '../process/processOf';
import type { BatchSheet } from './batchSheet';

/** The process of a batch at its natural times: its calls in their order, those of which there is one only as well. */
export function processOfSheet(
  { steps, activities = [] }: Pick<BatchSheet, 'steps' | 'activities'>,
  recoversS: Recovery = {},
): Process {
  const known = new Map(activities.map((activity) => [activity.id, activity]));
  return processOf(
    steps.map((step) => {
      const found = known.get(step.id);
      const { mix, ...rest } = found ?? {
        id: step.id,
        stepId: step.id,
        wayId: null,
        load: null,
        side: null,
        time: null,
        pieces: null,
      };
      return { step, activity: { ...rest, ...(mix && { mix }) } };
    }),
    recoversS,
  );
}
