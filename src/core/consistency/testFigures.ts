import { FIGURES } from '../calibrated';
import { MEASURED_DOUGH, TEST_DOUGHS, testBook } from './testDoughs';
import { BANDS } from '../bands';
import { consistencyOf, liquidForG } from './consistency';
import { learnAbsorption, type FeltObservation } from './learnAbsorption';
import { waterState } from './waterBalance';
import { absorbsByRecipe, feltOfRecipe } from './worksWith';

const doughs = { ...TEST_DOUGHS, measured: MEASURED_DOUGH };
const asked = { ...FIGURES, competition: 0.3, feelPower: 0.8, swelling: 1.7 };

/** What this folder says of the test doughs, of which every figure is kept ({@link file://./figures.json}). */
export function consistencyFigures() {
  const made = Object.entries(doughs).map(([name, formula]) => {
    const consistency = consistencyOf(formula, testBook)!;
    return { name, consistency };
  });
  const felt = (name: keyof typeof doughs, standMin: number, band: FeltObservation['band'], lot?: string) => ({
    consistency: consistencyOf(doughs[name], testBook)!,
    standMin,
    band,
    ...(lot && { lots: new Map([['own-guessed', lot], ['white-rice-flour', `rice ${lot}`]]) }),
  }); // prettier-ignore
  const works = { bagG: 500, waterG: 420, oilG: 15, eggG: 50, standMin: 12, band: 'soft' } as const;
  return {
    doughs: Object.fromEntries(
      made.map(({ name, consistency }) => [
        name,
        {
          ...consistency,
          water: [0, 7, 45, 600].map((standMin) => waterState(consistency.balance, standMin)),
          forBands: [0.65, 0.9, 1.2].map((s) => liquidForG(consistency, s)),
        },
      ]),
    ),
    otherFigures: Object.fromEntries(
      Object.entries(doughs).map(([name, formula]) => {
        const { now, rested } = consistencyOf(formula, testBook, undefined, asked)!;
        return [name, [now.s, now.high, rested.s, rested.low]];
      }),
    ),
    learnt: learnAbsorption(
      [
        ...BANDS.map((band) => felt('psyllium', 30, band)),
        felt('bags', 0, 'sticky', 'a'),
        felt('bags', 40, 'soft', 'a'),
        felt('bags', 40, 'stiff', 'b'),
        felt('scalded', 60, 'thickBatter'),
        felt('measured', 20, 'stiff', 'a'),
        felt('stiff', 0, 'crumbly', 'b'),
        felt('batter', 5, 'pourable'),
      ],
      testBook,
    ),
    works: [
      absorbsByRecipe('own-guessed', works, testBook),
      absorbsByRecipe('own-guessed', { ...works, eggG: 0, oilG: 0, standMin: 0, band: 'stiff' }, testBook),
      absorbsByRecipe('own-jar', works, testBook),
      feltOfRecipe('own-known', works, testBook)!.consistency.balance,
    ],
  };
}
