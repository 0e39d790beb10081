import { ordinaryScales } from '../batch';
import { loafSheet } from '../batch/testBatch';
import { BANDS, type Band } from '../consistency';
import { plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { newStep } from '../method';
import { bakeState } from './bakeState';
import { stillToWeigh } from './toWeigh';
import type { BakeAction } from './bakeEvent';
import { doughFigures } from './doughFigures';
import { feltWrong } from './wrongAmount';

const [mix, ...later] = plainLoaf().steps;
// mixed, left to drink, then risen
const sheet = loafSheet(120, ordinaryScales, 1, {
  ...plainLoaf(),
  steps: [mix!, { ...newStep('rest', 'rest'), minS: 900 }, ...later],
});
const after = (...actions: BakeAction[]) =>
  bakeState(0, actions.map((action, index) => ({ seq: index + 1, atMs: 60_000 * (index + 1), action }))); // prettier-ignore
const all = sheet.stages[0]!.lines.map(({ id, massG }): BakeAction => ({
  type: 'weighed',
  lineId: id,
  massG,
}));
const mixed: BakeAction = { type: 'stepDone', stepId: 'mix' };
const felt = (band: Band, stepId = 'rest'): BakeAction => ({ type: 'felt', stepId, band });
const restedS = (...actions: BakeAction[]) =>
  doughFigures(sheet, after(...actions), libraryBook).consistency!.rested.s;
const meant = doughFigures(sheet, after(), libraryBook).band!;
/** While it is mixed it has not drunk what it will. */
const meantMixing = doughFigures(sheet, after(), libraryBook).consistency!.now.band;
const beside = (by: number): Band => BANDS[BANDS.indexOf(meant) + by]!;

test('too wet by the hand, right by the scale: its own flour with salt, as much as the hand says, and by one press', () => {
  const found = feltWrong(sheet, after(...all, mixed, felt(beside(1))), libraryBook)!;
  expect(found).toMatchObject({ felt: beside(1), meant, isWetter: true, mend: { by: 'balance' } });
  const flour = found.mend.moves.find(({ lineId }) => lineId === 'white-rice-flour')!;
  const salt = found.mend.moves.find(({ lineId }) => lineId === 'salt')!;
  expect(flour.byG).toBeGreaterThan(20);
  expect(flour.byG).toBeLessThan(150);
  expect(salt.byG / flour.byG).toBeCloseTo(10 / 500, 2);
  // by the model it is then as much firmer than meant as the hand found it looser than the model
  const taken: BakeAction = { type: 'mended', lineId: 'white-rice-flour', by: 'balance', targets: [...found.mend.targets] };
  const [before, then] = [restedS(...all), restedS(...all, ...found.mend.targets.map(({ lineId, massG }): BakeAction => ({ type: 'weighed', lineId, massG })))];
  expect(before - then).toBeGreaterThan(0.03);
  // it is asked for once more, and what was answered is not asked again
  const state = after(...all, mixed, felt(beside(1)), taken);
  expect(stillToWeigh(sheet, state).now.map(({ id }) => id)).toEqual(['white-rice-flour', 'salt']);
  expect(feltWrong(sheet, state, libraryBook)).toBeNull();
  // felt again after it: right by now; or a little too wet still, and then a little more of the same
  const again = found.mend.targets.map(({ lineId, massG }): BakeAction => ({ type: 'weighed', lineId, massG }));
  expect(feltWrong(sheet, after(...all, mixed, felt(beside(1)), taken, ...again, felt(meantMixing, 'mix')), libraryBook)).toBeNull();
  expect(feltWrong(sheet, after(...all, mixed, felt(beside(1)), taken, ...again, felt(beside(1), 'rest')), libraryBook)?.isWetter).toBe(true);
}); // prettier-ignore

test('too dry: its own water; two bands off more of it than one', () => {
  const waterFor = (band: Band) => {
    const found = feltWrong(sheet, after(...all, mixed, felt(band)), libraryBook)!;
    expect([found.isWetter, found.mend.moves.map(({ lineId }) => lineId)]).toEqual([false, ['water']]);
    return found.mend.moves[0]!.byG;
  };
  const one = waterFor(beside(-1));
  expect(one).toBeGreaterThan(10);
  expect(waterFor(beside(-2))).toBeGreaterThan(one + 20);
});

test('past mending, changed since, or one of several mixes: nothing is said', () => {
  const wet = beside(1);
  expect(feltWrong(sheet, after(...all, mixed, felt(wet)), libraryBook)).not.toBeNull();
  expect(feltWrong(sheet, after(...all, mixed, felt(wet, 'proof')), libraryBook)).toBeNull();
  const spoon: BakeAction = { type: 'added', ingredientId: 'white-rice-flour', massG: 20, note: '' };
  expect(feltWrong(sheet, after(...all, mixed, felt(wet), spoon), libraryBook)).toBeNull();
  expect(feltWrong(sheet, after(...all.slice(1), mixed, felt(wet), all[0]!), libraryBook)).toBeNull();
  expect(feltWrong({ ...sheet, mixes: { count: 2, mostG: 500 } }, after(...all, mixed, felt(wet)), libraryBook)).toBeNull();
}); // prettier-ignore

test('as it was meant, or nothing said: nothing to do', () => {
  expect(feltWrong(sheet, after(...all, mixed), libraryBook)).toBeNull();
  expect(feltWrong(sheet, after(...all, mixed, felt(meant)), libraryBook)).toBeNull();
});
