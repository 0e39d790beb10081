import { allOfS, repeated } from '../method/methodTime';
import { onceS } from '../method/usualTimes';
import type { MethodStep } from '../method/step';

export const HEATS: ReadonlySet<MethodStep['kind']> = new Set(['boil', 'griddle', 'fry', 'bake', 'coast']);
export const BESIDE: ReadonlySet<MethodStep['kind']> = new Set(['preheat', 'rotate', 'turn', 'grease']);

/** Once a bread is baked these are of another day, or of what is put by: no model of this bake asks about them. */
export const OF_LATER: ReadonlySet<MethodStep['kind']> = new Set([
  'wrap',
  'freeze',
  'thaw',
  'hold',
  'reheat',
  'refresh',
]);

/** How often, how long each time, how long between. */
export const repeatsOf = (step: MethodStep) => repeated(step, onceS(step));

/** All of a step, s: its sides, and its repeats with what lies between. */
export const stepS = (step: MethodStep): number => allOfS(repeatsOf(step));
