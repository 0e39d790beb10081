import { checkedAdvice, type AdviceResult, type CauseId, type TakenAdvice } from '@/core/advice';
import { lotsOf, stateOf, type BakeRecord } from '@/core/bake';
import { wallField } from '@/core/day/dayEdit';
import { asWay } from '@/core/formula';
import { ageOfLot } from '@/core/ingredients';
import { adviceAsks, type Advised, type Axes } from '@/core/diagnosis';
import { runKitchenOf } from '@/core/kit';
import { pooled } from '@/core/tasting';
import { listAfter, listBefore, listTold } from '@/db/queries/advice';
import { bakesSignature } from '@/db/queries/bakeCards';
import { findRevision } from '@/db/queries/formulas';
import { loadBake, loadBakes } from './bakeRecords';
import { computedAnswer, signatureOf } from './computedAnswers';
import type { Context } from './context';
import { loadAround, loadLearnt, taughtKitchen } from './learnt';
import { simulation } from './simulations';

/** Older bakes tell little of how things are now. */
const MOST_EARLIER = 8;
/** Bakes after advice that are looked at: the first that was tasted tells. */
const MOST_AFTER = 5;
const MOST_TOLD = 300;
/** Of a page: what was advised long before says little of how good it is now. */
const MOST_RECORDS = 60;

/** What was advised after a bake, and what became of it. */
export interface AdviceRecord {
  readonly bakeId: string;
  readonly formulaId: string;
  readonly name: string;
  readonly startedAtMs: number;
  readonly advice: TakenAdvice;
  /** The bake it was held against; null: none that was tasted yet. */
  readonly checkedBy: string | null;
  readonly result: AdviceResult;
  /** What it was, as told since. */
  readonly cause: CauseId | 'somethingElse' | null;
}

/** What most likely happened in a bake and what to change next: computed once for what is known, on a thread of its own. */
export async function adviceOn(context: Context, id: string, gone?: AbortSignal): Promise<Advised | null> {
  const { pool, kitchen } = context;
  const bake = await loadBake(context, id);
  if (!bake || stateOf(bake).endedAtMs === null) return null;
  const [around, before, told] = await Promise.all([
    loadAround(context),
    listBefore(pool, kitchen.id, bake, MOST_EARLIER),
    confirmedIn(context, id),
  ]);
  const made = await findRevision(pool, kitchen.id, bake.formulaId, bake.revision);
  if (!made || gone?.aborted) return null;
  const { formula } = made;
  const learning = await loadLearnt(context, bake.formulaId, gone);
  const of = {
    bake,
    formula,
    book: around.book,
    kitchen: taughtKitchen(runKitchenOf(around.kit, asWay(formula)), learning),
  };
  const asks = adviceAsks(of);
  if (!asks) return null;
  const lots = [...lotsOf(bake.sheet, stateOf(bake))].join(' ');
  const from = signatureOf(around.signature, JSON.stringify([formula, asks.kitchen, asks.marksAtS]), lots);
  const axes = await computedAnswer<Axes | null>(
    context,
    { about: `axes ${id}`, signature: from, compute: (nobody) => simulation('axes', asks, nobody) },
    gone,
  );
  if (!axes) return null;
  const lastSeq = bake.events.at(-1)?.seq ?? 0;
  return computedAnswer<Advised | null>(
    context,
    {
      about: `advice ${id}`,
      signature: signatureOf(
        from,
        lastSeq,
        ...before.map((each) => `${each.id}.${each.lastSeq}`),
        JSON.stringify(told),
      ),
      compute: async (nobody) => {
        const earlier = await loadBakes(
          context,
          before.map((each) => each.id),
        );
        return simulation(
          'advice',
          { ...of, axes, earlier, leavenPastDays: await pastDays(context, bake), confirmed: told },
          nobody,
        );
      },
    },
    gone,
  );
}

/** How often each cause was confirmed after other bakes of this kitchen; the newest word of each bake counts. */
async function confirmedIn(
  { pool, kitchen }: Context,
  exceptBakeId: string,
): Promise<Partial<Record<CauseId, number>>> {
  const counts: Partial<Record<CauseId, number>> = {};
  const heard = new Set([exceptBakeId]);
  for (const { bakeId, action } of await listTold(pool, kitchen.id, MOST_TOLD)) {
    if (action.type !== 'causeTold' || heard.has(bakeId)) continue;
    heard.add(bakeId);
    const { cause } = action;
    if (cause !== null && cause !== 'somethingElse') counts[cause] = (counts[cause] ?? 0) + 1;
  }
  return counts;
}

/** How long the yeast or starter of a bake was past its date by then, days; null: none is told apart, or it says none. */
async function pastDays(context: Context, bake: BakeRecord): Promise<number | null> {
  const book = await context.book();
  const day = wallField(context.kitchen.details.timeZone, bake.startedAtMs).slice(0, 10);
  for (const [ingredientId, lotId] of lotsOf(bake.sheet, stateOf(bake))) {
    const its = book.get(ingredientId);
    const lot = its?.roles.includes('leaven') ? its.lots?.find(({ id }) => id === lotId) : undefined;
    const pastDays = lot && ageOfLot(lot, day).pastDays;
    if (typeof pastDays === 'number') return pastDays;
  }
  return null;
}

/** What was advised in a kitchen, newest first, each with what became of it. Stored until anything is told to any log. */
export async function adviceSoFar(context: Context): Promise<AdviceRecord[]> {
  const { pool, kitchen } = context;
  const signature = signatureOf(kitchen.epoch, await bakesSignature(pool, kitchen.id));
  const wanted = { about: 'advice so far', signature, compute: () => adviceChecked(context) };
  return (await computedAnswer(context, wanted)) ?? [];
}

async function adviceChecked(context: Context): Promise<AdviceRecord[]> {
  const told = await listTold(context.pool, context.kitchen.id, MOST_TOLD);
  const byBake = new Map<string, typeof told>();
  for (const row of told) byBake.set(row.bakeId, [...(byBake.get(row.bakeId) ?? []), row]);
  const records = [...byBake.values()].slice(0, MOST_RECORDS).map(async (rows): Promise<AdviceRecord[]> => {
    const advised = rows.find(({ action }) => action.type === 'advised');
    if (advised?.action.type !== 'advised') return [];
    const { bakeId, formulaId, name, startedAtMs } = advised;
    const { advice } = advised.action;
    const cause = rows.find(({ action }) => action.type === 'causeTold')?.action;
    return [
      {
        bakeId,
        formulaId,
        name,
        startedAtMs,
        advice,
        cause: cause?.type === 'causeTold' ? cause.cause : null,
        ...(await checkedBy(context, { bakeId, formulaId, startedAtMs }, advice)),
      },
    ];
  });
  return (await Promise.all(records)).flat();
}

/** What became of one bake's advice. */
export async function checkedBy(
  context: Context,
  bake: { readonly bakeId: string; readonly formulaId: string; readonly startedAtMs: number },
  advice: TakenAdvice,
): Promise<Pick<AdviceRecord, 'checkedBy' | 'result'>> {
  const { pool, kitchen } = context;
  const open = { checkedBy: null, result: checkedAdvice(advice, null) };
  const { formulaId, startedAtMs } = bake;
  const after = await listAfter(
    pool,
    kitchen.id,
    { formulaId, revision: advice.revision, afterMs: startedAtMs },
    MOST_AFTER,
  );
  for (const next of await loadBakes(context, after)) {
    const together = pooled(stateOf(next).tastings.values(), { occasion: 'fresh' });
    const result = checkedAdvice(advice, together);
    if (result.verdict !== 'open') return { checkedBy: next.id, result };
  }
  return open;
}
