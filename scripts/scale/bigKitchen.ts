import type pg from 'pg';
import { renewCards } from '@/server/bakeCards';

export interface Size {
  readonly bakes: number;
  readonly formulas: number;
  /** What else each bake's log holds: notes, so many. */
  readonly notes?: number;
}

/**
 * Makes the demo kitchen as large as one is after years: its formulas again and again under other names, its bakes again and again,
 * some hours apart, each of one of the copies of what it was baked by. Made inside the database, in one transaction.
 * @returns how many events there are then
 */
export async function growKitchen(pool: pg.Pool, { bakes, formulas, notes = 0 }: Size): Promise<number> {
  const client = await pool.connect();
  try {
    await client.query('begin');
    // what was baked, and by which revision: both are copied
    await client.query(`create temp table pattern on commit drop as
      select b.kitchen_id, b.id as bake_id, b.formula_id, b.revision_number,
        dense_rank() over (order by b.formula_id, b.revision_number) - 1 as kind,
        row_number() over (order by b.started_at) - 1 as n
      from bake b where exists (select 1 from bake_event e where e.kitchen_id = b.kitchen_id and e.bake_id = b.id
        and e.action ->> 'type' in ('closed', 'abandoned'))`);
    const kinds = await count(client, 'select count(distinct kind) as n from pattern');
    const patterns = await count(client, 'select count(*) as n from pattern');
    await client.query(
      `create temp table copy on commit drop as
       select gen_random_uuid() as id, s.n, s.n % $2 as kind, s.n / $2 as nth from generate_series(0, $1::int - 1) as s (n)`,
      [formulas, kinds],
    );
    await client.query(`insert into formula (kitchen_id, id, head, name, style, created_at)
      select distinct on (c.n) p.kitchen_id, c.id, 1, (r.formula ->> 'name') || ' no. ' || (c.nth + 2), r.formula ->> 'style',
        now() - interval '6 years'
      from copy c join pattern p on p.kind = c.kind
      join formula_revision r on r.kitchen_id = p.kitchen_id and r.formula_id = p.formula_id and r.number = p.revision_number`);
    await client.query(`insert into formula_revision
        (kitchen_id, formula_id, number, request_id, schema_version, formula, saved_at)
      select distinct on (c.n) r.kitchen_id, c.id, 1, gen_random_uuid(), r.schema_version,
        jsonb_set(r.formula, '{name}', to_jsonb((r.formula ->> 'name') || ' no. ' || (c.nth + 2))), now() - interval '6 years'
      from copy c join pattern p on p.kind = c.kind
      join formula_revision r on r.kitchen_id = p.kitchen_id and r.formula_id = p.formula_id and r.number = p.revision_number`);
    await client.query(
      `create temp table baked on commit drop as
       select gen_random_uuid() as id, p.*, s.n as nth, now() - interval '1 day' - s.n * interval '5 hours' as at,
         (select c.id from copy c where c.kind = p.kind order by c.nth
          offset (s.n / $2) % greatest(1, (select count(*) from copy c where c.kind = p.kind)) limit 1) as of_id
       from generate_series(0, $1::int - 1) as s (n) join pattern p on p.n = s.n % $2`,
      [bakes, patterns],
    );
    await client.query(`insert into bake
        (kitchen_id, id, formula_id, revision_number, request_id, batch, sheet, started_at, schema_version)
      select b.kitchen_id, k.id, k.of_id, 1, gen_random_uuid(), b.batch, b.sheet, k.at, b.schema_version
      from baked k join bake b on b.kitchen_id = k.kitchen_id and b.id = k.bake_id where k.of_id is not null`);
    await client.query(`insert into bake_event
        (kitchen_id, bake_id, seq, event_id, action, happened_at, schema_version)
      select e.kitchen_id, k.id, e.seq, gen_random_uuid(), e.action, e.happened_at - b.started_at + k.at, e.schema_version
      from baked k join bake b on b.kitchen_id = k.kitchen_id and b.id = k.bake_id
      join bake_event e on e.kitchen_id = k.kitchen_id and e.bake_id = k.bake_id where k.of_id is not null`);
    await client.query(
      `insert into bake_event (kitchen_id, bake_id, seq, event_id, action, happened_at, schema_version)
       select k.kitchen_id, k.id, last.seq + s.n, gen_random_uuid(), jsonb_build_object('type', 'noted', 'text', 'Looked in, no. ' || s.n % 9),
         last.happened_at + s.n * interval '1 second', last.schema_version
       from baked k cross join lateral (select e.seq, e.happened_at, e.schema_version from bake_event e
         where e.kitchen_id = k.kitchen_id and e.bake_id = k.id order by e.seq desc limit 1) last
       cross join generate_series(1, $1::int) as s (n) where k.of_id is not null`,
      [notes],
    );
    await client.query(`update formula f set bakes = b.bakes, last_baked_at = b.last from
      (select formula_id, count(*) as bakes, max(started_at) as last from bake group by formula_id) b where b.formula_id = f.id`);
    await client.query('commit');
    await renewCards(pool);
    await client.query('analyze');
    return await count(client, 'select count(*) as n from bake_event');
  } catch (error) {
    await client.query('rollback');
    throw error;
  } finally {
    client.release();
  }
}

async function count(client: pg.PoolClient, text: string): Promise<number> {
  const { rows } = await client.query<{ n: number }>(text);
  return Number(rows[0]?.n ?? 0);
}
