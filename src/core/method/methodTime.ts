import type { MethodStep } from './step';

/** How long a method takes if its steps follow one another, s. Steps without a time are counted, not guessed at. */
export interface MethodTime {
  readonly minS: number;
  readonly maxS: number;
  readonly handsOnS: number;
  readonly untimed: number;
}

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
    minS += step.minS;
    maxS += step.maxS ?? step.minS;
    if (step.handsOn) handsOnS += step.minS;
  }
  return { minS, maxS, handsOnS, untimed };
}
