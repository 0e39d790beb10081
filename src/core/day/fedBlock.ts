import type { BatchSheet } from '../batch';
import type { DoughFeed } from '../starter/feedFor';
import { FEED } from './blockKind';
import type { Strand } from './dayProblem';
import type { BatchStrand, Block } from './strandsOf';

/** The block of a day in which a starter is fed for a dough. */
export const feedBlockId = (starterId: string): string => `feed ${starterId}`;

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
    id, kind: FEED, lastsS, mayWaitS: feed.mayWaitS, handsOn: false, resource: null, wayId: null, load: null, heat: null,
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
