import { isAskedFor } from '../batch/askedFor';
import type { BatchSheet } from '../batch';
import { followedS, ripening } from '../starter/ripening';
import { feedsFor, type DoughFeed } from '../starter/feedFor';
import type { Starter } from '../starter/starterDocument';
import type { StarterNow } from '../starter/starterNow';
import type { DayBatchDocument } from './dayDocument';
import { feedBlockId } from './fedBlock';
import type { BatchWay } from './kitchenDay';
import type { Strand } from './dayProblem';
import type { BatchStrand, Block } from './strandsOf';

/** Starters that are kept, by the ingredient that formulas name. */
export type KeptStarters = ReadonlyMap<string, { readonly starter: Starter; readonly now: StarterNow }>;

/** Why a dough that wants a kept starter cannot be promised one. */
export interface StarterShort {
  readonly name: string;
  readonly neededG: number;
  readonly massG: number;
  readonly why: 'thrown' | 'young' | 'tooLittle';
}

/** So many ways to feed for a batch as it is written; for one with a lever pulled the first two will do. */
const WITH_LEVER = 2;

const fedId = (wayId: string, feed: DoughFeed): string =>
  `${wayId} ripe ${feed.kind === 'jar' ? 0 : feed.parts}`;

/** How much of a kept starter a sheet takes; the one it takes most of. */
function takenBy(sheet: Pick<BatchSheet, 'stages'>, kept: KeptStarters): { readonly id: string; readonly massG: number } | null {
  const grams = new Map<string, number>();
  for (const line of sheet.stages.flatMap(({ lines }) => lines.filter(isAskedFor)))
    if (kept.has(line.ingredientId)) grams.set(line.ingredientId, (grams.get(line.ingredientId) ?? 0) + line.massG);
  const [most] = [...grams].sort((a, b) => b[1] - a[1]);
  return most && most[1] > 0 ? { id: most[0], massG: most[1] } : null;
} // prettier-ignore

/** A feed that has been given already: as it was given, whatever the jar holds by now. */
function given({ progress, at, variantId }: DayBatchDocument, { starter, now }: { starter: Starter; now: StarterNow }, tempC: number): DoughFeed | null {
  const id = feedBlockId(starter.id);
  const feed = at[id]?.feed;
  const parts = Number(/ ripe (\d)$/.exec(variantId)?.[1] ?? 0);
  if (!progress[id] || !feed || parts === 0) return null;
  const { seedG, flourG, waterG } = feed;
  const made = ripening({ seed: seedG, flour: flourG, water: waterG, tempC, totalG: Math.max(10, seedG + flourG + waterG) }, [{ tempC, durationS: followedS(tempC) }], now.vigour);
  return made && { kind: 'feed', starterId: starter.id, name: starter.name, parts, seedG, flourG, waterG, ripeS: made.fromS, mayWaitS: made.untilS - made.fromS.typical };
} // prettier-ignore

/**
 * The ways of a batch whose dough takes a starter that is kept, each with how it is fed for it; others as they are.
 *
 * @param tempC where the feed stands
 */
export function fedWays(
  batch: DayBatchDocument,
  ways: readonly BatchWay[],
  kept: KeptStarters,
  tempC: number,
  nowMs: number,
): { readonly ways: readonly BatchWay[]; readonly short: StarterShort | null } {
  const plain = ways[0];
  const taken = plain ? takenBy(plain.sheet, kept) : null;
  if (!plain || !taken) return { ways, short: null };
  const from = kept.get(taken.id)!;
  const fed = given(batch, from, tempC);
  const feeds = fed ? [fed] : feedsFor(from.starter, from.now, taken.massG, tempC, nowMs);
  if (feeds.length === 0) {
    const { state, built, massG } = from.now;
    const why = state === 'thrown' ? 'thrown' : built.done ? 'tooLittle' : 'young';
    return { ways, short: { name: from.starter.name, neededG: taken.massG, massG, why } };
  }
  return {
    short: null,
    ways: ways.flatMap((way) => feeds.slice(0, way === plain ? feeds.length : WITH_LEVER).map((feed) => ({ ...way, id: fedId(way.id, feed), feed }))),
  };
} // prettier-ignore

/** Where the dough takes its starter: in which block of its first strand, and how long after the strand's and the block's beginning. */
function takenAt({ blocks }: BatchStrand, steps: BatchSheet['steps']): { readonly at: number; readonly afterS: number; readonly offsetS: number } {
  const mixes = new Set(steps.flatMap(({ id, kind }) => (kind === 'mix' || kind === 'preDough' ? [id] : [])));
  let afterS = 0;
  for (const [at, { calls, lastsS }] of blocks.entries()) {
    const call = calls.find(({ activityId }) => mixes.has(activityId));
    if (call) return { at, afterS: afterS + call.offsetS, offsetS: call.offsetS };
    afterS += lastsS.typical;
  }
  return { at: 0, afterS: 0, offsetS: 0 };
} // prettier-ignore

const SHORTEST_S = 300;

/** A batch's strands with the feed before the dough takes it: what is done before that goes on while it ripens. */
export function withFeed(strands: readonly BatchStrand[], steps: BatchSheet['steps'], feed: DoughFeed): readonly BatchStrand[] {
  const [dough, ...others] = strands;
  if (!dough || feed.kind === 'jar') return strands;
  const { at, afterS } = takenAt(dough, steps);
  const { min, typical, max } = feed.ripeS;
  const isBeside = typical - afterS >= SHORTEST_S;
  const less = isBeside ? afterS : 0;
  const lastsS = { min: Math.max(SHORTEST_S, min - less), typical: typical - less, max: max - less };
  const id = feedBlockId(feed.starterId);
  const block: Block = {
    id, kind: 'feed', lastsS, mayWaitS: feed.mayWaitS, handsOn: false, resource: null, wayId: null, load: null, heat: null,
    calls: [{ activityId: id, offsetS: 0, lastsS: lastsS.typical }],
  };
  const where = isBeside ? 0 : at;
  return [{ ...dough, blocks: [...dough.blocks.slice(0, where), block, ...dough.blocks.slice(where)] }, ...others];
} // prettier-ignore

/** Strands whose dough takes what is ripe in the jar: it is mixed while that lasts. */
export function whileRipe(strands: readonly Strand[], plain: readonly BatchStrand[], steps: BatchSheet['steps'], feed: Extract<DoughFeed, { kind: 'jar' }>, slotOf: (ms: number) => number): readonly Strand[] {
  const [first, ...others] = strands;
  const [dough] = plain;
  if (!first || !dough) return strands;
  const { at, offsetS } = takenAt(dough, steps);
  const within = { fromSlot: Math.max(0, Math.ceil(slotOf(feed.fromMs - 1000 * offsetS))), toSlot: Math.floor(slotOf(feed.untilMs - 1000 * offsetS)) };
  return [{ ...first, activities: first.activities.map((activity, index) => (index === at ? { ...activity, within } : activity)) }, ...others];
} // prettier-ignore
