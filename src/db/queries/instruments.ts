import * as z from 'zod';
import { INSTRUMENT_KINDS, type InstrumentKind } from '@/core/instrument/instrumentKinds';
import type { ReadingWindow } from '@/core/instrument/readingWindow';
import type { RefusedReadings } from '@/core/instrument/telling';
import { many, maybeOne, one, type Queryable } from '../rows';

const instant = z.date().transform((date) => date.getTime());
const kind = z.enum(INSTRUMENT_KINDS);

const keyRow = z.object({ id: z.uuid(), kitchenId: z.uuid(), kind });

/** Whose key this is; null: nobody's, or it was withdrawn. The one query that knows no kitchen yet: the key says which. */
export const instrumentByKey = (db: Queryable, keyDigest: Buffer) =>
  maybeOne(
    db,
    {
      name: 'instrument-key',
      text: `select id, kitchen_id as "kitchenId", kind from instrument where key_digest = $1 and withdrawn_at is null`,
      row: keyRow,
    },
    [keyDigest],
  );

/** Is it still in use? It holds until the transaction ends: nobody withdraws its key meanwhile. */
export const holdInstrument = async (db: Queryable, kitchenId: string, id: string): Promise<boolean> =>
  (await maybeOne(
    db,
    {
      name: 'instrument-hold',
      text: `select id from instrument where kitchen_id = $1 and id = $2 and withdrawn_at is null for share`,
      row: z.object({ id: z.uuid() }),
    },
    [kitchenId, id],
  )) !== null;

interface NewInstrument {
  readonly id: string;
  readonly requestId: string;
  readonly name: string;
  readonly kind: InstrumentKind;
  readonly stepG: number | null;
  readonly keyDigest: Buffer;
  readonly addedAt: Date;
}

/** @returns whether it was added; false: that wish, or that key, has added one before */
export async function insertInstrument(
  db: Queryable,
  kitchenId: string,
  made: NewInstrument,
): Promise<boolean> {
  const { rows } = await db.query({
    text: `insert into instrument (id, kitchen_id, request_id, name, kind, step_g, key_digest, added_at) values ($1, $2, $3, $4, $5, $6, $7, $8)
           on conflict do nothing returning id`,
    values: [
      made.id,
      kitchenId,
      made.requestId,
      made.name,
      made.kind,
      made.stepG,
      made.keyDigest,
      made.addedAt,
    ],
  });
  return rows.length === 1;
}

const wishedRow = z.object({
  id: z.uuid(),
  name: z.string(),
  kind,
  stepG: z.number().nullable(),
  keyDigest: z.instanceof(Buffer),
});

/** What a wish has added. */
export const findInstrumentByRequest = (db: Queryable, kitchenId: string, requestId: string) =>
  maybeOne(
    db,
    {
      text: `select id, name, kind, step_g as "stepG", key_digest as "keyDigest" from instrument where kitchen_id = $1 and request_id = $2`,
      row: wishedRow,
    },
    [kitchenId, requestId],
  );

/** Those that are in use, one after the other while it is asked: until the transaction ends. */
export async function countInstruments(db: Queryable, kitchenId: string): Promise<number> {
  await db.query({ text: `select pg_advisory_xact_lock(hashtextextended('instruments ' || $1, 0))`, values: [kitchenId] });
  const { count } = await one(
    db,
    {
      text: `select count(*)::int as count from instrument where kitchen_id = $1 and withdrawn_at is null`,
      row: z.object({ count: z.number().int() }),
    },
    [kitchenId],
  );
  return count;
} // prettier-ignore

/** Its key opens nothing from now on; twice is once. @returns whether there is such an instrument */
export async function withdrawInstrument(
  db: Queryable,
  kitchenId: string,
  id: string,
  at: Date,
): Promise<boolean> {
  const { rows } = await db.query({
    text: `update instrument set withdrawn_at = coalesce(withdrawn_at, $3) where kitchen_id = $1 and id = $2 returning id`,
    values: [kitchenId, id, at],
  });
  return rows.length === 1;
}

const shownRow = z.object({
  id: z.uuid(),
  name: z.string(),
  kind,
  stepG: z.number().nullable(),
  addedAtMs: instant,
  atMs: instant.nullable(),
  value: z.number().nullable(),
  state: z.string().nullable(),
});

/** The instruments in use, by name, each with what it told last: by when it was taken, not by when it came. */
export const listInstruments = (db: Queryable, kitchenId: string) =>
  many(
    db,
    {
      name: 'instruments',
      text: `select i.id, i.name, i.kind, i.step_g as "stepG", i.added_at as "addedAtMs", w.last_at as "atMs", w.last_value as value, w.last_state as state
             from instrument i
             left join lateral (select last_at, last_value, last_state from instrument_window w where w.instrument_id = i.id
                                order by starts_at desc limit 1) w on true
             where i.kitchen_id = $1 and i.withdrawn_at is null order by lower(i.name), i.id`,
      row: shownRow,
    },
    [kitchenId],
  );

const tellingRow = z.object({
  content: z.instanceof(Buffer),
  taken: z.number().int(),
  malformed: z.number().int(),
  impossible: z.number().int(),
  late: z.number().int(),
});

interface NewTelling {
  readonly tellingId: string;
  readonly content: Buffer;
  readonly receivedAt: Date;
  readonly taken: number;
  readonly refused: RefusedReadings;
}

/** @returns whether it is new; false: it was told before */
export async function insertTelling(
  db: Queryable,
  kitchenId: string,
  instrumentId: string,
  { tellingId, content, receivedAt, taken, refused }: NewTelling,
): Promise<boolean> {
  const { rows } = await db.query({
    name: 'telling-new',
    text: `insert into instrument_telling (kitchen_id, instrument_id, telling_id, content, received_at, taken, malformed, impossible, late)
           values ($1, $2, $3, $4, $5, $6, $7, $8, $9) on conflict do nothing returning telling_id`,
    values: [
      kitchenId,
      instrumentId,
      tellingId,
      content,
      receivedAt,
      taken,
      refused.malformed,
      refused.impossible,
      refused.late,
    ],
  });
  return rows.length === 1;
}

/** What was answered to a telling. */
export const findTelling = (db: Queryable, kitchenId: string, instrumentId: string, tellingId: string) =>
  maybeOne(
    db,
    {
      name: 'telling',
      text: `select content, taken, malformed, impossible, late from instrument_telling
             where kitchen_id = $1 and instrument_id = $2 and telling_id = $3`,
      row: tellingRow,
    },
    [kitchenId, instrumentId, tellingId],
  );

/** Forgets tellings of which every reading would be late by now. */
export async function forgetTellings(
  db: Queryable,
  kitchenId: string,
  instrumentId: string,
  before: Date,
): Promise<void> {
  await db.query({
    text: `delete from instrument_telling where kitchen_id = $1 and instrument_id = $2 and received_at < $3`,
    values: [kitchenId, instrumentId, before],
  });
}

/** Adds windows to what is there of the same ten seconds, as `joined` in core/instrument/readingWindow.ts does; and says so to every page. */
export async function addWindows(
  db: Queryable,
  kitchenId: string,
  instrumentId: string,
  windows: readonly ReadingWindow[],
): Promise<void> {
  const column = <T>(of: (window: ReadingWindow) => T): T[] => windows.map(of);
  await db.query({
    name: 'windows',
    text: `with told as (
             insert into instrument_window as w (kitchen_id, instrument_id, starts_at, readings, least, most, total, unsure, last_at, last_value, last_state)
             select $1, $2, * from unnest($3::timestamptz[], $4::int[], $5::float8[], $6::float8[], $7::float8[], $8::int[],
                                          $9::timestamptz[], $10::float8[], $11::text[])
             on conflict (instrument_id, starts_at) do update set
               readings = w.readings + excluded.readings, least = least(w.least, excluded.least), most = greatest(w.most, excluded.most),
               total = w.total + excluded.total, unsure = w.unsure + excluded.unsure,
               (last_at, last_value, last_state) = (
                 select at, value, state from (values (w.last_at, w.last_value, w.last_state),
                   (excluded.last_at, excluded.last_value, excluded.last_state)) of_two (at, value, state)
                 order by at desc, value desc limit 1)
             where w.kitchen_id = excluded.kitchen_id
             returning 1)
           select pg_notify('crumb_news', 'instrument ' || k.address) from kitchen k where k.id = $1 and exists (select from told)`,
    values: [
      kitchenId,
      instrumentId,
      column(({ startsAtMs }) => new Date(startsAtMs)),
      column(({ count }) => count),
      column(({ least }) => least),
      column(({ most }) => most),
      column(({ total }) => total),
      column(({ unsure }) => unsure),
      column(({ last }) => new Date(last.atMs)),
      column(({ last }) => last.value),
      column(({ last }) => last.state),
    ],
  });
}
