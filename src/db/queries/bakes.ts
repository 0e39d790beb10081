import * as z from 'zod';
import { bakeActionSchema, type BakeAction } from '@/core/bake';
import { kitSchema } from '@/core/kit/kitSchema';
import { formulaSchema } from '@/core/formula/formulaSchema';
import { batchSheetSchema, type BatchRequest, type BatchSheet } from '@/core/batch';
import { many, maybeOne, one, type Queryable } from '../rows';

const instant = z.date().transform((date) => date.getTime());

const bakeRow = z.object({
  id: z.uuid(),
  formulaId: z.uuid(),
  revision: z.number().int(),
  startedAtMs: instant,
  sheet: batchSheetSchema,
});
export type BakeRow = z.infer<typeof bakeRow>;

const COLUMNS = `b.id, b.formula_id as "formulaId", b.revision_number as revision, b.started_at as "startedAtMs", b.sheet`;

export const findBake = (db: Queryable, kitchenId: string, id: string) =>
  maybeOne(
    db,
    {
      name: 'bake',
      text: `select ${COLUMNS} from bake b where b.kitchen_id = $1 and b.id = $2`,
      row: bakeRow,
    },
    [kitchenId, id],
  );

/** The same row, locked until the transaction ends: the events of one bake are decided one after the other. */
export const lockBake = (db: Queryable, kitchenId: string, id: string) =>
  maybeOne(
    db,
    {
      name: 'bake-lock',
      text: `select ${COLUMNS} from bake b where b.kitchen_id = $1 and b.id = $2 for update`,
      row: bakeRow,
    },
    [kitchenId, id],
  );

export const findBakeByRequest = (db: Queryable, kitchenId: string, requestId: string) =>
  maybeOne(
    db,
    {
      text: 'select id from bake where kitchen_id = $1 and request_id = $2',
      row: z.object({ id: z.uuid() }),
    },
    [kitchenId, requestId],
  );

export interface NewBake {
  kitchenId: string;
  id: string;
  formulaId: string;
  revision: number;
  requestId: string;
  batch: BatchRequest;
  sheet: BatchSheet;
  startedAt: Date;
}

/** Keeps a bake with its sheet. Throws on a sheet that could not be read again: nothing is kept then. */
export async function insertBake(db: Queryable, bake: NewBake): Promise<void> {
  await db.query({
    text: `insert into bake (kitchen_id, id, formula_id, revision_number, request_id, batch, sheet, started_at,
             schema_version) values ($1, $2, $3, $4, $5, $6, $7, $8, 1)`,
    values: [
      bake.kitchenId,
      bake.id,
      bake.formulaId,
      bake.revision,
      bake.requestId,
      JSON.stringify(bake.batch),
      JSON.stringify(batchSheetSchema.parse(bake.sheet)),
      bake.startedAt,
    ],
  });
}

const ENDED = `exists (select 1 from bake_event e where e.kitchen_id = b.kitchen_id and e.bake_id = b.id
  and e.action ->> 'type' in ('closed', 'abandoned'))`;

export const listRunningBakes = (db: Queryable, kitchenId: string) =>
  many(
    db,
    {
      text: `select ${COLUMNS} from bake b where b.kitchen_id = $1 and not ${ENDED} order by b.started_at desc limit 50`,
      row: bakeRow,
    },
    [kitchenId],
  );

/** Is any kitchen of this database baking? */
export const hasBakeUnderWay = async (db: Queryable): Promise<boolean> =>
  (
    await one(
      db,
      {
        text: `select exists (select 1 from bake b where not ${ENDED} and b.started_at > now() - interval '14 days') as under_way`,
        row: z.object({ under_way: z.boolean() }),
      },
      [],
    )
  ).under_way;

/** Ended bakes, newest first, of one formula or of all; a page at a time, from before `beforeMs`. */
export const listEndedBakes = (
  db: Queryable,
  kitchenId: string,
  { formulaId, before, most }: { formulaId: string | null; before: Date | null; most: number },
) =>
  many(
    db,
    {
      text: `select ${COLUMNS} from bake b
             where b.kitchen_id = $1 and ($2::uuid is null or b.formula_id = $2)
               and ($3::timestamptz is null or b.started_at < $3) and ${ENDED}
             order by b.started_at desc, b.id limit $4`,
      row: bakeRow,
    },
    [kitchenId, formulaId, before, most],
  );

const markedRow = bakeRow.extend({ formula: formulaSchema, kit: kitSchema.nullable() });

/**
 * Bakes in which something was marked, newest first, with the revision they were baked by and the kit as it was known that day (the
 * first that was ever kept, for bakes before it; null where none was); of one formula or of all.
 */
export const listMarkedBakes = (
  db: Queryable,
  kitchenId: string,
  formulaId: string | null,
  type: 'rise' | 'felt',
  most: number,
) =>
  many(
    db,
    {
      name: 'bakes-marked',
      text: `select ${COLUMNS}, r.formula, that_day.kit from bake b
             join formula_revision r on r.kitchen_id = b.kitchen_id and r.formula_id = b.formula_id
               and r.number = b.revision_number
             left join lateral (select k.kit from kitchen_kit k where k.kitchen_id = b.kitchen_id
               order by k.saved_at <= b.started_at desc,
                 case when k.saved_at <= b.started_at then k.version else -k.version end desc
               limit 1) that_day on true
             where b.kitchen_id = $1 and ($2::uuid is null or b.formula_id = $2)
               and exists (select 1 from bake_event e where e.kitchen_id = b.kitchen_id and e.bake_id = b.id
                 and e.action ->> 'type' = $3)
             order by b.started_at desc, b.id limit $4`,
      row: markedRow,
    },
    [kitchenId, formulaId, type, most],
  );

const eventRow = z.object({
  bakeId: z.uuid(),
  seq: z.number().int(),
  eventId: z.uuid(),
  atMs: instant,
  action: bakeActionSchema,
});
export type BakeEventRow = z.infer<typeof eventRow>;

/** The logs of several bakes in one query, each in its order. */
export const listEvents = (db: Queryable, kitchenId: string, bakeIds: readonly string[]) =>
  many(
    db,
    {
      name: 'bake-events',
      text: `select bake_id as "bakeId", seq, event_id as "eventId", happened_at as "atMs", action from bake_event
             where kitchen_id = $1 and bake_id = any ($2::uuid[]) order by bake_id, seq`,
      row: eventRow,
    },
    [kitchenId, bakeIds],
  );

export interface NewEvent {
  eventId: string;
  seq: number;
  action: BakeAction;
  at: Date;
}

/** Appends events to one bake in one statement. */
export async function insertEvents(
  db: Queryable,
  kitchenId: string,
  bakeId: string,
  events: readonly NewEvent[],
): Promise<void> {
  if (events.length === 0) return;
  await db.query({
    text: `insert into bake_event (kitchen_id, bake_id, seq, event_id, action, happened_at, schema_version)
           select $1, $2, seq, event_id, action, happened_at, 1
           from unnest($3::int[], $4::uuid[], $5::jsonb[], $6::timestamptz[]) as e (seq, event_id, action, happened_at)`,
    values: [
      kitchenId,
      bakeId,
      events.map((event) => event.seq),
      events.map((event) => event.eventId),
      events.map((event) => JSON.stringify(event.action)),
      events.map((event) => event.at),
    ],
  });
}

/** How often each formula was baked and when last; formulas never baked are not in it. */
export const countBakes = (db: Queryable, kitchenId: string) =>
  many(
    db,
    {
      text: `select formula_id as "formulaId", count(*)::int as count, max(started_at) as "lastAtMs"
             from bake where kitchen_id = $1 group by formula_id`,
      row: z.object({ formulaId: z.uuid(), count: z.number().int(), lastAtMs: instant }),
    },
    [kitchenId],
  );
