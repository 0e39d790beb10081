import * as z from 'zod';
import { BAKE_ACTION, BAKE_PLAN, FORMULA, KIT, readDocument, type BakePlan } from '@/core/documents';
import type { BakeAction } from '@/core/bake';
import type { Formula } from '@/core/formula';
import type { Kit } from '@/core/kit';
import { batchSheetSchema, type BatchRequest, type BatchSheet } from '@/core/batch';
import type { LadderWish } from '@/core/trial';
import { documentColumns, many, maybeOne, only, sift, type Queryable, type Sifted } from '../rows';

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

/** Several at once; what cannot be read is left out. */
export const findBakes = async (db: Queryable, kitchenId: string, ids: readonly string[]) =>
  readBakes(
    await many(
      db,
      {
        name: 'bakes-of',
        text: `select ${COLUMNS} from bake b where b.kitchen_id = $1 and b.id = any ($2::uuid[])`,
        row: bakeRow,
      },
      [kitchenId, ids],
    ),
  ).rows;

const LOCKED = {
  name: 'bake-lock',
  text: `select ${COLUMNS} from bake b where b.kitchen_id = $1 and b.id = $2 for update`,
  row: bakeRow,
};

/** The same row, locked until the transaction ends: the events of one bake are decided one after the other. */
export const lockBake = async (db: Queryable, kitchenId: string, id: string) =>
  only(readBakes(await many(db, LOCKED, [kitchenId, id])));

/** The same, and of one that cannot be read what can be said of it. */
export async function lockAnyBake(
  db: Queryable,
  kitchenId: string,
  id: string,
): Promise<BakeRow | UnreadableBake | null> {
  const raw = await maybeOne(db, LOCKED, [kitchenId, id]);
  if (!raw) return null;
  const { rows } = readBakes([raw]);
  if (rows[0]) return rows[0];
  const { formulaId, revision, startedAtMs, schemaVersion, document } = raw;
  const name = z.object({ sheet: z.object({ name: z.string() }) }).safeParse(document).data?.sheet.name ?? '';
  return { id, formulaId, revision, startedAtMs, name: name.slice(0, 80), unreadableVersion: schemaVersion };
}

/** A bake whose sheet cannot be read. */
export interface UnreadableBake extends Omit<BakeRow, 'sheet'> {
  readonly name: string;
  readonly unreadableVersion: number;
}

/** A bake that an earlier sending of the same request started; `same` tells whether it asked for the same. */
export const findBakeByRequest = (
  db: Queryable,
  kitchenId: string,
  requestId: string,
  {
    formulaId,
    revision,
    batch,
    ladder,
  }: { formulaId: string; revision: number; batch: BatchRequest; ladder?: LadderWish | undefined },
) =>
  maybeOne(
    db,
    {
      text: `select id, formula_id = $3 and revision_number = $4 and batch = $5::jsonb
               and (sheet #> '{ladder,axis}') is not distinct from $6::jsonb
               and (select jsonb_agg(rung -> 'value') from jsonb_array_elements(sheet #> '{ladder,rungs}') rung)
                 is not distinct from $7::jsonb as same
             from bake where kitchen_id = $1 and request_id = $2`,
      row: z.object({ id: z.uuid(), same: z.boolean() }),
    },
    [
      kitchenId,
      requestId,
      formulaId,
      revision,
      JSON.stringify(batch),
      ladder ? JSON.stringify(ladder.axis) : null,
      ladder ? JSON.stringify(ladder.values) : null,
    ],
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

/** Saves a bake with its sheet, and counts it with its formula: in a transaction. Throws on a sheet that could not be read again: nothing is saved then. */
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
  await db.query({
    name: 'formula-baked',
    text: `update formula set bakes = bakes + 1, last_baked_at = greatest(last_baked_at, $3)
           where kitchen_id = $1 and id = $2`,
    values: [bake.kitchenId, bake.formulaId, bake.startedAt],
  });
}

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

const MARKED = `${COLUMNS}, r.formula, r.schema_version as "formulaVersion", that_day.kit,
  that_day.schema_version as "kitVersion" from bake_card c
  join bake b on b.kitchen_id = c.kitchen_id and b.id = c.bake_id
  join formula_revision r on r.kitchen_id = b.kitchen_id and r.formula_id = b.formula_id and r.number = b.revision_number
  left join lateral (select k.kit, k.schema_version from kitchen_kit k where k.kitchen_id = b.kitchen_id
    order by k.saved_at <= b.started_at desc,
      case when k.saved_at <= b.started_at then k.version else -k.version end desc
    limit 1) that_day on true`;

export const RISEN_BAKES = {
  name: 'bakes-risen',
  text: `select ${MARKED} where c.kitchen_id = $1 and c.formula_id = $2 and c.rises > 0 and c.ended_at is not null
         order by c.started_at desc, c.bake_id desc limit $3`,
  row: markedRow,
};
export const KITCHEN_RISEN_BAKES = {
  name: 'bakes-risen-kitchen',
  text: `select ${MARKED} where c.kitchen_id = $1 and c.rises > 0 and c.ended_at is not null
         order by c.started_at desc, c.bake_id desc limit $2`,
  row: markedRow,
};
export const CUT_BAKES = {
  name: 'bakes-cut',
  text: RISEN_BAKES.text.replace('c.rises > 0', 'c.cuts > 0'),
  row: markedRow,
};
export const FELT_BAKES = {
  name: 'bakes-felt',
  text: `select ${MARKED} where c.kitchen_id = $1 and c.feels > 0 order by c.started_at desc, c.bake_id desc limit $2`,
  row: markedRow,
};

/**
 * A formula's bakes that ended and in which a rise was marked, newest first, with the revision they were baked by and the kit as it was known that day
 * (the first that was ever saved, for bakes before it; null where none was). What cannot be read teaches nothing.
 */
export const listRisenBakes = async (db: Queryable, kitchenId: string, formulaId: string, most: number) =>
  readMarked(await many(db, RISEN_BAKES, [kitchenId, formulaId, most]));

/** The same of its bakes of which a picture of the cut was read. */
export const listCutBakes = async (db: Queryable, kitchenId: string, formulaId: string, most: number) =>
  readMarked(await many(db, CUT_BAKES, [kitchenId, formulaId, most]));

/** The same of all a kitchen's formulas. */
export const listKitchenRisenBakes = async (db: Queryable, kitchenId: string, most: number) =>
  readMarked(await many(db, KITCHEN_RISEN_BAKES, [kitchenId, most]));

/** The same of a kitchen's bakes in which hands felt the dough. */
export const listFeltBakes = async (db: Queryable, kitchenId: string, most: number) =>
  readMarked(await many(db, FELT_BAKES, [kitchenId, most]));

function readMarked(rows: readonly z.infer<typeof markedRow>[]): MarkedBakeRow[] {
  return rows.flatMap((row): MarkedBakeRow[] => {
    const plan = readDocument(BAKE_PLAN, row.schemaVersion, row.document);
    const formula = readDocument(FORMULA, row.formulaVersion, row.formula);
    const kit = row.kitVersion === null ? null : readDocument(KIT, row.kitVersion, row.kit);
    // a ladder is not its formula: what its rungs did says little of that
    if (!plan.ok || !formula.ok || plan.value.sheet.ladder) return [];
    return [{ ...bakeOf(row, plan.value), formula: formula.value, kit: kit?.ok ? kit.value : null }];
  });
}

const eventRow = z.object({
  bakeId: z.uuid(),
  seq: z.number().int(),
  eventId: z.uuid(),
  atMs: instant,
  by: z.string().nullable(),
  ...documentColumns,
});

export interface BakeEventRow {
  readonly bakeId: string;
  readonly seq: number;
  readonly eventId: string;
  readonly atMs: number;
  /** Null: nobody said. */
  readonly by: string | null;
  /** Null: this program cannot read it. */
  readonly action: BakeAction | null;
}

const EVENTS = `select bake_id as "bakeId", seq, event_id as "eventId", happened_at as "atMs", by_who as by, action as document,
  schema_version as "schemaVersion" from bake_event`;

const readEvents = (rows: readonly z.infer<typeof eventRow>[]): BakeEventRow[] =>
  rows.map(({ schemaVersion, document, ...row }) => {
    const read = readDocument(BAKE_ACTION, schemaVersion, document);
    return { ...row, action: read.ok ? read.value : null };
  });

/** The logs of several bakes in one query, each in its order. */
export async function listEvents(
  db: Queryable,
  kitchenId: string,
  bakeIds: readonly string[],
): Promise<BakeEventRow[]> {
  return readEvents(
    await many(
      db,
      {
        name: 'bake-events',
        text: `${EVENTS} where kitchen_id = $1 and bake_id = any ($2::uuid[]) order by bake_id, seq`,
        row: eventRow,
      },
      [kitchenId, bakeIds],
    ),
  );
}

export const hasBake = async (db: Queryable, kitchenId: string, id: string): Promise<boolean> =>
  (await maybeOne(
    db,
    {
      name: 'bake-known',
      text: 'select id from bake where kitchen_id = $1 and id = $2',
      row: z.object({ id: z.uuid() }),
    },
    [kitchenId, id],
  )) !== null;

/** One bake's log from after event number `after`. */
export const listNewEvents = async (
  db: Queryable,
  kitchenId: string,
  bakeId: string,
  after: number,
): Promise<BakeEventRow[]> =>
  readEvents(
    await many(
      db,
      {
        name: 'bake-events-new',
        text: `${EVENTS} where kitchen_id = $1 and bake_id = $2 and seq > $3 order by seq`,
        row: eventRow,
      },
      [kitchenId, bakeId, after],
    ),
  );

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
  by: string | null;
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
    text: `insert into bake_event (kitchen_id, bake_id, seq, event_id, action, happened_at, by_who, schema_version)
           select $1, $2, seq, event_id, action, happened_at, by_who, $8
           from unnest($3::int[], $4::uuid[], $5::jsonb[], $6::timestamptz[], $7::text[])
             as e (seq, event_id, action, happened_at, by_who)`,
    values: [
      kitchenId,
      bakeId,
      events.map((event) => event.seq),
      events.map((event) => event.eventId),
      events.map((event) => JSON.stringify(event.action)),
      events.map((event) => event.at),
      events.map((event) => event.by),
      BAKE_ACTION.version,
    ],
  });
}
