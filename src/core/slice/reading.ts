import type { Shape } from '../method/heating';

/** Slices show so much of their gas as holes that an eye or a camera can tell. */
const SEEN_SHARE = 0.45;

/** Share of a cut that shows as holes, of crumb with so much gas in it. Craft judgement: no photograph of real bread stands behind it. */
export const seenOf = (gas: number): number => SEEN_SHARE * gas;

/** How even a picture's reader would call it: squares of one cut differ by chance too, so that its scale is shorter. */
export const EVENNESS_READ = { at: 0.25, times: 0.6 } as const;
export const evennessRead = (evenness: number): number => EVENNESS_READ.at + EVENNESS_READ.times * evenness;

/** Crumb is close along any base, % of the height. */
export const LEAST_LINE_PERCENT = 1.5;
/** How high a reader would call the line over a streak, as shares of the height. */
export const lineRead = (streak: number): number => streak + LEAST_LINE_PERCENT / 100;

/** Spread of a pore's size as it is drawn, as a logarithm. */
export const poreSpread = (evenness: number): number => 0.2 + 0.75 * (1 - evenness);

const HELD: ReadonlySet<Shape> = new Set(['tin', 'touchingRolls', 'disc', 'flatbread']);

/**
 * Height and width as factors, as height over width changes by one. What stands free keeps its volume: as it gets taller it gets narrower, both ways
 * across. What is held by a tin, by its neighbours, or was rolled out so wide keeps its width.
 */
export const byForm = (shape: Shape, factor: number): readonly [number, number] =>
  HELD.has(shape) ? [factor, 1] : [factor ** (2 / 3), factor ** (-1 / 3)];
