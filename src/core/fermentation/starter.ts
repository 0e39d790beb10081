import { ok, type Result } from '../result';
import { within } from '../units/decimal';
import type { Leavening } from './leavening';
import { FIGURES } from '../calibrated';
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

/** A fed starter as what lifts it: its own flour the base, a ripe seed, no salt. Parts within {@link FEED_LIMITS}. */
export function starterLeavening(feed: Feed): Leavening {
  const parts = feed.seed + feed.flour + feed.water;
  const seedG = (feed.totalG * feed.seed) / parts;
  // the seed is half flour, half water, its sugar long eaten
  const floursG = (feed.totalG * feed.flour) / parts + seedG / 2;
  const waterG = (feed.totalG * feed.water) / parts + seedG / 2;
  const totalFlourG = (feed.totalG * feed.flour) / parts;
  return {
    doughG: feed.totalG,
    doughMl: feed.totalG / 1.05,
    airMl: (feed.totalG / 1.05) * FERMENTATION.mixedInAir.value,
    waterG,
    floursG,
    yeastG: 0,
    wildG: (seedG * FIGURES['wild.ripe']) / 100,
    yeastCv: FERMENTATION.wild.cv,
    wakingMin: FERMENTATION.wakingMin.starter,
    sugarG: totalFlourG * 0.016,
    freedSugarG: (FIGURES['freed.whole'] * totalFlourG) / 100,
    brake: 1,
    osmol: 0,
    kindTilt: 0,
    wetsDry: false,
    coldMmol: 0,
    ovenMmol: 0,
    mostHeld: FIGURES['holds.bareWhole'],
    holdingCv: FERMENTATION.mostHeldCv,
    ovenHolds: 1,
    knock: 0,
    cracks: 1,
  };
}

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
  const leavening = starterLeavening(feed);
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
