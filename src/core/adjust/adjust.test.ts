import fc from 'fast-check';
import { bandOf } from '../consistency/consistency';
import { allLines, applyEdit, checkFormula, formulaTotals, type Formula } from '../formula';
import { anyFormula, plainLoaf } from '../formula/testFormulas';
import { ingredientLibrary, libraryBook } from '../ingredients';
import { bookWith } from '../ingredients/bookWith';
import { AVOIDED, fallsUnder, leaveOut, solveWater, swapIngredient, tooWet, useUp } from '.';
import { REPLACEMENTS } from './replacements';

const ids = () => {
  let next = 0;
  return () => `new-${next++}`;
};
const value = <T>(result: { ok: true; value: T } | { ok: false; problem: unknown }): T => {
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value;
};

test('making it shapeable sets the water and nothing else', () => {
  const made = value(solveWater(plainLoaf(), 'soft', libraryBook, ids()));
  expect(made.after.rested.band).toBe('soft');
  expect(made.changes).toHaveLength(1);
  expect(made.changes[0]).toMatchObject({ ingredientId: 'water', fromG: 400 });
  // a little up: at the stiff edge of soft before, in its middle after
  expect(made.changes[0]!.toG).toBeGreaterThan(405);
  expect(made.changes[0]!.toG).toBeLessThan(440);
  expect(solveWater({ ...plainLoaf(), stages: [] }, 'soft', libraryBook, ids()).ok).toBe(false);
});

test('each band can be solved for, and solving twice changes nothing more', () => {
  fc.assert(
    fc.property(
      anyFormula,
      fc.constantFrom('stiff' as const, 'soft' as const, 'sticky' as const),
      (formula, band) => {
        const first = solveWater(formula, band, libraryBook, ids());
        if (!first.ok) return expect(first.problem.code).toBe('notSolvable');
        expect(bandOf(first.value.after.rested.s)).toBe(band);
        const again = value(solveWater(first.value.formula, band, libraryBook, ids()));
        expect(Math.abs(again.after.rested.s - first.value.after.rested.s)).toBeLessThan(0.002);
      },
    ),
    { numRuns: 80 },
  );
});

test('too wet today: more of a weak drinker than of a strong one, and what it does to the salt', () => {
  const answers = value(
    tooWet(
      plainLoaf(),
      'sticky',
      'soft',
      ['tapioca-starch', 'brown-rice-flour', 'psyllium-husk', 'salt'],
      libraryBook,
    ),
  );
  expect(answers.map(({ ingredientId }) => ingredientId)).toEqual([
    'tapioca-starch',
    'brown-rice-flour',
    'psyllium-husk',
  ]);
  const [starch, flour, psyllium] = answers;
  for (const { addG, lowG, highG } of answers) {
    expect(lowG).toBeLessThan(addG);
    expect(highG).toBeGreaterThan(addG);
  }
  expect(starch!.addG).toBeGreaterThan(flour!.addG);
  // psyllium is eleven times as absorbent alone; beside the rest of the dough it gets less
  expect(flour!.addG).toBeGreaterThan(psyllium!.addG * 3);
  expect(starch!.saltPercent.from).toBeCloseTo(2, 9);
  expect(starch!.saltPercent.to).toBeCloseTo((100 * 10) / (500 + starch!.addG), 9);
  // the salt offered brings the share back exactly
  expect((100 * (10 + starch!.saltG)) / (500 + starch!.addG)).toBeCloseTo(2, 9);
  expect(tooWet(plainLoaf(), 'soft', 'sticky', ['tapioca-starch'], libraryBook)).toMatchObject({
    ok: false,
    problem: { code: 'rangeReversed' },
  });
});

test('the egg goes, its water, bind and protein stay, and the dough feels the same', () => {
  const before = formulaTotals(plainLoaf(), libraryBook);
  const made = value(leaveOut(plainLoaf(), 'egg', libraryBook, ids()));
  expect(allLines(made.formula).some((each) => each.ingredientId === 'egg-whole')).toBe(false);
  expect(made.without).toEqual([]);
  expect(made.after.rested.s).toBeCloseTo(made.before.rested.s, 2);
  const ingredients = made.changes
    .filter(({ toG, fromG }) => toG > fromG)
    .map(({ ingredientId }) => ingredientId);
  expect(ingredients.sort()).toEqual(['pea-protein', 'psyllium-powder', 'sunflower-oil', 'water']);
  expect(formulaTotals(made.formula, libraryBook).binderPercent!).toBeGreaterThan(before.binderPercent!);
});

test('psyllium for xanthan and back keeps the feel; the dose is the other one’s usual dose', () => {
  const made = value(swapIngredient(plainLoaf(), 'psyllium-husk', 'xanthan', libraryBook, ids()));
  expect(made.after.rested.s).toBeCloseTo(made.before.rested.s, 2);
  expect(allLines(made.formula).find((each) => each.ingredientId === 'xanthan')!.massG).toBeCloseTo(5.6, 6);
  expect(made.changes.find(({ ingredientId }) => ingredientId === 'water')!.toG).toBeLessThan(400);
  expect(swapIngredient(plainLoaf(), 'xanthan', 'psyllium-husk', libraryBook, ids()).ok).toBe(false);
});

test('whatever is left out is gone, in any formula, and the sheet stays one that may be saved', () => {
  fc.assert(
    fc.property(anyFormula, fc.constantFrom(...AVOIDED), (formula, avoided) => {
      const made = leaveOut(formula, avoided, libraryBook, ids());
      if (!made.ok) return expect(['unknownLine', 'notSolvable', 'noFlour']).toContain(made.problem.code);
      const left = allLines(made.value.formula).filter((each) =>
        fallsUnder(avoided, libraryBook.get(each.ingredientId)!),
      );
      expect(left).toEqual([]);
      expect(checkFormula(made.value.formula, libraryBook).filter(({ code }) => code !== 'tooWet')).toEqual(
        [],
      );
      expect(made.value.after.rested.s).toBeCloseTo(made.value.before.rested.s, 1);
    }),
    { numRuns: 120 },
  );
});

test('stand-ins are known, and none is of the kind it stands in for', () => {
  for (const [id, choices] of Object.entries(REPLACEMENTS)) {
    expect([id, libraryBook.has(id)]).toEqual([id, true]);
    for (const { ingredientId } of choices.flat()) {
      expect([ingredientId, libraryBook.has(ingredientId)]).toEqual([ingredientId, true]);
      expect(ingredientId).not.toBe(id);
    }
  }
  for (const avoided of AVOIDED)
    expect(ingredientLibrary.some((each) => fallsUnder(avoided, each))).toBe(true);
});

test('an own ingredient falls under what its name says, whatever its id is', () => {
  const under = (name: string, also: string[] = [], id = 'own-7f3a') =>
    AVOIDED.filter((avoided) =>
      fallsUnder(avoided, { ...libraryBook.get('rice-starch')!, id, name, alsoCalled: also, allergens: [] }),
    );
  expect(under('Our oat flour')).toEqual(['oats']);
  expect(under('Mill’s potato flakes')).toEqual(['potato']);
  expect(under('Sweet potato meal')).toEqual([]);
  expect(under('Fine corn starch')).toEqual(['maize']);
  expect(under('Psyllium, blond')).toEqual(['psyllium']);
  expect(under('Binder', ['xanthan gum'])).toEqual(['xanthan']);
  expect(under('Wild rice meal')).toEqual(['rice']);
  expect(under('Plain flour', [], 'own-rice-oat')).toEqual([]);
});

test('using up what there is scales everything by one factor', () => {
  fc.assert(
    fc.property(anyFormula, fc.double({ min: 20, max: 3000, noNaN: true }), (formula: Formula, massG) => {
      const first = formula.stages[0]!.lines[0]!;
      const made = useUp(formula, first.ingredientId, massG, libraryBook);
      if (!made.ok) return expect(['tooLarge', 'tooSmall']).toContain(made.problem.code);
      const was = formulaTotals(formula, libraryBook);
      const is = formulaTotals(made.value.formula, libraryBook);
      expect(is.hydrationAll! / was.hydrationAll! || 1).toBeCloseTo(1, 9);
      const total = allLines(made.value.formula)
        .filter((each) => each.ingredientId === first.ingredientId)
        .reduce((sum, each) => sum + each.massG, 0);
      expect(total).toBeCloseTo(massG, 6);
    }),
    { numRuns: 60 },
  );
  const doubled = value(
    useUp({ ...plainLoaf(), usualYield: { ...plainLoaf().usualYield, pieces: 2 } }, 'salt', 20, libraryBook),
  );
  expect(doubled.formula.usualYield.pieces).toBe(4);
});

test('a proposal is one edit of the sheet', () => {
  const made = value(solveWater(plainLoaf(), 'soft', libraryBook, ids()));
  const edited = applyEdit(plainLoaf(), { type: 'bringBack', formula: made.formula }, libraryBook);
  expect(edited.ok && edited.value).toEqual(made.formula);
});

test('too wet: a powder that drinks nothing is no remedy, also where there is no liquid to take up', () => {
  const merged = bookWith(libraryBook, [
    {
      kind: 'bag',
      id: 'tapioca-starch',
      bag: 'coated',
      source: '',
      changes: { absorption: { gPerG: { value: 0, sd: 0.1 }, tauMin: 10 } },
    },
  ]);
  if (!merged.ok) throw new Error('no book');
  const dry = {
    ...plainLoaf(),
    stages: [
      {
        ...plainLoaf().stages[0]!,
        lines: plainLoaf().stages[0]!.lines.filter(({ id }) => /flour|starch/.test(id)),
      },
    ],
  };
  for (const formula of [dry, plainLoaf()])
    expect(tooWet(formula, 'sticky', 'soft', ['tapioca-starch'], merged.value)).toMatchObject({
      ok: false,
      problem: { code: 'notSolvable' },
    });
});

test('what comes of a plant: by what it is, an own ingredient by its name', () => {
  const under = (avoided: Parameters<typeof fallsUnder>[0]) =>
    [...libraryBook.values()].filter((each) => fallsUnder(avoided, each)).map(({ id }) => id);
  expect(under('potato')).toEqual(['potato-flour', 'potato-starch', 'mashed-potato']);
  expect(under('psyllium')).toEqual(['psyllium-husk', 'psyllium-powder']);
  expect(under('oats')).toHaveLength(4);
  // vinegar is called after rice by some, and is none
  expect(under('rice')).toHaveLength(9);
  expect(under('rice')).not.toContain('white-vinegar');
  expect(under('maize')).toEqual(expect.arrayContaining(['polenta', 'glucose-syrup']));
  const own = (name: string) => ({ ...libraryBook.get('millet-flour')!, id: 'own-x', name, alsoCalled: [] });
  expect(fallsUnder('rice', own('My rice mix'))).toBe(true);
  expect(fallsUnder('potato', own('Sweet potato flour'))).toBe(false);
  expect(fallsUnder('potato', own('Price flour'))).toBe(false);
});
