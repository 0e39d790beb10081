import { bakeState } from '@/core/bake';
import { planBatch } from '@/core/batch';
import { readKitchenFile, type KitchenFile } from '@/core/formats';
import { bookWith, type IngredientBook } from '@/core/ingredients';
import type { Result } from '@/core/result';
import { insertBake, insertEvents } from '@/db/queries/bakes';
import { insertRevision, setArchived } from '@/db/queries/formulas';
import { insertEntry } from '@/db/queries/ingredients';
import { insertKit } from '@/db/queries/kits';
import { firstKitchen, insertKitchen } from '@/db/queries/kitchens';
import type { Queryable } from '@/db/rows';
import { transaction } from '@/db/transaction';
import { saveCard } from './bakeCards';
import type pg from 'pg';

interface Importer {
  readonly pool: pg.Pool;
  readonly book: IngredientBook;
  readonly newId: () => string;
}

async function importFormulas(db: Queryable, file: KitchenFile, kitchenId: string, newId: () => string) {
  const ids = new Map<string, string>();
  for (const { key, archived, revisions } of file.formulas) {
    const id = newId();
    ids.set(key, id);
    for (const [index, { savedAt, formula }] of revisions.entries()) {
      const revision = {
        kitchenId,
        id,
        number: index + 1,
        requestId: newId(),
        formula,
        savedAt: new Date(savedAt),
      };
      await insertRevision(db, revision);
    }
    if (archived) await setArchived(db, kitchenId, id, new Date(revisions.at(-1)?.savedAt ?? 0));
  }
  return ids;
}

/**
 * Makes a kitchen out of a file in the open format, whole or not at all. An empty database is the only place for one until
 * there are accounts; where a kitchen is already at home nothing happens.
 *
 * @returns the new kitchen's id, null when there was one already, or the first problem in the file
 */
export async function importKitchen(
  { pool, book: library, newId }: Importer,
  data: unknown,
): Promise<Result<string | null>> {
  const read = readKitchenFile(data, library);
  if (!read.ok) return read;
  const file = read.value;
  const merged = bookWith(library, file.ingredients);
  if (!merged.ok) throw new Error('The file passed the check but its ingredients do not make a book');
  const book = merged.value;
  return transaction(pool, async (client) => {
    // two starters at once: the second waits here and then finds the kitchen of the first
    await client.query('lock table kitchen in exclusive mode');
    if (await firstKitchen(client)) return { ok: true, value: null };
    const kitchenId = newId();
    await insertKitchen(client, kitchenId, file.kitchen);
    const since = new Date(file.formulas[0]?.revisions[0]?.savedAt ?? 0);
    await insertKit(client, { kitchenId, version: 1, requestId: newId(), kit: file.kit, savedAt: since });
    for (const entry of file.ingredients) {
      await insertEntry(client, {
        kitchenId,
        version: 1,
        requestId: newId(),
        entry,
        away: false,
        savedAt: since,
      });
    }
    const formulaIds = await importFormulas(client, file, kitchenId, newId);
    for (const bake of file.bakes) {
      const formula = file.formulas.find(({ key }) => key === bake.formula)?.revisions[bake.revision - 1]
        ?.formula;
      const formulaId = formulaIds.get(bake.formula);
      const sheet = formula && planBatch(formula, bake.batch, file.kit.scales, book);
      if (!formulaId || !sheet?.ok)
        throw new Error(`Bake ${bake.key} passed the check but cannot be planned`);
      const id = newId();
      const { revision, batch } = bake;
      const startedAt = new Date(bake.startedAt);
      await insertBake(client, {
        kitchenId, id, formulaId, revision, requestId: newId(), batch, sheet: sheet.value, startedAt,
      }); // prettier-ignore
      const events = bake.events.map(({ at, action }, index) => ({
        eventId: newId(),
        seq: index + 1,
        action,
        at: new Date(at),
      }));
      await insertEvents(client, kitchenId, id, events);
      const log = events.map(({ seq, action, at }) => ({ seq, action, atMs: at.getTime() }));
      const startedAtMs = startedAt.getTime();
      await saveCard(
        client,
        kitchenId,
        { id, formulaId, revision, startedAtMs, sheet: sheet.value },
        bakeState(startedAtMs, log),
      );
    }
    return { ok: true, value: kitchenId };
  });
}
