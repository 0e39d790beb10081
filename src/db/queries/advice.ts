import * as z from 'zod';
import { BAKE_ACTION, readDocument } from '@/core/documents';
import type { BakeAction } from '@/core/bake';
import { documentColumns, many, type Queryable } from '../rows';

const toldRow = z.object({
  bakeId: z.uuid(),
  formulaId: z.uuid(),
  name: z.string(),
  startedAtMs: z.date().transform((date) => date.getTime()),
  ...documentColumns,
});

export interface ToldRow {
  readonly bakeId: string;
  readonly formulaId: string;
  readonly name: string;
  readonly startedAtMs: number;
  readonly action: BakeAction;
}

export const TOLD = {
  name: 'bakes-told',
  text: `select e.bake_id as "bakeId", c.formula_id as "formulaId", c.name, c.started_at as "startedAtMs", e.action as document,
           e.schema_version as "schemaVersion"
         from bake_event e join bake_card c on c.kitchen_id = e.kitchen_id and c.bake_id = e.bake_id
         where e.kitchen_id = $1 and e.action ->> 'type' in ('advised', 'causeTold')
         order by c.started_at desc, e.bake_id, e.seq desc limit $2`,
  row: toldRow,
};

/** What was advised after bakes, and told of their causes: the newest bakes first, of each the newest word first. What cannot be read is left out. */
export const listTold = async (db: Queryable, kitchenId: string, most: number): Promise<ToldRow[]> =>
  (await many(db, TOLD, [kitchenId, most])).flatMap(({ document, schemaVersion, ...row }) => {
    const read = readDocument(BAKE_ACTION, schemaVersion, document);
    return read.ok ? [{ ...row, action: read.value }] : [];
  });

export const BAKES_BEFORE = {
  name: 'bakes-before',
  text: `select bake_id as id, last_seq as "lastSeq" from bake_card
         where kitchen_id = $1 and formula_id = $2 and ended_at is not null and (started_at, bake_id) < ($3, $4::uuid)
         order by started_at desc, bake_id desc limit $5`,
  row: z.object({ id: z.uuid(), lastSeq: z.number().int() }),
};

/** Bakes of a formula that ended, begun before one of them, newest first. */
export const listBefore = (
  db: Queryable,
  kitchenId: string,
  { formulaId, startedAtMs, id }: { formulaId: string; startedAtMs: number; id: string },
  most: number,
) => many(db, BAKES_BEFORE, [kitchenId, formulaId, new Date(startedAtMs), id, most]);

export const BAKES_AFTER = {
  name: 'bakes-after',
  text: `select b.id from bake b join bake_card c on c.kitchen_id = b.kitchen_id and c.bake_id = b.id
         where b.kitchen_id = $1 and b.formula_id = $2 and b.revision_number = $3 and b.started_at > $4
           and c.ended_at is not null and c.given_up is null
         order by b.started_at, b.id limit $5`,
  row: z.object({ id: z.uuid() }),
};

/** Bakes of one version that came to their end, begun after a moment, the oldest first. */
export const listAfter = async (
  db: Queryable,
  kitchenId: string,
  { formulaId, revision, afterMs }: { formulaId: string; revision: number; afterMs: number },
  most: number,
): Promise<string[]> =>
  (await many(db, BAKES_AFTER, [kitchenId, formulaId, revision, new Date(afterMs), most])).map(
    ({ id }) => id,
  );
