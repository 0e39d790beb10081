import fc from 'fast-check';
import { leaveningOf } from '../fermentation/leavening';
import { formulaTotals, type Formula } from '../formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { bookWith, libraryBook, type BlendEntry, type Estimate, type IngredientBook } from '../ingredients';
import { formulaAnswers } from '../notices';
import { bandOf, consistencyOf } from './consistency';
import { learnAbsorption, type FeltObservation } from './learnAbsorption';
import { CONSISTENCY } from './parameters';
import { absorbsByRecipe } from './worksWith';

const mix = (over: Partial<BlendEntry> = {}): BlendEntry => ({
  kind: 'blend', id: 'own-mix', name: 'Bought mix', alsoCalled: [], source: '', role: 'flour', densityGPerMl: null, thirstCv: 0.2,
  parts: [
    { ingredientId: 'white-rice-flour', massG: 480 }, { ingredientId: 'tapioca-starch', massG: 500 }, { ingredientId: 'xanthan', massG: 20 },
  ], ...over,
}); // prettier-ignore
const bookOf = (over: Partial<BlendEntry> = {}): IngredientBook => {
  const made = bookWith(libraryBook, [mix(over)]);
  if (!made.ok) throw new Error();
  return made.value;
};
const dough = (waterG: number, more: readonly (readonly [string, number])[] = []): Formula => ({
  ...plainLoaf(),
  stages: [
    {
      id: 'a',
      kind: 'main',
      name: '',
      lines: [line('own-mix', 500), line('water', waterG), ...more.map(([id, massG]) => line(id, massG))],
    },
  ],
});
const restedS = (formula: Formula, book: IngredientBook) => consistencyOf(formula, book)!.rested;
/** What a hand says in a world where the bag absorbs so much, beside what the label makes of it. */
const felt = (waterG: number, absorbs: number, lots?: ReadonlyMap<string, string>): FeltObservation => {
  const consistency = consistencyOf(dough(waterG), bookOf())!;
  const world = bookOf({ absorbs: { value: absorbs, sd: 0 } });
  return { consistency, standMin: consistency.balance.restMin, band: bandOf(restedS(dough(waterG), world).s), ...(lots && { lots }) };
}; // prettier-ignore
const LADDER = [300, 330, 360, 390, 420, 450, 480, 310, 340, 370, 400, 430] as const;
const ofBag = (observations: FeltObservation[]) =>
  learnAbsorption(observations, bookOf()).filter(({ ingredientId }) => ingredientId === 'own-mix');

test('hands teach the bag as a whole, never what is guessed to be in it', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.8, max: 1.25, noNaN: true }), (absorbs) => {
      const all = learnAbsorption(LADDER.map((waterG) => felt(waterG, absorbs)), bookOf()); // prettier-ignore
      expect(all.map(({ ingredientId, of }) => [ingredientId, of])).toEqual([['own-mix', 'whole']]);
      const [{ before, after } = all[0]!] = all;
      expect(before.value).toBe(1);
      // what its parts may absorb and what its shares may be, together
      expect(before.sd).toBeGreaterThan(0.2);
      expect(Math.abs(after.value - absorbs)).toBeLessThan(0.06);
      expect(after.sd).toBeLessThan(0.3 * before.sd);
    }),
    { numRuns: 12 },
  );
});

test('a recipe that works tells the bag’s absorbs at once, with its doubt, and narrows what the dough may feel like', () => {
  const works = { bagG: 500, waterG: 360, oilG: 0, eggG: 0, standMin: 60, band: 'sticky' } as const;
  const label = restedS(dough(360), bookOf());
  const absorbs = absorbsByRecipe('own-mix', works, bookOf())!;
  const knows = restedS(dough(360), bookOf({ absorbs, works }));
  // nearer to what the hand said than the label was, and less in doubt than its guess
  expect(Math.abs(knows.s - 1.015)).toBeLessThan(Math.abs(label.s - 1.015));
  expect(knows.high - knows.low).toBeLessThan(label.high - label.low);
  const wetter = absorbsByRecipe('own-mix', { ...works, waterG: 420 }, bookOf())!;
  const withEgg = absorbsByRecipe('own-mix', { ...works, eggG: 60 }, bookOf())!;
  // the same feel with more to wet it: it absorbs more
  expect(wetter.value).toBeGreaterThan(absorbs.value + 0.05);
  expect(withEgg.value).toBeGreaterThan(absorbs.value + 0.02);
  expect(absorbs.sd).toBeGreaterThan(0.03);
  expect(absorbs.sd).toBeLessThan(0.2);
  expect(absorbsByRecipe('white-rice-flour', works, libraryBook)).toBeNull();
  expect(absorbsByRecipe('own-nothing', works, bookOf())).toBeNull();
});

test('a new lot begins as the last one ended, in more doubt; what is learnt of one stays with it', () => {
  const lot = (id: string) => new Map([['own-mix', id]]);
  const teaching = LADDER.map((waterG) => felt(waterG, 1.25, lot('own-a')));
  const [a] = ofBag(teaching);
  const plain = felt(390, 1.25, lot('own-b'));
  const both = ofBag([...teaching, plain]);
  const b = both.find(({ lotId }) => lotId === 'own-b')!;
  expect(both.find(({ lotId }) => lotId === 'own-a')).toEqual(a);
  expect(b.feels).toBe(1);
  expect(Math.abs(b.after.value - a!.after.value)).toBeLessThan(CONSISTENCY.lotCv);
  expect(b.after.sd).toBeGreaterThan(a!.after.sd);
  // back to the first: its own figure goes on
  const again = ofBag([...teaching, plain, felt(390, 1.25, lot('own-a'))]).find(({ lotId }) => lotId === 'own-a')!;
  expect(again.feels).toBe(LADDER.length + 1);
}); // prettier-ignore

test('a gum that is guessed neither frightens nor makes sure', () => {
  const guessed = bookOf({ parts: [{ ingredientId: 'white-rice-flour', massG: 900 }, { ingredientId: 'xanthan', massG: 60 }] }); // prettier-ignore
  const known = (() => {
    const { thirstCv: _, ...sure } = mix({ parts: [{ ingredientId: 'white-rice-flour', massG: 900 }, { ingredientId: 'xanthan', massG: 60 }] }); // prettier-ignore
    const made = bookWith(libraryBook, [sure]);
    if (!made.ok) throw new Error();
    return made.value;
  })();
  const formula = dough(420, [['psyllium-husk', 20], ['instant-yeast', 7]]); // prettier-ignore
  const frights = (book: IngredientBook) =>
    formulaAnswers(formula, book).notices.map(({ code }) => code).filter((code) => ['overMost', 'overUsual', 'twoBinders'].includes(code)); // prettier-ignore
  expect(frights(known)).not.toEqual([]);
  expect(frights(guessed)).toEqual([]);
  // and beside it what the baker adds is told all the same
  const more = dough(420, [['xanthan', 40], ['instant-yeast', 7]]); // prettier-ignore
  expect(formulaAnswers(more, guessed).notices.map(({ code }) => code)).toContain('overMost');
  const holdingCv = (book: IngredientBook) =>
    leaveningOf(formula, book, formulaTotals(formula, book), consistencyOf(formula, known), 1.1)!.holdingCv;
  expect(holdingCv(guessed)).toBeGreaterThan(holdingCv(known) + 0.02);
});

test('a bag that is known as a whole is as sure as that says', () => {
  const width = (absorbs: Estimate) => {
    const { low, high } = restedS(dough(390), bookOf({ absorbs }));
    return Math.log(high / low);
  };
  expect(width({ value: 1, sd: 0.02 })).toBeLessThan(width({ value: 1, sd: 0.15 }));
  // twice of one bag errs together
  const twice = dough(390, [['own-mix', 100]]); // prettier-ignore
  const once = {
    ...twice,
    stages: [{ ...twice.stages[0]!, lines: [line('own-mix', 600), line('water', 390)] }],
  };
  const book = bookOf();
  expect(restedS(twice, book).low).toBeCloseTo(restedS(once, book).low, 9);
});
