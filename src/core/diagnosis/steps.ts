import type { Formula } from '../formula/formula';
import type { MethodStep } from '../method/step';

/** Of all that a formula makes. */
export const allSteps = ({ steps, ways = [] }: Pick<Formula, 'steps' | 'ways'>): MethodStep[] => [
  ...steps,
  ...ways.flatMap((way) => way.steps),
];
