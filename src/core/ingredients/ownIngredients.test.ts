import fc from 'fast-check';
import { readAs } from '../readAs';
import {
  estimateFromLabel,
  bookWith,
  libraryBook,
  lookAlikesOf,
  PARTS,
  type KitchenEntry,
  type Label,
} from '.';
import { kitchenEntrySchema } from './kitchenEntrySchema';
import { LOOK_ALIKES } from './lookAlikes';

const blend = (id: string, parts: readonly (readonly [string, number])[], role: 'flour' | 'starter' = 'flour'): KitchenEntry => ({
  kind: 'blend', id, name: id, alsoCalled: [], source: '', role, densityGPerMl: null,
  parts: parts.map(([ingredientId, massG]) => ({ ingredientId, massG })),
}); // prettier-ignore
const bag: KitchenEntry = {
  kind: 'bag', id: 'white-rice-flour', bag: 'Mill Street, opened May', source: 'drinks more', changes: { absorption: { gPerG: { value: 0.9, sd: 0.03 }, tauMin: 9 } },
}; // prettier-ignore

test('a bag replaces what it states and nothing else', () => {
  const book = bookWith(libraryBook, [bag]);
  if (!book.ok) throw new Error();
  const mine = book.value.get('white-rice-flour')!;
  const library = libraryBook.get('white-rice-flour')!;
  expect(mine.absorption!.gPerG.value).toBe(0.9);
  expect({ ...mine, absorption: null, source: '' }).toEqual({ ...library, absorption: null, source: '' });
  expect(mine.source).toContain('Your bag: Mill Street');
  expect(libraryBook.get('white-rice-flour')!.absorption!.gPerG.value).toBe(0.75);
});

test('a bag may hold more allergens than the library knows, never fewer', () => {
  const untick: KitchenEntry = {
    kind: 'bag',
    id: 'egg-whole',
    bag: 'Farm',
    source: '',
    changes: { allergens: ['soya'] },
  };
  const book = bookWith(libraryBook, [untick]);
  expect(book.ok && book.value.get('egg-whole')!.allergens).toEqual(['egg', 'soya']);
});

test('blends of blends, in any order, are as their parts; marks go through', () => {
  const entries = [
    blend(
      'own-sponge',
      [
        ['own-jar', 100],
        ['water', 100],
      ],
      'starter',
    ),
    blend('own-jar', [
      ['millet-flour', 500],
      ['maize-starch', 300],
      ['oat-flour-certified', 200],
    ]),
  ];
  const book = bookWith(libraryBook, entries);
  if (!book.ok) throw new Error();
  const sponge = book.value.get('own-sponge')!;
  expect(sponge.allergens).toEqual(['maize']);
  expect(sponge.gluten).toBe('onlyIfCertified');
  expect(sponge.roles[0]).toBe('starter');
  const sum = PARTS.reduce((total, part) => total + sponge.per100g[part].value, 0);
  expect(sum).toBeGreaterThan(98);
  expect(sum).toBeLessThan(102);
  expect(sponge.per100g.water.value).toBeCloseTo(50 + 0.5 * (0.5 * 10 + 0.3 * 12 + 0.2 * 9.5), 6);
});

test('what can’t be is refused with its entry', () => {
  const problem = (entries: KitchenEntry[]) => {
    const merged = bookWith(libraryBook, entries);
    return merged.ok ? null : [merged.problem.code, merged.problem.path];
  };
  expect(problem([blend('own-a', [['own-b', 1]]), blend('own-b', [['own-a', 1]])])).toEqual([
    'cycle',
    '0.parts',
  ]);
  expect(problem([blend('own-a', [['own-a', 1]])])).toEqual(['cycle', '0.parts']);
  expect(
    problem([
      bag,
      blend('own-a', [
        ['water', 1],
        ['nothing', 1],
      ]),
    ]),
  ).toEqual(['unknownIngredient', '1.parts.1.ingredientId']);
  expect(problem([bag, bag])).toEqual(['duplicateId', '1.id']);
  expect(problem([{ ...bag, id: 'own-x' }])).toEqual(['unknownIngredient', '0.id']);
  const sum = readAs(kitchenEntrySchema, {
    ...bag,
    changes: { per100g: Object.fromEntries(PARTS.map((part) => [part, { value: 10, sd: 1 }])) },
  });
  expect(sum).toMatchObject({
    ok: false,
    problem: { code: 'sumNot100', path: 'changes.per100g', params: { sum: 80 } },
  });
});

test('look-alikes are known, and warn in both directions', () => {
  for (const { ids } of LOOK_ALIKES)
    ids.forEach((id) => expect([id, libraryBook.has(id)]).toEqual([id, true]));
  expect(lookAlikesOf('potato-flour').map(({ otherId }) => otherId)).toEqual(['potato-starch']);
  expect(lookAlikesOf('potato-starch').map(({ otherId }) => otherId)).toEqual(['potato-flour']);
  expect(lookAlikesOf('water')).toEqual([]);
});

/** What would be printed on the bag of a mixture that is known. */
function printed(shares: readonly (readonly [string, number])[]): Label {
  const mean = (figure: (id: string) => number) =>
    shares.reduce((sum, [id, share]) => sum + share * figure(id), 0);
  const part = (name: (typeof PARTS)[number]) => mean((id) => libraryBook.get(id)!.per100g[name].value);
  const round = (x: number) => Math.round(x * 10) / 10;
  return {
    ingredients: shares.map(([ingredientId]) => ({ ingredientId, percent: null })),
    panel: {
      fat: round(part('fat')), carbohydrate: round(part('starch') + part('sugars')), sugars: round(part('sugars')),
      fibre: round(part('fibre')), protein: round(part('protein')), salt: round(mean((id) => libraryBook.get(id)!.saltPer100g)),
    },
  }; // prettier-ignore
}

test('a label: shares fall in order and add up, gums stay small, the truth lies in the interval four times in five', () => {
  const bases = [
    'white-rice-flour',
    'tapioca-starch',
    'chickpea-flour',
    'potato-starch',
    'buckwheat-flour',
    'coconut-flour',
    'maize-starch',
  ];
  let hits = 0;
  let asked = 0;
  fc.assert(
    fc.property(
      fc.shuffledSubarray(bases, { minLength: 3, maxLength: 4 }),
      fc.array(fc.double({ min: 0.2, max: 1, noNaN: true }), { minLength: 4, maxLength: 4 }),
      (ids, weights) => {
        const sorted = ids.map((_, i) => weights[i]!).sort((a, b) => b - a);
        const total = sorted.reduce((sum, w) => sum + w, 0);
        const truth = [
          ...ids.map((id, i) => [id, (sorted[i]! / total) * 0.99] as const),
          ['xanthan', 0.01] as const,
        ];
        const estimate = estimateFromLabel(printed(truth), libraryBook, 7);
        if (!estimate.ok) throw new Error(estimate.problem.code);
        const { shares, misfit } = estimate.value;
        expect(shares.reduce((sum, { percent }) => sum + percent, 0)).toBeCloseTo(100, 6);
        shares.forEach(({ percent }, i) =>
          expect(percent).toBeLessThanOrEqual((shares[i - 1]?.percent ?? 100) + 1e-9),
        );
        expect(shares.at(-1)!.percent).toBeLessThan(4);
        expect(misfit).toBeLessThan(2);
        truth.forEach(([, share], i) => {
          asked += 1;
          if (100 * share >= shares[i]!.low - 0.3 && 100 * share <= shares[i]!.high + 0.3) hits += 1;
        });
      },
    ),
    { numRuns: 25, seed: 11 },
  );
  expect(hits / asked).toBeGreaterThan(0.65);
});

test('printed percentages are kept, a panel narrows, a contradiction shows, nonsense is refused', () => {
  const label = printed([
    ['white-rice-flour', 0.6],
    ['chickpea-flour', 0.4],
  ]);
  const blind = estimateFromLabel(
    {
      ...label,
      panel: { fat: null, carbohydrate: null, sugars: null, fibre: null, protein: null, salt: null },
    },
    libraryBook,
  );
  const seen = estimateFromLabel(label, libraryBook);
  const stated = estimateFromLabel(
    {
      ...label,
      ingredients: [
        { ingredientId: 'white-rice-flour', percent: 60 },
        { ingredientId: 'chickpea-flour', percent: null },
      ],
    },
    libraryBook,
  );
  if (!blind.ok || !seen.ok || !stated.ok) throw new Error();
  expect(seen.value.sureness).toBeGreaterThan(blind.value.sureness);
  expect(stated.value.shares[0]!.percent).toBeCloseTo(60, 0);
  expect(seen.value.absorption!.gPerG.value).toBeCloseTo(0.6 * 0.75 + 0.4 * 1.1, 1);
  // knowing a share leaves less doubt about what the whole drinks
  expect(stated.value.thirstCv).toBeLessThan(0.02);
  expect(blind.value.thirstCv).toBeGreaterThan(2 * stated.value.thirstCv);
  const odd = estimateFromLabel({ ...label, panel: { ...label.panel, fat: 40 } }, libraryBook);
  expect(odd.ok && odd.value.misfit).toBeGreaterThan(2);
  expect(estimateFromLabel(label, libraryBook, 3)).toEqual(estimateFromLabel(label, libraryBook, 3));
  const refused = (ingredients: Label['ingredients']) => {
    const estimate = estimateFromLabel({ ...label, ingredients }, libraryBook);
    return estimate.ok ? null : [estimate.problem.code, estimate.problem.path];
  };
  expect(refused([])).toEqual(['required', 'ingredients']);
  expect(
    refused([
      { ingredientId: 'water', percent: 40 },
      { ingredientId: 'salt', percent: 50 },
    ]),
  ).toEqual(['rangeReversed', 'ingredients.1.percent']);
  expect(refused([{ ingredientId: 'x', percent: null }])).toEqual([
    'unknownIngredient',
    'ingredients.0.ingredientId',
  ]);
});
