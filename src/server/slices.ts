import { LRUCache } from 'lru-cache';
import { asWay } from '@/core/formula';
import { runKitchenOf } from '@/core/kit';
import { sliceQuestion, type SliceQuestion } from '@/core/run';
import { asPlanned } from '@/core/record';
import type { SliceFigures } from '@/core/slice';
import { findFormulas, findHeadRevisions, findRevision } from '@/db/queries/formulas';
import { computedAnswers, signatureOf } from './computedAnswers';
import { loadBake } from './bakeRecords';
import type { Context } from './context';
import { cutsOf, shownKitchen } from './cutsRead';
import { learntOf, loadAround, taughtKitchen } from './learnt';
import { simulation } from './simulations';

/** A formula's slice by its id; null where there is none to draw. */
export type Slices = Readonly<Record<string, SliceFigures | null>>;

/** By what it follows from: copies, and formulas that a change elsewhere did not touch, are not simulated again. */
const byQuestion = new LRUCache<string, { readonly slice: SliceFigures | null }>({ max: 500 });

/**
 * The slices of formulas, as the shelf shows them; a page of them at a time.
 * @param gone nobody waits for the answer any more: what is left is not computed
 * @returns by formula; those that are not this kitchen's, cannot be read, or could not be had now are not in it
 */
export async function formulaSlices(
  context: Context,
  ids: readonly string[],
  gone?: AbortSignal,
): Promise<Slices> {
  const { pool, kitchen } = context;
  const [heads, around] = await Promise.all([findHeadRevisions(pool, kitchen.id, ids), loadAround(context)]);
  if (gone?.aborted) return {};
  const known = heads.map(({ id }) => id);
  const learnt = await learntOf(context, known, around, gone);
  if (gone?.aborted) return {};
  const cuts = await cutsOf(context, known, around, learnt, gone);
  if (gone?.aborted) return {};
  if (gone?.aborted) return {};
  // read together, and only if one of them has to be computed
  let reading: ReturnType<typeof readAll> | null = null;
  const readAll = async () =>
    new Map(
      (await findFormulas(pool, kitchen.id, heads.map(({ id }) => id))).rows.map(({ id, formula }) => [id, formula]),
    ); // prettier-ignore
  const slices = await computedAnswers<SliceFigures | null>(
    context,
    heads.map(({ id, revision }) => ({
      about: `slice ${id}`,
      signature: signatureOf(
        around.signature,
        revision,
        learnt.get(id)?.signature ?? '',
        cuts.get(id)?.signature ?? '',
      ),
      compute: async (nobody) => {
        const formula = (await (reading ??= readAll())).get(id);
        if (!formula) return null;
        const run = taughtKitchen(runKitchenOf(around.kit, asWay(formula)), learnt.get(id)?.learning ?? null);
        return simulated(
          sliceQuestion(formula, around.book, shownKitchen(run, cuts.get(id)?.cuts ?? [])),
          nobody,
        );
      },
    })),
    gone,
  );
  return Object.fromEntries(
    heads.flatMap(({ id }) => {
      const slice = slices.get(`slice ${id}`);
      return slice === undefined ? [] : [[id, slice]];
    }),
  );
}

/** The slice of a bake: as it was to be expected by what cuts before it had taught, and as the next of that version is with what its own has. */
export interface BakeSlices {
  /** Null: there is none to draw. */
  readonly slice: SliceFigures | null;
  /** Null: its own cut was not read, or says nothing new. */
  readonly next: SliceFigures | null;
  readonly cuts: number;
}

/** Of the version and the size it was made of, in the kitchen as it is now. */
export async function bakeSlices(context: Context, bakeId: string, gone?: AbortSignal): Promise<BakeSlices> {
  const none = { slice: null, next: null, cuts: 0 };
  const { pool, kitchen } = context;
  const bake = await loadBake(context, bakeId);
  const made = bake && (await findRevision(pool, kitchen.id, bake.formulaId, bake.revision));
  if (!made || gone?.aborted) return none;
  const around = await loadAround(context);
  const rises = await learntOf(context, [bake.formulaId], around, gone);
  const cuts = (await cutsOf(context, [bake.formulaId], around, rises, gone)).get(bake.formulaId)?.cuts ?? [];
  const planned = asPlanned(bake.sheet, made.formula, around.book);
  const plain = runKitchenOf(around.kit, asWay(made.formula));
  const here = taughtKitchen(plain, rises.get(bake.formulaId)?.learning ?? null);
  const drawn = (of: typeof cuts) =>
    simulated(sliceQuestion(planned.formula, planned.book, shownKitchen(here, of)), gone);
  const before = cuts.filter(({ startedAtMs }) => startedAtMs < bake.startedAtMs);
  const teaches = cuts.some((cut) => cut.bakeId === bakeId);
  return { slice: await drawn(before), next: teaches ? await drawn(cuts) : null, cuts: cuts.length };
}

async function simulated(question: SliceQuestion | null, nobody?: AbortSignal): Promise<SliceFigures | null> {
  if (!question) return null;
  const asked = JSON.stringify(question);
  const found = byQuestion.get(asked);
  if (found) return found.slice;
  const slice = await simulation('slice', question, nobody);
  byQuestion.set(asked, { slice });
  return slice;
}
