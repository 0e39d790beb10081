import type { MethodStep } from './step';

/** How long a method takes if its steps follow one another, s. Steps without a time are counted, not guessed at. */
export interface MethodTime {
  readonly minS: number;
  readonly maxS: number;
  readonly handsOnS: number;
  readonly untimed: number;
}

/**
 * How often a step is done, how long each time is, its sides together, and what is waited between one time and the next, s.
 * @param onceS its time, of one side
 */
export function repeated({ sides = 1, again }: Pick<MethodStep, 'sides' | 'again'>, onceS: number) {
  const eachS = onceS * sides;
  return { times: again?.times ?? 1, eachS, waitS: Math.max(0, (again?.everyS ?? 0) - eachS) };
}

/** All of it, s. */
export const allOfS = ({ times, eachS, waitS }: ReturnType<typeof repeated>): number =>
  times * eachS + (times - 1) * waitS;

/**
 * Adds a method up. Preheating runs beside whatever comes before it, so it does not lengthen the day; everything else is
 * taken one after the other, which is how a single pair of hands works.
 */
export function methodTime(steps: readonly MethodStep[]): MethodTime {
  let minS = 0;
  let maxS = 0;
  let handsOnS = 0;
  let untimed = 0;
  for (const step of steps) {
    if (step.minS === null) {
      untimed += 1;
      continue;
    }
    if (step.kind === 'preheat') continue;
    const least = repeated(step, step.minS);
    minS += allOfS(least);
    maxS += allOfS(repeated(step, step.maxS ?? step.minS));
    if (step.handsOn) handsOnS += least.times * least.eachS;
  }
  return { minS, maxS, handsOnS, untimed };
}
