import { stateOf } from '@/core/bake';
import type { RiseLearning, RiseObservation } from '@/core/fermentation';
import type { Formula } from '@/core/formula';
import type { IngredientBook } from '@/core/ingredients';
import { runKitchenOf, type Kit } from '@/core/kit';
import { leavenLot, riseObservations, type RunKitchen } from '@/core/run';
import { kitchenRiseSignature, riseSignatures } from '@/db/queries/bakeCards';
import { listKitchenRisenBakes, listRisenBakes, type MarkedBakeRow } from '@/db/queries/bakes';
import { findFormulas } from '@/db/queries/formulas';
import { withEvents } from './bakeRecords';
import { computedAnswers, signatureOf, type Wanted } from './computedAnswers';
import type { Context } from './context';
import { loadKit } from './kit';
import { simulation, type Simulated } from './simulations';
import { loadAbsorption } from './absorption';

/** Of all formulas, for what a jar of yeast has shown. */
const MOST_JAR_BAKES = 24;
/** The newest bakes of a formula count: older flour and older yeast tell little of today's. */
export const MOST_BAKES = 12;

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
    compute: async (nobody) => simulation('rise', await askedOf(context, id, around), nobody),
  }));
  const learnings = await computedAnswers(context, wanted, gone);
  const own = new Map(
    wanted.flatMap(({ id, about, signature }) => {
      const learning = learnings.get(about);
      return learning === undefined ? [] : [[id, { learning, signature }] as const];
    }),
  );
  if (openLeavens(around.book).size === 0) return own;
  const { rows } = await findFormulas(context.pool, context.kitchen.id, [...formulaIds]);
  const jars = new Map(rows.map(({ id, formula }) => [id, openLeaven(formula, around.book)]));
  for (const jar of new Set(jars.values())) {
    if (jar === '') continue;
    const taught = await learntOfJar(context, jar, around, gone);
    for (const [id, its] of jars) {
      if (its !== jar) continue;
      const before = own.get(id);
      own.set(id, {
        learning: withJar(before?.learning ?? null, taught.learning),
        signature: signatureOf(before?.signature ?? '', taught.signature),
      });
    }
  }
  return own;
}

async function askedOf(
  context: Context,
  formulaId: string,
  around: Around,
): Promise<Simulated['rise']['question']> {
  const rows = await listRisenBakes(context.pool, context.kitchen.id, formulaId, MOST_BAKES);
  const [newest] = rows;
  if (!newest) return { observations: [], of: { leavenOf: '', doughOf: formulaId } };
  return {
    observations: await observations(context, rows, around),
    of: { leavenOf: openLeaven(newest.formula, around.book), doughOf: formulaId },
  };
}

async function observations(
  context: Context,
  rows: readonly MarkedBakeRow[],
  { kit, book }: Around,
): Promise<RiseObservation[]> {
  const by = new Map(rows.map((row) => [row.id, row]));
  const newest = new Map(rows.toReversed().map((row) => [row.formulaId, row.formula]));
  const bakes = await withEvents(
    context,
    rows.map(({ formula: _, kit: __, ...bake }) => bake),
  );
  return bakes.flatMap((bake) => {
    const baked = by.get(bake.id);
    if (!baked || !stateOf(bake).teaches) return [];
    // a winter's marks were not made in this summer's room
    const then = runKitchenOf(baked.kit ?? kit, baked.kit ? baked.formula : newest.get(bake.formulaId)!);
    return riseObservations(bake, baked.formula, book, then);
  });
}

/** The open jar of what lifts a formula; '': none is told apart. */
const openLeaven = (formula: Formula, book: IngredientBook): string =>
  leavenLot(formula, book, openLeavens(book));

/** Of each yeast and starter whose jars are told apart the open one. */
const openLeavens = (book: IngredientBook): ReadonlyMap<string, string> =>
  new Map(
    [...book.values()].flatMap(({ id, lot, roles }) =>
      lot && (roles.includes('leaven') || roles.includes('starter')) ? [[id, lot.id] as const] : [],
    ),
  );

/**
 * How lively a formula's open jar of yeast is, as the marks of all doughs it lifted have taught; null: no jar is told apart, or no mark
 * was made in its doughs. A new jar is as lively as what is said of it, whatever the one before was.
 */
async function learntOfJar(
  context: Context,
  jar: string,
  around: Around,
  gone?: AbortSignal,
): Promise<{ readonly learning: RiseLearning | null; readonly signature: string }> {
  const signature = signatureOf(
    around.signature,
    jar,
    await kitchenRiseSignature(context.pool, context.kitchen.id, MOST_JAR_BAKES),
  );
  const about = `jar ${jar}`;
  const compute = async (nobody?: AbortSignal) => {
    const rows = await listKitchenRisenBakes(context.pool, context.kitchen.id, MOST_JAR_BAKES);
    const all = await observations(context, rows, around);
    const mine = all.filter(({ leavenOf }) => leavenOf === jar);
    return simulation('rise', { observations: mine, of: { leavenOf: jar, doughOf: NO_DOUGH } }, nobody);
  };
  const answers = await computedAnswers<RiseLearning | null>(context, [{ about, signature, compute }], gone);
  return { learning: answers.get(about) ?? null, signature };
}
const NO_DOUGH = 'none';

/** How lively each open jar of yeast has shown itself; those without a mark are not in it. */
export async function loadJars(
  context: Context,
): Promise<{ lotId: string; vigour: RiseLearning['learnt']['vigour']; marks: number }[]> {
  const around = await loadAround(context);
  const open = [...openLeavens(around.book).values()];
  const taught = await Promise.all(
    open.map(async (lotId) => ({ lotId, ...(await learntOfJar(context, lotId, around)) })),
  );
  return taught.flatMap(({ lotId, learning }) =>
    learning ? [{ lotId, vigour: learning.learnt.vigour, marks: learning.marks }] : [],
  );
}

/** What a jar has shown in all doughs, over what a formula's own marks say of it. */
function withJar(formula: RiseLearning | null, jar: RiseLearning | null): RiseLearning | null {
  if (!jar) return formula;
  const holding = formula?.learnt.holding ?? { value: 1, cv: 0 };
  return { ...(formula ?? jar), learnt: { vigour: jar.learnt.vigour, holding } };
}

/** The kitchen of a run with what its marks have taught. */
export const taughtKitchen = (kitchen: RunKitchen, learning: RiseLearning | null): RunKitchen =>
  learning ? { ...kitchen, learnt: learning.learnt } : kitchen;

/** What the marks in a formula's bakes have taught of its rise; null: nothing yet. */
export async function loadLearnt(
  context: Context,
  formulaId: string,
  gone?: AbortSignal,
): Promise<RiseLearning | null> {
  const learnt = await learntOf(context, [formulaId], await loadAround(context), gone);
  return learnt.get(formulaId)?.learning ?? null;
}

/** After a bake has ended: what it taught is there before anybody asks. */
export async function renewLearnt(context: Context, formulaId: string): Promise<void> {
  await loadLearnt(context, formulaId);
  await loadAbsorption(context);
}
