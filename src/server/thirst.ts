import { feltObservations } from '@/core/bake';
import { learnThirst, type ThirstLearnt } from '@/core/consistency';
import { kitchenBook, libraryBook } from '@/core/ingredients';
import { listMarkedBakes } from '@/db/queries/bakes';
import { withEvents } from './bakes';
import type { Context } from './context';
import { loadEntries } from './ingredients';

/** Flour of last year tells little of today's. */
const MOST_BAKES = 60;

/**
 * What hands have taught of the water this kitchen's powders drink. What was taken over from it before does not count as known:
 * it is learnt from all feels anew, or it would be learnt twice.
 */
export async function loadThirst(context: Context): Promise<ThirstLearnt[]> {
  const rows = await listMarkedBakes(context.pool, context.kitchen.id, null, 'felt', MOST_BAKES);
  if (rows.length === 0) return [];
  const entries = await loadEntries(context);
  const laid = kitchenBook(
    entries.filter(({ entry }) => entry.kind !== 'bag' || entry.learntFrom === undefined),
  );
  const book = laid.ok ? laid.value : libraryBook;
  const formulas = new Map(rows.map(({ id, formula }) => [id, formula]));
  const bakes = await withEvents(
    context,
    rows.map(({ formula: _, kit: __, ...bake }) => bake),
  );
  return learnThirst(
    bakes.reverse().flatMap((bake) => {
      const formula = formulas.get(bake.id);
      return formula ? feltObservations(bake, formula, book) : [];
    }),
    book,
  );
}
