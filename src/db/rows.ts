import type * as z from 'zod';

/** What a query runs on: the pool, or one client inside a transaction. Only what is needed of it, so tests can lend either. */
export interface Queryable {
  query(config: { name?: string; text: string; values: unknown[] }): Promise<{ rows: unknown[] }>;
}

/**
 * One statement with the shape of its rows. `name` makes node-postgres prepare it once per connection; leave it out for
 * statements that are run rarely.
 */
export interface Statement<Row> {
  readonly name?: string;
  readonly text: string;
  readonly row: z.ZodType<Row>;
}

async function run<Row>(
  db: Queryable,
  { name, text, row }: Statement<Row>,
  values: unknown[],
): Promise<Row[]> {
  const { rows } = await db.query(name ? { name, text, values } : { text, values });
  return rows.map((raw) => row.parse(raw));
}

export const many = run;

export async function maybeOne<Row>(
  db: Queryable,
  statement: Statement<Row>,
  values: unknown[],
): Promise<Row | null> {
  const rows = await run(db, statement, values);
  if (rows.length > 1) throw new Error(`Expected at most one row, got ${rows.length}: ${statement.text}`);
  return rows[0] ?? null;
}

export async function one<Row>(db: Queryable, statement: Statement<Row>, values: unknown[]): Promise<Row> {
  const row = await maybeOne(db, statement, values);
  if (row === null) throw new Error(`Expected one row, got none: ${statement.text}`);
  return row;
}
