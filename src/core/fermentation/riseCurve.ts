import { middleOf } from '../numeric/quantile';
import { Z80 } from '../numeric/normal';
import { dominant, maybeRangeOf, rangeOf, type MaybeRange, type Range } from '../numeric/range';
import { ok, type Result } from '../result';
import { within } from '../units/decimal';
import { drawn, NO_DRAW, NORMAL, PARAMETERS, RISE_LIMITS, simulateRise, type Drawn, type RiseParameter, type RiseQuestion } from './riseSimulation'; // prettier-ignore
import type { Dough } from './stepper';
import { checkStays, STAY_LIMITS } from './thermalLag';

export interface RiseCurve {
  /** Seconds from the end of mixing; volume over that from the bowl. */
  readonly atS: readonly number[];
  readonly volume: readonly number[];
  readonly low: readonly number[];
  readonly high: readonly number[];
  readonly doughC: readonly number[];
  /** The most it reaches in this history, and when. */
  readonly top: Range;
  readonly topAtS: Range;
  /** What this dough could hold at the most, whatever its history. */
  readonly canHold: Range;
  /** Volume at which it is ready (or that was asked for): the middle, and over the draws. */
  readonly wanted: number;
  readonly wantedRise: Range;
  readonly wantedAtS: MaybeRange;
  /** When it has sunk by a twentieth of its rise after its top. */
  readonly pastAtS: MaybeRange;
  /** State at the end of the central run. */
  readonly end: Dough;
  /** Largest contribution to the spread of the time to the wanted rise (or of the top, where it never gets there). */
  readonly dominant: RiseParameter;
}

/** Ready for the oven at so much of what it can hold: some is left for the spring, and it is not at the edge. */
export const READY_SHARE = 0.7;
/** No height is known better than this, whatever the draws agree on: also a dough that does nothing may have crept. */
const FINEST = 0.002;
/** Points kept of a curve. */
const POINTS = 180;

/**
 * How a dough rises through a history of places: the curve with its 80 % band, the top, the time to a wanted rise and when it is
 * past it. The band comes of 24 fixed draws of the model's parameters; the middle is the central run.
 *
 * Valid for doughs of -2 to 65 °C and histories up to ten days. A 24 h history takes a few ms.
 *
 * @returns limits of {@link STAY_LIMITS}, {@link RISE_LIMITS} and each place by field
 */
export function riseCurve(question: RiseQuestion): Result<RiseCurve> {
  const checked = checkStays(question.stays);
  if (!checked.ok) return checked;
  const start = within(question.doughC, STAY_LIMITS.doughC, 'doughC');
  if (!start.ok) return start;
  const totalS =
    question.stays.reduce((sum, stay) => sum + stay.durationS, 0) +
    (question.stays.length > 0 ? (question.beyondS ?? 0) : 0);
  const long = within(totalS, RISE_LIMITS.totalS, 'stays');
  if (!long.ok) return long;
  const { leavening, learnt, ofDay } = question;
  const middle = drawn(ofDay?.middle ?? NO_DRAW, question);
  const canHold = 1 + leavening.mostHeld * middle.temper.holding;
  // a dough that holds less is ready lower: only a height that was asked for is the same for all
  const wantedOf = ({ temper }: Drawn) =>
    question.wanted ?? 1 + READY_SHARE * leavening.mostHeld * temper.holding;
  const wanted = wantedOf(middle);
  const wish = within(wanted, RISE_LIMITS.wanted, 'wanted');
  if (!wish.ok) return wish;

  // a minute is fine enough for a day; longer holds are cold and slow
  const dtS = totalS <= 86_400 ? 60 : 120;
  const points = Math.max(2, Math.min(POINTS, Math.ceil(totalS / 30) + 1));
  const atS = Array.from({ length: points }, (_, index) => (totalS * index) / (points - 1));
  const centre = simulateRise(question, middle, atS, wanted, dtS);
  const draws = question.central ? [middle] : (ofDay?.draws ?? NORMAL).map((z) => drawn(z, question));
  const simulations = draws.map((draw) => simulateRise(question, draw, atS, wantedOf(draw), dtS));
  const low: number[] = [];
  const high: number[] = [];
  for (let point = 0; point < points; point += 1) {
    const value = centre.volume[point] ?? 1;
    const band = middleOf(simulations.map((run) => run.volume[point] ?? 1));
    low.push(Math.min(value - FINEST, band.low));
    high.push(Math.max(value + FINEST, band.high));
  }
  const top = rangeOf(
    centre.top,
    simulations.map((run) => run.top),
  );
  const reached = simulations.every((run) => run.wantedAtS !== null);
  const holdingCv = learnt && learnt.holding.cv > 0 ? learnt.holding.cv : leavening.holdingCv;
  return ok({
    atS,
    volume: [...centre.volume],
    low,
    high,
    doughC: [...centre.doughC],
    top: {
      value: centre.top,
      low: Math.min(centre.top - FINEST, top.low),
      high: Math.max(centre.top + FINEST, top.high),
    },
    topAtS: rangeOf(
      centre.topAtS,
      simulations.map((run) => run.topAtS),
    ),
    canHold: {
      value: canHold,
      low: 1 + (canHold - 1) * Math.exp(-Z80 * holdingCv),
      high: 1 + (canHold - 1) * Math.exp(Z80 * holdingCv),
    },
    wanted: centre.wanted,
    wantedRise: rangeOf(
      centre.wanted,
      simulations.map((run) => run.wanted),
    ),
    wantedAtS: maybeRangeOf(
      centre.wantedAtS,
      simulations.map((run) => run.wantedAtS),
    ),
    pastAtS: maybeRangeOf(
      centre.pastAtS,
      simulations.map((run) => run.pastAtS),
    ),
    end: centre.end,
    dominant: dominant(
      PARAMETERS,
      NORMAL,
      simulations.map((run) => (reached ? Math.log(Math.max(60, run.wantedAtS ?? 60)) : run.top)),
    ),
  });
}
