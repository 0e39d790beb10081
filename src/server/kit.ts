import type { SetAside } from '@/core/documents';
import { ORDINARY_KIT, type Kit } from '@/core/kit';
import type { SaveKit } from '@/core/requests';
import { KITS } from '@/db/queries/versions';
import type { Context } from './context';
import { done, type Done } from './failure';
import { loadVersion, saveVersion } from './versions';

export interface StoredKit {
  /** 0: nobody has said anything yet, these are ordinary figures. */
  readonly version: number;
  readonly kit: Kit;
  /** The newest version cannot be read: an older one, or ordinary figures, stand in for it. */
  readonly setAside?: SetAside;
}

/** The kitchen's kit; ordinary figures until somebody says more. */
export async function loadKit(context: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredKit> {
  const { value, ...stored } = await loadVersion(context, KITS, ORDINARY_KIT);
  return { ...stored, kit: value };
}

/** Keeps the next version of the kit: {@link saveVersion}. */
export async function saveKit(
  context: Context,
  { requestId, seen, kit }: SaveKit,
): Promise<Done<{ readonly version: number; readonly kit: Kit }>> {
  const answer = await saveVersion(context, KITS, { requestId, seen, value: kit });
  return answer.ok ? done({ version: answer.value.version, kit: answer.value.value }) : answer;
}
