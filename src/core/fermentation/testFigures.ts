import { FIGURES } from '../calibrated';
import { consistencyOf } from '../consistency';
import { formulaTotals } from '../formula/totals';
import type { Result } from '../result';
import { TEST_DOUGHS, testBook } from '../consistency/testDoughs';
import { afterFreezing } from './freezing';
import { leavenKinds, leaveningOf } from './leavening';
import { learnRise, type RiseObservation } from './learnRise';
import { riseCurve } from './riseCurve';
import { drawnRise, type RiseQuestion } from './riseSimulation';
import { risesVisibly } from './risesVisibly';
import { SCHOOLS, schoolMethod } from './schools';
import { bakedVolume } from './spring';
import { starterPeak } from './starter';
import { testLeavening } from './testLeavening';
import { thermalLagS, type Stay } from './thermalLag';

const sure = <T>(made: Result<T>): T => {
  if (!made.ok) throw new Error(`${made.problem.code} at ${made.problem.path}`);
  return made.value;
};
const HOUR = 3600;
const stay = (place: Stay['place'], tempC: number, hours: number, more: Partial<Stay> = {}): Stay => ({
  place, tempC, durationS: hours * HOUR, standing: 'bowl', pieceG: 900, pressedOut: 0, ...more,
}); // prettier-ignore

/** Histories in which whatever can happen to a dough happens. */
const HISTORIES = {
  straight: [stay('warm', 29, 2.5, { standing: 'tin' })],
  knocked: [stay('room', 23, 2), stay('warm', 31, 1.5, { standing: 'pieces', pieceG: 90, pressedOut: 0.5 })],
  cold: [stay('room', 21, 0.5), stay('fridge', 4, 14), stay('room', 21, 3, { standing: 'sheet', air: 'dry', pressedOut: 0.2 })],
  long: [stay('warm', 27, 9)],
  endless: [stay('fridge', 7, 60)],
} as const satisfies Readonly<Record<string, readonly Stay[]>>; // prettier-ignore

const leavenings = () =>
  Object.entries(TEST_DOUGHS).map(([name, formula]) => {
    const totals = formulaTotals(formula, testBook);
    const consistency = consistencyOf(formula, testBook, totals);
    return { name, leavening: leaveningOf(formula, testBook, totals, consistency, 1.08)! };
  });
const of = (name: keyof typeof TEST_DOUGHS) => leavenings().find((each) => each.name === name)!.leavening;
const ask = (
  name: keyof typeof TEST_DOUGHS,
  history: keyof typeof HISTORIES,
  more: Partial<RiseQuestion> = {},
): RiseQuestion => ({ leavening: of(name), doughC: 25, stays: HISTORIES[history], ...more });

/** A curve of every school, and what two days' draws make of it. */
const curvesTold = () =>
  [
    ask('psyllium', 'straight'),
    ask('psyllium', 'knocked', { pressurePa: 84_000, wanted: 1.6 }),
    ask('psyllium', 'cold', { beyondS: 2 * HOUR }),
    ask('scalded', 'long', { doughC: 22 }),
    ask('enriched', 'knocked', { learnt: { vigour: { value: 1.3, cv: 0.1 }, holding: { value: 0.8, cv: 0.12 } } }),
    ask('batter', 'straight', { doughC: 33 }),
    ask('lifted', 'cold'),
    ask('bags', 'long'),
    ask('stiff', 'knocked', { doughC: 18 }),
    ask('bare', 'endless', { figures: { ...FIGURES, 'gas.dose': 0.8, leak: 0.3 } }),
  ].map((question) => {
    const curve = sure(riseCurve(question));
    const { leavening, pressurePa } = question;
    const at = [600, 2 * HOUR, 4 * HOUR];
    const day = drawnRise(question, 5, at);
    const other = drawnRise(question, 5, at, true);
    return {
      ...curve,
      seen: risesVisibly(curve),
      baked: bakedVolume(curve.end, leavening, undefined, pressurePa),
      drawn: [...day.run.volume, ...other.run.volume, day.temper, other.temper.vigour, bakedVolume(day.run.end, leavening, day.temper)],
    };
  }); // prettier-ignore

/** What this folder says of the test doughs, of which every figure is kept ({@link file://./figures.json}). */
export function fermentationFigures() {
  const marks = (question: RiseQuestion, grown: readonly number[], more: Partial<RiseObservation> = {}) => ({
    question,
    points: grown.map((each, index) => ({ atS: (index + 1) * 2400, sinceS: index === 2 ? 1200 : 0, grown: each })),
    ...more,
  }); // prettier-ignore
  const days = [
    marks(ask('psyllium', 'straight'), [1.2, 1.5, 1.3], { leavenOf: 'jar', doughOf: 'loaf' }),
    marks(ask('psyllium', 'straight', { doughC: 20 }), [1.1, 1.35], { leavenOf: 'new', doughOf: 'loaf' }),
    marks(ask('batter', 'straight'), [1.4], { leavenOf: 'jar', doughOf: 'batter' }),
  ];
  return {
    leavenings: leavenings().map(({ name, leavening }) => ({
      name,
      kinds: leavenKinds(leavening),
      ...leavening,
    })),
    curves: curvesTold(),
    learnt: [
      learnRise(days),
      learnRise(days, { leavenOf: 'jar', doughOf: 'batter' }),
      learnRise(days, { leavenOf: 'new', doughOf: 'loaf' }),
    ],
    frozen: [0, 1, 9].map((weeks) => sure(afterFreezing(testLeavening, weeks))),
    schools: SCHOOLS.map((school) => {
      const { steps, stays, curve } = sure(
        schoolMethod(school, {
          leavening: of(school === 'wild' ? 'scalded' : 'psyllium'),
          doughC: 25,
          kitchen: { roomC: 21, warmC: 30, fridgeC: 5 },
          pieceG: 900,
          standing: 'tin',
        }),
      );
      return { steps, stays, topAtS: curve.topAtS };
    }),
    starters: [
      sure(starterPeak({ seed: 1, flour: 1, water: 1, tempC: 25, totalG: 180 })),
      sure(starterPeak({ seed: 1, flour: 4, water: 5, tempC: 20, totalG: 900 })),
      sure(starterPeak({ seed: 1, flour: 2, water: 2, tempC: 6, totalG: 100 })),
    ],
    lags: (['bowl', 'tin', 'pieces', 'sheet'] as const).flatMap((standing) =>
      (['room', 'warm', 'fridge'] as const).map((place) => thermalLagS(640, standing, place)),
    ),
  };
}
