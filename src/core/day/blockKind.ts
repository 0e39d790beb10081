import type { StepKind } from '../method/step';

/** The feed of the starter that a dough takes. */
export const FEED = 'feed';
/** What a block of the day is: a step of a method, or the feed before it. */
export type BlockKind = StepKind | typeof FEED;

/** What no clock tells exactly. */
export const RISES: ReadonlySet<BlockKind> = new Set<BlockKind>(['bulk', 'proof', 'preDough', FEED]);

/** What goes on by itself once somebody has begun it. */
export const GOES_ON: ReadonlySet<BlockKind> = new Set<BlockKind>([
  ...RISES,
  'thaw',
  'freeze',
  'chill',
  'cool',
  'hold',
]);

/** What is done in heat: in an oven, a kettle, fat, a pan. */
export const HOT: ReadonlySet<BlockKind> = new Set<BlockKind>(['bake', 'coast', 'boil', 'fry', 'griddle']);
/** How a block is drawn: hot, somebody at it from end to end, or going by itself. */
export type BlockLook = 'heat' | 'hands' | 'waits';
