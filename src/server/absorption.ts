import { feltObservations } from '@/core/bake';
import { learnAbsorption, type AbsorptionLearnt } from '@/core/consistency';
import { kitchenBook, libraryBook } from '@/core/ingredients';
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
  if (felt === '') return [];
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
  const merged = kitchenBook(
    entries.filter(({ entry }) => entry.kind !== 'bag' || entry.learntFrom === undefined),
  );
  const book = merged.ok ? merged.value : libraryBook;
  const formulas = new Map(rows.map(({ id, formula }) => [id, formula]));
  const bakes = await withEvents(
    context,
    rows.map(({ formula: _, kit: __, ...bake }) => bake),
  );
  return learnAbsorption(
    bakes.reverse().flatMap((bake) => {
      const formula = formulas.get(bake.id);
      return formula ? feltObservations(bake, formula, book) : [];
    }),
    book,
  );
}
