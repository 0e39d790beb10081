import { cutCrumb, stateOf } from '@/core/bake';
import { asWay } from '@/core/formula';
import { runKitchenOf } from '@/core/kit';
import { asPlanned } from '@/core/record';
import { sliceQuestion, type RunKitchen } from '@/core/run';
import { learnSlice, type SliceLearning, type SliceObservation } from '@/core/slice';
import { cutSignatures } from '@/db/queries/bakeCards';
import { listCutBakes } from '@/db/queries/bakes';
import { withEvents } from './bakeRecords';
import { computedAnswers, signatureOf } from './computedAnswers';
import type { Context } from './context';
import { learntOf, loadAround, MOST_BAKES, taughtKitchen } from './learnt';
import { simulation } from './simulations';

/** A cut that was read, with the slice that was drawn of that bake. */
interface ReadCut extends SliceObservation {
  readonly bakeId: string;
  readonly startedAtMs: number;
}
export interface ReadCuts {
  readonly cuts: readonly ReadCut[];
  readonly signature: string;
}

type RiseLearnings = Awaited<ReturnType<typeof learntOf>>;

/**
 * The newest cuts of each formula that were read, beside how the models drew them with what is known of the rise by now: what is left is the drawing's own
 * to learn. Stored by a signature of those bakes and of all that was learnt of the rise.
 *
 * @returns by formula; those without a read cut are not in it
 */
export async function cutsOf(
  context: Context,
  formulaIds: readonly string[],
  around: Awaited<ReturnType<typeof loadAround>>,
  rises: RiseLearnings,
  gone?: AbortSignal,
): Promise<ReadonlyMap<string, ReadCuts>> {
  const signatures = await cutSignatures(context.pool, context.kitchen.id, formulaIds, MOST_BAKES);
  const wanted = [...signatures].map(([id, bakes]) => ({
    id,
    about: `cuts ${id}`,
    signature: signatureOf(around.signature, bakes, rises.get(id)?.signature ?? ''),
    compute: (nobody?: AbortSignal) => drawn(context, id, around, rises, nobody),
  }));
  const answers = await computedAnswers<ReadCut[]>(context, wanted, gone);
  return new Map(
    wanted.flatMap(({ id, about, signature }) => {
      const cuts = answers.get(about);
      return cuts ? [[id, { cuts, signature }] as const] : [];
    }),
  );
}

async function drawn(
  context: Context,
  formulaId: string,
  { kit, book }: Awaited<ReturnType<typeof loadAround>>,
  rises: RiseLearnings,
  nobody?: AbortSignal,
): Promise<ReadCut[]> {
  const rows = await listCutBakes(context.pool, context.kitchen.id, formulaId, MOST_BAKES);
  const bakes = await withEvents(
    context,
    rows.map(({ formula: _, kit: __, ...bake }) => bake),
  );
  const cuts: ReadCut[] = [];
  for (const [index, bake] of bakes.entries()) {
    const row = rows[index]!;
    const state = stateOf(bake);
    const read = cutCrumb(state);
    if (!read || !state.teaches) continue;
    const then = runKitchenOf(row.kit ?? kit, asWay(row.formula));
    const planned = asPlanned(bake.sheet, row.formula, book);
    const question = sliceQuestion(
      planned.formula,
      planned.book,
      taughtKitchen(then, rises.get(formulaId)?.learning ?? null),
    );
    const expected = question && (await simulation('slice', question, nobody));
    if (!expected) continue;
    cuts.push({
      bakeId: bake.id,
      startedAtMs: bake.startedAtMs,
      expected,
      read: { ...read, outline: [], marks: [] },
    });
  }
  return cuts;
}

/** The same of one formula; null: none was read. */
export async function loadCuts(
  context: Context,
  formulaId: string,
  gone?: AbortSignal,
): Promise<readonly ReadCut[]> {
  const around = await loadAround(context);
  const rises = await learntOf(context, [formulaId], around, gone);
  return (await cutsOf(context, [formulaId], around, rises, gone)).get(formulaId)?.cuts ?? [];
}

/** What a formula's cuts have taught of its slices; null: nothing yet. */
export const loadSliceLearning = async (
  context: Context,
  formulaId: string,
  gone?: AbortSignal,
): Promise<SliceLearning | null> => learnSlice(await loadCuts(context, formulaId, gone));

/** A kitchen whose slices are drawn as they come out there. */
export const shownKitchen = (kitchen: RunKitchen, cuts: readonly SliceObservation[]): RunKitchen => {
  const learning = learnSlice(cuts);
  return learning ? { ...kitchen, slices: learning.learnt } : kitchen;
};
