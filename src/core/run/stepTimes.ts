import { allOfS, repeated } from '../method/methodTime';
import type { MethodStep } from '../method/step';

/** Minutes of a step without a time. */
const USUAL_MIN: Partial<Record<MethodStep['kind'], number>> = {
  weigh: 10, bloom: 10, mix: 8, fold: 4, divide: 6, shape: 8, score: 1, rest: 20, bulk: 90, proof: 50, chill: 720,
  boil: 1.5, griddle: 2, fry: 5, bake: 40, coast: 10, cool: 90, free: 5, rotate: 0, preheat: 30,
  soak: 60, preDough: 240, kneadAgain: 3, knockBack: 2, fill: 10, top: 5, turn: 0, grease: 2, wrap: 2, freeze: 720, thaw: 240, hold: 60,
  reheat: 10, refresh: 6,
}; // prettier-ignore

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

/** The middle of a step's time, s: of one side, of one time it is done. */
const onceS = (step: MethodStep): number =>
  step.minS === null ? (USUAL_MIN[step.kind] ?? 5) * 60 : (step.minS + (step.maxS ?? step.minS)) / 2;

/** How often, how long each time, how long between. */
export const repeatsOf = (step: MethodStep) => repeated(step, onceS(step));

/** All of a step, s: its sides, and its repeats with what lies between. */
export const stepS = (step: MethodStep): number => allOfS(repeatsOf(step));
