import type { StepKind } from './stepLimits';
import type { MethodStep } from './stepSchema';

export { STEP_KINDS, STEP_LIMITS, stepTempRangeC, type StepKind } from './stepLimits';
export type { MethodStep };

/** Kinds during which the baker's hands are usually busy; a new step starts with this. */
const HANDS_ON: ReadonlySet<StepKind> = new Set([
  'weigh', 'mix', 'fold', 'divide', 'shape', 'score', 'boil', 'griddle', 'fry', 'rotate',
]); // prettier-ignore

export function newStep(kind: StepKind, id: string): MethodStep {
  return {
    id,
    kind,
    title: '',
    minS: null,
    maxS: null,
    until: '',
    tempC: null,
    handsOn: HANDS_ON.has(kind),
    note: '',
  };
}

/** The time a timer starts with: the short end, because a baker looks early rather than late. */
export const timerS = (step: Pick<MethodStep, 'minS'>): number | null => step.minS;
