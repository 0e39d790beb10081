import type { SetAside } from '@/core/documents';
import { ORDINARY_KIT, type Kit } from '@/core/kit';
import type { SaveKit } from '@/core/requests';
import { KITS, newestVersion } from '@/db/queries/versions';
import type { Context } from './context';
import { done, type Done } from './failure';
import { saveVersion } from './versions';

export interface StoredKit {
  /** 0: nobody has said anything yet, these are ordinary figures. */
  readonly version: number;
  readonly kit: Kit;
  /** The newest version cannot be read: an older one, or ordinary figures, stand in for it. */
  readonly setAside?: SetAside;
}

/** The kitchen's kit; ordinary figures until somebody says more. */
export async function loadKit({ pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredKit> {
  const { newest, setAside, version } = await newestVersion(pool, KITS, kitchen.id);
  return { version, kit: newest?.value ?? ORDINARY_KIT, ...(setAside && { setAside }) };
}

/** Keeps the next version of the kit: {@link saveVersion}. */
export async function saveKit(
  context: Context,
  { requestId, seen, kit }: SaveKit,
): Promise<Done<{ readonly version: number; readonly kit: Kit }>> {
  const answer = await saveVersion(context, KITS, { requestId, seen, value: kit });
  return answer.ok ? done({ version: answer.value.version, kit: answer.value.value }) : answer;
}
