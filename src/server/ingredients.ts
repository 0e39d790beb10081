import { KITCHEN_ENTRY, setAside, type SetAside } from '@/core/documents';
import { kitchenBook, sparingBook, type StoredEntry } from '@/core/ingredients';
import type { KitchenEntry } from '@/core/ingredients/kitchenEntrySchema';
import type { SaveIngredient } from '@/core/requests';
import { databaseFailure } from '@/db/errors';
import {
  findEntryByRequest,
  insertEntry,
  listEntries,
  lockEntries,
  newestEntryVersion,
  siftEntries,
} from '@/db/queries/ingredients';
import { sameContent } from './sameContent';
import type { Queryable } from '@/db/rows';
import { transaction } from '@/db/transaction';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';

/** What the kitchen adds to the library, as every page gets it. */
export const loadEntries = (
  { pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>,
  db: Queryable = pool,
): Promise<StoredEntry[]> => listEntries(db, kitchen.id);

/** What the kitchen adds to the library, with what of it cannot be used: unreadable, or made of something that is. */
export async function siftLarder({
  pool,
  kitchen,
}: Pick<Context, 'pool' | 'kitchen'>): Promise<{ stored: StoredEntry[]; setAside: SetAside[] }> {
  const { rows, setAside: unreadable } = await siftEntries(pool, kitchen.id);
  const { leftOut } = sparingBook(rows);
  return {
    stored: rows.filter((entry) => !leftOut.includes(entry)),
    setAside: [
      ...unreadable,
      ...leftOut.map(({ id, entry }) => setAside(KITCHEN_ENTRY, id, KITCHEN_ENTRY.version, entry)),
    ],
  };
}

/** Would the book still hold together with this entry in it? The problem's path is the entry's own field. */
function problemWith(entry: KitchenEntry, others: readonly StoredEntry[], away: boolean) {
  // what does not fit without it either is no fault of this one
  const { leftOut } = sparingBook(others);
  const stored = [
    ...others.filter((each) => each.id !== entry.id && !leftOut.includes(each)),
    { id: entry.id, version: 0, away, entry },
  ];
  const merged = kitchenBook(stored);
  if (merged.ok) return null;
  const [, ...rest] = merged.problem.path.split('.');
  return { ...merged.problem, path: rest.join('.') };
}

/** The first answer once more, if it is the same wish. */
const again = (stored: StoredEntry, { seen, entry, away }: SaveIngredient): Done<StoredEntry> =>
  stored.version === seen + 1 && stored.away === away && sameContent(stored.entry, entry)
    ? done(stored)
    : failed({ kind: 'otherContent' });

/**
 * Keeps the next version of an entry, provided the writer had seen the newest (`seen`, 0 for a new one). A blend that would
 * contain itself is refused; a repeated request gets its first answer again; nothing is overwritten.
 */
export async function saveEntry(context: Context, wish: SaveIngredient): Promise<Done<StoredEntry>> {
  const { requestId, seen, entry, away } = wish;
  const { pool, kitchen, now } = context;
  try {
    return await transaction(pool, async (client) => {
      await lockEntries(client, kitchen.id);
      const earlier = await findEntryByRequest(client, kitchen.id, requestId);
      if (earlier) return again(earlier, wish);
      const newest = await newestEntryVersion(client, kitchen.id, entry.id);
      if (newest !== seen) return failed({ kind: 'stale', revision: newest, savedAtMs: 0 });
      const all = await loadEntries(context, client);
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
    if (earlier) return again(earlier, wish);
    throw error;
  }
}
