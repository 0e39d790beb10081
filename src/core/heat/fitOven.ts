import { curvedFit, linearFit, type Row } from '../numeric/leastSquares';
import { ok, refuse, type Result } from '../result';
import { within } from '../units/decimal';
import { simulateBake, checkBake, CENTRAL_DRAW, type BakeQuestion } from './bake';
import type { Oven } from './oven';
import { PHASE_LIMITS, READING_LIMITS } from './heatLimits';

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
/**
 * An oven's offset from thermometer readings: Bayesian straight line (conjugate normal prior), so that one reading moves it and
 * ten make it sure.
 *
 * One look at 190 °C with the dial at 200: 8.4 °C too cool, give or take 3.7 (one sd).
 * @returns limits by `readings.0.dialC`; `tooLarge` at `readings.0.trueC` for a reading more than 80 °C off
 */
export function fitOffset(readings: readonly DialReading[]): Result<OffsetFit> {
  if (readings.length > READING_LIMITS.count)
    return refuse('tooMany', 'readings', { max: READING_LIMITS.count });
  const rows: Row[] = [];
  for (const [index, { dialC, trueC }] of readings.entries()) {
    const dial = within(dialC, READING_LIMITS.dialC, `readings.${index}.dialC`);
    if (!dial.ok) return dial;
    const near = { min: dialC - READING_LIMITS.mostOffC, max: dialC + READING_LIMITS.mostOffC };
    const seen = within(trueC, near, `readings.${index}.trueC`);
    if (!seen.ok) return seen;
    rows.push({ left: trueC - dialC, by: [1, (dialC - 200) / 100], sd: READING_SD_C });
  }
  const { x, covariance } = linearFit(rows, [
    { at: 0, sd: PRIOR.sdAt200C },
    { at: 0, sd: PRIOR.sdPer100C },
  ]);
  return ok({
    at200C: x[0]!,
    per100C: x[1]!,
    sdAt200C: Math.sqrt(covariance[0]![0]!),
    sdPer100C: Math.sqrt(covariance[1]![1]!),
    covariance: covariance[0]![1]!,
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
const TRACE_LIMITS = {
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

const tracePath = (index: number, name: 'atS' | 'coreC') => `trace.${index}.${name}`;

/** The points of a trace that lie inside the bake. */
function pointsInside(trace: readonly TracePoint[], endS: number): Result<readonly TracePoint[]> {
  if (trace.length < TRACE_LIMITS.points.min)
    return refuse('tooSmall', 'trace', { min: TRACE_LIMITS.points.min });
  if (trace.length > TRACE_LIMITS.points.max)
    return refuse('tooMany', 'trace', { max: TRACE_LIMITS.points.max });
  for (const [index, point] of trace.entries()) {
    const time = within(point.atS, TRACE_LIMITS.atS, tracePath(index, 'atS'));
    if (!time.ok) return time;
    const core = within(point.coreC, TRACE_LIMITS.coreC, tracePath(index, 'coreC'));
    if (!core.ok) return core;
  }
  const inside = trace.filter((point) => point.atS <= endS);
  return inside.length < TRACE_LIMITS.points.min ? refuse('notSolvable', 'trace') : ok(inside);
}

/** The core at the times of the points, °C, linear between the run's own. */
function coreAt(points: readonly TracePoint[], atS: readonly number[], coreC: readonly number[]): number[] {
  let high = 1;
  return points.map((point) => {
    while (high < atS.length - 1 && atS[high]! < point.atS) high += 1;
    while (high > 1 && atS[high - 1]! > point.atS) high -= 1;
    const share = (point.atS - atS[high - 1]!) / (atS[high]! - atS[high - 1]!);
    return coreC[high - 1]! + share * (coreC[high]! - coreC[high - 1]!);
  });
}

/**
 * Fits offset and heat transfer of the oven to a probe trace: least squares on (offset, ln transfer) with what is known of them as
 * prior, derivatives by differences on the coarse grid. About a dozen runs.
 *
 * @param question the bake the probe was in, with the oven as known so far
 * @returns `notSolvable` at trace when it does not settle or misses by more than 12 °C: the programme or the piece is not this one
 */
export function fitTrace(question: BakeQuestion, trace: readonly TracePoint[]): Result<TraceFit> {
  const checked = checkBake(question);
  if (!checked.ok) return checked;
  const { oven } = question;
  const found = pointsInside(
    trace,
    question.phases.reduce((sum, phase) => sum + phase.durationS, 0),
  );
  if (!found.ok) return found;
  const inside = found.value;
  const missesC = ([offsetC, lnTransfer]: readonly number[]): number[] => {
    const draw = {
      ...CENTRAL_DRAW,
      offsetC: offsetC! - oven.offsetC,
      transfer: Math.exp(lnTransfer!) / oven.transfer,
    };
    const run = simulateBake(question, draw, 'coarse', 240);
    if (!run.ok) return inside.map(() => Number.NaN);
    return coreAt(inside, run.value.atS, run.value.coreC).map((coreC, index) => coreC - inside[index]!.coreC);
  };
  const pointSdC = POINT_SD_C / Math.sqrt(Math.min(1, POINTS_THAT_COUNT / inside.length));
  const fit = curvedFit({
    misses: (x) => missesC(x).map((missC) => missC / pointSdC),
    prior: [
      { at: oven.offsetC, sd: oven.offsetSdC },
      { at: Math.log(oven.transfer), sd: oven.transferCv },
    ],
    steps: [3, 0.05],
    bounds: [
      { ...PHASE_LIMITS.offsetC, move: 25 },
      { min: Math.log(0.05), max: Math.log(20), move: 0.35 },
    ],
    rounds: 6,
    near: [0.3, 0.01],
  });
  if (!fit?.settled) return refuse('notSolvable', 'trace');
  const [offsetC, lnTransfer] = fit.x as readonly [number, number];
  const missC = Math.sqrt(missesC(fit.x).reduce((sum, each) => sum + each * each, 0) / inside.length);
  if (!(missC < 12)) return refuse('notSolvable', 'trace');
  const sd = (column: number) => Math.sqrt(fit.covariance[column]![column]!);
  return ok({
    oven: { offsetC, offsetSdC: sd(0), transfer: Math.exp(lnTransfer), transferCv: sd(1) },
    missC,
    points: inside.length,
  });
}
