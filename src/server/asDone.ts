import type { Formula } from '@/core/formula';
import { findBake } from '@/db/queries/bakes';
import { findFormula, findRevision } from '@/db/queries/formulas';
import type { Context } from './context';

export interface BakedFormula {
  readonly formula: Formula;
  /** The newest version there is: what is saved next comes after it. */
  readonly head: number;
}

/** The very revision a bake was made by; null: there is no such bake, or its formula cannot be read. */
export async function bakedFormula({ pool, kitchen }: Context, bakeId: string): Promise<BakedFormula | null> {
  const bake = await findBake(pool, kitchen.id, bakeId);
  if (!bake) return null;
  const [revision, head] = await Promise.all([
    findRevision(pool, kitchen.id, bake.formulaId, bake.revision),
    findFormula(pool, kitchen.id, bake.formulaId),
  ]);
  return revision && head && { formula: revision.formula, head: head.revision };
}
