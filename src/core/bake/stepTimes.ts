import type { BatchSheet } from '../batch/batchSheet';
import type { MethodStep } from '../method/step';
import type { BakeState } from './bakeState';

export interface StepTime {
  readonly step: MethodStep;
  readonly doneAtMs: number;
  readonly tookS: number;
}

/**
 * How long each step that was done took, in the order in which they were: from its clock where it had one, else from the step before it (the
 * first from the last weighing): what a baker would say, too.
 */
export function stepTimes(
  { startedAtMs, sheet }: { readonly startedAtMs: number; readonly sheet: Pick<BatchSheet, 'steps'> },
  state: BakeState,
): StepTime[] {
  let before = Math.max(startedAtMs, ...[...state.weighed.values()].map((weighing) => weighing.atMs));
  return sheet.steps
    .flatMap((step) => {
      const progress = state.steps.get(step.id);
      return progress?.doneAtMs ? [{ step, doneAtMs: progress.doneAtMs, timer: progress.timer }] : [];
    })
    .sort((a, b) => a.doneAtMs - b.doneAtMs)
    .map(({ step, doneAtMs, timer }) => {
      const fromMs = timer?.startedAtMs ?? before;
      before = doneAtMs;
      return { step, doneAtMs, tookS: Math.max(0, (doneAtMs - fromMs) / 1000) };
    });
}
