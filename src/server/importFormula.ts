import { readFormulaFile } from '@/core/formats';
import { allLines, checkFormula, type Formula } from '@/core/formula';
import { kitchenBook, libraryBook, type StoredEntry, isOwnId } from '@/core/ingredients';
import type { KitchenEntry } from '@/core/ingredients/kitchenEntrySchema';
import { findByRequest, findRevision, insertRevision, type SavedRevision } from '@/db/queries/formulas';
import { insertEntry, lockEntries } from '@/db/queries/ingredients';
import { transaction } from '@/db/transaction';
import type { Context } from './context';
import { done, failed, invalid, type Done } from './failure';
import { loadEntries } from './ingredients';
import { sameContent } from './sameContent';

/** A formula with its own ingredients' ids left out: the ones in a file are not always the ones it comes in under. */
const plainIds = (formula: Formula): Formula => ({
  ...formula,
  stages: formula.stages.map((stage) => ({
    ...stage,
    lines: stage.lines.map((line) => ({
      ...line,
      ingredientId: isOwnId(line.ingredientId) ? 'own' : line.ingredientId,
    })),
  })),
});

/**
 * What of a file's ingredients has to be added to this kitchen, and under which ids. An own ingredient that is here already is
 * used as it is; one that has the same id and says something else comes in beside it under a new id; a bag of ours stays.
 */
function settle(
  entries: readonly KitchenEntry[],
  here: readonly StoredEntry[],
  newId: () => string,
): { add: KitchenEntry[]; idOf: (id: string) => string } {
  const known = new Map(here.map(({ id, entry }) => [id, entry]));
  const renamed = new Map<string, string>();
  const meansOther = (entry: KitchenEntry): boolean => {
    const ours = known.get(entry.id);
    if (!ours || entry.kind === 'bag' || renamed.has(entry.id)) return false;
    // the same words, of parts that mean something else here
    const ofOthers =
      entry.kind === 'blend' && entry.parts.some(({ ingredientId }) => renamed.has(ingredientId));
    return ofOthers || !sameContent(ours, entry);
  };
  for (let other = entries.find(meansOther); other; other = entries.find(meansOther))
    renamed.set(other.id, `own-${newId().slice(0, 18)}`);
  const idOf = (id: string) => renamed.get(id) ?? id;
  const add = entries
    .filter((entry) => !known.has(entry.id) || renamed.has(entry.id))
    .map((entry): KitchenEntry => {
      if (entry.kind === 'bag' || entry.kind === 'lot') return entry;
      if (entry.kind === 'own') return { ...entry, id: idOf(entry.id) };
      const parts = entry.parts.map((part) => ({ ...part, ingredientId: idOf(part.ingredientId) }));
      return { ...entry, id: idOf(entry.id), parts };
    });
  return { add, idOf };
}

/** Takes a formula file into the kitchen, with the ingredients it brings, whole or not at all. A repetition changes nothing. */
export async function importFormula(
  context: Context,
  { requestId, file: text }: { requestId: string; file: string },
): Promise<Done<SavedRevision>> {
  const { pool, kitchen, now, newId } = context;
  const read = readFormulaFile(text, libraryBook);
  if (!read.ok) return invalid(read.problem);
  const { formula, ingredients } = read.value.file;
  return transaction(pool, async (client) => {
    await lockEntries(client, kitchen.id);
    const earlier = await findByRequest(client, kitchen.id, requestId, null);
    if (earlier) {
      const { same: _same, ...saved } = earlier;
      const stored = await findRevision(client, kitchen.id, saved.id, saved.revision);
      return stored && saved.revision === 1 && sameContent(plainIds(stored.formula), plainIds(formula))
        ? done(saved)
        : failed({ kind: 'otherContent' });
    }
    const here = await loadEntries(context, client);
    const { add, idOf } = settle(ingredients, here, newId);
    const stored = [...here, ...add.map((entry) => ({ id: entry.id, version: 1, away: false, entry }))];
    const book = kitchenBook(stored);
    if (!book.ok) return invalid({ ...book.problem, path: 'ingredients' });
    const taken: Formula = {
      ...formula,
      stages: formula.stages.map((stage) => ({
        ...stage,
        lines: stage.lines.map((line) => ({ ...line, ingredientId: idOf(line.ingredientId) })),
      })),
    };
    const problems = checkFormula(taken, book.value);
    if (problems.length > 0 || allLines(taken).length === 0) {
      return invalid(
        ...(problems.length > 0 ? problems : [{ code: 'required', path: 'formula.stages' } as const]),
      );
    }
    const savedAt = now();
    for (const entry of add) {
      await insertEntry(client, {
        kitchenId: kitchen.id,
        version: 1,
        requestId: newId(),
        entry,
        away: false,
        savedAt,
      });
    }
    const id = newId();
    await insertRevision(client, {
      kitchenId: kitchen.id,
      id,
      number: 1,
      requestId,
      formula: taken,
      savedAt,
    });
    return done({ id, revision: 1, savedAtMs: savedAt.getTime() });
  });
}
