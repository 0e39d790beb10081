import { followedS, ripening } from './ripening';
import type { Starter } from './starterDocument';
import type { StarterNow } from './starterNow';

/** How a dough gets its starter: a feed made for it, ripe so long after; or what is in the jar, while it is ripe. */
export type DoughFeed =
  | {
      readonly kind: 'feed';
      readonly starterId: string;
      readonly name: string;
      /** Parts of flour to one of starter. */
      readonly parts: number;
      readonly seedG: number;
      readonly flourG: number;
      readonly waterG: number;
      readonly ripeS: { readonly min: number; readonly typical: number; readonly max: number };
      /** It lifts well for so long after that. */
      readonly mayWaitS: number;
    }
  | { readonly kind: 'jar'; readonly starterId: string; readonly name: string; readonly massG: number; readonly fromMs: number; readonly untilMs: number }; // prettier-ignore

/** By what a dough's starter is fed: quick, usual, slow enough for a night. */
const PARTS = [2, 1, 5] as const;
/** So much stays in the jar, g: without it there is no starter tomorrow. */
const KEPT_G = 10;
/** What is ripe for less than this more is not begun with: weighing comes before mixing. */
const BEGIN_MS = 30 * 60_000;
/** More is fed than the dough takes: some stays on the glass. */
const SPARE = 1.05;

/**
 * The ways a dough can get so much ripe starter, the most usual first.
 *
 * @param tempC where the feed stands until it is ripe
 * @returns empty where there is nothing in the jar to begin from, or it is not built yet
 */
export function feedsFor(
  { id, name, flourG, waterG }: Starter,
  { massG, ripe, fedNext, built, state }: StarterNow,
  neededG: number,
  tempC: number,
  nowMs: number,
): DoughFeed[] {
  if (!built.done || state === 'thrown') return [];
  const feeds: DoughFeed[] = [];
  if (ripe && ripe.untilMs > nowMs + BEGIN_MS && massG - neededG >= KEPT_G)
    feeds.push({ kind: 'jar', starterId: id, name, massG: neededG, fromMs: ripe.from.typicalMs, untilMs: ripe.untilMs });
  const wet = waterG / flourG;
  for (const parts of PARTS) {
    const seedG = Math.ceil((neededG * SPARE) / (1 + parts + parts * wet));
    if (seedG > massG - KEPT_G) continue;
    const feed = { seed: seedG, flour: Math.ceil(seedG * parts), water: Math.ceil(seedG * parts * wet) };
    const made = ripening({ ...feed, tempC, totalG: Math.max(10, feed.seed + feed.flour + feed.water) }, [{ tempC, durationS: followedS(tempC) }], fedNext);
    if (!made) continue;
    feeds.push({ kind: 'feed', starterId: id, name, parts, seedG, flourG: feed.flour, waterG: feed.water, ripeS: made.fromS, mayWaitS: made.untilS - made.fromS.typical });
  }
  return feeds;
} // prettier-ignore
