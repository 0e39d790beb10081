import type { BatchSheet } from '../batch/batchSheet';
import type { BakeState } from './bakeState';

/** Which bag of each ingredient was in a bake: as it began, with what was corrected since. Ingredients whose bags are not told apart are not in it. */
export function lotsOf(
  { lots }: Pick<BatchSheet, 'lots'>,
  { lots: corrected }: Pick<BakeState, 'lots'>,
): ReadonlyMap<string, string> {
  const used = new Map((lots ?? []).map(({ ingredientId, lotId }) => [ingredientId, lotId]));
  for (const [ingredientId, lotId] of corrected)
    if (lotId === null) used.delete(ingredientId);
    else used.set(ingredientId, lotId);
  return used;
}
