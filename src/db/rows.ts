import * as z from 'zod';
import { readDocument, setAside, type DocumentKind, type SetAside } from '@/core/documents';

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

/** Thrown where one document was asked for by its id and cannot be read. Lists leave such a one out and say so. */
export class UnreadableDocument extends Error {
  constructor(readonly setAside: SetAside) {
    super(`A ${setAside.kind} cannot be read: ${setAside.id} (version ${setAside.version})`);
  }
}

export interface Sifted<T> {
  readonly rows: T[];
  readonly setAside: SetAside[];
}

/** Rows with their document read, and a note for each whose document cannot be: one bad row takes nothing else down. */
export function sift<Raw extends { schemaVersion: number; document: unknown }, T, U>(
  rows: readonly Raw[],
  kind: DocumentKind<T>,
  idOf: (row: Raw) => string,
  made: (row: Raw, document: T) => U,
): Sifted<U> {
  const sifted: Sifted<U> = { rows: [], setAside: [] };
  for (const row of rows) {
    const read = readDocument(kind, row.schemaVersion, row.document);
    if (read.ok) sifted.rows.push(made(row, read.value));
    else sifted.setAside.push(setAside(kind, idOf(row), row.schemaVersion, row.document));
  }
  return sifted;
}

/** The one of at most one; null where there is none. @throws UnreadableDocument */
export function only<T>({ rows, setAside: [bad] }: Sifted<T>): T | null {
  if (bad) throw new UnreadableDocument(bad);
  return rows[0] ?? null;
}

/** What every row with a document has of it. */
export const documentColumns = { schemaVersion: z.number().int(), document: z.unknown() };
