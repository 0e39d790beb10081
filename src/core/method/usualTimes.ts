import type { MethodStep } from './step';

/** Minutes of a step without a time. */
const USUAL_MIN: Partial<Record<MethodStep['kind'], number>> = {
  weigh: 10, bloom: 10, mix: 8, fold: 4, divide: 6, shape: 8, score: 1, rest: 20, bulk: 90, proof: 50, chill: 720,
  boil: 1.5, griddle: 2, fry: 5, bake: 40, coast: 10, cool: 90, free: 5, rotate: 0, preheat: 30,
  soak: 60, preDough: 240, kneadAgain: 3, knockBack: 2, fill: 10, top: 5, turn: 0, grease: 2, wrap: 2, freeze: 720, thaw: 240, hold: 60,
  reheat: 10, refresh: 6,
}; // prettier-ignore

/** How long a step usually takes where nobody said, s. */
export const usualS = ({ kind }: Pick<MethodStep, 'kind'>): number => (USUAL_MIN[kind] ?? 5) * 60;

/** Heat a step is taken to have where it says none, °C: oil, plate, oven. */
export const usualHeatC = (kind: MethodStep['kind']): number =>
  kind === 'fry' ? 165 : kind === 'griddle' ? 220 : 200;

/** The middle of a step's time, s: of one side, of one time it is done. */
export const onceS = (step: MethodStep): number =>
  step.minS === null ? usualS(step) : (step.minS + (step.maxS ?? step.minS)) / 2;
