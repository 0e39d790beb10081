import { consistencyOf, type Consistency } from '../consistency/consistency';
import { massByIngredient, type Formula } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { ok, refuse, type Result } from '../result';

/** What a tool would do to the sheet: the sheet as it would be, and what changed, for the baker to take or leave. */
export interface Proposal {
  readonly formula: Formula;
  readonly before: Consistency;
  readonly after: Consistency;
  readonly changes: readonly Change[];
  /** Lines that were wanted away and for which nothing is known to put in; they are gone, and this says so. */
  readonly without: readonly string[];
}
interface Change {
  readonly ingredientId: string;
  readonly fromG: number;
  readonly toG: number;
}

/** What changed between two sheets, and what the dough was and becomes; `noFlour` where there is none to compute percentages of. */
export function proposalOf(
  from: Formula,
  to: Formula,
  book: IngredientBook,
  without: readonly string[] = [],
): Result<Proposal> {
  const before = consistencyOf(from, book);
  const after = consistencyOf(to, book);
  if (!before || !after) return refuse('noFlour');
  const old = massByIngredient(from);
  const now = massByIngredient(to);
  const changes = [...new Set([...old.keys(), ...now.keys()])].flatMap((ingredientId): Change[] => {
    const fromG = old.get(ingredientId) ?? 0;
    const toG = now.get(ingredientId) ?? 0;
    return Math.abs(fromG - toG) < 1e-6 ? [] : [{ ingredientId, fromG, toG }];
  });
  return ok({ formula: to, before, after, changes, without });
}
