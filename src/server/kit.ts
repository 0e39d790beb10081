import { ORDINARY_KIT, type Kit } from '@/core/kit';
import type { SaveKit } from '@/core/requests';
import { databaseFailure } from '@/db/errors';
import { findKitByRequest, insertKit, newestKit } from '@/db/queries/kits';
import type { Context } from './context';
import { done, failed, type Done } from './failure';

export interface KeptKit {
  /** 0: nobody has said anything yet, these are ordinary figures. */
  readonly version: number;
  readonly kit: Kit;
}

/** The kitchen's kit; ordinary figures at the kitchen's own altitude until somebody says more. */
export async function loadKit({ pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>): Promise<KeptKit> {
  return (
    (await newestKit(pool, kitchen.id)) ?? {
      version: 0,
      kit: { ...ORDINARY_KIT, altitudeM: kitchen.details.altitudeM },
    }
  );
}

/**
 * Keeps the next version of the kit, provided the writer had seen the newest. A repeated request gets its first answer again; of two
 * at once the key lets one through and the other is told.
 */
export async function saveKit(context: Context, { requestId, seen, kit }: SaveKit): Promise<Done<KeptKit>> {
  const { pool, kitchen, now } = context;
  const earlier = await findKitByRequest(pool, kitchen.id, requestId);
  if (earlier) return done(earlier);
  const stale = async () => {
    const newest = await loadKit(context);
    return failed({ kind: 'stale', revision: newest.version, savedAtMs: 0 });
  };
  if ((await loadKit(context)).version !== seen) return stale();
  try {
    return done(
      await insertKit(pool, { kitchenId: kitchen.id, version: seen + 1, requestId, kit, savedAt: now() }),
    );
  } catch (error) {
    if (databaseFailure(error) !== 'duplicate') throw error;
    const again = await findKitByRequest(pool, kitchen.id, requestId);
    return again ? done(again) : stale();
  }
}
