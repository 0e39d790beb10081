import type { BatchSheet } from '../batch/batchSheet';
import type { BakeState } from './bakeState';

/** Where the last mixing stands in a method (-1: nowhere), and when it was ticked; from then on a dough rests and rises. */
export function endOfMixing(
  { steps }: Pick<BatchSheet, 'steps'>,
  state: Pick<BakeState, 'steps'>,
): { readonly lastMix: number; readonly mixedAtMs: number | null } {
  const lastMix = steps.map(({ kind }) => kind).lastIndexOf('mix');
  return { lastMix, mixedAtMs: state.steps.get(steps[lastMix]?.id ?? '')?.doneAtMs ?? null };
}
