import { allergenStatement } from '../cautions';
import { leaveOut } from '../adjust';
import { allLines, emptyFormula, type Formula } from '../formula';
import { line } from '../formula/testFormulas';
import { bookWith, libraryBook, type BlendEntry, type KitchenEntry } from '../ingredients';
import { ownFlour } from '../ingredients/testIngredients';
import { predict } from '.';

/** The same dough twice: weighed one by one, and out of a jar. Whatever is said of the one has to be said of the other. */
const PARTS: readonly (readonly [string, number])[] = [
  ['white-rice-flour', 300],
  ['maize-starch', 170],
  ['psyllium-powder', 20],
  ['xanthan', 6],
  ['instant-yeast', 8],
  ['sugar', 60],
];
const jar: BlendEntry = {
  kind: 'blend', id: 'own-jar', name: 'Whole jar', alsoCalled: [], source: '', role: 'flour', densityGPerMl: null,
  parts: PARTS.map(([ingredientId, massG]) => ({ ingredientId, massG })),
}; // prettier-ignore
const libraryWith = (...entries: KitchenEntry[]) => {
  const merged = bookWith(libraryBook, entries);
  if (!merged.ok) throw new Error(merged.problem.code);
  return merged.value;
};
const book = libraryWith(jar);
const jarG = PARTS.reduce((sum, [, massG]) => sum + massG, 0);
const dough = (...lines: (readonly [string, number])[]): Formula => ({
  ...emptyFormula('Twice', 's'),
  stages: [{ id: 's', kind: 'main', name: '', lines: lines.map(([id, massG]) => line(id, massG)) }],
});
const wet = [['water', 430], ['salt', 10]] as const; // prettier-ignore
const weighed = predict(dough(...PARTS, ...wet), book);
const jarred = predict(dough(['own-jar', jarG], ...wet), book);
let next = 0;
const newId = () => `n${next++}`;

test('a jar makes the same dough as its parts', () => {
  expect(jarred.consistency!.rested.s).toBeCloseTo(weighed.consistency!.rested.s, 9);
  expect(jarred.hydration.allPercent).toBeCloseTo(weighed.hydration.allPercent!, 9);
  expect(jarred.body.rise.value).toBeCloseTo(weighed.body.rise.value, 9);
  expect(jarred.yeast!.freshPercent).toBeCloseTo(weighed.yeast!.freshPercent!, 9);
  expect(jarred.nutrition.starchSharePercent).toBeCloseTo(weighed.nutrition.starchSharePercent!, 9);
});

test('and gets the same notices and cautions, with the same figures', () => {
  const told = ({ notices }: typeof weighed) =>
    notices.map(({ lineIds: _lines, rank, ...notice }) => ({ ...notice, rank: Math.round(rank) }));
  const codes = (all: ReturnType<typeof told>) => all.map(({ code }) => code);
  expect(codes(told(weighed))).toEqual(expect.arrayContaining(['twoBinders', 'sugarBrakes']));
  expect(codes(told(jarred))).toEqual(codes(told(weighed)));
  jarred.notices.forEach(({ lineIds }) =>
    lineIds.forEach((id) => expect(['own-jar', 'water', 'salt']).toContain(id)),
  );
  const psyllium = (said: typeof weighed) => said.cautions.find(({ code }) => code === 'psylliumWater');
  expect(psyllium(weighed)).toMatchObject({ percent: expect.closeTo((100 * 20) / 470, 6) as number });
  // the psyllium in the jar, not the jar
  expect(psyllium(jarred)).toMatchObject({ percent: expect.closeTo((100 * 20) / 470, 6) as number });
});

test('what is avoided leaves the jar too, and the rest of the jar stays', () => {
  const made = leaveOut(dough(['own-jar', jarG], ...wet), 'maize', book, newId);
  if (!made.ok) throw new Error(made.problem.code);
  const grams = Object.fromEntries(
    allLines(made.value.formula).map((each) => [each.ingredientId, each.massG]),
  );
  expect(made.value.without).toEqual([]);
  expect(grams).toMatchObject({
    'white-rice-flour': 300,
    'tapioca-starch': 170,
    'psyllium-powder': 20,
    xanthan: 6,
  });
  expect(grams).not.toHaveProperty('own-jar');
  expect(allergenStatement(made.value.formula, book).avoided.map(({ allergen }) => allergen)).not.toContain(
    'maize',
  );
  expect(made.value.after.rested.s).toBeCloseTo(made.value.before.rested.s, 1);
});

test('a part nothing stands in for is named, and only it goes', () => {
  const nutty = libraryWith({ ...jar, parts: [{ ingredientId: 'white-rice-flour', massG: 90 }, { ingredientId: 'own-nuts', massG: 10 }] }, {
    ...ownFlour('own-nuts', 'Nut dust'), allergens: ['treeNuts'],
  }); // prettier-ignore
  const made = leaveOut(dough(['own-jar', 500], ...wet), 'treeNuts', nutty, newId);
  expect(made.ok && made.value.without).toEqual(['own-nuts']);
  expect(
    made.ok && allLines(made.value.formula).find((each) => each.ingredientId === 'white-rice-flour')?.massG,
  ).toBe(450);
});

test('a starter of one’s own lifts, a binder of one’s own binds, an oat stays an oat', () => {
  const mine = libraryWith(
    { ...jar, id: 'own-sponge', role: 'starter', parts: [{ ingredientId: 'millet-flour', massG: 1 }, { ingredientId: 'water', massG: 1 }] },
    { ...ownFlour('own-gum', 'Gate gum'), family: 'binder', roles: ['binder'], absorption: { gPerG: { value: 10, sd: 1 }, tauMin: 8 } },
    { ...ownFlour('own-oats', 'Gate oats'), gluten: 'free' },
  ); // prettier-ignore
  const of = (...lines: (readonly [string, number])[]) =>
    predict(dough(['white-rice-flour', 400], ['water', 380], ['salt', 8], ...lines), mine);
  const codes = (said: typeof weighed) => said.notices.map(({ code }) => code);
  expect(codes(of())).toEqual(expect.arrayContaining(['noBinder', 'noLeaven']));
  expect(of(['own-sponge', 120]).body.rise.value).toBeGreaterThan(of().body.rise.value);
  expect(codes(of(['own-sponge', 120]))).not.toContain('noLeaven');
  expect(codes(of(['own-gum', 12]))).not.toContain('noBinder');
  expect(of(['own-oats', 50]).cautions.map(({ code }) => code)).toContain('oats');
});
