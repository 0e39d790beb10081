import { BAND_ENDS, BANDS, CONSISTENCY } from '../consistency/parameters';
import { consistencyOf } from '../consistency/consistency';
import { learnAbsorption } from '../consistency/learnAbsorption';
import { learnRise, type RiseObservation } from '../fermentation/learnRise';
import { FERMENTATION } from '../fermentation/parameters';
import { volumesAt, type RiseQuestion } from '../fermentation/riseSimulation';
import { testLeavening } from '../fermentation/testLeavening';
import { line, plainLoaf } from '../formula/testFormulas';
import type { Formula } from '../formula/formula';
import { libraryBook, type IngredientBook } from '../ingredients';
import { normalAbove } from '../numeric/draws';
import { seededRandom } from '../numeric/seededRandom';
import { asLearnt, formOf, learnSlice, type SliceObservation } from '../slice/learnSlice';
import { seenOf } from '../slice/reading';
import { cutOf } from '../slice/testCuts';
import type { SliceFigures } from '../slice/slice';

/**
 * Made-up kitchens with a hidden truth that bake on and learn, for tests and `./crumb soak learning`: a leaven of some vigour and a dough that holds so
 * much, flours that absorb otherwise than the library says; days that differ, eyes and hands that are off.
 */
export interface Replay {
  /** How far what is expected of the next bake is off the truth, after 0, 1 … bakes: what a day adds is not in it. */
  readonly errors: readonly number[];
  /** What one day is off another, in the same measure. */
  readonly noise: number;
}

const normals = (seed: number) => {
  const random = seededRandom(seed);
  return (sd: number) => sd * normalAbove(Math.min(0.9995, Math.max(0.0005, random())));
};
const rms = (all: readonly number[]) =>
  Math.sqrt(all.reduce((sum, each) => sum + each * each, 0) / all.length);

const riseAt = (tempC: number): RiseQuestion => ({
  leavening: testLeavening,
  doughC: 26,
  stays: [{ place: 'room', tempC, durationS: 4 * 3600, standing: 'bowl', pieceG: 80, pressedOut: 0 }],
});
const ASKED_S = [60, 100, 150].map((min) => min * 60);

/** Bakes with two or three rise marks each; the error is of ln growth at three times of a day of 24 °C. */
export function replayRise(seed: number, bakes: number): Replay {
  const normal = normals(seed);
  const [vigour, holding] = [Math.exp(normal(testLeavening.yeastCv)), Math.exp(normal(testLeavening.holdingCv))];
  const grown = (v: number, h: number) => volumesAt(riseAt(24), ASKED_S, v, h).map((volume) => Math.log(volume - 0.9));
  const truth = grown(vigour, holding);
  const off = (v: number, h: number) => rms(grown(v, h).map((each, index) => each - truth[index]!));
  const days: RiseObservation[] = [];
  const errors = [off(1, 1)];
  for (let at = 0; at < bakes; at += 1) {
    const tempC = 23 + normal(2);
    const today = vigour * Math.exp(normal(FERMENTATION.dayCv.vigour));
    const times = [50, 95, 140].slice(0, 2 + (at % 2)).map((min) => 60 * (min + normal(8)));
    const volumes = volumesAt(riseAt(tempC), times, today, holding);
    days.push({ question: riseAt(tempC), points: times.map((atS, index) => ({ atS, sinceS: 0, grown: volumes[index]! * (1 + normal(FERMENTATION.markReading)) })) });
    const { learnt } = learnRise(days)!;
    errors.push(off(learnt.vigour.value, learnt.holding.value));
  }
  return { errors, noise: off(vigour * Math.exp(FERMENTATION.dayCv.vigour), holding) };
} // prettier-ignore

const dough = (waterG: number): Formula => ({
  ...plainLoaf(),
  stages: [{ id: 'a', kind: 'main', name: 'A', lines: [line('white-rice-flour', 300), line('tapioca-starch', 200), line('psyllium-husk', 15), line('water', waterG)] }],
}); // prettier-ignore
const ABSORBING = ['white-rice-flour', 'tapioca-starch', 'psyllium-husk'] as const;
const absorbing = (times: ReadonlyMap<string, number>): IngredientBook =>
  new Map(
    [...libraryBook].map(([id, known]) => {
      const by = times.get(id);
      if (!by || !known.absorption) return [id, known];
      const { gPerG, tauMin } = known.absorption;
      return [id, { ...known, absorption: { gPerG: { ...gPerG, value: gPerG.value * by }, tauMin } }];
    }),
  );

/** Bakes in which a hand felt the dough; the error is of ln saturation of the dough as it is usually made. */
export function replayFeel(seed: number, bakes: number): Replay {
  const normal = normals(seed);
  const common = normal(CONSISTENCY.commonSd);
  const truth = new Map(ABSORBING.map((id) => {
    const { gPerG } = libraryBook.get(id)!.absorption!;
    return [id, Math.exp(common + normal(gPerG.sd / gPerG.value))] as const;
  }));
  const world = absorbing(truth);
  const usual = dough(395);
  const s = (book: IngredientBook) => Math.log(consistencyOf(usual, book)!.rested.s);
  const off = (book: IngredientBook) => Math.abs(s(book) - s(world));
  const errors = [off(libraryBook)];
  const felt: Parameters<typeof learnAbsorption>[0][number][] = [];
  for (let at = 0; at < bakes; at += 1) {
    // as a baker goes on: wetter, drier, as it felt the last time
    const made = dough(395 * Math.exp(normal(0.07)));
    const { rested, balance } = consistencyOf(made, world)!;
    const hand = rested.s + normal(CONSISTENCY.edgeSd);
    const band = BANDS.find((each) => hand < BAND_ENDS[each]) ?? 'pourable';
    felt.push({ consistency: consistencyOf(made, libraryBook)!, standMin: balance.restMin, band });
    const learnt = learnAbsorption(felt, libraryBook);
    errors.push(off(absorbing(new Map(learnt.map(({ ingredientId, before, after }) => [ingredientId, after.value / before.value])))));
  }
  return { errors, noise: 0.04 };
} // prettier-ignore

const DRAWN: SliceFigures = {
  shape: 'tin', widthMm: 100, heightMm: 90, crown: 0.1, poreMm: 1.5, evenness: 0.7, gas: 0.55, seen: seenOf(0.55), crustMm: 3, brownTop: 5, brownBase: 3, streak: 0,
}; // prettier-ignore

/**
 * Bakes whose cut is read from a picture, in a kitchen whose bread comes out another shape than it is drawn; the error is of ln height over width as the
 * next slice is drawn. Truths are spread evenly and days differ more than the learner takes them to.
 */
export function replaySlice(seed: number, bakes: number): Replay {
  const random = seededRandom(seed);
  const normal = normals(seed + 7_777_777);
  const even = (most: number) => most * (2 * random() - 1);
  const truth = {
    form: even(0.35),
    pores: even(0.8),
    seen: even(0.6),
    evenness: even(0.2),
    denseLine: 3 + even(3),
  };
  const real = asLearnt(DRAWN, truth);
  const off = (slice: SliceFigures) => Math.abs(Math.log(formOf(slice) / formOf(real)));
  const errors = [off(DRAWN)];
  const cuts: SliceObservation[] = [];
  for (let at = 0; at < bakes; at += 1) {
    cuts.push({ expected: DRAWN, read: cutOf(real, normal) });
    errors.push(off(asLearnt(DRAWN, learnSlice(cuts)!.learnt)));
  }
  return { errors, noise: 0.13 };
}

/** Over kitchens: the root mean square error after each number of bakes. */
export const errorsOf = (replays: readonly Replay[]): number[] =>
  (replays[0]?.errors ?? []).map((_, bakes) => rms(replays.map(({ errors }) => errors[bakes]!)));
