'use client';
import type { DayDocument } from '@/core/day/dayDocument';
import type { LifeDocument } from '@/core/day/lifeDocument';
import { words } from '@/wording/screens/day/saving';
import { useVersioned, versionedPlace, type Stored } from '../versioned/useVersioned';

const requests = () => import('@/core/requests');
const DAY = versionedPlace('day', words.changesToTheDay, async () => (await requests()).saveDaySchema);
const LIFE = versionedPlace('life', words.changesToYourHours, async () => (await requests()).saveLifeSchema);

/** The day as it is being changed. */
export const useDay = (stored: Stored<DayDocument>) => useVersioned(stored, DAY);
/** When hands are free, as it is being changed. */
export const useLife = (stored: Stored<LifeDocument>) => useVersioned(stored, LIFE);
