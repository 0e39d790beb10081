import type { SetAside } from '@/core/documents';
import { ORDINARY_KIT, type Kit } from '@/core/kit';
import type { SaveKit } from '@/core/requests';
import { databaseFailure } from '@/db/errors';
import { findKitByRequest, insertKit, newestKit, type KitVersion } from '@/db/queries/kits';
import type { Context } from './context';
import { done, failed, type Done } from './failure';
import { sameContent } from './sameContent';

export interface StoredKit {
  /** 0: nobody has said anything yet, these are ordinary figures. */
  readonly version: number;
  readonly kit: Kit;
  /** The newest version cannot be read: an older one, or ordinary figures, stand in for it. */
  readonly setAside?: SetAside;
}

/** The kitchen's kit; ordinary figures until somebody says more. */
export async function loadKit({ pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredKit> {
  const { newest, setAside, version } = await newestKit(pool, kitchen.id);
  return { version, kit: newest?.kit ?? ORDINARY_KIT, ...(setAside && { setAside }) };
}

/**
 * Keeps the next version of the kit, provided the writer had seen the newest. A repeated request gets its first answer again, also
 * when it arrives while the first is being saved; of two writers at once the key lets one through and the other is told.
 */
export async function saveKit(
  context: Context,
  { requestId, seen, kit }: SaveKit,
): Promise<Done<KitVersion>> {
  const { pool, kitchen, now } = context;
  const earlier = async (): Promise<Done<KitVersion> | null> => {
    const found = await findKitByRequest(pool, kitchen.id, requestId);
    if (!found) return null;
    return found.version === seen + 1 && sameContent(found.kit, kit)
      ? done(found)
      : failed({ kind: 'otherContent' });
  };
  const stale = async (): Promise<Done<KitVersion>> => {
    // asked last: the first sending of this very request may have been saved since it was looked for
    const newest = await loadKit(context);
    return (await earlier()) ?? failed({ kind: 'stale', revision: newest.version, savedAtMs: 0 });
  };
  const before = await earlier();
  if (before) return before;
  if ((await loadKit(context)).version !== seen) return stale();
  try {
    return done(
      await insertKit(pool, { kitchenId: kitchen.id, version: seen + 1, requestId, kit, savedAt: now() }),
    );
  } catch (error) {
    if (databaseFailure(error) !== 'duplicate') throw error;
    return stale();
  }
}
