import { loafSheet } from '../batch/testBatch';
import { planBatch } from '../batch/planBatch';
import { checkFormula, formulaTotals, type Formula } from '../formula';
import { plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { ordinaryScales } from '../batch/scale';
import { actualTotals } from './actualSheet';
import { deviationsOf, withDeviations } from './asDone';
import { afterEvent, bakeState, type BakeState } from './bakeState';
import type { BakeAction } from './bakeEvent';

const formula = plainLoaf();
const sheet = loafSheet(980, ordinaryScales, 1.7);
const lines = sheet.stages.flatMap((stage) => stage.lines);
const lineOf = (id: string) => lines.find((line) => line.id === id)!;
const after = (...actions: BakeAction[]): BakeState =>
  actions.reduce((so, action) => afterEvent(so, { seq: so.lastSeq + 1, atMs: 0, action }), bakeState(0, []));
let next = 0;
const newId = () => `n${(next += 1)}`;
const asPlanned = lines.map(({ id, massG }): BakeAction => ({ type: 'weighed', lineId: id, massG }));

test('a bake as it was written leaves the formula as it is', () => {
  expect(deviationsOf(sheet, after(...asPlanned), libraryBook)).toEqual([]);
  expect(deviationsOf(sheet, after(), libraryBook)).toEqual([]);
  expect(withDeviations(formula, sheet, [], newId)).toEqual(formula);
});

test('what was done becomes the formula: planned again it is the dough of that day, gram for gram', () => {
  const water = lineOf('water');
  const state = after(
    ...asPlanned,
    { type: 'weighed', lineId: 'water', massG: water.massG + 60 },
    { type: 'unweighed', lineId: 'salt' },
    { type: 'leftOut', lineId: 'salt' },
    { type: 'added', ingredientId: 'psyllium-husk', massG: 9, note: 'too wet' },
    { type: 'added', ingredientId: 'teff-flour', massG: 34, note: 'a handful' },
  );
  const deviations = deviationsOf(sheet, state, libraryBook);
  expect(deviations.map(({ kind, ingredientId, meant }) => [kind, ingredientId, meant])).toEqual([
    ['amount', 'water', true],
    ['leftOut', 'salt', true],
    ['added', 'psyllium-husk', true],
    ['added', 'teff-flour', true],
  ]);
  const made = withDeviations(formula, sheet, deviations, newId);
  expect(checkFormula(made, libraryBook)).toEqual([]);
  const again = planBatch(made, { mode: 'factor', factor: 1.7, pieceMassG: 980, bowlLossPercent: 0 }, ordinaryScales, libraryBook);
  if (!again.ok) throw new Error(again.problem.code);
  const [was, is] = [actualTotals(sheet, state, libraryBook), formulaTotals(again.value, libraryBook)];
  expect(is.hydrationAll! / was.hydrationAll!).toBeCloseTo(1, 2);
  expect(is.binderPercent! / was.binderPercent!).toBeCloseTo(1, 1);
  expect(is.saltPercent).toBe(0);
  const exact = (ingredientId: string, of: Formula['stages']) =>
    of.flatMap((stage) => stage.lines).filter((line) => line.ingredientId === ingredientId).reduce((sum, line) => sum + line.massG, 0);
  // an ingredient that is there already gets the more; a new one is a line of its own, in the formula's measure
  const husk = exact('psyllium-husk', formula.stages);
  expect(exact('psyllium-husk', made.stages)).toBeCloseTo(husk + 9 / 1.7, 1);
  expect(exact('teff-flour', made.stages)).toBeCloseTo(34 / 1.7, 2);
  expect(made.stages.flatMap((stage) => stage.lines).length).toBe(formula.stages.flatMap((stage) => stage.lines).length);
}); // prettier-ignore

test('what a hand leaves is told and not meant; only what is chosen is taken over', () => {
  const water = lineOf('water');
  const state = after({ type: 'weighed', lineId: 'water', massG: water.massG + 1 });
  const [slip] = deviationsOf(sheet, state, libraryBook);
  expect(slip).toMatchObject({ kind: 'amount', actualG: water.massG + 1, meant: false });
  expect(withDeviations(formula, sheet, [], newId)).toEqual(formula);
  const [waterIn] = withDeviations(formula, sheet, [slip!], newId)
    .stages.flatMap((stage) => stage.lines)
    .filter(({ id }) => id === 'water');
  expect(waterIn!.massG).toBeCloseTo((water.massG + 1) / 1.7, 1);
});

test('strewn on the board only its share is in; parts of a line add up', () => {
  const state = after(
    { type: 'added', ingredientId: 'teff-flour', massG: 100, note: '', bench: true },
    { type: 'weighedPart', lineId: 'water', massG: 100 },
    { type: 'weighedPart', lineId: 'water', massG: 50 },
  );
  const [water, strewn] = deviationsOf(sheet, state, libraryBook);
  expect(water).toMatchObject({ kind: 'amount', actualG: 150 });
  expect(strewn!.actualG).toBeLessThan(100);
  expect(strewn!.actualG).toBeGreaterThan(10);
});
