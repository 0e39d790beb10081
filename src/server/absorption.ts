import { feltObservations, stateOf } from '@/core/bake';
import { feltOfRecipe, learnAbsorption, type AbsorptionLearnt } from '@/core/consistency';
import { sparingBook, type StoredEntry } from '@/core/ingredients';
import { feltSignature } from '@/db/queries/bakeCards';
import { listFeltBakes } from '@/db/queries/bakes';
import { withEvents } from './bakeRecords';
import { computedAnswer, signatureOf } from './computedAnswers';
import type { Context } from './context';

/** Flour of last year tells little of today's. */
const MOST_BAKES = 60;

/**
 * What hands have taught of the water this kitchen's powders drink. What was taken over from it before does not count as known:
 * it is learnt from all feels anew, or it would be learnt twice. Stored by a signature of those bakes and the larder.
 */
export async function loadAbsorption(context: Context): Promise<AbsorptionLearnt[]> {
  const [felt, larder] = await Promise.all([
    feltSignature(context.pool, context.kitchen.id, MOST_BAKES),
    context.larder(),
  ]);
  const printed = larder.entries.some(({ entry }) => 'works' in entry && entry.works);
  if (felt === '' && !printed) return [];
  const signature = signatureOf(context.kitchen.epoch, larder.signature, felt);
  const learnt = await computedAnswer(context, {
    about: 'absorption',
    signature,
    compute: () => learnNow(context),
  });
  return learnt ?? [];
}

async function learnNow(context: Context): Promise<AbsorptionLearnt[]> {
  const rows = await listFeltBakes(context.pool, context.kitchen.id, MOST_BAKES);
  const { entries } = await context.larder();
  const { book } = sparingBook(entries.map(untaught));
  const formulas = new Map(rows.map(({ id, formula }) => [id, formula]));
  const bakes = await withEvents(
    context,
    rows.map(({ formula: _, kit: __, ...bake }) => bake),
  );
  // a recipe that works with a bag is a feel like any other, and the first
  const printed = entries.flatMap(({ id, away, entry }) => {
    const works = !away && 'works' in entry ? entry.works : undefined;
    const felt = works && feltOfRecipe(id, works, book);
    return felt ? [felt] : [];
  });
  return learnAbsorption(
    [
      ...printed,
      ...bakes.reverse().flatMap((bake) => {
        const formula = formulas.get(bake.id);
        return formula && stateOf(bake).teaches ? feltObservations(bake, formula, book) : [];
      }),
    ],
    book,
  );
}

/** An entry as it was before hands taught it anything. */
function untaught(stored: StoredEntry): StoredEntry {
  const { entry } = stored;
  if (entry.kind === 'own') return stored;
  const taught = entry.learntFrom !== undefined;
  switch (entry.kind) {
    case 'bag': {
      const { absorption, absorbs, ...stated } = entry.changes;
      const changes = { ...stated, ...(!taught && absorption !== undefined && { absorption }) };
      const known = !taught && !entry.works && absorbs ? { ...changes, absorbs } : changes;
      return { ...stored, entry: { ...entry, changes: known } };
    }
    case 'blend':
    case 'lot': {
      if (!taught && !('works' in entry && entry.works)) return stored;
      const { absorbs: _, ...plain } = entry;
      return { ...stored, entry: plain };
    }
  }
}
