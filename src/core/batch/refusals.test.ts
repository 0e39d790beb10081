import { plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { eightRolls } from './testBatch';
import { ordinaryScales, planBatch, roundToScale, type BatchRequest } from '.';
import { FACTOR_LIMITS } from './factorLimits';
import { scaleRangesSchema } from './scaleSchema';

const byFactor: BatchRequest = { mode: 'factor', factor: 1, pieceMassG: 490, bowlLossPercent: 0 };
const byWater: BatchRequest = {
  mode: 'fixed', lineId: 'water', massG: 400, pieceMassG: 490, bowlLossPercent: 0,
}; // prettier-ignore
const problem = (request: object, formula = plainLoaf()) => {
  const made = planBatch(formula, request as BatchRequest, ordinaryScales, libraryBook);
  return made.ok ? null : [made.problem.code, made.problem.path, made.problem.params];
};

test.each<[string, object, unknown]>([
  ['no weight of a piece', { ...byFactor, pieceMassG: 0 }, ['tooSmall', 'pieceMassG']],
  ['a bowl that keeps all', { ...byFactor, bowlLossPercent: 100 }, ['tooLarge', 'bowlLossPercent']],
  ['no pieces', { ...eightRolls, pieces: 0 }, ['tooSmall', 'pieces']],
  ['half a piece', { ...eightRolls, pieces: 2.5 }, ['notWhole', 'pieces']],
  ['an oven that takes all', { ...eightRolls, bakeLossPercent: 100 }, ['tooLarge', 'bakeLossPercent']],
  ['no factor', { ...byFactor, factor: 0 }, ['tooSmall', 'factor']],
  ['no mass at hand', { ...byWater, massG: 0 }, ['tooSmall', 'massG']],
  ['a line that is not there', { ...byWater, lineId: 'none' }, ['unknownLine', 'lineId']],
])('%s is refused at its field', (_, request, expected) => {
  expect(problem(request)?.slice(0, 2)).toEqual(expected);
});

test('a factor out of all reason is refused by its own limits, whatever the lines weigh', () => {
  expect(problem({ ...byFactor, factor: 0 })).toEqual(['tooSmall', 'factor', { min: FACTOR_LIMITS.min }]);
  expect(problem({ ...byFactor, factor: FACTOR_LIMITS.max + 1 })).toEqual(['tooLarge', 'factor', { max: FACTOR_LIMITS.max }]); // prettier-ignore
});

test('what only another way of asking needs is not asked for', () => {
  expect(problem({ ...byFactor, pieces: 0, massG: 0, bakeLossPercent: 100 })).toBeNull();
  expect(problem({ ...byWater, pieces: 0, factor: 0 })).toBeNull();
  expect(problem({ ...eightRolls, factor: 0, massG: 0 })).toBeNull();
});

test('a line leaves what can be weighed by a thousandth of a gram or by a tonne', () => {
  const only = (massG: number) => ({
    ...plainLoaf(),
    stages: [
      { ...plainLoaf().stages[0]!, lines: [{ id: 'f', ingredientId: 'white-rice-flour', massG, note: '' }] },
    ],
  });
  const at = (factor: number, massG: number) => problem({ ...byFactor, factor }, only(massG));
  expect(at(100, 10_000)).toBeNull();
  expect(at(100, 10_001)).toEqual(['tooLarge', 'factor', { max: 1_000_000 }]);
  expect(at(0.01, 0.1)).toBeNull();
  expect(at(0.01, 0.09)).toEqual(['tooSmall', 'factor', { min: 0.001 }]);
});

test('what the book does not know is named', () => {
  const formula = plainLoaf();
  formula.stages[1]!.lines[0]!.ingredientId = 'sand';
  expect(problem(byFactor, formula)).toEqual(['unknownIngredient', 'stages', { ingredientId: 'sand' }]);
});

test('an empty part is left out of the sheet', () => {
  const formula = plainLoaf();
  formula.stages[1]!.lines = [];
  const made = planBatch(formula, byFactor, ordinaryScales, libraryBook);
  expect(made.ok && made.value.stages.map(({ id }) => id)).toEqual(['dough']);
});

test('asked for pieces there are as many, whatever rounding leaves', () => {
  const made = planBatch(
    plainLoaf(),
    { ...eightRolls, pieces: 3, pieceMassG: 11 } as BatchRequest,
    ordinaryScales,
    libraryBook,
  );
  expect(made.ok && made.value.pieces.count).toBe(3);
});

test('scales: from the finest up, each heavier than the last, with steps there are', () => {
  const fits = (...ranges: [number, number][]) =>
    scaleRangesSchema.safeParse(ranges.map(([upToG, stepG]) => ({ upToG, stepG }))).success;
  for (const step of [0.01, 0.1, 0.5, 1, 2, 5]) expect(fits([100, step])).toBe(true);
  expect(fits([100, 0.1], [3000, 1])).toBe(true);
  expect(fits([100, 0.1], [3000, 1], [1_000_000, 5])).toBe(true);
  expect(fits([3000, 1], [100, 0.1])).toBe(false);
  expect(fits([100, 0.1], [100, 1])).toBe(false);
  expect(fits([100, 0.1], [3000, 1], [2000, 5])).toBe(false);
  expect(fits([100, 3])).toBe(false);
  expect(fits([0, 1])).toBe(false);
  expect(fits([1_000_001, 1])).toBe(false);
  expect(fits()).toBe(false);
  expect(fits([1, 1], [2, 1], [3, 1], [4, 1], [5, 1], [6, 1], [7, 1])).toBe(false);
  expect(scaleRangesSchema.safeParse([{ upToG: 10, stepG: 1, more: 1 }]).success).toBe(false);
});

test('a weight right at the end of a scale still stands on it; beyond the last its steps hold on', () => {
  const scales = [
    { upToG: 10, stepG: 0.1 },
    { upToG: 3000, stepG: 5 },
  ] as const;
  expect(roundToScale([...scales], 10)).toEqual({ massG: 10, stepG: 0.1 });
  expect(roundToScale([...scales], 10.01)).toEqual({ massG: 10, stepG: 5 });
  expect(roundToScale([...scales], 5001)).toEqual({ massG: 5000, stepG: 5 });
  expect(() => roundToScale([], 10)).toThrow('at least one scale');
});
