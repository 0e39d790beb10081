import * as z from 'zod';
import { BAKE_ACTION, BAKE_PLAN, FORMULA, KIT, readDocument, type BakePlan } from '@/core/documents';
import type { BakeAction } from '@/core/bake';
import type { Formula } from '@/core/formula';
import type { Kit } from '@/core/kit';
import { batchSheetSchema, type BatchRequest, type BatchSheet } from '@/core/batch';
import { documentColumns, many, maybeOne, one, only, sift, type Queryable, type Sifted } from '../rows';

const instant = z.date().transform((date) => date.getTime());

const bakeRow = z.object({
  id: z.uuid(),
  formulaId: z.uuid(),
  revision: z.number().int(),
  startedAtMs: instant,
  ...documentColumns,
});
type RawBake = z.infer<typeof bakeRow>;

export interface BakeRow {
  readonly id: string;
  readonly formulaId: string;
  readonly revision: number;
  readonly startedAtMs: number;
  readonly sheet: BatchSheet;
}

const bakeOf = ({ id, formulaId, revision, startedAtMs }: RawBake, { sheet }: BakePlan): BakeRow => ({
  id,
  formulaId,
  revision,
  startedAtMs,
  sheet,
});
const readBakes = (rows: readonly RawBake[]): Sifted<BakeRow> =>
  sift(rows, BAKE_PLAN, ({ id }) => id, bakeOf);

const COLUMNS = `b.id, b.formula_id as "formulaId", b.revision_number as revision, b.started_at as "startedAtMs",
  jsonb_build_object('batch', b.batch, 'sheet', b.sheet) as document, b.schema_version as "schemaVersion"`;

/** @throws UnreadableDocument */
export const findBake = async (db: Queryable, kitchenId: string, id: string) =>
  only(
    readBakes(
      await many(
        db,
        {
          name: 'bake',
          text: `select ${COLUMNS} from bake b where b.kitchen_id = $1 and b.id = $2`,
          row: bakeRow,
        },
        [kitchenId, id],
      ),
    ),
  );

/** The same row, locked until the transaction ends: the events of one bake are decided one after the other. */
export const lockBake = async (db: Queryable, kitchenId: string, id: string) =>
  only(
    readBakes(
      await many(
        db,
        {
          name: 'bake-lock',
          text: `select ${COLUMNS} from bake b where b.kitchen_id = $1 and b.id = $2 for update`,
          row: bakeRow,
        },
        [kitchenId, id],
      ),
    ),
  );

/** A bake that an earlier sending of the same request started; `same` tells whether it asked for the same. */
export const findBakeByRequest = (
  db: Queryable,
  kitchenId: string,
  requestId: string,
  { formulaId, revision, batch }: { formulaId: string; revision: number; batch: BatchRequest },
) =>
  maybeOne(
    db,
    {
      text: `select id, formula_id = $3 and revision_number = $4 and batch = $5::jsonb as same
             from bake where kitchen_id = $1 and request_id = $2`,
      row: z.object({ id: z.uuid(), same: z.boolean() }),
    },
    [kitchenId, requestId, formulaId, revision, JSON.stringify(batch)],
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
             schema_version) values ($1, $2, $3, $4, $5, $6, $7, $8, $9)`,
    values: [
      bake.kitchenId,
      bake.id,
      bake.formulaId,
      bake.revision,
      bake.requestId,
      JSON.stringify(bake.batch),
      JSON.stringify(batchSheetSchema.parse(bake.sheet)),
      bake.startedAt,
      BAKE_PLAN.version,
    ],
  });
}

/** What was said last of its end: closed, given up, or opened again. */
const ENDED = `coalesce((select e.action ->> 'type' <> 'reopened' from bake_event e
  where e.kitchen_id = b.kitchen_id and e.bake_id = b.id and e.action ->> 'type' in ('closed', 'abandoned', 'reopened')
  order by e.seq desc limit 1), false)`;

export const listRunningBakes = async (db: Queryable, kitchenId: string): Promise<Sifted<BakeRow>> =>
  readBakes(
    await many(
      db,
      {
        text: `select ${COLUMNS} from bake b where b.kitchen_id = $1 and not ${ENDED}
               order by b.started_at desc, b.id desc limit 50`,
        row: bakeRow,
      },
      [kitchenId],
    ),
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

/** Where a page of bakes ends and the next begins: by time, then id, so that of two begun at one moment neither is lost. */
export interface BakePlace {
  readonly startedAtMs: number;
  readonly id: string;
}

/** Ended bakes, newest first, of one formula or of all; a page at a time, from after `after`. */
export const listEndedBakes = async (
  db: Queryable,
  kitchenId: string,
  { formulaId, after, most }: { formulaId: string | null; after: BakePlace | null; most: number },
): Promise<Sifted<BakeRow> & { readonly next: BakePlace | null }> => {
  const rows = await many(
    db,
    {
      text: `select ${COLUMNS} from bake b
             where b.kitchen_id = $1 and ($2::uuid is null or b.formula_id = $2)
               and ($3::timestamptz is null or (b.started_at, b.id) < ($3, $4::uuid)) and ${ENDED}
             order by b.started_at desc, b.id desc limit $5`,
      row: bakeRow,
    },
    // one more than the page: whether there is another page is known then
    [kitchenId, formulaId, after && new Date(after.startedAtMs), after?.id ?? null, most + 1],
  );
  const page = rows.slice(0, most);
  const end = rows.length > most ? page.at(-1) : undefined;
  return { ...readBakes(page), next: end ? { startedAtMs: end.startedAtMs, id: end.id } : null };
};

const markedRow = bakeRow.extend({
  formula: z.unknown(),
  formulaVersion: z.number().int(),
  kit: z.unknown(),
  kitVersion: z.number().int().nullable(),
});

export interface MarkedBakeRow extends BakeRow {
  readonly formula: Formula;
  readonly kit: Kit | null;
}

/**
 * Bakes in which something was marked, newest first, with the revision they were baked by and the kit as it was known that day (the
 * first that was ever kept, for bakes before it; null where none was); of one formula or of all. What cannot be read teaches nothing.
 */
export async function listMarkedBakes(
  db: Queryable,
  kitchenId: string,
  formulaId: string | null,
  type: 'rise' | 'felt',
  most: number,
): Promise<MarkedBakeRow[]> {
  const rows = await many(
    db,
    {
      name: 'bakes-marked',
      text: `select ${COLUMNS}, r.formula, r.schema_version as "formulaVersion", that_day.kit,
               that_day.schema_version as "kitVersion" from bake b
             join formula_revision r on r.kitchen_id = b.kitchen_id and r.formula_id = b.formula_id
               and r.number = b.revision_number
             left join lateral (select k.kit, k.schema_version from kitchen_kit k where k.kitchen_id = b.kitchen_id
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
  return rows.flatMap((row): MarkedBakeRow[] => {
    const plan = readDocument(BAKE_PLAN, row.schemaVersion, row.document);
    const formula = readDocument(FORMULA, row.formulaVersion, row.formula);
    const kit = row.kitVersion === null ? null : readDocument(KIT, row.kitVersion, row.kit);
    if (!plan.ok || !formula.ok) return [];
    return [{ ...bakeOf(row, plan.value), formula: formula.value, kit: kit?.ok ? kit.value : null }];
  });
}

const eventRow = z.object({
  bakeId: z.uuid(),
  seq: z.number().int(),
  eventId: z.uuid(),
  atMs: instant,
  ...documentColumns,
});

export interface BakeEventRow {
  readonly bakeId: string;
  readonly seq: number;
  readonly eventId: string;
  readonly atMs: number;
  /** Null: this program cannot read it. */
  readonly action: BakeAction | null;
}

/** The logs of several bakes in one query, each in its order. */
export async function listEvents(
  db: Queryable,
  kitchenId: string,
  bakeIds: readonly string[],
): Promise<BakeEventRow[]> {
  const rows = await many(
    db,
    {
      name: 'bake-events',
      text: `select bake_id as "bakeId", seq, event_id as "eventId", happened_at as "atMs", action as document,
               schema_version as "schemaVersion" from bake_event
             where kitchen_id = $1 and bake_id = any ($2::uuid[]) order by bake_id, seq`,
      row: eventRow,
    },
    [kitchenId, bakeIds],
  );
  return rows.map(({ schemaVersion, document, ...row }) => {
    const read = readDocument(BAKE_ACTION, schemaVersion, document);
    return { ...row, action: read.ok ? read.value : null };
  });
}

/** Which of these event ids are in this kitchen's logs already, with the bake each belongs to. */
export const findEventIds = (db: Queryable, kitchenId: string, eventIds: readonly string[]) =>
  many(
    db,
    {
      text: `select event_id as "eventId", bake_id as "bakeId" from bake_event
             where kitchen_id = $1 and event_id = any ($2::uuid[])`,
      row: z.object({ eventId: z.uuid(), bakeId: z.uuid() }),
    },
    [kitchenId, eventIds],
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
           select $1, $2, seq, event_id, action, happened_at, $7
           from unnest($3::int[], $4::uuid[], $5::jsonb[], $6::timestamptz[]) as e (seq, event_id, action, happened_at)`,
    values: [
      kitchenId,
      bakeId,
      events.map((event) => event.seq),
      events.map((event) => event.eventId),
      events.map((event) => JSON.stringify(event.action)),
      events.map((event) => event.at),
      BAKE_ACTION.version,
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
