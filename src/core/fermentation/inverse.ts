import { ok, refuse, type Result } from '../result';
import type { RiseCurve, RiseQuestion } from './riseCurve';
import { riseCurve } from './riseCurve';
import { PLACES } from './thermalLag';

/** Where a wanted time can be met: the figure, and the curve it makes. */
export interface Solved {
  readonly value: number;
  readonly curve: RiseCurve;
}

/** A search on a monotone answer. `later` must not fall with x; the answer lies between the ends or there is none. */
function bisect(low: number, high: number, target: number, answer: (x: number) => number): number | null {
  const atLow = answer(low);
  const atHigh = answer(high);
  const rising = atHigh >= atLow;
  if ((target - atLow) * (target - atHigh) > 0) return null;
  let from = low;
  let to = high;
  for (let round = 0; round < 40 && to - from > 1e-4 * (Math.abs(to) + 1e-6); round += 1) {
    const middle = (from + to) / 2;
    if (answer(middle) < target === rising) from = middle;
    else to = middle;
  }
  return (from + to) / 2;
}

/** Time to the wanted rise of the central run, never reached being later than all. */
function centralS(question: RiseQuestion): number {
  const curve = riseCurve({ ...question, central: true });
  return curve.ok ? (curve.value.wantedAtS.value ?? 1e9) : 1e9;
}

/**
 * How much of its leaven makes a dough reach the wanted rise at a time, as a factor of what is in it now, 1/50 to 8 times.
 * @param targetS from the end of mixing; the stays must reach that far
 * @returns `notSolvable` at targetS when no such amount does: too cold, too short, or the dough can't hold so much
 */
export function yeastForTime(question: RiseQuestion, targetS: number): Result<Solved> {
  const scaled = (factor: number): RiseQuestion => ({
    ...question,
    leavening: {
      ...question.leavening,
      yeastG: question.leavening.yeastG * factor,
      wildG: question.leavening.wildG * factor,
    },
  });
  const log = bisect(Math.log(0.02), Math.log(8), targetS, (x) => centralS(scaled(Math.exp(x))));
  if (log === null) return refuse('notSolvable', 'targetS');
  const curve = riseCurve(scaled(Math.exp(log)));
  return curve.ok ? ok({ value: Math.exp(log), curve: curve.value }) : curve;
}

/**
 * The temperature of one stay that makes a dough reach the wanted rise at a time, °C, up to the best for gassing.
 * @returns `notSolvable` at targetS when no temperature of that place does
 */
export function temperatureForTime(
  question: RiseQuestion,
  stayIndex: number,
  targetS: number,
): Result<Solved> {
  const stay = question.stays[stayIndex];
  if (!stay) return refuse('unknownStep', `stays.${stayIndex}`);
  const at = (tempC: number): RiseQuestion => ({
    ...question,
    stays: question.stays.map((each, index) => (index === stayIndex ? { ...each, tempC } : each)),
  });
  const { minC, maxC } = PLACES[stay.place];
  const tempC = bisect(Math.max(2, minC), Math.min(36, maxC), targetS, (t) => centralS(at(t)));
  if (tempC === null) return refuse('notSolvable', 'targetS');
  const curve = riseCurve(at(tempC));
  return curve.ok ? ok({ value: tempC, curve: curve.value }) : curve;
}
