import { riseCurve } from '../fermentation/riseCurve';
import { PARAMETERS, volumesOf, type RiseQuestion } from '../fermentation/riseSimulation';
import { simulateBake, type BakeQuestion } from '../heat/bake';
import { drawnHeat } from '../heat/forecast';
import { preheat } from '../heat/preheat';
import type { Oven } from '../heat/oven';
import { normalAbove } from '../numeric/draws';
import { seededRandom } from '../numeric/seededRandom';
import { inJar } from '../run/doughHistory';
import type { RiseAsked } from '../run/riseNow';
import { FAULT, type PracticeDay } from './faults';

/** What the models are asked of the one day that is practised: plain data, for a thread of its own. */
export type TruthAsked =
  | { readonly of: 'rise'; readonly asked: RiseAsked; readonly day: PracticeDay }
  | {
      readonly of: 'heat';
      readonly question: BakeQuestion;
      readonly sinceMs: number;
      readonly day: PracticeDay;
    };

/** How it really goes: at these moments, ms since 1970. */
export type Truth =
  | {
      readonly of: 'rise';
      readonly atMs: readonly number[];
      readonly doughC: readonly number[];
      /** Against when this step began, and the jar against the end of mixing, %. */
      readonly grown: readonly number[];
      readonly jar: readonly number[];
    }
  | {
      readonly of: 'heat';
      readonly atMs: readonly number[];
      readonly coreC: readonly number[];
      /** Of what is around it: oven, oil, water, room. */
      readonly aroundC: readonly number[];
      readonly brown: readonly number[];
    };

/** A day differs from what the models expect by about so much of what it may differ by: enough to be another, not to be a lesson of its own. */
const DAYS_SHARE = 0.6;

const dayOf = (seed: number): number[] => {
  const random = seededRandom(seed);
  return PARAMETERS.map(() => DAYS_SHARE * normalAbove(Math.min(0.99, Math.max(0.01, random()))));
};

/** The rise with what is in it really alive. */
const alive = (question: RiseQuestion, { faults }: PracticeDay): RiseQuestion => {
  if (!faults.includes('oldYeast')) return question;
  const learnt = question.learnt ?? { vigour: { value: 1, cv: 0 }, holding: { value: 1, cv: 0 } };
  return { ...question, learnt: { ...learnt, vigour: { ...learnt.vigour, value: FAULT.alive * learnt.vigour.value } } };
}; // prettier-ignore

/** The oven as it really is. */
const trueOven = (oven: Oven, { faults }: PracticeDay): Oven =>
  faults.includes('coldOven') ? { ...oven, offsetC: oven.offsetC - FAULT.coldC } : oven;

/**
 * How a dough rises, or a piece bakes, on the day that is practised.
 *
 * @returns null where the models refuse the question
 */
export function truthOf(told: TruthAsked): Truth | null {
  const { day } = told;
  if (told.of === 'heat') {
    const question = { ...told.question, oven: trueOven(told.question.oven, day) };
    const sim = simulateBake(question, drawnHeat(question, day.seed));
    if (!sim.ok) return null;
    const { atS, coreC, ovenC, brownTop } = sim.value;
    return { of: 'heat', atMs: atS.map((tS) => told.sinceMs + tS * 1000), coreC, aroundC: ovenC, brown: brownTop };
  }
  const { mixedAtMs, beganS } = told.asked;
  const given = alive(told.asked.question, day);
  const middle = dayOf(day.seed);
  const curveOf = (question: RiseQuestion) => riseCurve({ ...question, ofDay: { middle, draws: [] }, central: true });
  const [here, spoon] = [curveOf(given), curveOf(inJar(given))];
  if (!here.ok || !spoon.ok) return null;
  const [from = 1] = volumesOf(given, [beganS + 1], middle);
  return {
    of: 'rise',
    atMs: here.value.atS.map((tS) => mixedAtMs + tS * 1000),
    doughC: here.value.doughC,
    grown: here.value.volume.map((volume) => 100 * (volume / from - 1)),
    jar: spoon.value.volume.map((volume) => 100 * (volume - 1)),
  };
} // prettier-ignore

/** The figure of a series at a moment; before and after it the first and the last. */
export function seriesAt(atMs: readonly number[], values: readonly number[], ms: number): number | null {
  if (values.length === 0) return null;
  const next = atMs.findIndex((each) => each >= ms);
  if (next === -1) return values.at(-1)!;
  if (next === 0) return values[0]!;
  const share = (ms - atMs[next - 1]!) / Math.max(1, atMs[next]! - atMs[next - 1]!);
  return values[next - 1]! + share * (values[next]! - values[next - 1]!);
}

/** How hot an oven is that was lit so long ago, °C; the room where the models refuse it. */
export function litOvenC(oven: Oven, setC: number, roomC: number, sinceS: number, day: PracticeDay): number {
  const heated = preheat(trueOven(oven, day), null, setC, roomC);
  if (!heated.ok) return roomC;
  const { ovenC } = heated.value;
  return seriesAt(ovenC.map((_, minute) => minute * 60_000), ovenC, sinceS * 1000) ?? roomC;
} // prettier-ignore
