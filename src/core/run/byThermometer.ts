import { PLACES, thermalLagS, type Stay } from '../fermentation/thermalLag';
import type { RiseQuestion } from '../fermentation/riseSimulation';

/** A dough's own temperature, s from the end of mixing (below 0: before it). */
export interface DoughReading {
  readonly atS: number;
  readonly tempC: number;
}

/** Read no longer than this before or after it is the dough as the mixing ended, s. */
const FRESH_S = 600;
/** After so much of its lag it tells of its place, and not only of itself. */
const TELLS_OF_PLACE = 0.5;
/** A place is not further than this from what was planned: beyond it the probe touched something else, °C. */
const FARTHEST_C = 8;

const within = (value: number, min: number, max: number): number => Math.min(max, Math.max(min, value));

/**
 * A dough's history as a thermometer in it says: where it began, and how warm the places really are. A dough follows its place with its lag, so a reading
 * gives the place that brings it there: T = place + (T₀ - place) e^(-t/τ). One taken soon after it came there says where the dough is, and leaves the place
 * as it was planned.
 *
 * @param readings in the order they were taken; none past the history
 */
export function byThermometer(question: RiseQuestion, readings: readonly DoughReading[]): RiseQuestion {
  const fresh = readings.findLast(({ atS }) => Math.abs(atS) <= FRESH_S);
  let doughC = fresh?.tempC ?? question.doughC;
  const stays: Stay[] = [];
  let fromS = 0;
  for (const stay of question.stays) {
    const endS = fromS + stay.durationS;
    const mine = readings.filter(({ atS }) => atS > FRESH_S && atS > fromS && atS <= endS);
    let rest = stay;
    let restFromS = fromS;
    for (const { atS, tempC } of mine) {
      const lagS = thermalLagS(stay.pieceG, stay.standing, stay.place);
      const far = Math.exp(-(atS - restFromS) / lagS);
      const { minC, maxC } = PLACES[stay.place];
      const placeC = within(doughC + (tempC - doughC) / (1 - far), Math.max(minC, stay.tempC - 3 * FARTHEST_C), Math.min(maxC, stay.tempC + 3 * FARTHEST_C));
      stays.push({ ...rest, tempC: placeC, durationS: atS - restFromS });
      const isOfPlace = 1 - far >= 1 - Math.exp(-TELLS_OF_PLACE);
      rest = {
        ...stay,
        tempC: isOfPlace ? within(placeC, Math.max(minC, stay.tempC - FARTHEST_C), Math.min(maxC, stay.tempC + FARTHEST_C)) : rest.tempC,
        pressedOut: 0,
      };
      doughC = placeC + (doughC - placeC) * far;
      restFromS = atS;
    }
    const leftS = endS - restFromS;
    if (leftS > 0) {
      stays.push({ ...rest, durationS: leftS });
      const lagS = thermalLagS(rest.pieceG, rest.standing, rest.place);
      doughC = rest.tempC + (doughC - rest.tempC) * Math.exp(-leftS / lagS);
    }
    fromS = endS;
  }
  return { ...question, doughC: fresh?.tempC ?? question.doughC, stays };
} // prettier-ignore
