import fc from 'fast-check';
import { ordinaryScales, planBatch } from '../batch';
import { libraryBook } from '../ingredients';
import { newStep } from '../method';
import { anyFormula, line, plainLoaf } from './testFormulas';
import { isAsItsFormula, linesOf, partAsFormula } from './partOf';
import { applyEdit, emptyFormula, type Formula, type FormulaEdit } from '.';

const sauce: Formula = {
  ...emptyFormula('Red sauce', 's'),
  stages: [
    { id: 's', kind: 'sauce', name: 'Sauce', lines: [line('crushed-tomatoes', 400, 't'), { ...line('olive-oil', 100, 'o'), note: 'good' }] },
    { id: 'k', kind: 'kettle', name: 'Kettle', lines: [line('water', 2000, 'w')] },
  ],
}; // prettier-ignore
const host: Formula = {
  ...plainLoaf(),
  stages: [...plainLoaf().stages, { id: 'with', kind: 'sauce', name: 'Sauce', perPieceG: 50, lines: [line('olive-oil', 600, 'mine')] }],
  steps: [
    ...plainLoaf().steps,
    { ...newStep('free', 'simmer'), title: 'Simmer', takes: [{ stageId: 'with', share: 1 }] },
    { ...newStep('free', 'both'), takes: [{ lineId: 'mine', share: 0.5 }, { lineId: 'water', share: 1 }] },
  ],
}; // prettier-ignore
let ids = 0;
const newId = () => `new-${(ids += 1)}`;
const fill = (formula: Formula, edit: Partial<FormulaEdit>) =>
  applyEdit(formula, { type: 'fillPart', stageId: 'with', formulaId: '5d9f1c1e-3b1a-4d55-9e6f-2b1f8f1c0a11', lines: [], ...edit } as FormulaEdit, libraryBook); // prettier-ignore

test('600 g of a sauce of 400 g tomatoes and 100 g oil: 480 g and 120 g; its bath stays with it, a line that was there keeps its id', () => {
  const lines = linesOf(sauce, 600, host.stages.at(-1)!.lines, newId);
  expect(lines.map(({ ingredientId, massG }) => [ingredientId, massG])).toEqual([['crushed-tomatoes', 480], ['olive-oil', 120]]); // prettier-ignore
  expect(lines[1]).toEqual({ id: 'mine', ingredientId: 'olive-oil', massG: 120, note: 'good' });
  expect(linesOf(sauce, null, [], newId).map(({ massG }) => massG)).toEqual([400, 100]);
  // what would be more than a line may weigh, and a formula of nothing, go nowhere
  expect(linesOf(sauce, 1e9, [], newId)).toEqual([]);
  expect(linesOf(emptyFormula('Nothing', 's'), 100, [], newId)).toEqual([]);
});

test('a part is filled as one change: its figures stay, steps take what is left, the link can be let go; nonsense is refused', () => {
  const lines = linesOf(sauce, 600, [], newId);
  const filled = fill(host, { lines });
  if (!filled.ok) throw new Error(filled.problem.code);
  const part = filled.value.stages.at(-1)!;
  expect(part).toMatchObject({ perPieceG: 50, formulaId: '5d9f1c1e-3b1a-4d55-9e6f-2b1f8f1c0a11', lines });
  expect(filled.value.steps.slice(-2).map(({ takes }) => takes)).toEqual([[{ stageId: 'with', share: 1 }], [{ lineId: 'water', share: 1 }]]); // prettier-ignore
  expect(isAsItsFormula(part, sauce)).toBe(true);
  const changed = { ...sauce, stages: [{ ...sauce.stages[0]!, lines: [line('crushed-tomatoes', 410, 't'), line('olive-oil', 100, 'o')] }] }; // prettier-ignore
  expect(isAsItsFormula(part, changed)).toBe(false);
  const alone = fill(filled.value, { formulaId: null });
  expect(alone.ok && alone.value.stages.at(-1)).toEqual({ ...host.stages.at(-1), lines });
  const refused = (edit: Partial<FormulaEdit>) => {
    const made = fill(host, edit);
    return made.ok ? 'ok' : `${made.problem.path}:${made.problem.code}`;
  };
  expect(refused({})).toBe('lines:nothingToWeigh');
  expect(refused({ lines, stageId: 'x' })).toBe('stageId:unknownStage');
  expect(refused({ lines: [line('water', 5, 'water')] })).toBe('id:duplicateId');
  expect(refused({ lines: [line('stardust', 5, 'a')] })).toBe('ingredientId:unknownIngredient');
  expect(refused({ lines: [line('water', -5, 'a')] })).toBe('massG:tooSmall');
  expect(refused({ lines: Array.from({ length: 90 }, (_, at) => line('water', 5, `a${at}`)) })).toBe(
    'lines:tooMany',
  );
});

test('a part becomes a formula of its own, with the steps that are only its own; it can be made by itself, and is what the part is', () => {
  const own = partAsFormula(host, 'with')!;
  expect(own).toMatchObject({ name: 'Sauce', stages: [{ kind: 'sauce', lines: [line('olive-oil', 600, 'mine')] }], usualYield: { pieces: 1, pieceMassG: 600 } }); // prettier-ignore
  expect(own.steps.map(({ id }) => id)).toEqual(['simmer']);
  expect(own.stages[0]).not.toHaveProperty('perPieceG');
  expect(isAsItsFormula(host.stages.at(-1)!, own)).toBe(true);
  const batch = planBatch(own, { mode: 'factor', factor: 2, pieceMassG: 600, bowlLossPercent: 0 }, ordinaryScales, libraryBook); // prettier-ignore
  expect(batch.ok && [batch.value.doughG, batch.value.pieces.count, batch.value.stages[0]!.lines[0]!.massG]).toEqual([1200, 2, 1200]); // prettier-ignore
  expect(partAsFormula(host, 'nowhere')).toBeNull();
});

test('mass is conserved, whatever formula a part is taken from', () => {
  fc.assert(
    fc.property(anyFormula, fc.double({ min: 50, max: 5000, noNaN: true }), (source, massG) => {
      const lines = linesOf(source, massG, [], newId);
      fc.pre(lines.length > 0);
      const sum = lines.reduce((g, line) => g + (line.heldBack ? 0 : line.massG), 0);
      expect(sum).toBeCloseTo(massG, 6);
      expect(isAsItsFormula({ lines }, source)).toBe(true);
    }),
  );
});
