import { checkFormula, formulaTotals, type Formula } from '@/core/formula';
import { databaseFailure } from '@/db/errors';
import { countBakes } from '@/db/queries/bakes';
import {
  findByRequest,
  findFormula,
  findFormulaJson,
  findRevision,
  insertRevision,
  listFormulas,
  listRevisions,
  lockHead,
  setArchived,
  type FormulaHead,
  type FormulaRevision,
  type SavedRevision,
} from '@/db/queries/formulas';
import { transaction } from '@/db/transaction';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';

export interface FormulaCard {
  readonly id: string;
  readonly name: string;
  readonly style: Formula['style'];
  readonly archived: boolean;
  readonly savedAtMs: number;
  readonly revision: number;
  readonly hydrationAll: number | null;
  readonly doughG: number;
  readonly binders: readonly { readonly name: string; readonly percent: number | null }[];
  readonly flours: readonly { readonly name: string; readonly percent: number }[];
  readonly bakes: number;
  readonly lastBakedAtMs: number | null;
}

/** The shelf of formulas, each with the figures a baker knows a dough by. */
export async function formulaCards({ pool, kitchen, book }: Context): Promise<FormulaCard[]> {
  const [formulas, counts] = await Promise.all([
    listFormulas(pool, kitchen.id),
    countBakes(pool, kitchen.id),
  ]);
  const bakes = new Map(counts.map((count) => [count.formulaId, count]));
  return formulas.map(({ id, revision, savedAtMs, archivedAtMs, formula }) => {
    const totals = formulaTotals(formula, book);
    const name = (ingredientId: string) => book.get(ingredientId)?.name ?? ingredientId;
    return {
      id,
      name: formula.name,
      style: formula.style,
      archived: archivedAtMs !== null,
      savedAtMs,
      revision,
      hydrationAll: totals.hydrationAll,
      doughG: totals.doughG,
      binders: totals.binders.map((binder) => ({ name: name(binder.ingredientId), percent: binder.percent })),
      flours: formula.stages
        .flatMap((stage) => stage.lines)
        .filter((line) => totals.baseLineIds.has(line.id))
        .map((line) => ({ name: name(line.ingredientId), percent: totals.linePercent.get(line.id) ?? 0 }))
        .sort((a, b) => b.percent - a.percent),
      bakes: bakes.get(id)?.count ?? 0,
      lastBakedAtMs: bakes.get(id)?.lastAtMs ?? null,
    };
  });
}

export const loadFormula = ({ pool, kitchen }: Context, id: string): Promise<FormulaHead | null> =>
  findFormula(pool, kitchen.id, id);

export const loadFormulaJson = async ({ pool, kitchen }: Context, id: string): Promise<string | null> =>
  (await findFormulaJson(pool, kitchen.id, id))?.json ?? null;

export const loadRevisions = ({ pool, kitchen }: Context, id: string): Promise<FormulaRevision[]> =>
  listRevisions(pool, kitchen.id, id, 200);

/**
 * Makes a formula with its first revision. Sent twice with the same request id it is made once, and the second sender is
 * told about the first.
 */
export async function createFormula(
  { pool, kitchen, book, now, newId }: Context,
  { requestId, formula }: { requestId: string; formula: Formula },
): Promise<Done<SavedRevision>> {
  const problems = checkFormula(formula, book);
  if (problems.length > 0) return invalid(...problems);
  const savedAt = now();
  const id = newId();
  try {
    return await transaction(pool, async (client) => {
      const earlier = await findByRequest(client, kitchen.id, requestId);
      if (earlier) return done(earlier);
      await insertRevision(client, { kitchenId: kitchen.id, id, number: 1, requestId, formula, savedAt });
      return done({ id, revision: 1, savedAtMs: savedAt.getTime() });
    });
  } catch (error) {
    // both sendings were under way at once: the key let one through, and that one is the answer to both
    const earlier =
      databaseFailure(error) === 'duplicate' ? await findByRequest(pool, kitchen.id, requestId) : null;
    if (earlier) return done(earlier);
    throw error;
  }
}

/**
 * Keeps the next revision of a formula, provided the writer had seen the newest (`seen`). A stale writer is told, and
 * nothing is overwritten. A repeated request gets its first answer again.
 */
export async function saveFormula(
  { pool, kitchen, book, now }: Context,
  { id, requestId, seen, formula }: { id: string; requestId: string; seen: number; formula: Formula },
): Promise<Done<SavedRevision>> {
  const problems = checkFormula(formula, book);
  if (problems.length > 0) return invalid(...problems);
  return transaction(pool, async (client) => {
    // The lock comes first: a repetition that arrives while the first is under way waits here, then finds its answer.
    const head = await lockHead(client, kitchen.id, id);
    if (!head) return failed({ kind: 'notFound' });
    const earlier = await findByRequest(client, kitchen.id, requestId);
    if (earlier) {
      return earlier.id === id ? done(earlier) : invalid({ code: 'duplicateId', path: 'requestId' });
    }
    if (head.head !== seen) {
      const newest = await findRevision(client, kitchen.id, id, head.head);
      return failed({ kind: 'stale', revision: head.head, savedAtMs: newest?.savedAtMs ?? 0 });
    }
    const savedAt = now();
    const number = head.head + 1;
    await insertRevision(client, { kitchenId: kitchen.id, id, number, requestId, formula, savedAt });
    return done({ id, revision: number, savedAtMs: savedAt.getTime() });
  });
}

/** A copy under its own name, starting its own history. */
export async function duplicateFormula(
  context: Context,
  { id, requestId }: { id: string; requestId: string },
): Promise<Done<SavedRevision>> {
  const source = await loadFormula(context, id);
  if (!source) return failed({ kind: 'notFound' });
  const name = `${source.formula.name.slice(0, 72)} (copy)`;
  return createFormula(context, { requestId, formula: { ...source.formula, name } });
}

/** Puts a formula away or brings it back; doing it twice is the same as once. */
export async function archiveFormula(
  { pool, kitchen, now }: Context,
  { id, archived }: { id: string; archived: boolean },
): Promise<Done<{ id: string }>> {
  const row = await setArchived(pool, kitchen.id, id, archived ? now() : null);
  return row ? done(row) : failed({ kind: 'notFound' });
}
