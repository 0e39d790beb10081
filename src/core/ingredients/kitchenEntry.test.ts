import { readAs } from '../readAs';
import { libraryBook, PARTS, type BagEntry, type BlendEntry, type OwnEntry } from '.';
import { kitchenBook, type StoredEntry } from './kitchenBook';
import { kitchenEntrySchema } from './kitchenEntrySchema';
import { ownFlour } from './testIngredients';

const own: OwnEntry = ownFlour('own-gate', 'Gate flour');
const blend: BlendEntry = {
  kind: 'blend', id: 'own-jar', name: 'Jar', alsoCalled: [], source: '', role: 'flour', densityGPerMl: null,
  parts: [{ ingredientId: 'own-gate', massG: 700 }, { ingredientId: 'tapioca-starch', massG: 300 }],
}; // prettier-ignore
const bag: BagEntry = {
  kind: 'bag',
  id: 'tapioca-starch',
  bag: 'May',
  source: '',
  changes: { mostShare: 44 },
};
const problem = (entry: unknown) => {
  const read = readAs(kitchenEntrySchema, entry);
  return read.ok ? null : [read.problem.code, read.problem.path];
};
const stored = (entry: StoredEntry['entry'], away = false): StoredEntry => ({
  id: entry.id,
  version: 1,
  away,
  entry,
});

test('the three kinds may be saved as they are', () => {
  for (const entry of [own, blend, bag]) expect(problem(entry)).toBeNull();
});

test.each([
  ['a name of blanks', { ...own, name: '   ' }, ['required', 'name']],
  ['a hidden character', { ...own, name: 'a\u0007' }, ['control', 'name']],
  ['a long name', { ...own, name: 'x'.repeat(81) }, ['tooLong', 'name']],
  ['an id of the library', { ...own, id: 'white-rice-flour' }, ['notAllowed', 'id']],
  ['an id with a slash', { ...own, id: 'own-../x' }, ['notAllowed', 'id']],
  ['a field nobody knows', { ...own, price: 3 }, ['notAllowed', '']],
  ['a kind nobody knows', { ...own, kind: 'other' }, ['notAllowed', 'kind']],
  ['no role', { ...own, roles: [] }, ['notAllowed', 'roles.0']],
  [
    'parts that come to 80 g',
    { ...own, per100g: { ...own.per100g, starch: { value: 58, sd: 1 } } },
    ['sumNot100', 'per100g'],
  ],
  [
    'a negative part',
    { ...own, per100g: { ...own.per100g, fat: { value: -1, sd: 0 } } },
    ['tooSmall', 'per100g.fat.value'],
  ],
  [
    'an impossible absorption',
    { ...own, absorption: { gPerG: { value: 90, sd: 1 }, tauMin: 5 } },
    ['tooLarge', 'absorption.gPerG.value'],
  ],
  [
    'no time to drink',
    { ...own, absorption: { gPerG: { value: 1, sd: 0.1 }, tauMin: 0 } },
    ['tooSmall', 'absorption.tauMin'],
  ],
  ['lead', { ...own, densityScooped: 11 }, ['tooLarge', 'densityScooped']],
  ['shares turned round', { ...own, usualShare: { from: 20, to: 10 } }, ['rangeReversed', 'usualShare']],
  [
    'a starch that sets before it swells',
    { ...own, gelatinisationC: { onset: 80, peak: 60 } },
    ['rangeReversed', 'gelatinisationC'],
  ],
  ['a smoke point of ice', { ...own, smokePointC: 4 }, ['tooSmall', 'smokePointC']],
  ['an allergen nobody knows', { ...own, allergens: ['dust'] }, ['notAllowed', 'allergens.0']],
  ['a blend of nothing', { ...blend, parts: [] }, ['tooSmall', 'parts']],
  [
    'a part of no weight',
    { ...blend, parts: [{ ingredientId: 'water', massG: 0 }] },
    ['tooSmall', 'parts.0.massG'],
  ],
  ['a bag without a name', { ...bag, bag: '' }, ['required', 'bag']],
  ['a bag that changes its name', { ...bag, changes: { name: 'x' } }, ['notAllowed', 'changes']],
] as const)('%s is refused at its field', (_what, entry, [code, path]) => {
  expect(problem(entry)?.[1]).toBe(path);
  expect(problem(entry)?.[0]).toBe(code);
});

test('put away: a bag leaves the library standing, a blend stays known to what uses it', () => {
  const book = (...entries: StoredEntry[]) => {
    const merged = kitchenBook(entries);
    if (!merged.ok) throw new Error(merged.problem.code);
    return merged.value;
  };
  expect(book()).toBe(libraryBook);
  expect(book(stored(bag)).get('tapioca-starch')!.mostShare).toBe(44);
  expect(book(stored(bag, true)).get('tapioca-starch')).toBe(libraryBook.get('tapioca-starch'));
  const jar = book(stored(own), stored(blend, true)).get('own-jar')!;
  expect(jar.madeOf!.map(({ share }) => share)).toEqual([0.7, 0.3]);
  for (const part of PARTS) {
    const mean = 0.7 * own.per100g[part].value + 0.3 * libraryBook.get('tapioca-starch')!.per100g[part].value;
    expect(jar.per100g[part].value).toBeCloseTo(mean, 9);
    expect(jar.per100g[part].sd).toBeLessThanOrEqual(
      Math.max(own.per100g[part].sd, libraryBook.get('tapioca-starch')!.per100g[part].sd) + 1e-12,
    );
  }
});
