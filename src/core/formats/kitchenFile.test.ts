import { readFileSync } from 'node:fs';
import { libraryBook } from '../ingredients';
import firstVersion from './fixtures/kitchen.v1.json';
import secondVersion from './fixtures/kitchen.v2.json';
import thirdVersion from './fixtures/kitchen.v3.json';
import fourthVersion from './fixtures/kitchen.v4.json';
import fifthVersion from './fixtures/kitchen.v5.json';
import sixthVersion from './fixtures/kitchen.v6.json';
import seventhVersion from './fixtures/kitchen.v7.json';
import eighthVersion from './fixtures/kitchen.v8.json';
import ninthVersion from './fixtures/kitchen.v9.json';
import tenthVersion from './fixtures/kitchen.v10.json';
import eleventhVersion from './fixtures/kitchen.v11.json';
import twelfthVersion from './fixtures/kitchen.v12.json';
import thirteenthVersion from './fixtures/kitchen.v13.json';
import {
  fileBook,
  KITCHEN_FORMAT,
  newestEntries,
  newestKit,
  readKitchenFile,
  sheetOf,
  type KitchenFile,
} from '.';

const demo = (): KitchenFile => JSON.parse(readFileSync('src/demo/larkspurLock.json', 'utf8')) as KitchenFile;
/** Its first bake is closed a second time. */
function closedAgain(file: KitchenFile): void {
  const { events } = file.bakes[0]!;
  events.push({ ...events.find(({ action }) => action.type === 'closed')!, at: events.at(-1)!.at });
}
const read = (change: (file: KitchenFile) => unknown) => {
  const file = demo();
  const result = readKitchenFile(change(file) ?? file, libraryBook);
  return result.ok ? 'ok' : `${result.problem.path}:${result.problem.code}`;
};

test('the demo kitchen is a file a user could import: sixteen formulas, two dozen bakes and more, with ups and downs', () => {
  const file = readKitchenFile(demo(), libraryBook);
  if (!file.ok) throw new Error(JSON.stringify(file.problem));
  const { formulas, bakes, kitchen } = file.value;
  expect(kitchen).toMatchObject({ name: 'Larkspur Lock', timeZone: 'Europe/Berlin' });
  expect(newestKit(file.value)).toMatchObject({ altitudeM: 95 });
  expect(formulas).toHaveLength(16);
  expect(bakes.length).toBeGreaterThanOrEqual(28);
  // the process is used: two ways and one of them put by, a bath, a sauce, a filling, a pre-dough, folds, a bag as it was bought
  const newest = formulas.map(({ revisions }) => revisions.at(-1)!.formula);
  const kinds = new Set(newest.flatMap(({ stages }) => stages.map(({ kind }) => kind)));
  expect(
    ['kettle', 'sauce', 'filling', 'glaze', 'preDough', 'dusting', 'grease'].filter(
      (kind) => !kinds.has(kind as 'kettle'),
    ),
  ).toEqual([]);
  expect(newest.flatMap(({ ways = [] }) => ways.flatMap(({ putBy }) => putBy?.as ?? []))).toEqual([
    'frozenRaw',
  ]);
  expect(newest.some(({ steps }) => steps.some(({ again }) => again?.times === 3))).toBe(true);
  expect(newest.some(({ percentBase }) => percentBase === 'bagAsBought')).toBe(true);
  const starts = bakes.map(({ startedAt }) => Date.parse(startedAt));
  expect(Math.max(...starts) - Math.min(...starts)).toBeLessThanOrEqual(43 * 86_400_000);
  const again = bakes.flatMap(({ events }) =>
    events.map(({ action }) =>
      action.type === 'closed' ? action.outcome.again : action.type === 'abandoned' ? 'no' : null,
    ),
  );
  expect(new Set(again.filter(Boolean))).toEqual(new Set(['yes', 'changed', 'no']));
});

test('what is wrong is found with its place, and nothing of the file is taken', () => {
  expect(read(() => undefined)).toBe('ok');
  expect(read(() => 'not even an object')).toBe('format:wrongFormat');
  expect(read((file) => ({ ...file, format: 'something.else' }))).toBe('format:wrongFormat');
  expect(read((file) => ({ ...file, version: 0 }))).toBe('version:wrongVersion');
  expect(read((file) => ({ ...file, version: 99 }))).toBe('version:notAllowed');
  expect(read((file) => ({ ...file, surprise: true }))).toBe(':notAllowed');
  expect(read((file) => void (file.formulas[1]!.key = file.formulas[0]!.key))).toBe('formulas:duplicateId');
  expect(read((file) => void (file.formulas[2]!.revisions[0]!.formula.stages[0]!.lines[0]!.massG = -1))).toBe(
    'formulas.2.revisions.0.formula.stages.0.lines.0.massG:tooSmall',
  );
  expect(
    read(
      (file) =>
        void (file.formulas[0]!.revisions[0]!.formula.stages[0]!.lines[0]!.ingredientId = 'moon-dust'),
    ),
  ).toBe('formulas.0.revisions.0.formula.stages.0.lines.0.ingredientId:unknownIngredient');
  expect(read((file) => void (file.bakes[0]!.formula = 'nobody'))).toBe('bakes.0.formula:notAllowed');
  expect(read((file) => void (file.bakes[0]!.revision = 40))).toBe('bakes.0.formula:notAllowed');
  expect(read((file) => void file.bakes[0]!.events.reverse())).toMatch(
    /^bakes\.0\.events\.1\.at:rangeReversed|^bakes\.0\.events\.\d+:/,
  );
  expect(read((file) => closedAgain(file))).toMatch(/alreadyClosed$/);
  expect(read((file) => void (file.kitchen.timeZone = 'Mars/Base'))).toBe('kitchen.timeZone:notAllowed');
  expect(KITCHEN_FORMAT).toBe('honest-crumb.kitchen');
});

test('files of older versions are read for ever; what they could not say is empty', () => {
  for (const [fixture, version] of [
    [firstVersion, 1],
    [secondVersion, 2],
    [thirdVersion, 3],
    [fourthVersion, 4],
    [fifthVersion, 5],
    [sixthVersion, 6],
    [seventhVersion, 7],
    [eighthVersion, 8],
    [ninthVersion, 9],
    [tenthVersion, 10],
    [eleventhVersion, 11],
    [twelfthVersion, 12],
    [thirteenthVersion, 13],
  ] as const) {
    expect(fixture.version).toBe(version);
    const file = readKitchenFile(fixture, libraryBook);
    if (!file.ok) throw new Error(JSON.stringify(file.problem));
    const { version: now, bakes } = file.value;
    const [ingredients, kit] = [newestEntries(file.value), newestKit(file.value)];
    expect([now, bakes.length, ingredients.length > 0]).toEqual([14, 1, version > 2]);
    // height and scales came with the kitchen, and are the kit's now
    expect([kit.altitudeM, kit.scales.map(({ upToG }) => upToG)]).toEqual([95, [20, 3000, 1_000_000]]);
    expect(kit.ovens.map(({ id }) => id)).toEqual(version > 2 ? ['range', 'deck'] : ['oven']);
  }
});

test('a file of the fourth version says since when: kit and ingredients before the first formula, the archive with the last revision', () => {
  const file = readKitchenFile(fourthVersion, libraryBook);
  if (!file.ok) throw new Error(JSON.stringify(file.problem));
  const { kits, ingredients, formulas, bakes, leftOut } = file.value;
  const [first] = fourthVersion.formulas;
  const [since, last] = [first!.revisions[0]!.savedAt, first!.revisions.at(-1)!.savedAt];
  expect(kits).toEqual([
    { savedAt: since, kit: { ...fourthVersion.kit, vessels: [], places: [], measures: [], notes: '' } },
  ]);
  expect(ingredients.map(({ versions }) => versions.map(({ savedAt, away }) => [savedAt, away]))).toEqual(
    fourthVersion.ingredients.map(() => [[since, false]]),
  );
  expect([formulas[0]?.archivedAt, formulas[0]?.branchedFrom, bakes[0]?.sheet, leftOut]).toEqual([
    last,
    null,
    null,
    [],
  ]);
});

test('a file of everything: histories run forward, an entry stays itself, a branch leaves what is there, a sheet is what it was', () => {
  const whole = () => {
    const file = readKitchenFile(demo(), libraryBook);
    if (!file.ok) throw new Error('no demo');
    return structuredClone(file.value);
  };
  const asked = (change: (file: KitchenFile) => unknown): string => {
    const file = whole();
    change(file);
    const result = readKitchenFile(file, libraryBook);
    return result.ok ? 'ok' : `${result.problem.path}:${result.problem.code}`;
  };
  // saved while a clock was set back: the order is the list's
  const early = '2020-01-01T00:00:00Z';
  expect(asked(() => undefined)).toBe('ok');
  expect(asked((file) => void file.kits.push({ ...file.kits.at(-1)!, savedAt: early }))).toBe('ok');
  expect(asked((file) => void file.kits.push({ ...file.kits.at(-1)! }))).toBe('ok');
  const [versions, other] = [(file: KitchenFile) => file.ingredients[0]!.versions, (file: KitchenFile) => file.ingredients[1]!.versions[0]!];
  expect(asked((file) => void versions(file).push({ ...versions(file)[0]!, savedAt: early }))).toBe('ok');
  expect(asked((file) => void versions(file).push(other(file)))).toBe('ingredients.0.versions.1.entry.id:notAllowed');
  expect(asked((file) => void file.ingredients.push(file.ingredients[0]!))).toBe('ingredients:duplicateId');
  expect(asked((file) => void (file.formulas[0]!.revisions.at(-1)!.savedAt = early))).toBe('ok');
  const branch = (formula: string, revision: number) => (file: KitchenFile) => void (file.formulas[0]!.branchedFrom = { formula, revision });
  expect(asked(branch(whole().formulas[1]!.key, 1))).toBe('ok');
  expect(asked(branch(whole().formulas[1]!.key, 9))).toBe('formulas.0.branchedFrom:notAllowed');
  expect(asked(branch('gone', 1))).toBe('formulas.0.branchedFrom:notAllowed');
  expect(asked((file) => { branch('gone', 1)(file); file.leftOut.push({ kind: 'formula', id: 'gone', name: null, of: null }); })).toBe('ok');
  // a bag put away is in the book no more; a blend that formulas use is
  expect(asked((file) => file.ingredients.forEach(({ versions: all }) => void (all.at(-1)!.away = true)))).toBe('ok');
  // a log with an entry missing happened all the same; whoever just wrote it wrongly is told
  const torn = (of: string) => (file: KitchenFile) => { closedAgain(file); file.leftOut.push({ kind: 'bakeAction', id: `${of} 3`, name: null, of }); };
  expect(asked(closedAgain)).toMatch(/alreadyClosed$/);
  expect(asked(torn(whole().bakes[0]!.key))).toBe('ok');
  expect(asked(torn(whole().bakes[1]!.key))).toMatch(/alreadyClosed$/);
  const bake = whole().bakes[0]!;
  const formula = whole().formulas.find(({ key }) => key === bake.formula)!.revisions[bake.revision - 1]!.formula;
  const book = fileBook(whole(), libraryBook);
  const planned = book.ok && sheetOf(whole(), bake, formula, book.value);
  if (!planned || !planned.ok) throw new Error('not planned');
  expect(planned.value.pieces.count).toBe(2);
  const stored = { ...planned.value, pieces: { ...planned.value.pieces, count: 3 } };
  expect(sheetOf(whole(), { ...bake, sheet: stored }, formula, libraryBook)).toEqual({ ok: true, value: stored });
}); // prettier-ignore
