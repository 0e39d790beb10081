import * as z from 'zod';
import { FORMULA } from '@/core/documents';
import type { Formula } from '@/core/formula';
import { documentColumns, many, maybeOne, only, sift, type Queryable, type Sifted } from '../rows';

const instant = z.date().transform((date) => date.getTime());

const headRow = z.object({
  id: z.uuid(),
  revision: z.number().int(),
  savedAtMs: instant,
  archivedAtMs: instant.nullable(),
  ...documentColumns,
});

export interface FormulaHead {
  readonly id: string;
  readonly revision: number;
  readonly savedAtMs: number;
  readonly archivedAtMs: number | null;
  readonly formula: Formula;
}

const readHeads = (rows: readonly z.infer<typeof headRow>[]): Sifted<FormulaHead> =>
  sift(
    rows,
    FORMULA,
    ({ id }) => id,
    ({ schemaVersion: _, document: __, ...head }, formula) => ({ ...head, formula }),
  );

const HEAD = `
  select f.id, f.head as revision, r.saved_at as "savedAtMs", f.archived_at as "archivedAtMs", r.formula as document,
    r.schema_version as "schemaVersion"
  from formula f
  join formula_revision r on r.kitchen_id = f.kitchen_id and r.formula_id = f.id and r.number = f.head
  where f.kitchen_id = $1`;

/** The heads of these formulas, in no order. */
export const findFormulas = async (
  db: Queryable,
  kitchenId: string,
  ids: readonly string[],
): Promise<Sifted<FormulaHead>> =>
  readHeads(
    await many(db, { name: 'formula-heads', text: `${HEAD} and f.id = any ($2::uuid[])`, row: headRow }, [
      kitchenId,
      ids,
    ]),
  );

export const findFormulaName = async (db: Queryable, kitchenId: string, id: string): Promise<string | null> =>
  (
    await maybeOne(
      db,
      {
        name: 'formula-name',
        text: 'select name from formula where kitchen_id = $1 and id = $2',
        row: z.object({ name: z.string() }),
      },
      [kitchenId, id],
    )
  )?.name ?? null;

/** The newest revision's number of each of these formulas that are this kitchen's. */
export const HEAD_REVISIONS = {
  name: 'formula-head-revisions',
  text: 'select id, head as revision from formula where kitchen_id = $1 and id = any ($2::uuid[])',
  row: z.object({ id: z.uuid(), revision: z.number().int() }),
};
export const findHeadRevisions = (db: Queryable, kitchenId: string, ids: readonly string[]) =>
  many(db, HEAD_REVISIONS, [kitchenId, ids]);

/** @throws UnreadableDocument */
export const findFormula = async (db: Queryable, kitchenId: string, id: string) =>
  only(
    readHeads(
      await many(db, { name: 'formula-head', text: `${HEAD} and f.id = $2`, row: headRow }, [kitchenId, id]),
    ),
  );

/**
 * One formula's head as JSON text made by the database. The sheet's data route sends it on as it is: parsing the
 * document, checking it again and writing it out anew would cost more than the query (measured by ./crumb bench).
 */
export const FORMULA_HEAD_JSON = {
  name: 'formula-head-json',
  text: `select json_build_object('id', head.id, 'revision', head.revision, 'savedAtMs',
           (extract(epoch from head."savedAtMs") * 1000)::bigint, 'archivedAtMs',
           (extract(epoch from head."archivedAtMs") * 1000)::bigint, 'formula', head.document)::text as json,
           head."schemaVersion"
         from (${HEAD} and f.id = $2) head`,
  row: z.object({ json: z.string(), schemaVersion: z.number().int() }),
};
export const findFormulaJson = (db: Queryable, kitchenId: string, id: string) =>
  maybeOne(db, FORMULA_HEAD_JSON, [kitchenId, id]);

const revisionRow = z.object({ number: z.number().int(), savedAtMs: instant, ...documentColumns });

export interface FormulaRevision {
  readonly number: number;
  readonly savedAtMs: number;
  readonly formula: Formula;
}

const REVISION = `select number, saved_at as "savedAtMs", formula as document, schema_version as "schemaVersion"
  from formula_revision`;
const readRevisions = (rows: readonly z.infer<typeof revisionRow>[]): Sifted<FormulaRevision> =>
  sift(
    rows,
    FORMULA,
    ({ number }) => String(number),
    ({ number, savedAtMs }, formula) => ({ number, savedAtMs, formula }),
  );

/** @throws UnreadableDocument */
export const findRevision = async (db: Queryable, kitchenId: string, id: string, number: number) =>
  only(
    readRevisions(
      await many(
        db,
        { text: `${REVISION} where kitchen_id = $1 and formula_id = $2 and number = $3`, row: revisionRow },
        [kitchenId, id, number],
      ),
    ),
  );

/** When a revision was saved; null where there is none. */
export const revisionSavedAt = async (db: Queryable, kitchenId: string, id: string, number: number) =>
  (
    await maybeOne(
      db,
      {
        text: `select saved_at as "savedAtMs" from formula_revision where kitchen_id = $1 and formula_id = $2 and number = $3`,
        row: z.object({ savedAtMs: instant }),
      },
      [kitchenId, id, number],
    )
  )?.savedAtMs ?? null;

/** Newest first, from below `before` on. The documents come along: a revision is read to be compared. */
export const listRevisions = async (
  db: Queryable,
  kitchenId: string,
  id: string,
  most: number,
  before: number | null = null,
): Promise<Sifted<FormulaRevision>> =>
  readRevisions(
    await many(
      db,
      {
        text: `${REVISION} where kitchen_id = $1 and formula_id = $2 and ($4::integer is null or number < $4)
               order by number desc limit $3`,
        row: revisionRow,
      },
      [kitchenId, id, most, before],
    ),
  );

const branchRow = z.object({ id: z.uuid(), name: z.string(), revision: z.number().int() });
export type Branch = z.infer<typeof branchRow>;

/** The formula and revision that this one branched off from; null for one that began by itself. */
export const findBranch = (db: Queryable, kitchenId: string, id: string) =>
  maybeOne(
    db,
    {
      text: `select r.formula_id as id, r.formula ->> 'name' as name, r.number as revision
             from formula f join formula_revision r on r.kitchen_id = f.kitchen_id
               and r.formula_id = f.branched_from and r.number = f.branched_revision
             where f.kitchen_id = $1 and f.id = $2`,
      row: branchRow,
    },
    [kitchenId, id],
  );

/** The newest formulas that branched off from this one, and how many there are in all; `revision` is the one they left it at. */
export const listBranches = (db: Queryable, kitchenId: string, id: string) =>
  many(
    db,
    {
      text: `select f.id, r.formula ->> 'name' as name, f.branched_revision as revision, count(*) over ()::int as "inAll"
             from formula f join formula_revision r on r.kitchen_id = f.kitchen_id
               and r.formula_id = f.id and r.number = f.head
             where f.kitchen_id = $1 and f.branched_from = $2 order by f.created_at desc limit 100`,
      row: branchRow.extend({ inAll: z.number().int() }),
    },
    [kitchenId, id],
  );

export async function setBranch(
  db: Queryable,
  kitchenId: string,
  id: string,
  fromId: string,
  revision: number,
): Promise<void> {
  await db.query({
    text: 'update formula set branched_from = $3, branched_revision = $4 where kitchen_id = $1 and id = $2',
    values: [kitchenId, id, fromId, revision],
  });
}

export interface SavedRevision {
  readonly id: string;
  readonly revision: number;
  readonly savedAtMs: number;
}
const savedRow = z.object({
  id: z.uuid(),
  revision: z.number().int(),
  savedAtMs: instant,
  same: z.boolean(),
});

/**
 * The revision that an earlier sending of the same request made, if it did.
 * @param formula what is sent now; `same` tells whether it is what was saved then. null: not asked
 */
export const findByRequest = (db: Queryable, kitchenId: string, requestId: string, formula: Formula | null) =>
  maybeOne(
    db,
    {
      name: 'revision-by-request',
      text: `select formula_id as id, number as revision, saved_at as "savedAtMs",
               $3::jsonb is null or formula = $3::jsonb as same
             from formula_revision where kitchen_id = $1 and request_id = $2`,
      row: savedRow,
    },
    [kitchenId, requestId, formula && JSON.stringify(formula)],
  );

/** Locks the formula for this transaction and tells its newest revision; null when it is not this kitchen's. */
export const lockHead = (db: Queryable, kitchenId: string, id: string) =>
  maybeOne(
    db,
    {
      name: 'formula-lock',
      text: 'select head, archived_at is not null as archived from formula where kitchen_id = $1 and id = $2 for update',
      row: z.object({ head: z.number().int(), archived: z.boolean() }),
    },
    [kitchenId, id],
  );

export interface NewRevision {
  kitchenId: string;
  id: string;
  number: number;
  requestId: string;
  formula: Formula;
  savedAt: Date;
}

/** Writes a revision and makes it the head, creating the formula with its first. */
export async function insertRevision(db: Queryable, next: NewRevision): Promise<void> {
  const { name, style } = next.formula;
  if (next.number === 1) {
    await db.query({
      text: 'insert into formula (kitchen_id, id, head, name, style, created_at) values ($1, $2, 1, $3, $4, $5)',
      values: [next.kitchenId, next.id, name, style, next.savedAt],
    });
  } else {
    await db.query({
      name: 'formula-advance',
      text: 'update formula set head = $3, name = $4, style = $5 where kitchen_id = $1 and id = $2',
      values: [next.kitchenId, next.id, next.number, name, style],
    });
  }
  await db.query({
    name: 'revision-insert',
    text: `insert into formula_revision (kitchen_id, formula_id, number, request_id, schema_version, formula, saved_at)
           values ($1, $2, $3, $4, $5, $6, $7)`,
    values: [
      next.kitchenId,
      next.id,
      next.number,
      next.requestId,
      FORMULA.version,
      JSON.stringify(next.formula),
      next.savedAt,
    ],
  });
}

export const setArchived = (db: Queryable, kitchenId: string, id: string, at: Date | null) =>
  maybeOne(
    db,
    {
      text: 'update formula set archived_at = $3 where kitchen_id = $1 and id = $2 returning id',
      row: z.object({ id: z.uuid() }),
    },
    [kitchenId, id, at],
  );
