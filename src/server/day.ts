import { EMPTY_DAY, type DayDocument } from '@/core/day/dayDocument';
import { piecesOut } from '@/core/day/piecesOut';
import { ORDINARY_LIFE, type LifeDocument } from '@/core/day/lifeDocument';
import type { SaveDay, SaveLife } from '@/core/requests';
import { DAYS, LIVES } from '@/db/queries/versions';
import { takeFromStock } from './bakes';
import type { Context } from './context';
import { orUnreadable } from './orUnreadable';
import { loadVersion, saveNext, type Stored } from './versions';

export type StoredDay = Stored<DayDocument>;
export type StoredLife = Stored<LifeDocument>;

/** What a kitchen is going to make. */
export const loadDay = (context: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredDay> =>
  loadVersion(context, DAYS, EMPTY_DAY);

/** When its hands are free; a plain life until somebody says more. */
export const loadLife = (context: Pick<Context, 'pool' | 'kitchen'>): Promise<StoredLife> =>
  loadVersion(context, LIVES, ORDINARY_LIFE);

/** Keeps a day; what it has taken out of what was put by is no longer there. */
export async function saveDay(context: Context, { requestId, seen, day }: SaveDay): Promise<Awaited<ReturnType<typeof saveNext<DayDocument>>>> {
  const saved = await saveNext(context, DAYS, { requestId, seen, value: day }, { alike: true });
  if (saved.ok) await tellStock(context, day);
  return saved;
} // prettier-ignore

/** Told once for each batch, by its id; whatever stopped it the first time, the next time the day is saved it is told. */
async function tellStock(context: Context, { batches }: DayDocument): Promise<void> {
  for (const batch of batches) {
    const { id: eventId, takenOut, progress } = batch;
    if (!takenOut || Object.keys(progress).length === 0) continue;
    const { bakeId, wayId } = takenOut;
    // a bake that can no longer be read has nothing to be told
    await orUnreadable(takeFromStock(context, bakeId, { eventId, wayId, pieces: piecesOut(batch) }));
  }
}

export const saveLife = (context: Context, { requestId, seen, life }: SaveLife) =>
  saveNext(context, LIVES, { requestId, seen, value: life });
