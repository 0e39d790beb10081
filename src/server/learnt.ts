import type { RiseLearning, RiseObservation } from '@/core/fermentation';
import type { IngredientBook } from '@/core/ingredients';
import { runKitchenOf, type Kit } from '@/core/kit';
import { riseObservations, type RunKitchen } from '@/core/run';
import { riseSignatures } from '@/db/queries/bakeCards';
import { listRisenBakes } from '@/db/queries/bakes';
import { withEvents } from './bakeRecords';
import { computedAnswers, signatureOf, type Wanted } from './computedAnswers';
import type { Context } from './context';
import { loadKit } from './kit';
import { simulation } from './simulations';
import { loadAbsorption } from './absorption';

/** The newest bakes of a formula count: older flour and older yeast tell little of today's. */
const MOST_BAKES = 12;

/** What marks are read with, besides the bakes they were made in. */
interface Around {
  readonly kit: Kit;
  readonly book: IngredientBook;
  readonly signature: string;
}

/** @returns the kit and the larder with a word that changes whenever either does */
export async function loadAround(context: Context): Promise<Around> {
  const [{ version, kit }, { book, signature }] = await Promise.all([loadKit(context), context.larder()]);
  return { kit, book, signature: signatureOf(context.kitchen.epoch, version, signature) };
}

/**
 * What the marks in formulas' bakes have taught of their rise: stored by a signature of those bakes, the kit and the larder, and computed
 * when that has changed.
 * @returns by formula; those without a mark are not in it
 */
export async function learntOf(
  context: Context,
  formulaIds: readonly string[],
  around: Around,
  gone?: AbortSignal,
): Promise<ReadonlyMap<string, { readonly learning: RiseLearning | null; readonly signature: string }>> {
  const marked = await riseSignatures(context.pool, context.kitchen.id, formulaIds, MOST_BAKES);
  const wanted = [...marked].map(([id, bakes]): Wanted<RiseLearning | null> & { id: string } => ({
    id,
    about: `rise ${id}`,
    signature: signatureOf(around.signature, bakes),
    compute: async (nobody) => simulation('rise', await observations(context, id, around), nobody),
  }));
  const learnings = await computedAnswers(context, wanted, gone);
  return new Map(
    wanted.flatMap(({ id, about, signature }) => {
      const learning = learnings.get(about);
      return learning === undefined ? [] : [[id, { learning, signature }] as const];
    }),
  );
}

async function observations(
  context: Context,
  formulaId: string,
  { kit, book }: Around,
): Promise<RiseObservation[]> {
  const rows = await listRisenBakes(context.pool, context.kitchen.id, formulaId, MOST_BAKES);
  const [newest] = rows;
  if (!newest) return [];
  const today = runKitchenOf(kit, newest.formula);
  const by = new Map(rows.map((row) => [row.id, row]));
  const bakes = await withEvents(
    context,
    rows.map(({ formula: _, kit: __, ...bake }) => bake),
  );
  return bakes.flatMap((bake) => {
    const baked = by.get(bake.id);
    if (!baked) return [];
    // a winter's marks were not made in this summer's room
    const then = baked.kit ? runKitchenOf(baked.kit, baked.formula) : today;
    return riseObservations(bake, baked.formula, book, then);
  });
}

/** The kitchen of a run with what its marks have taught. */
export const taughtKitchen = (kitchen: RunKitchen, learning: RiseLearning | null): RunKitchen =>
  learning ? { ...kitchen, learnt: learning.learnt } : kitchen;

/** What the marks in a formula's bakes have taught of its rise; null: nothing yet. */
export async function loadLearnt(context: Context, formulaId: string): Promise<RiseLearning | null> {
  const learnt = await learntOf(context, [formulaId], await loadAround(context));
  return learnt.get(formulaId)?.learning ?? null;
}

/** After a bake has ended: what it taught is there before anybody asks. */
export async function renewLearnt(context: Context, formulaId: string): Promise<void> {
  await loadLearnt(context, formulaId);
  await loadAbsorption(context);
}
