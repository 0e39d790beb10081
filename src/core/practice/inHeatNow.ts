import type { BatchSheet } from '../batch';
import { isRunning, isStepDone, type BakeState } from '../bake';
import type { MethodStep } from '../method';
import { HEATS } from '../run/stepTimes';

/** The step whose piece is in the heat now, or out of it and cooling; null: nothing is. */
export function inHeatNow({ steps }: Pick<BatchSheet, 'steps'>, state: BakeState): MethodStep | null {
  const open = steps.filter(({ id }) => !isStepDone(state, id));
  const heated = open.find(({ id, kind }) => HEATS.has(kind) && isRunning(state.steps.get(id)?.timer));
  if (heated) return heated;
  const isAllOut = steps.some(({ kind }) => HEATS.has(kind)) && !open.some(({ kind }) => HEATS.has(kind));
  return (isAllOut && open.find(({ kind }) => kind === 'cool')) || null;
}
