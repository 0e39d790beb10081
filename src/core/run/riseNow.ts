import { endOfMixing, sheetNow, type BakeRecord, type BakeState } from '../bake';
import { riseCurve } from '../fermentation/riseCurve';
import { riseOfDay, type MarkedRise } from '../fermentation/riseOfDay';
import { NO_DRAW, volumesOf, type RiseQuestion } from '../fermentation/riseSimulation';
import type { Formula } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { isRising } from '../method/risingSteps';
import type { MaybeRange, Range } from '../numeric/range';
import { byThermometer } from './byThermometer';
import { breadOf, doughHistory, inJar } from './doughHistory';
import type { RunKitchen } from './ordinaryKitchen';
import { pointsOf } from './riseMarks';
import { HEATS, stepS } from './stepTimes';

/** It is told at least so far ahead, and no further, s. */
const AHEAD_S = { least: 3 * 3600, most: 12 * 3600 } as const;
/** As good as its top: what is left comes too slowly to wait for. */
export const NEAR_TOP = 0.95;

/** What the models are asked of a dough that is rising: plain data, for a thread of its own. */
export interface RiseAsked {
  readonly question: RiseQuestion;
  readonly marked: readonly MarkedRise[];
  readonly mixedAtMs: number;
  readonly beganS: number;
  /** By how much its method wants it larger than when this step began, %; null: nothing says so. */
  readonly wantedPercent: number | null;
  /** The heat is next: without a mark to reach it is ready at a share of what it can hold. */
  readonly isLast: boolean;
}

/** How a dough that is rising stands. Percent against when this step began; ms since 1970. */
export interface RiseNow {
  readonly atMs: readonly number[];
  readonly grown: readonly number[];
  readonly low: readonly number[];
  readonly high: readonly number[];
  readonly doughC: readonly number[];
  /** What it is waited for, %; null: nothing says how far. */
  readonly wantedPercent: number | null;
  /** When it is there; its value null: it will not be. */
  readonly ready: MaybeRange | null;
  readonly topPercent: Range;
  /** From when on waiting for more is no use: it is as good as at its top. */
  readonly nearTopMs: number;
  /** When it begins to sink; its value null: not in the time that was looked at. */
  readonly past: MaybeRange;
  readonly marks: number;
  /** The jar against the end of mixing, at the same times, %. */
  readonly jar: readonly number[];
  /** By how much the newest mark moved when it is ready, s; null: there is none, or one of the two times. */
  readonly movedS: number | null;
}

/**
 * What to ask of a dough in the step it stands in: as it was really weighed, through the times its steps really took, by what thermometers said, with what
 * was marked.
 *
 * @param kitchen with what earlier bakes have taught, not this one
 * @param nowMs the step is begun by then
 * @returns null where nothing rises: another kind of step, the mixing not ticked, a step that is not begun, or no run can be made
 */
export function riseAsked(bake: BakeRecord, state: BakeState, stepId: string, formula: Formula, book: IngredientBook, kitchen: RunKitchen, nowMs: number): RiseAsked | null {
  const sheet = sheetNow(bake.sheet, state);
  const step = sheet.steps.find(({ id }) => id === stepId);
  const { mixedAtMs } = endOfMixing(sheet, state);
  if (!step || !isRising(step) || mixedAtMs === null || nowMs <= mixedAtMs) return null;
  const wayId = sheet.activities?.find(({ id }) => id === stepId)?.wayId ?? null;
  const bread = breadOf(bake, state, mixedAtMs, wayId, formula);
  const room = state.readings.findLast(({ of }) => of === 'room');
  const here = room ? { ...kitchen, roomC: room.tempC } : kitchen;
  const history = doughHistory(bread, { untilMs: nowMs, inStep: new Set([stepId]), leastS: stepS(step) }, formula, book, here);
  const beganS = history?.beganS.get(stepId);
  if (!history || beganS === undefined) return null;
  const readings = state.readings
    .filter(({ of, stepId: at }) => of === 'dough' && at !== null)
    .map(({ atMs, tempC }) => ({ atS: (atMs - mixedAtMs) / 1000, tempC }));
  const totalS = history.question.stays.reduce((sum, { durationS }) => sum + durationS, 0);
  const question = { ...byThermometer(history.question, readings), beyondS: Math.min(AHEAD_S.most, Math.max(AHEAD_S.least, totalS)) };
  const marks = state.rises.filter(({ atMs, stepId: at }) => atMs > mixedAtMs && (history.beganS.has(at) || at === stepId));
  const after = bread.steps.slice(bread.steps.findIndex(({ id }) => id === stepId) + 1);
  const heat = after.findIndex(({ kind }) => HEATS.has(kind));
  return {
    question,
    marked: (['jar', 'dough'] as const).flatMap((of) => {
      const points = pointsOf(marks, of, mixedAtMs, history.beganS);
      return points.length === 0 ? [] : [{ question: of === 'jar' ? inJar(question) : question, points }];
    }),
    mixedAtMs,
    beganS,
    wantedPercent: step.cue?.kind === 'grown' ? step.cue.percent : null,
    isLast: heat >= 0 && !after.slice(0, heat).some((each) => isRising(each) && each.kind !== 'rest'),
  };
} // prettier-ignore

/** All but the newest mark; of none none. */
function before(marked: readonly MarkedRise[]): MarkedRise[] {
  const newest = Math.max(...marked.flatMap(({ points }) => points.map(({ atS }) => atS)));
  return marked
    .map((each) => ({ ...each, points: each.points.filter(({ atS }) => atS < newest) }))
    .filter(({ points }) => points.length > 0);
}

/** The curve that goes with these marks, and its volume as this step began. */
function curveOf({ question, beganS, wantedPercent }: RiseAsked, ofDay: ReturnType<typeof riseOfDay>) {
  const given: RiseQuestion = { ...question, countsFromS: beganS, ...(ofDay && { ofDay }) };
  // just after it was knocked back
  const [from = 1] = volumesOf(question, [beganS + 1], ofDay?.middle ?? NO_DRAW);
  const curve = riseCurve(
    wantedPercent === null ? given : { ...given, wanted: Math.min(6, from * (1 + wantedPercent / 100)) },
  );
  return { from, curve: curve.ok ? curve.value : null };
}

/**
 * How it stands and when it is ready, by all that was weighed, read and marked until now.
 *
 * @returns null where the history is none that the simulator takes (see `riseCurve`)
 */
export function riseNow(asked: RiseAsked): RiseNow | null {
  const { marked, mixedAtMs, beganS, wantedPercent, isLast } = asked;
  const ofDay = riseOfDay(marked);
  const { from, curve } = curveOf(asked, ofDay);
  const spoon = riseCurve({ ...inJar(asked.question), ...(ofDay && { ofDay }), central: true });
  if (!curve || !spoon.ok) return null;
  const atMs = (tS: number): number => mixedAtMs + tS * 1000;
  const percent = (volume: number): number => 100 * (volume / from - 1);
  const times = ({ value, low, high, chance }: MaybeRange): MaybeRange => {
    const at = (tS: number | null) => (tS === null ? null : atMs(tS));
    return { value: at(value), low: at(low), high: at(high), chance };
  };
  const isAwaited = wantedPercent !== null || isLast;
  const here = curve.atS.flatMap((tS, index) => (tS >= beganS ? [index] : []));
  const pick = (values: readonly number[]) => here.map((index) => values[index] ?? 0);
  const nearTop = here.find((index) => (curve.volume[index] ?? 0) >= from + NEAR_TOP * (curve.top.value - from));
  const marks = marked.reduce((sum, { points }) => sum + points.length, 0);
  const earlier = marks > 0 && isAwaited ? curveOf(asked, riseOfDay(before(marked))).curve : null;
  const readyS = curve.wantedAtS.value;
  const thoughtS = earlier?.wantedAtS.value ?? null;
  return {
    atMs: pick(curve.atS).map(atMs),
    grown: pick(curve.volume).map(percent),
    low: pick(curve.low).map(percent),
    high: pick(curve.high).map(percent),
    doughC: pick(curve.doughC),
    wantedPercent: isAwaited ? (wantedPercent ?? percent(curve.wanted)) : null,
    ready: isAwaited ? times(curve.wantedAtS) : null,
    topPercent: { value: percent(curve.top.value), low: percent(curve.top.low), high: percent(curve.top.high) },
    nearTopMs: atMs(curve.atS[nearTop ?? here.at(-1) ?? 0] ?? beganS),
    past: times(curve.pastAtS),
    marks,
    // the same stays, so the same times
    jar: pick(spoon.value.volume).map((volume) => 100 * (volume - 1)),
    movedS: readyS !== null && thoughtS !== null ? readyS - thoughtS : null,
  };
} // prettier-ignore
