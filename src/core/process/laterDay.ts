import type { MethodStep, StepKind } from '../method/step';

const STORES: ReadonlySet<StepKind> = new Set(['freeze', 'wrap', 'hold']);
const TAKES_OUT: ReadonlySet<StepKind> = new Set(['thaw', 'reheat', 'refresh']);

/**
 * Parts the steps of what is put by: those of the day it is made, and those of the day it is taken out. The day ends with the freezing, or else the
 * wrapping, and what follows at once of the kind; where nothing is frozen or wrapped, before what thaws or warms up again.
 *
 * Shape, freeze, wrap, thaw, proof, bake: the last three are of a later day.
 */
export function laterDay(steps: readonly MethodStep[]): {
  readonly today: readonly MethodStep[];
  readonly later: readonly MethodStep[];
} {
  const frozen = steps.findIndex(({ kind }) => kind === 'freeze');
  const stored = frozen === -1 ? steps.findLastIndex(({ kind }) => kind === 'wrap') : frozen;
  const out = steps.findIndex(({ kind }) => TAKES_OUT.has(kind));
  let end = steps.length;
  if (stored !== -1 && (out === -1 || stored < out)) {
    end = stored + 1;
    while (end < steps.length && STORES.has(steps[end]!.kind)) end += 1;
  } else if (out !== -1) end = out;
  return { today: steps.slice(0, end), later: steps.slice(end) };
}
