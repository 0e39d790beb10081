import { readFileSync } from 'node:fs';
import { libraryBook } from '../ingredients';
import firstVersion from './fixtures/kitchen.v1.json';
import secondVersion from './fixtures/kitchen.v2.json';
import thirdVersion from './fixtures/kitchen.v3.json';
import { KITCHEN_FORMAT, readKitchenFile, type KitchenFile } from '.';

const demo = (): KitchenFile => JSON.parse(readFileSync('src/demo/larkspurLock.json', 'utf8')) as KitchenFile;
const read = (change: (file: KitchenFile) => unknown) => {
  const file = demo();
  const result = readKitchenFile(change(file) ?? file, libraryBook);
  return result.ok ? 'ok' : `${result.problem.path}:${result.problem.code}`;
};

test('the demo kitchen is a file a user could import: ten formulas, a dozen bakes and more, with ups and downs', () => {
  const file = readKitchenFile(demo(), libraryBook);
  if (!file.ok) throw new Error(JSON.stringify(file.problem));
  const { formulas, bakes, kitchen } = file.value;
  expect(kitchen).toMatchObject({ name: 'Larkspur Lock', timeZone: 'Europe/Berlin' });
  expect(file.value.kit).toMatchObject({ altitudeM: 95 });
  expect(formulas).toHaveLength(10);
  expect(bakes.length).toBeGreaterThanOrEqual(12);
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
  expect(read((file) => void file.bakes[0]!.events.push(file.bakes[0]!.events.at(-1)!))).toMatch(
    /alreadyClosed$/,
  );
  expect(read((file) => void (file.kitchen.timeZone = 'Mars/Base'))).toBe('kitchen.timeZone:notAllowed');
  expect(KITCHEN_FORMAT).toBe('honest-crumb.kitchen');
});

test('files of older versions are read for ever; what they could not say is empty', () => {
  for (const [fixture, version] of [
    [firstVersion, 1],
    [secondVersion, 2],
    [thirdVersion, 3],
  ] as const) {
    expect(fixture.version).toBe(version);
    const file = readKitchenFile(fixture, libraryBook);
    if (!file.ok) throw new Error(JSON.stringify(file.problem));
    const { version: now, ingredients, kit, bakes } = file.value;
    expect([now, bakes.length, ingredients.length > 0]).toEqual([4, 1, version > 2]);
    // height and scales came with the kitchen, and are the kit's now
    expect([kit.altitudeM, kit.scales.map(({ upToG }) => upToG)]).toEqual([95, [20, 3000, 1_000_000]]);
    expect(kit.ovens.map(({ id }) => id)).toEqual(version > 2 ? ['range', 'deck'] : ['oven']);
  }
});
