'use client';
import type { StartersDocument } from '@/core/starter/starterDocument';
import { words } from '@/wording/screens/starter/saving';
import { useVersioned, versionedPlace, type Stored } from '../versioned/useVersioned';

const STARTERS = versionedPlace(
  'starters',
  words.whatYouTold,
  async () => (await import('@/core/requests')).saveStartersSchema,
);

/** The starters of a kitchen as they are being told of. */
export const useStarters = (stored: Stored<StartersDocument>) => useVersioned(stored, STARTERS);
