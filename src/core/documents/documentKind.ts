import type * as z from 'zod';
import { readAs } from '../readAs';
import { refuse, type Result } from '../result';

/**
 * A kind of document that is stored: its shape now, the number of that shape, and one upgrade from each older shape to the next. What
 * was stored once is read for ever. A change of the shape is a new version with an upgrade and a fixture
 * (fixtures/NAME.vN.json); documents.test.ts fails where one is missing.
 */
export interface DocumentKind<T> {
  readonly name: string;
  readonly version: number;
  readonly schema: z.ZodType<T>;
  /** From version N to N + 1, by N. They get what was stored, which nobody has checked since. */
  readonly upgrades: Readonly<Record<number, (document: Readonly<Record<string, unknown>>) => unknown>>;
}

/** What could not be read, and stays where it is, for a program that can. */
export interface SetAside {
  readonly kind: string;
  readonly id: string;
  /** What it calls itself, where that much can be seen. */
  readonly name: string | null;
  readonly version: number;
  /** Of a shape that this program does not know yet. */
  readonly newer: boolean;
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Reads a stored document of any version up to the present one.
 * @returns the document in its present shape; `wrongVersion` for one this program does not know; the first problem of one that is
 *   not what its version says. Never throws: a damaged row is data.
 */
export function readDocument<T>(kind: DocumentKind<T>, version: number, stored: unknown): Result<T> {
  if (!Number.isInteger(version) || version < 1 || version > kind.version)
    return refuse('wrongVersion', 'version', { version, max: kind.version });
  let document = stored;
  for (let from = version; from < kind.version; from++) {
    const upgrade = kind.upgrades[from];
    if (!upgrade || !isRecord(document))
      return refuse('wrongVersion', 'version', { version: from, max: kind.version });
    try {
      document = upgrade(document);
    } catch {
      return refuse('notAllowed');
    }
  }
  return readAs(kind.schema, document);
}

/** The note that stands in for a document that cannot be read. */
export function setAside(
  kind: DocumentKind<unknown>,
  id: string,
  version: number,
  stored: unknown,
): SetAside {
  const name = isRecord(stored) && typeof stored.name === 'string' ? stored.name.slice(0, 80) : null;
  return { kind: kind.name, id, name, version, newer: version > kind.version };
}
