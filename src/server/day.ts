import { EMPTY_DAY, type DayDocument } from '@/core/day/dayDocument';
import { ORDINARY_LIFE, type LifeDocument } from '@/core/day/lifeDocument';
import type { SaveDay, SaveLife } from '@/core/requests';
import { DAYS, LIVES } from '@/db/queries/versions';
import type { Context } from './context';
import { loadVersion, saveNext, type Stored } from './versions';

export type StoredDay = Stored<DayDocument>;
export type StoredLife = Stored<LifeDocument>;

/** What a kitchen is going to make. */
export const loadDay = (context: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredDay> =>
  loadVersion(context, DAYS, EMPTY_DAY);

/** When its hands are free; a plain life until somebody says more. */
export const loadLife = (context: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredLife> =>
  loadVersion(context, LIVES, ORDINARY_LIFE);

export const saveDay = (context: Context, { requestId, seen, day }: SaveDay) =>
  saveNext(context, DAYS, { requestId, seen, value: day }, { alike: true });

export const saveLife = (context: Context, { requestId, seen, life }: SaveLife) =>
  saveNext(context, LIVES, { requestId, seen, value: life });
