import type { MethodStep, StepKind } from './step';

const RISING: ReadonlySet<StepKind> = new Set(['rest', 'bulk', 'proof', 'chill']);

/** A dough stands in it and rises, and somebody looks at it. */
export const isRising = ({ kind }: Pick<MethodStep, 'kind'>): boolean => RISING.has(kind);
