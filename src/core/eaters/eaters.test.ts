import type { Formula } from '../formula';
import { bookWith, libraryBook } from '../ingredients';
import { checkEaters, EXCLUSIONS, type Eater, type Exclusion } from '.';

const of = (...ids: string[]): Pick<Formula, 'stages'> => ({
  stages: [
    {
      id: 'm',
      kind: 'main',
      name: '',
      lines: ids.map((ingredientId, at) => ({ id: `l${at}`, ingredientId, massG: 10, note: '' })),
    },
  ],
});
const eater = (...avoids: Exclusion[]): Eater => ({ id: 'e', name: 'Somebody', avoids });
const check = (formula: Pick<Formula, 'stages'>, ...avoids: Exclusion[]) => {
  const found = checkEaters(formula, libraryBook, [eater(...avoids)])[0]!;
  return [
    found.verdict,
    ...found.reasons.map(
      ({ exclusion, why, ingredientIds }) => `${exclusion} ${why} ${ingredientIds.join()}`,
    ),
  ];
};

test('what must not be in it and is, refuses; by allergen, by plant, whichever bird laid the egg', () => {
  expect(check(of('egg-white', 'quail-egg', 'white-rice-flour'), 'egg')).toEqual([
    'no',
    'egg holds egg-white,quail-egg',
  ]);
  expect(check(of('maize-starch', 'butter'), 'milk', 'maize')).toEqual([
    'no',
    'milk holds butter',
    'maize holds maize-starch',
  ]);
  expect(check(of('millet-flour', 'water'), 'egg', 'maize', 'milk')).toEqual(['nothingFound']);
});

test('a coeliac is told what has to be certified, labelled, or asked about; nothing of it is ever called safe', () => {
  expect(check(of('rolled-oats-certified'), 'gluten')).toEqual([
    'look',
    'gluten certifiedOnly rolled-oats-certified',
  ]);
  expect(check(of('rolled-oats-certified'), 'gluten', 'oats')).toEqual([
    'no', 'oats holds rolled-oats-certified', 'gluten certifiedOnly rolled-oats-certified',
  ]); // prettier-ignore
  // gluten washed out: a coeliac asks, who is allergic to wheat does not eat it
  expect(check(of('wheat-starch-gluten-free'), 'gluten')[1]).toBe(
    'gluten madeFromWheat wheat-starch-gluten-free',
  );
  expect(check(of('wheat-starch-gluten-free'), 'wheat')[0]).toBe('no');
  expect(check(of('lupin-flour'), 'peanut')).toEqual(['look', 'peanut crossReaction lupin-flour']);
});

test('what is inside a jar counts, and of what nobody knows nothing is said', () => {
  const made = bookWith(libraryBook, [
    {
      kind: 'blend', id: 'own-jar', name: 'Jar', alsoCalled: [], family: 'grainFlour', source: '', role: 'flour', densityGPerMl: null, parts: [
        { ingredientId: 'maize-starch', massG: 40 }, { ingredientId: 'white-rice-flour', massG: 60 },
      ],
    } as never,
  ]); // prettier-ignore
  if (!made.ok) throw new Error(JSON.stringify(made.problem));
  const [found] = checkEaters(of('own-jar'), made.value, [eater('maize')]);
  expect([found?.verdict, found?.reasons[0]?.ingredientIds.includes('maize-starch')]).toEqual(['no', true]);
  expect(check(of('own-lost'), 'egg')).toEqual(['look', 'egg unknown own-lost']);
});

test('every exclusion is kept by some ingredient of the library; an eater who avoids nothing is not asked about', () => {
  const everything = of(...[...libraryBook.keys()]);
  for (const exclusion of EXCLUSIONS) {
    const reasons = checkEaters(everything, libraryBook, [eater(exclusion)])[0]!.reasons;
    expect([
      exclusion,
      reasons.length > 0 || exclusion === 'peanut' || exclusion === 'mustard' || exclusion === 'sulphites',
    ]).toEqual([exclusion, true]);
  }
  expect(checkEaters(everything, libraryBook, [eater()])).toEqual([]);
});
