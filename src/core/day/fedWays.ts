import { isAskedFor } from '../batch/askedFor';
import type { BatchSheet } from '../batch';
import { followedS, ripening } from '../starter/ripening';
import { feedsFor, type DoughFeed } from '../starter/feedFor';
import type { Starter } from '../starter/starterDocument';
import type { StarterNow } from '../starter/starterNow';
import type { DayBatchDocument } from './dayDocument';
import { feedBlockId } from './fedBlock';
import type { BatchWay } from './batchWay';

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
function takenBy(sheet: Pick<BatchSheet, 'stages'>, jars: KeptStarters): { readonly id: string; readonly massG: number } | null {
  const grams = new Map<string, number>();
  for (const line of sheet.stages.flatMap(({ lines }) => lines.filter(isAskedFor)))
    if (jars.has(line.ingredientId)) grams.set(line.ingredientId, (grams.get(line.ingredientId) ?? 0) + line.massG);
  const [most] = [...grams].sort((a, b) => b[1] - a[1]);
  return most && most[1] > 0 ? { id: most[0], massG: most[1] } : null;
} // prettier-ignore

/** Where a batch lies and what was said of it. */
type Placed = Pick<DayBatchDocument, 'progress' | 'at' | 'variantId'>;

/** A feed that has been given already: as it was given, whatever the jar holds by now. */
function given({ progress, at, variantId }: Placed, { starter, now }: { starter: Starter; now: StarterNow }, tempC: number): DoughFeed | null {
  const id = feedBlockId(starter.id);
  const feed = at[id]?.feed;
  const parts = Number(/ ripe (\d)$/.exec(variantId)?.[1] ?? 0);
  if (!progress[id] || !feed || parts === 0) return null;
  const { seedG, flourG, waterG } = feed;
  const made = ripening({ seed: seedG, flour: flourG, water: waterG, tempC, totalG: Math.max(10, seedG + flourG + waterG) }, [{ tempC, durationS: followedS(tempC) }], now.fedNext);
  return made && { kind: 'feed', starterId: starter.id, name: starter.name, parts, seedG, flourG, waterG, ripeS: made.fromS, mayWaitS: made.untilS - made.fromS.typical };
} // prettier-ignore

/**
 * The ways of a batch whose dough takes a starter that is kept, each with how it is fed for it; others as they are.
 *
 * @param tempC where the feed stands
 */
export function fedWays(
  batch: Placed,
  ways: readonly BatchWay[],
  jars: KeptStarters,
  tempC: number,
  nowMs: number,
): { readonly ways: readonly BatchWay[]; readonly short: StarterShort | null } {
  const plain = ways[0];
  const taken = plain ? takenBy(plain.sheet, jars) : null;
  if (!plain || !taken) return { ways, short: null };
  const from = jars.get(taken.id)!;
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
