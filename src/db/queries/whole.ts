import * as z from 'zod';
import { BAKE_PLAN, FORMULA, KIT, KITCHEN_ENTRY } from '@/core/documents';
import { documentColumns, many, sift, type Queryable } from '../rows';

/** All of a kitchen, the oldest first, for writing it out: what lists and pages never ask for. */
const instant = z.date().transform((date) => date.toISOString());

const kitRow = z.object({ version: z.number().int(), savedAt: instant, ...documentColumns });

/** Every version of the kit. */
export const wholeKits = async (db: Queryable, kitchenId: string) =>
  sift(
    await many(
      db,
      {
        text: `select version, saved_at as "savedAt", kit as document, schema_version as "schemaVersion" from kitchen_kit
               where kitchen_id = $1 order by version`,
        row: kitRow,
      },
      [kitchenId],
    ),
    KIT,
    ({ version }) => `${kitchenId} ${version}`,
    ({ savedAt }, kit) => ({ savedAt, kit }),
  );

const entryRow = z.object({ id: z.string(), away: z.boolean(), savedAt: instant, ...documentColumns });

/** Every version of every entry, those of one together. */
export const wholeEntries = async (db: Queryable, kitchenId: string) =>
  sift(
    await many(
      db,
      {
        text: `select id, away, saved_at as "savedAt", entry as document, schema_version as "schemaVersion" from (
                 select *, min(saved_at) over (partition by id) as first_saved from kitchen_ingredient where kitchen_id = $1) all_of
               order by first_saved, id, version`,
        row: entryRow,
      },
      [kitchenId],
    ),
    KITCHEN_ENTRY,
    ({ id }) => id,
    ({ id, away, savedAt }, entry) => ({ id, away, savedAt, entry }),
  );

const formulaRow = z.object({
  id: z.uuid(),
  archivedAt: instant.nullable(),
  branchedFrom: z.uuid().nullable(),
  branchedRevision: z.number().int().nullable(),
});

/** Every formula, on the shelf and in the archive; without its sheets. */
export const wholeFormulas = (db: Queryable, kitchenId: string) =>
  many(
    db,
    {
      text: `select id, archived_at as "archivedAt", branched_from as "branchedFrom", branched_revision as "branchedRevision"
             from formula where kitchen_id = $1 order by created_at, id`,
      row: formulaRow,
    },
    [kitchenId],
  );

const revisionRow = z.object({ number: z.number().int(), savedAt: instant, ...documentColumns });

/** Every revision of a formula. */
export const wholeRevisions = async (db: Queryable, kitchenId: string, formulaId: string) =>
  sift(
    await many(
      db,
      {
        text: `select number, saved_at as "savedAt", formula as document, schema_version as "schemaVersion" from formula_revision
               where kitchen_id = $1 and formula_id = $2 order by number`,
        row: revisionRow,
      },
      [kitchenId, formulaId],
    ),
    FORMULA,
    ({ number }) => `${formulaId} ${number}`,
    ({ number, savedAt }, formula) => ({ number, savedAt, formula }),
  );

/** Where a page of bakes ends: the last one's beginning, to the microsecond, and its id. */
export interface WholePlace {
  readonly at: string;
  readonly id: string;
}

const bakeRow = z.object({
  id: z.uuid(),
  formulaId: z.uuid(),
  revision: z.number().int(),
  startedAt: instant,
  at: z.string(),
  ...documentColumns,
});

/** Bakes with their sheets, a page at a time. */
export async function wholeBakes(
  db: Queryable,
  kitchenId: string,
  { after, most }: { after: WholePlace | null; most: number },
) {
  const found = await many(
    db,
    {
      text: `select id, formula_id as "formulaId", revision_number as revision, started_at as "startedAt", started_at::text as at,
               jsonb_build_object('batch', batch, 'sheet', sheet) as document, schema_version as "schemaVersion"
             from bake where kitchen_id = $1 and ($2::timestamptz is null or (started_at, id) > ($2, $3::uuid))
             order by started_at, id limit $4`,
      row: bakeRow,
    },
    [kitchenId, after?.at ?? null, after?.id ?? null, most],
  );
  const last = found.length === most ? found.at(-1) : undefined;
  const { rows, setAside } = sift(
    found,
    BAKE_PLAN,
    ({ id }) => id,
    ({ id, formulaId, revision, startedAt }, plan) => ({ id, formulaId, revision, startedAt, ...plan }),
  );
  return { rows, setAside, next: last ? { at: last.at, id: last.id } : null };
}
