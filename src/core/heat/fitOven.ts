import { ok, refuse, type Result } from '../result';
import { within } from '../units/decimal';
import { bakeRun, checkBake, CENTRAL_DRAW, type BakeQuestion } from './bake';
import type { Oven } from './oven';
import { PHASE_LIMITS } from './programme';

/** One look at a thermometer in the oven, once it has stood at that setting for a while. */
export interface DialReading {
  readonly dialC: number;
  readonly trueC: number;
}

/** Offset of an oven as a line over its dial: `atC` at 200, `per100` more at each further 100 °C; with their spread. */
export interface OffsetFit {
  readonly at200C: number;
  readonly per100C: number;
  readonly sdAt200C: number;
  readonly sdPer100C: number;
  readonly covariance: number;
  readonly readings: number;
}

/** Not knowing better: an oven is off by some 9 °C, and by 6 °C more or less a hundred degrees further on. */
const PRIOR = { sdAt200C: 9, sdPer100C: 6 } as const;
/** A thermometer on a rack: its own error, and the oven's swing about its mean, °C. */
const READING_SD_C = 4;
export const READING_LIMITS = {
  dialC: PHASE_LIMITS.setC.oven,
  trueC: { min: 20, max: 600 },
  mostOffC: 80,
  count: 60,
} as const;

/**
 * An oven's offset from thermometer readings: Bayesian straight line (conjugate normal prior), so that one reading moves it and
 * ten make it sure.
 * @returns limits by `readings.0.dialC`; `tooLarge` at `readings.0.trueC` for a reading more than 80 °C off
 */
export function fitOffset(readings: readonly DialReading[]): Result<OffsetFit> {
  if (readings.length > READING_LIMITS.count)
    return refuse('tooMany', 'readings', { max: READING_LIMITS.count });
  // precision matrix [[p, q], [q, r]] and its right side
  let p = 1 / PRIOR.sdAt200C ** 2;
  let q = 0;
  let r = 1 / PRIOR.sdPer100C ** 2;
  let u = 0;
  let v = 0;
  for (const [index, { dialC, trueC }] of readings.entries()) {
    const dial = within(dialC, READING_LIMITS.dialC, `readings.${index}.dialC`);
    if (!dial.ok) return dial;
    const near = { min: dialC - READING_LIMITS.mostOffC, max: dialC + READING_LIMITS.mostOffC };
    const seen = within(trueC, near, `readings.${index}.trueC`);
    if (!seen.ok) return seen;
    const x = (dialC - 200) / 100;
    const weight = 1 / READING_SD_C ** 2;
    p += weight;
    q += weight * x;
    r += weight * x * x;
    u += weight * (trueC - dialC);
    v += weight * x * (trueC - dialC);
  }
  const determinant = p * r - q * q;
  return ok({
    at200C: (r * u - q * v) / determinant,
    per100C: (p * v - q * u) / determinant,
    sdAt200C: Math.sqrt(r / determinant),
    sdPer100C: Math.sqrt(p / determinant),
    covariance: -q / determinant,
    readings: readings.length,
  });
}

/** The offset at one setting, °C, with its sd. */
export function offsetAt(fit: OffsetFit, dialC: number): { readonly offsetC: number; readonly sdC: number } {
  const x = (dialC - 200) / 100;
  const variance = fit.sdAt200C ** 2 + 2 * x * fit.covariance + (x * fit.sdPer100C) ** 2;
  return { offsetC: fit.at200C + x * fit.per100C, sdC: Math.sqrt(Math.max(0, variance)) };
}

/** One point of a probe left in the middle of a piece. */
export interface TracePoint {
  readonly atS: number;
  readonly coreC: number;
}
export const TRACE_LIMITS = {
  points: { min: 4, max: 5000 },
  atS: { min: 0, max: 86_400 },
  coreC: { min: -20, max: 130 },
} as const;

export interface TraceFit {
  readonly oven: Pick<Oven, 'offsetC' | 'offsetSdC' | 'transfer' | 'transferCv'>;
  /** Root mean square of what is left between the trace and the fitted run, °C. */
  readonly missC: number;
  readonly points: number;
}

/** A probe sits a little off the middle and lags: sd of a point, °C; and points of one trace err together: so many count as one. */
const POINT_SD_C = 2.5;
const POINTS_THAT_COUNT = 8;

/**
 * Fits offset and heat transfer of the oven to a probe trace: Gauss-Newton on (offset, ln transfer) with what is known of them as
 * prior, derivatives by differences on the coarse grid. About a dozen runs.
 *
 * @param question the bake the probe was in, with the oven as known so far
 * @returns `notSolvable` at trace when it does not settle or misses by more than 12 °C: the programme or the piece is not this one
 */
export function fitTrace(question: BakeQuestion, trace: readonly TracePoint[]): Result<TraceFit> {
  const checked = checkBake(question);
  if (!checked.ok) return checked;
  if (trace.length < TRACE_LIMITS.points.min)
    return refuse('tooSmall', 'trace', { min: TRACE_LIMITS.points.min });
  if (trace.length > TRACE_LIMITS.points.max)
    return refuse('tooMany', 'trace', { max: TRACE_LIMITS.points.max });
  for (const [index, point] of trace.entries()) {
    const time = within(point.atS, TRACE_LIMITS.atS, `trace.${index}.atS`);
    if (!time.ok) return time;
    const core = within(point.coreC, TRACE_LIMITS.coreC, `trace.${index}.coreC`);
    if (!core.ok) return core;
  }
  const { oven } = question;
  const endS = question.phases.reduce((sum, phase) => sum + phase.durationS, 0);
  const inside = trace.filter((point) => point.atS <= endS);
  if (inside.length < TRACE_LIMITS.points.min) return refuse('notSolvable', 'trace');
  const weight = Math.min(1, POINTS_THAT_COUNT / inside.length) / POINT_SD_C ** 2;
  const model = (offsetC: number, lnTransfer: number): number[] => {
    const run = bakeRun(
      question,
      { ...CENTRAL_DRAW, offsetC: offsetC - oven.offsetC, transfer: Math.exp(lnTransfer) / oven.transfer },
      'coarse',
      240,
    );
    if (!run.ok) return inside.map(() => Number.NaN);
    const { atS, coreC } = run.value;
    let high = 1;
    return inside.map((point) => {
      while (high < atS.length - 1 && atS[high]! < point.atS) high += 1;
      while (high > 1 && atS[high - 1]! > point.atS) high -= 1;
      const share = (point.atS - atS[high - 1]!) / (atS[high]! - atS[high - 1]!);
      return coreC[high - 1]! + share * (coreC[high]! - coreC[high - 1]!);
    });
  };
  const priorOffset = oven.offsetC;
  const priorLn = Math.log(oven.transfer);
  let offsetC = priorOffset;
  let ln = priorLn;
  let spread: [number, number] = [oven.offsetSdC, oven.transferCv];
  let miss = Infinity;
  let settled = false;
  for (let round = 0; round < 6 && !settled; round += 1) {
    const now = model(offsetC, ln);
    const byOffset = model(offsetC + 3, ln);
    const byLn = model(offsetC, ln + 0.05);
    let p = 1 / oven.offsetSdC ** 2;
    let r = 1 / oven.transferCv ** 2;
    let q = 0;
    let u = (priorOffset - offsetC) / oven.offsetSdC ** 2;
    let v = (priorLn - ln) / oven.transferCv ** 2;
    let squares = 0;
    inside.forEach((point, index) => {
      const left = point.coreC - now[index]!;
      const a = (byOffset[index]! - now[index]!) / 3;
      const b = (byLn[index]! - now[index]!) / 0.05;
      p += weight * a * a;
      q += weight * a * b;
      r += weight * b * b;
      u += weight * a * left;
      v += weight * b * left;
      squares += left * left;
    });
    miss = Math.sqrt(squares / inside.length);
    const determinant = p * r - q * q;
    if (!(determinant > 0)) return refuse('notSolvable', 'trace');
    const moveOffset = Math.max(-25, Math.min(25, (r * u - q * v) / determinant));
    const moveLn = Math.max(-0.35, Math.min(0.35, (p * v - q * u) / determinant));
    offsetC = Math.max(PHASE_LIMITS.offsetC.min, Math.min(PHASE_LIMITS.offsetC.max, offsetC + moveOffset));
    ln += moveLn;
    spread = [Math.sqrt(r / determinant), Math.sqrt(p / determinant)];
    settled = Math.abs(moveOffset) < 0.3 && Math.abs(moveLn) < 0.01;
  }
  if (!settled || !(miss < 12)) return refuse('notSolvable', 'trace');
  return ok({
    oven: { offsetC, offsetSdC: spread[0], transfer: Math.exp(ln), transferCv: spread[1] },
    missC: miss,
    points: inside.length,
  });
}
