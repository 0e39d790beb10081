'use client';
import type { Kit } from '@/core/kit';
import { words } from '@/wording/screens/kit/useKit';
import type { SaveWish } from '../queue/saver';
import { useVersioned, type VersionedPlace, type VersionedSave } from '../versioned/useVersioned';

export type KitSave = VersionedSave;

async function readDraft(body: unknown): Promise<SaveWish<Kit> | null> {
  const { saveKitSchema } = await import('@/core/requests');
  const read = saveKitSchema.safeParse(body);
  return read.success ? { requestId: read.data.requestId, seen: read.data.seen, value: read.data.kit } : null;
}

const KIT: VersionedPlace<Kit> = {
  of: 'kit',
  what: words.changesToTheEquipment,
  body: ({ requestId, seen, value }) => ({ requestId, seen, kit: value }),
  readDraft,
};

/** The kit as it is being changed. */
export function useKit(stored: { readonly version: number; readonly kit: Kit }) {
  const { value, change, save } = useVersioned({ version: stored.version, value: stored.kit }, KIT);
  return { kit: value, change, save };
}
