import type pg from 'pg';
import { bakeState } from '@/core/bake';
import { fileBook, readKitchenFile, sheetOf, type KitchenFile } from '@/core/formats';
import type { Formula } from '@/core/formula';
import { libraryBook } from '@/core/ingredients';
import type { Result } from '@/core/result';
import { insertBake, insertEvents } from '@/db/queries/bakes';
import { insertRevision, setArchived, setBranch } from '@/db/queries/formulas';
import { insertEntry } from '@/db/queries/ingredients';
import type { KitchenRow } from '@/db/queries/kitchens';
import {
  insertVersion,
  KITS,
  LIVES,
  ORDER_BOOK,
  STARTER_SHELF,
  type VersionStore,
} from '@/db/queries/versions';
import type { Queryable } from '@/db/rows';
import { transaction } from '@/db/transaction';
import { saveCard } from './bakeCards';
import { makeKitchen } from './makeKitchen';

export interface Importer {
  readonly pool: pg.Pool;
  readonly newId: () => string;
}

/** Where a file's things go, and who gives them ids. */
interface Into {
  readonly db: Queryable;
  readonly kitchenId: string;
  readonly newId: () => string;
}

async function importBook({ db, kitchenId, newId }: Into, { kits, ingredients }: KitchenFile): Promise<void> {
  for (const [index, { kit, savedAt }] of kits.entries())
    await insertVersion(db, KITS, {
      kitchenId,
      version: index + 1,
      requestId: newId(),
      value: kit,
      savedAt: new Date(savedAt),
    });
  for (const { versions } of ingredients)
    for (const [index, { entry, away, savedAt }] of versions.entries())
      await insertEntry(db, {
        kitchenId, version: index + 1, requestId: newId(), entry, away, savedAt: new Date(savedAt),
      }); // prettier-ignore
}

/** A part that is made by another formula of the file is made by it here; by one that is not in it, by none. */
function hereNamed(formula: Formula, ids: ReadonlyMap<string, string>): Formula {
  if (!formula.stages.some(({ formulaId }) => formulaId)) return formula;
  return {
    ...formula,
    stages: formula.stages.map(({ formulaId, ...stage }) => {
      const here = formulaId && ids.get(formulaId);
      return here ? { ...stage, formulaId: here } : stage;
    }),
  };
}

async function importFormulas({ db, kitchenId, newId }: Into, { formulas }: KitchenFile) {
  const ids = new Map(formulas.map(({ key }) => [key, newId()]));
  const idOf = (key: string) => ids.get(key) ?? '';
  for (const { key, revisions } of formulas)
    for (const [index, { savedAt, formula }] of revisions.entries())
      await insertRevision(db, {
        kitchenId, id: idOf(key), number: index + 1, requestId: newId(), formula: hereNamed(formula, ids), savedAt: new Date(savedAt),
      }); // prettier-ignore
  // once all of them are there: one may have begun as a copy of a later one
  for (const { key, archivedAt, branchedFrom } of formulas) {
    if (archivedAt) await setArchived(db, kitchenId, idOf(key), new Date(archivedAt));
    const from = branchedFrom && ids.get(branchedFrom.formula);
    if (from) await setBranch(db, kitchenId, idOf(key), from, branchedFrom.revision);
  }
  return ids;
}

async function importBakes(
  { db, kitchenId, newId }: Into,
  file: KitchenFile,
  ids: ReadonlyMap<string, string>,
) {
  const book = fileBook(file, libraryBook);
  if (!book.ok) throw new Error('The file passed the check but its ingredients do not make a book');
  for (const bake of file.bakes) {
    const { revision, batch } = bake;
    const formula = file.formulas.find(({ key }) => key === bake.formula)?.revisions[revision - 1]?.formula;
    const formulaId = ids.get(bake.formula);
    const sheet = formula && sheetOf(file, bake, formula, book.value);
    if (!formulaId || !sheet?.ok) throw new Error(`Bake ${bake.key} passed the check but cannot be planned`);
    const id = newId();
    const startedAt = new Date(bake.startedAt);
    await insertBake(db, {
      kitchenId, id, formulaId, revision, requestId: newId(), batch, sheet: sheet.value, startedAt,
    }); // prettier-ignore
    const events = bake.events.map(({ at, action, by }, index) => ({
      eventId: newId(),
      seq: index + 1,
      action,
      at: new Date(at),
      by: by ?? null,
    }));
    await insertEvents(db, kitchenId, id, events);
    const log = events.map(({ seq, action, at, by }) => ({
      seq,
      action,
      atMs: at.getTime(),
      ...(by !== null && { by }),
    }));
    const startedAtMs = startedAt.getTime();
    const stored = { id, formulaId, revision, startedAtMs, sheet: sheet.value };
    await saveCard(db, kitchenId, stored, bakeState(startedAtMs, log));
  }
}

/** What a file's kitchen has in one document each: as it was last, under a first version of its own. */
async function importNewest(
  { db, kitchenId, newId }: Into,
  { kits, life, starters, orders }: KitchenFile,
  ids: ReadonlyMap<string, string>,
) {
  // the file does not say when: as old as its kit
  const savedAt = new Date(kits.at(-1)?.savedAt ?? 0);
  const put = async <T>(store: VersionStore<T>, value: T | null) => {
    if (value) await insertVersion(db, store, { kitchenId, version: 1, requestId: newId(), value, savedAt });
  };
  const here = orders && {
    ...orders,
    // of a formula that is not in the file nothing can be ordered
    orders: orders.orders.flatMap((order) => {
      const formulaId = ids.get(order.formulaId);
      return formulaId ? [{ ...order, formulaId }] : [];
    }),
  };
  await put(LIVES, life);
  await put(STARTER_SHELF, starters);
  await put(ORDER_BOOK, here);
}

/** How the kitchen of a file stands in this installation. */
export interface ImportAs {
  readonly demo?: boolean;
  /** The wish it is made by: sent again it is the same kitchen. */
  readonly requestId?: string | null;
}

/** Moves a file's kitchen in, beside those that are here: in a transaction. */
export async function insertKitchenFile(
  db: Queryable,
  file: KitchenFile,
  newId: () => string,
  { demo = false, requestId = null }: ImportAs = {},
): Promise<KitchenRow> {
  const made = await makeKitchen(db, { id: newId(), details: file.kitchen, demo, requestId });
  if (!made.isNew) return made.kitchen;
  const into: Into = { db, kitchenId: made.kitchen.id, newId };
  await importBook(into, file);
  const ids = await importFormulas(into, file);
  await importBakes(into, file, ids);
  await importNewest(into, file, ids);
  return made.kitchen;
}

/**
 * Makes a kitchen out of a file in the open format, whole or not at all.
 * @returns the new kitchen, the one that the same wish made before, or the first problem in the file
 */
export async function importKitchen(
  { pool, newId }: Importer,
  data: unknown,
  as: ImportAs = {},
): Promise<Result<KitchenRow>> {
  const read = readKitchenFile(data, libraryBook);
  if (!read.ok) return read;
  return {
    ok: true,
    value: await transaction(pool, (client) => insertKitchenFile(client, read.value, newId, as)),
  };
}
