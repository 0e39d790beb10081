import type { BakeRecord } from '@/core/bake';
import type { Formula } from '@/core/formula';
import { runKitchenOf } from '@/core/kit';
import type { RunKitchen } from '@/core/run';
import { findRevision } from '@/db/queries/formulas';
import type { Context } from './context';
import { loadKit } from './kit';
import { loadLearnt, taughtKitchen } from './learnt';
import { orUnreadable } from './orUnreadable';

/** What a bench needs to tell how its dough rises: the formula it was made of, and the kitchen with what bakes that ended have taught. */
export interface Rising {
  readonly formula: Formula;
  readonly kitchen: RunKitchen;
}

/** What was learnt is ready since the last bake ended; where it has to be computed anew the bench does not wait for it. */
const WAIT_MS = 1500;

/** Null where the formula cannot be read any more. */
export async function loadRising(
  context: Context,
  { formulaId, revision }: BakeRecord,
): Promise<Rising | null> {
  const [made, { kit }, learning] = await Promise.all([
    orUnreadable(findRevision(context.pool, context.kitchen.id, formulaId, revision)),
    loadKit(context),
    loadLearnt(context, formulaId, AbortSignal.timeout(WAIT_MS)),
  ]);
  if (!('value' in made) || !made.value) return null;
  const { formula } = made.value;
  return { formula, kitchen: taughtKitchen(runKitchenOf(kit, formula), learning) };
}
