import { createHash, timingSafeEqual } from 'node:crypto';
import type pg from 'pg';
import { INSTRUMENT_LIMITS } from '@/core/instrument/instrumentKinds';
import { windowsOf } from '@/core/instrument/readingWindow';
import type { ShownInstrument } from '@/core/instrument/shownInstrument';
import { judgeReadings, LATE_MS, type AddInstrument, type RefusedReadings } from '@/core/instrument/telling';
import {
  addWindows,
  countInstruments,
  findInstrumentByRequest,
  findTelling,
  forgetTellings,
  holdInstrument,
  insertInstrument,
  insertTelling,
  instrumentByKey,
  listInstruments,
  withdrawInstrument,
} from '@/db/queries/instruments';
import { transaction } from '@/db/transaction';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';

const digest = (text: string): Buffer => createHash('sha256').update(text).digest();

/** Adds an instrument. The same wish again is the same instrument; its key is never told, only known. */
export async function addInstrument(
  { pool, kitchen, now, newId }: Context,
  { requestId, name, kind, stepG, key }: AddInstrument,
): Promise<Done<{ readonly id: string }>> {
  const keyDigest = digest(key);
  return transaction(pool, async (client) => {
    const inUse = await countInstruments(client, kitchen.id);
    const earlier = await findInstrumentByRequest(client, kitchen.id, requestId);
    if (earlier) {
      const same = earlier.name === name && earlier.kind === kind && earlier.stepG === stepG && timingSafeEqual(earlier.keyDigest, keyDigest);
      return same ? done({ id: earlier.id }) : failed({ kind: 'otherContent' });
    }
    const max = INSTRUMENT_LIMITS.perKitchen;
    if (inUse >= max) return invalid({ code: 'tooMany', path: 'name', params: { max } });
    const id = newId();
    const added = await insertInstrument(client, kitchen.id, { id, requestId, name, kind, stepG, keyDigest, addedAt: now() });
    return added ? done({ id }) : failed({ kind: 'otherContent' });
  });
} // prettier-ignore

/** Its key opens nothing from now on; what it told stays. */
export const withdraw = async ({ pool, kitchen, now }: Context, id: string): Promise<Done<object>> =>
  (await withdrawInstrument(pool, kitchen.id, id, now())) ? done({}) : failed({ kind: 'notFound' });

/** The instruments in use, and what each told last. */
export async function instrumentsNow({
  pool,
  kitchen,
  now,
}: Context): Promise<{ readonly instruments: readonly ShownInstrument[]; readonly nowMs: number }> {
  const rows = await listInstruments(pool, kitchen.id);
  return {
    instruments: rows.map(({ atMs, value, state, ...instrument }) => ({
      ...instrument,
      last: atMs === null || value === null || state === null ? null : { atMs, value, state },
    })),
    nowMs: now().getTime(),
  };
}

/** What became of a telling. */
export interface ToldAnswer {
  readonly taken: number;
  readonly refused: RefusedReadings;
}

/** Sent again it may say anew how long ago each was: that is not what it tells. */
const whatIsTold = (readings: readonly unknown[]): Buffer =>
  digest(
    JSON.stringify(
      readings.map((each) =>
        typeof each === 'object' && each !== null && !Array.isArray(each) ? { ...each, agoMs: 0 } : each,
      ),
    ),
  );

interface Telling {
  readonly tellingId: string;
  readonly readings: readonly unknown[];
}

/**
 * Takes what an instrument tells: every reading is counted in its ten seconds or refused for a reason that is counted, and what is
 * answered is saved. The same telling again gets the same answer and counts nothing.
 *
 * @param key what it says it is
 * @returns null: nobody's key
 */
export async function take(
  pool: pg.Pool,
  key: string,
  { tellingId, readings }: Telling,
  now: Date,
): Promise<Done<ToldAnswer> | null> {
  const instrument = await instrumentByKey(pool, digest(key));
  if (!instrument) return null;
  const { id, kitchenId, kind } = instrument;
  const { taken, refused } = judgeReadings(kind, readings, now.getTime());
  const content = whatIsTold(readings);
  return transaction(pool, async (client) => {
    if (!(await holdInstrument(client, kitchenId, id))) return null;
    const telling = { tellingId, content, receivedAt: now, taken: taken.length, refused };
    if (!(await insertTelling(client, kitchenId, id, telling))) {
      const before = await findTelling(client, kitchenId, id, tellingId);
      if (!before?.content.equals(content)) return failed({ kind: 'otherContent' });
      const { malformed, impossible, late } = before;
      return done({ taken: before.taken, refused: { malformed, impossible, late } });
    }
    const windows = windowsOf(taken);
    if (windows.length > 0) await addWindows(client, kitchenId, id, windows);
    // now and then: nothing is asked about them any more
    if (now.getTime() % 64 === 0) await forgetTellings(client, kitchenId, id, new Date(now.getTime() - LATE_MS - 3_600_000));
    return done({ taken: taken.length, refused });
  });
} // prettier-ignore
