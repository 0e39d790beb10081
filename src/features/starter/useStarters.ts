'use client';
import type { StartersDocument } from '@/core/starter/starterDocument';
import { words } from '@/wording/screens/starter/saving';
import { useVersioned, type Stored, type VersionedPlace } from '../versioned/useVersioned';

const STARTERS: VersionedPlace<StartersDocument> = {
  of: 'starters',
  what: words.whatYouTold,
  body: ({ requestId, seen, value }) => ({ requestId, seen, starters: value }),
  readDraft: async (body) => {
    const { saveStartersSchema } = await import('@/core/requests');
    const read = saveStartersSchema.safeParse(body);
    return read.success ? { requestId: read.data.requestId, seen: read.data.seen, value: read.data.starters } : null;
  },
}; // prettier-ignore

/** The starters of a kitchen as they are being told of. */
export const useStarters = (stored: Stored<StartersDocument>) => useVersioned(stored, STARTERS);
