'use client';
import type { Kit } from '@/core/kit';
import { words } from '@/wording/screens/kit/useKit';
import { useVersioned, versionedPlace, type VersionedSave } from '../versioned/useVersioned';

export type KitSave = VersionedSave;

const KIT = versionedPlace(
  'kit',
  words.changesToTheEquipment,
  async () => (await import('@/core/requests')).saveKitSchema,
);

/** The kit as it is being changed. */
export function useKit(stored: { readonly version: number; readonly kit: Kit }) {
  const { value, change, save } = useVersioned({ version: stored.version, value: stored.kit }, KIT);
  return { kit: value, change, save };
}
