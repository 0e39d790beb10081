import type { BakeAction } from './bakeEvent';
import type { Reading } from './bakeState';

/** What a probe shows at this moment. */
export interface ProbeShows {
  readonly of: Reading['of'];
  readonly tempC: number;
}

/** Colder than this it lies beside the oven, the oil or the loaf, °C. */
const IN_HEAT_C = 60;

/**
 * What is saved of the probes' figures by a press, without anybody reading them: the heat, the oil and the core as a clock starts or a step is
 * done, and the room; once, with the first of what the press does. A dough's is saved by a press of its own alone: nobody can tell a dough from
 * a table, and its forecast would follow.
 */
export function toldReadings(
  actions: readonly BakeAction[],
  probes: readonly ProbeShows[],
): readonly BakeAction[] {
  const action = actions.find(({ type }) => type === 'stepDone' || type === 'timerStarted');
  if (action?.type !== 'stepDone' && action?.type !== 'timerStarted') return [];
  return probes
    .filter(({ of, tempC }) => of === 'room' || (of !== 'dough' && of !== 'water' && tempC >= IN_HEAT_C))
    .map(({ of, tempC }) => ({
      type: 'reading',
      of,
      tempC: Math.round(tempC * 10) / 10,
      stepId: of === 'room' ? null : action.stepId,
    }));
}
