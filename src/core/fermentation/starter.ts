import { ok, type Result } from '../result';
import { within } from '../units/decimal';
import type { Leavening } from './leavening';
import { FERMENTATION } from './parameters';
import type { Range } from '../numeric/range';
import { riseCurve } from './riseCurve';

/** A feed of a wild starter, parts by weight: so much old starter to flour to water. */
export interface Feed {
  readonly seed: number;
  readonly flour: number;
  readonly water: number;
  readonly tempC: number;
  /** All of it, g: a big jar keeps its warmth longer. */
  readonly totalG: number;
}
const FEED_LIMITS = {
  part: { min: 0.01, max: 100 },
  tempC: { min: 4, max: 40 },
  totalG: { min: 10, max: 20_000 },
} as const;

/**
 * When a fed starter peaks: the same simulator with its own flour as the base, a ripe seed and no salt. Good for starters of equal
 * flour and water that double in their own kitchen; a young one is slower.
 * @returns seconds to the peak with the 80 % interval; limits of {@link FEED_LIMITS} by field
 */
export function starterPeak(feed: Feed): Result<Range> {
  for (const field of ['seed', 'flour', 'water'] as const) {
    const part = within(feed[field], FEED_LIMITS.part, field);
    if (!part.ok) return part;
  }
  const temp = within(feed.tempC, FEED_LIMITS.tempC, 'tempC');
  if (!temp.ok) return temp;
  const total = within(feed.totalG, FEED_LIMITS.totalG, 'totalG');
  if (!total.ok) return total;
  const parts = feed.seed + feed.flour + feed.water;
  const seedG = (feed.totalG * feed.seed) / parts;
  // the seed is half flour, half water, its sugar long eaten
  const floursG = (feed.totalG * feed.flour) / parts + seedG / 2;
  const waterG = (feed.totalG * feed.water) / parts + seedG / 2;
  const leavening: Leavening = {
    doughG: feed.totalG,
    doughMl: feed.totalG / 1.05,
    waterG,
    floursG,
    yeastG: 0,
    wildG: (seedG * FERMENTATION.ripeStarter.freshPer100G) / 100,
    yeastCv: FERMENTATION.ripeStarter.cv,
    wakingMin: FERMENTATION.wakingMin.starter,
    sugarG: ((feed.totalG * feed.flour) / parts) * 0.006,
    freedSugarG: ((FERMENTATION.freedSugar.percentOfBase * feed.totalG * feed.flour) / parts / 100) * 1.5,
    brake: 1,
    coldMmol: 0,
    ovenMmol: 0,
    mostHeld: 1.1,
  };
  const curve = riseCurve({
    leavening,
    doughC: feed.tempC,
    stays: [
      {
        place: feed.tempC <= 15 ? 'fridge' : 'room',
        tempC: feed.tempC,
        durationS: feed.tempC <= 15 ? 604_800 : 172_800,
        standing: 'bowl',
        pieceG: feed.totalG,
        pressedOut: 0,
      },
    ],
  });
  return curve.ok ? ok(curve.value.topAtS) : curve;
}
