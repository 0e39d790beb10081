'use client';
import type { DayDocument } from '@/core/day/dayDocument';
import type { LifeDocument } from '@/core/day/lifeDocument';
import { words } from '@/wording/screens/day/saving';
import { useVersioned, type Stored, type VersionedPlace } from '../versioned/useVersioned';

const DAY: VersionedPlace<DayDocument> = {
  of: 'day',
  what: words.changesToTheDay,
  body: ({ requestId, seen, value }) => ({ requestId, seen, day: value }),
  readDraft: async (body) => {
    const { saveDaySchema } = await import('@/core/requests');
    const read = saveDaySchema.safeParse(body);
    return read.success ? { requestId: read.data.requestId, seen: read.data.seen, value: read.data.day } : null;
  },
}; // prettier-ignore

const LIFE: VersionedPlace<LifeDocument> = {
  of: 'life',
  what: words.changesToYourHours,
  body: ({ requestId, seen, value }) => ({ requestId, seen, life: value }),
  readDraft: async (body) => {
    const { saveLifeSchema } = await import('@/core/requests');
    const read = saveLifeSchema.safeParse(body);
    return read.success ? { requestId: read.data.requestId, seen: read.data.seen, value: read.data.life } : null;
  },
}; // prettier-ignore

/** The day as it is being changed. */
export const useDay = (stored: Stored<DayDocument>) => useVersioned(stored, DAY);
/** When hands are free, as it is being changed. */
export const useLife = (stored: Stored<LifeDocument>) => useVersioned(stored, LIFE);
