import type { StepKind } from '../method/step';

/** The feed of the starter that a dough takes. */
export const FEED = 'feed';
/** What a block of the day is: a step of a method, or the feed before it. */
export type BlockKind = StepKind | typeof FEED;

/** What no clock tells exactly. */
export const RISES: ReadonlySet<BlockKind> = new Set<BlockKind>(['bulk', 'proof', 'preDough', FEED]);
