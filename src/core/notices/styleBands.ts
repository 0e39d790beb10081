import type { Band } from '../consistency/parameters';
import type { Style } from '../formula/formula';

/** Bands, rested, in which each style is usually worked. */
export const STYLE_BANDS: Readonly<Record<Style, readonly Band[]>> = {
  tinLoaf: ['soft', 'sticky', 'thickBatter'],
  hearthLoaf: ['soft', 'sticky'],
  baguette: ['soft', 'sticky'],
  rolls: ['soft', 'sticky'],
  pizza: ['soft', 'sticky', 'thickBatter'],
  flatbread: ['stiff', 'soft', 'sticky', 'thickBatter', 'pourable'],
  boiledRing: ['stiff', 'soft'],
  friedDough: ['stiff', 'soft', 'sticky'],
  cheeseBuns: ['stiff', 'soft', 'sticky'],
  crackers: ['crumbly', 'stiff', 'soft', 'sticky', 'thickBatter'],
};

/** Styles that are bread: without a leaven they are something else. */
export const LEAVENED: ReadonlySet<Style> = new Set([
  'tinLoaf',
  'hearthLoaf',
  'baguette',
  'rolls',
  'pizza',
  'boiledRing',
  'friedDough',
]);
