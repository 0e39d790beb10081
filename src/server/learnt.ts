import type { BakeRecord } from '@/core/bake';
import { learnRise, type RiseLearning } from '@/core/fermentation';
import type { Formula } from '@/core/formula';
import type { IngredientBook } from '@/core/ingredients';
import { runKitchenOf, type Kit } from '@/core/kit';
import { riseObservations, type RunKitchen } from '@/core/run';
import { listMarkedBakes } from '@/db/queries/bakes';
import { withEvents } from './bakes';
import type { Context } from './context';
import { loadKit } from './kit';

/** The newest bakes of a formula count: older flour and older yeast tell little of today's. */
const MOST_BAKES = 12;
const MOST_OF_ALL = 400;

/** With what it was baked by, and in: the kit as it was known that day, null where none had been kept. */
type MarkedBake = BakeRecord & { readonly formula: Formula; readonly kit: Kit | null };

/** A formula's bakes with marks in them, and a word that changes whenever one of them does. */
export interface MarkedBakes {
  readonly bakes: readonly MarkedBake[];
  readonly signature: string;
}
export const NO_MARKS: MarkedBakes = { bakes: [], signature: '' };

/** By formula, newest first. @param formulaId null: of the whole kitchen */
export async function markedBakes(
  context: Context,
  formulaId: string | null,
): Promise<ReadonlyMap<string, MarkedBakes>> {
  const rows = await listMarkedBakes(
    context.pool,
    context.kitchen.id,
    formulaId,
    'rise',
    formulaId ? MOST_BAKES : MOST_OF_ALL,
  );
  const by = new Map(rows.map(({ id, formula, kit }) => [id, { formula, kit }]));
  const byFormula = new Map<string, MarkedBake[]>();
  for (const bake of await withEvents(
    context,
    rows.map(({ formula: _, kit: __, ...bake }) => bake),
  )) {
    const baked = by.get(bake.id);
    const list = byFormula.get(bake.formulaId) ?? [];
    if (baked && list.length < MOST_BAKES) byFormula.set(bake.formulaId, [...list, { ...bake, ...baked }]);
  }
  return new Map(
    [...byFormula].map(([id, bakes]) => [
      id,
      { bakes, signature: bakes.map((bake) => `${bake.id}.${bake.events.length}`).join(' ') },
    ]),
  );
}

function learn({ bakes }: MarkedBakes, kitchen: RunKitchen, book: IngredientBook): RiseLearning | null {
  return learnRise(
    bakes.flatMap((bake) =>
      // a winter's marks were not made in this summer's room
      riseObservations(bake, bake.formula, book, bake.kit ? runKitchenOf(bake.kit, bake.formula) : kitchen),
    ),
  );
}

/** The kitchen of a run with what its marks have taught. */
export function taughtKitchen(kitchen: RunKitchen, marked: MarkedBakes, book: IngredientBook): RunKitchen {
  const learning = learn(marked, kitchen, book);
  return learning ? { ...kitchen, learnt: learning.learnt } : kitchen;
}

/** What the marks in a formula's bakes have taught of its rise; null: nothing yet. */
export async function loadLearnt(context: Context, formulaId: string): Promise<RiseLearning | null> {
  const marked = (await markedBakes(context, formulaId)).get(formulaId);
  const [newest] = marked?.bakes ?? [];
  if (!marked || !newest) return null;
  const [{ kit }, book] = await Promise.all([loadKit(context), context.book()]);
  return learn(marked, runKitchenOf(kit, newest.formula), book);
}
