import { databaseFailure } from '@/db/errors';
import {
  findVersionByRequest,
  insertVersion,
  newestVersion,
  type Version,
  type VersionStore,
} from '@/db/queries/versions';
import type { SetAside } from '@/core/documents';
import type { Context } from './context';
import { done, failed, type Done } from './failure';
import { sameContent } from './sameContent';

interface SaveVersion<T> {
  readonly requestId: string;
  /** The version the writer had before its eyes. */
  readonly seen: number;
  readonly value: T;
}

/** A kitchen's document, and how it was saved. */
export interface Stored<T> {
  /** 0: nobody has said anything yet. */
  readonly version: number;
  readonly value: T;
  /** The newest version cannot be read: an older one stands in for it. */
  readonly setAside?: SetAside;
}

/** A kitchen's document as it is now; what it is where nobody has said anything yet. */
export async function loadVersion<T>(
  { pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>,
  store: VersionStore<T>,
  atFirst: T,
): Promise<Stored<T>> {
  const { newest, setAside, version } = await newestVersion(pool, store, kitchen.id);
  return { version, value: newest?.value ?? atFirst, ...(setAside && { setAside }) };
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

/** {@link saveVersion}, answered with the version alone: whoever saves knows what. */
export async function saveNext<T>(...[context, store, save, options]: Parameters<typeof saveVersion<T>>): Promise<Done<{ readonly version: number }>> {
  const answer = await saveVersion(context, store, save, options);
  return answer.ok ? done({ version: answer.value.version }) : answer;
} // prettier-ignore
