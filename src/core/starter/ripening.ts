import { riseCurve } from '../fermentation/riseCurve';
import { starterLeavening, type Feed } from '../fermentation/starter';
import type { Stay } from '../fermentation/thermalLag';

/** So long somewhere. */
export interface StarterStay {
  readonly tempC: number;
  readonly durationS: number;
}

/** How lively a starter is against one of the library's that is ripe. */
export interface Vigour {
  readonly value: number;
  readonly cv: number;
}

/** So long a starter is followed that stands at some warmth, s: a young one is slow, a cold one slower. */
export const followedS = (tempC: number): number => (tempC < 18 ? 259_200 : 144_000);

/** When a fed starter is ripe, s after its feed. */
export interface Ripening {
  /** From when it may go into a dough: at 85 % of its rise; 80 % interval. */
  readonly fromS: { readonly min: number; readonly typical: number; readonly max: number };
  /** Its highest. */
  readonly topS: { readonly low: number; readonly value: number; readonly high: number };
  /** Until then it still lifts well; after it, it goes hungry. */
  readonly untilS: number;
}

const RIPE_SHARE = 0.85;
/** After its highest it may be used for so much of the time it took, and an hour at the least (craft, our own figure). */
const USABLE = { share: 0.2, leastS: 3600 } as const;
/** Stiff ferments slower: vigour goes with the water on flour where that is below one to one (our own figure; its marks teach the rest). */
const stiffness = ({ flour, water }: Pick<Feed, 'flour' | 'water'>): number => Math.min(1, water / flour);

const toStay = (totalG: number) => ({ tempC, durationS }: StarterStay): Stay => ({
  place: tempC <= 15 ? 'fridge' : 'room', tempC, durationS, standing: 'bowl', pieceG: totalG, pressedOut: 0,
}); // prettier-ignore

const curveOf = (feed: Feed, stays: readonly StarterStay[], vigour: Vigour, central: boolean) =>
  riseCurve({
    leavening: starterLeavening(feed),
    doughC: feed.tempC,
    stays: stays.map(toStay(feed.totalG)),
    learnt: { vigour: { value: vigour.value * stiffness(feed), cv: vigour.cv }, holding: { value: 1, cv: 0 } },
    central,
  }); // prettier-ignore

/**
 * When a starter is ripe after a feed, wherever it stands meanwhile.
 *
 * @param stays from the feed on; the last one long enough for it to rise
 * @returns null: it does not come to its highest in them, or they cannot be
 */
export function ripening(feed: Feed, stays: readonly StarterStay[], vigour: Vigour): Ripening | null {
  const curve = curveOf(feed, stays, vigour, false);
  if (!curve.ok) return null;
  const { volume, atS, top, topAtS, pastAtS } = curve.value;
  const lastS = atS.at(-1) ?? 0;
  if (pastAtS.value === null && topAtS.value > 0.98 * lastS) return null;
  const at = volume.findIndex((each) => each >= 1 + RIPE_SHARE * (top.value - 1));
  const fromS = atS[Math.max(0, at)] ?? topAtS.value;
  const times = fromS / topAtS.value;
  return {
    fromS: { min: times * topAtS.low, typical: fromS, max: times * topAtS.high },
    topS: { low: topAtS.low, value: topAtS.value, high: topAtS.high },
    untilS: topAtS.value + Math.max(USABLE.leastS, USABLE.share * topAtS.value),
  };
}

/**
 * How lively a starter is, by when it was at its highest: the vigour at which the model has it there then.
 *
 * @returns between a twentieth and ten; null where it cannot be computed
 */
export function vigourByTop(feed: Feed, stays: readonly StarterStay[], topS: number): number | null {
  let [low, high] = [Math.log(0.05), Math.log(10)];
  for (let round = 0; round < 12; round += 1) {
    const middle = (low + high) / 2;
    const curve = curveOf(feed, stays, { value: Math.exp(middle), cv: 0 }, true);
    if (!curve.ok) return null;
    if (curve.value.topAtS.value > topS) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}
