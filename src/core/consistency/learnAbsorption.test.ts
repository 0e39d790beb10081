import fc from 'fast-check';
import type { Formula } from '../formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { libraryBook, type IngredientBook } from '../ingredients';
import { bandOf, consistencyOf, liquidForG } from './consistency';
import { learnAbsorption, type FeltObservation } from './learnAbsorption';
import { BAND_AIMS, BANDS, type Band } from './parameters';

const dough = (waterG: number, flour = 'white-rice-flour'): Formula => ({
  ...plainLoaf(),
  stages: [
    {
      id: 'a',
      kind: 'main',
      name: 'A',
      lines: [
        line(flour, 300),
        line('tapioca-starch', 200),
        line('psyllium-husk', 15),
        line('water', waterG),
      ],
    },
  ],
});
/** A book in which one powder drinks so many times what the library says. */
const absorbingMore = (id: string, factor: number): IngredientBook => {
  const known = libraryBook.get(id)!;
  const { gPerG, tauMin } = known.absorption!;
  const absorption = { gPerG: { ...gPerG, value: gPerG.value * factor }, tauMin };
  return new Map([...libraryBook, [id, { ...known, absorption }]]);
};
/** What a hand says after its rest of a dough in the world of that book, beside what the library makes of it. */
const felt = (formula: Formula, world: IngredientBook): FeltObservation => {
  const { balance, rested } = consistencyOf(formula, world)!;
  return {
    consistency: consistencyOf(formula, libraryBook)!,
    standMin: balance.restMin,
    band: bandOf(rested.s),
  };
};
const saying = (formula: Formula, band: Band): FeltObservation => ({
  consistency: consistencyOf(formula, libraryBook)!,
  standMin: consistencyOf(formula, libraryBook)!.balance.restMin,
  band,
});
const of = (id: string, ...observations: FeltObservation[]) =>
  learnAbsorption(observations, libraryBook).find(({ ingredientId }) => ingredientId === id)!;

test('ladders of water felt in a world where a flour drinks more or less come near to it', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.8, max: 1.25, noNaN: true }), (factor) => {
      const world = absorbingMore('white-rice-flour', factor);
      const ladder = [290, 320, 350, 380, 410, 440, 470, 500, 305, 335, 365, 395, 425, 455];
      const learnt = of('white-rice-flour', ...ladder.map((waterG) => felt(dough(waterG), world)));
      const off = (value: number) => Math.abs(Math.log(value / (learnt.before.value * factor)));
      // part of the difference goes to the starch and the psyllium: they could have been it too
      if (Math.abs(factor - 1) > 0.08)
        expect(off(learnt.after.value)).toBeLessThan(0.75 * off(learnt.before.value));
      expect(learnt.after.sd).toBeLessThan(learnt.before.sd);
      expect(learnt.feels).toBe(ladder.length);
    }),
    { numRuns: 25 },
  );
});

test('stiffer than thought drinks more, wetter less; what was expected only makes surer; the unsure one moves most', () => {
  // in the middle of its band, so that the band itself says nothing new
  const formula = dough(400 + liquidForG(consistencyOf(dough(400), libraryBook)!, BAND_AIMS.soft));
  const expected = bandOf(consistencyOf(formula, libraryBook)!.rested.s);
  const at = BANDS.indexOf(expected);
  const stiff = of('white-rice-flour', saying(formula, BANDS[at - 1]!));
  const wet = of('white-rice-flour', saying(formula, BANDS[at + 1]!));
  const same = of('white-rice-flour', saying(formula, expected));
  expect(stiff.after.value).toBeGreaterThan(stiff.before.value);
  expect(wet.after.value).toBeLessThan(wet.before.value);
  expect(Math.abs(same.after.value - same.before.value)).toBeLessThan(
    0.5 * Math.abs(stiff.after.value - stiff.before.value),
  );
  expect(same.after.sd).toBeLessThanOrEqual(same.before.sd);
  // which moves most, in its own doubts: the one whose doubt pulls hardest at the whole demand
  const all = learnAbsorption([saying(formula, BANDS[at - 1]!)], libraryBook);
  const pulls = consistencyOf(formula, libraryBook)!.balance.demands.map((demand) => {
    const { value, sd } = libraryBook.get(demand.ingredientId)!.absorption!.gPerG;
    return { id: demand.ingredientId, g: (demand.pullG * sd) / value };
  });
  expect(all[0]!.ingredientId).toBe(pulls.sort((a, b) => b.g - a.g)[0]!.id);
  expect(all.map(({ ingredientId }) => ingredientId)).not.toContain('water');
});

test('the order of feels tells next to nothing; nonsense stays within bounds', () => {
  const feels = [saying(dough(380), 'soft'), saying(dough(430), 'soft'), saying(dough(460), 'sticky')];
  const forth = of('psyllium-husk', ...feels).after.value;
  const back = of('psyllium-husk', ...[...feels].reverse()).after.value;
  expect(Math.abs(forth / back - 1)).toBeLessThan(0.03);
  expect(learnAbsorption([], libraryBook)).toEqual([]);
  const wild = learnAbsorption(
    Array.from({ length: 40 }, () => saying(dough(300), 'pourable')),
    libraryBook,
  );
  for (const { after, before } of wild) {
    expect(after.value).toBeGreaterThan(before.value / 2.51);
    expect(after.sd).toBeGreaterThan(0.19 * before.sd);
  }
});
