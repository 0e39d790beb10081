import { databaseFailure } from '@/db/errors';
import {
  findVersionByRequest,
  insertVersion,
  newestVersion,
  type Version,
  type VersionStore,
} from '@/db/queries/versions';
import type { Context } from './context';
import { done, failed, type Done } from './failure';
import { sameContent } from './sameContent';

interface SaveVersion<T> {
  readonly requestId: string;
  /** The version the writer had before its eyes. */
  readonly seen: number;
  readonly value: T;
}

/**
 * Keeps the next version of a kitchen's document, provided the writer had seen the newest. A repeated request gets its first answer again, also
 * when it arrives while the first is being saved; of two writers at once the key lets one through and the other is told.
 *
 * @param alike two that write the same are no conflict: what tabs make by themselves, each the same
 */
export async function saveVersion<T>(
  { pool, kitchen, now }: Context,
  store: VersionStore<T>,
  { requestId, seen, value }: SaveVersion<T>,
  { alike = false }: { readonly alike?: boolean } = {},
): Promise<Done<Version<T>>> {
  const earlier = async (): Promise<Done<Version<T>> | null> => {
    const found = await findVersionByRequest(pool, store, kitchen.id, requestId);
    if (!found) return null;
    return found.version === seen + 1 && sameContent(found.value, value)
      ? done(found)
      : failed({ kind: 'otherContent' });
  };
  const newest = async () => (await newestVersion(pool, store, kitchen.id)).version;
  const stale = async (): Promise<Done<Version<T>>> => {
    // asked last: the first sending of this very request may have been saved since it was looked for
    const { newest: latest, version } = await newestVersion(pool, store, kitchen.id);
    const mine = await earlier();
    if (mine) return mine;
    if (alike && seen < version && latest && sameContent(latest.value, value))
      return done({ version, value });
    return failed({ kind: 'stale', revision: version, savedAtMs: 0 });
  };
  const before = await earlier();
  if (before) return before;
  if ((await newest()) !== seen) return stale();
  try {
    return done(
      await insertVersion(pool, store, {
        kitchenId: kitchen.id,
        version: seen + 1,
        requestId,
        value,
        savedAt: now(),
      }),
    );
  } catch (error) {
    if (databaseFailure(error) !== 'duplicate') throw error;
    return stale();
  }
}
