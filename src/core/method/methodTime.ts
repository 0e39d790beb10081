import type { MethodStep } from './step';

/** How long a method takes if its steps follow one another, s. Steps without a time are counted, not guessed at. */
export interface MethodTime {
  readonly minS: number;
  readonly maxS: number;
  readonly handsOnS: number;
  readonly untimed: number;
}

/** How often a step's own time is taken, for its sides and its repeats, and what is waited between repeats, s. */
function repeated({ minS, sides = 1, again }: MethodStep): { times: number; betweenS: number } {
  const times = again?.times ?? 1;
  const waitS = Math.max(0, (again?.everyS ?? 0) - (minS ?? 0) * sides);
  return { times: times * sides, betweenS: (times - 1) * waitS };
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
    const { times, betweenS } = repeated(step);
    minS += step.minS * times + betweenS;
    maxS += (step.maxS ?? step.minS) * times + betweenS;
    if (step.handsOn) handsOnS += step.minS * times;
  }
  return { minS, maxS, handsOnS, untimed };
}
