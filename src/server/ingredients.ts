import { kitchenBook, type KeptIngredient } from '@/core/ingredients';
import type { KitchenEntry } from '@/core/ingredients/kitchenEntrySchema';
import type { SaveIngredient } from '@/core/requests';
import { databaseFailure } from '@/db/errors';
import { findEntryByRequest, insertEntry, listEntries, lockEntries } from '@/db/queries/ingredients';
import type { Queryable } from '@/db/rows';
import { transaction } from '@/db/transaction';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';

/** What the kitchen adds to the library, as every page gets it. */
export const loadEntries = (
  { pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>,
  db: Queryable = pool,
): Promise<KeptIngredient[]> => listEntries(db, kitchen.id);

/** Would the book still hold together with this entry in it? The problem's path is the entry's own field. */
function problemWith(entry: KitchenEntry, others: readonly KeptIngredient[], away: boolean) {
  const kept = [...others.filter(({ id }) => id !== entry.id), { id: entry.id, version: 0, away, entry }];
  const laid = kitchenBook(kept);
  if (laid.ok) return null;
  const [, ...rest] = laid.problem.path.split('.');
  return { ...laid.problem, path: rest.join('.') };
}

/**
 * Keeps the next version of an entry, provided the writer had seen the newest (`seen`, 0 for a new one). A blend that would
 * contain itself is refused; a repeated request gets its first answer again; nothing is overwritten.
 */
export async function saveEntry(
  context: Context,
  { requestId, seen, entry, away }: SaveIngredient,
): Promise<Done<KeptIngredient>> {
  const { pool, kitchen, now } = context;
  try {
    return await transaction(pool, async (client) => {
      await lockEntries(client, kitchen.id);
      const earlier = await findEntryByRequest(client, kitchen.id, requestId);
      if (earlier) return done(earlier);
      const all = await loadEntries(context, client);
      const newest = all.find(({ id }) => id === entry.id);
      if ((newest?.version ?? 0) !== seen) {
        return failed({ kind: 'stale', revision: newest?.version ?? 0, savedAtMs: 0 });
      }
      const problem = problemWith(entry, all, away);
      if (problem) return invalid(problem);
      const version = seen + 1;
      return done(
        await insertEntry(client, { kitchenId: kitchen.id, version, requestId, entry, away, savedAt: now() }),
      );
    });
  } catch (error) {
    const earlier =
      databaseFailure(error) === 'duplicate' ? await findEntryByRequest(pool, kitchen.id, requestId) : null;
    if (earlier) return done(earlier);
    throw error;
  }
}
