import { planBatch } from '../batch/planBatch';
import { ordinaryScales } from '../batch/scale';
import { checkFormula, formulaTotals, type Formula } from '../formula';
import { plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { NO_ROOM } from '../process/room';
import { ladderAxes, ladderFormula } from './ladder';
import type { LadderWish } from './ladderSchema';

const plain = plainLoaf();
const formula: Formula = {
  ...plain,
  stages: plain.stages.map((stage, index) =>
    index > 0
      ? stage
      : {
          ...stage,
          lines: [...stage.lines, { id: 'yeast', ingredientId: 'instant-yeast', massG: 6, note: '' }],
        },
  ),
};
const wish = (part: Partial<LadderWish> = {}): LadderWish => ({
  axis: 'water',
  values: [-5, 0, 5],
  pieces: 2,
  pieceMassG: 400,
  ...part,
});
const CODES = ['417', '902', '233', '658', '104', '771'];
const made = (of: LadderWish, from: Formula = formula) => {
  const ladder = ladderFormula(from, of, CODES, libraryBook);
  if (!ladder.ok) throw new Error(JSON.stringify(ladder.problem));
  return ladder.value;
};
const problem = (of: LadderWish, from: Formula = formula) => {
  const ladder = ladderFormula(from, of, CODES, libraryBook);
  return ladder.ok ? null : `${ladder.problem.code} ${ladder.problem.path}`;
};
const planned = (of: Formula) => {
  const plan = planBatch(of, { mode: 'factor', factor: 1, pieceMassG: 400, bowlLossPercent: 0 }, ordinaryScales, libraryBook, NO_ROOM);
  if (!plan.ok) throw new Error(JSON.stringify(plan.problem));
  return plan.value;
}; // prettier-ignore
const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

test('one base dough and an addition of its own for each rung: every rung has what it was to have, and no gram is lost', () => {
  const { formula: ladder, ladder: rungs } = made(wish());
  expect(checkFormula(ladder, libraryBook)).toEqual([]);
  expect(rungs.rungs.map(({ code, value }) => [code, value])).toEqual([
    ['417', -5],
    ['902', 0],
    ['233', 5],
  ]);
  const base = ladder.stages.filter(({ id }) => id !== 'ladder');
  const additions = ladder.stages.find(({ id }) => id === 'ladder')!.lines;
  expect(additions.map(({ note }) => note)).toEqual(['902', '233']);
  expect(rungs.rungs.map(({ lineId }) => lineId)).toEqual([null, ...additions.map(({ id }) => id)]);
  const before = formulaTotals(formula, libraryBook);
  const common = formulaTotals({ ...ladder, stages: base }, libraryBook);
  // the common dough is the driest rung: 5 points less than the formula
  expect(common.hydrationAll!).toBeCloseTo(before.hydrationAll! - 5, 6);
  expect(sum(ladder.ways!.map(({ amount }) => (amount.kind === 'pieces' ? amount.pieces * amount.pieceMassG : 0)))).toBeCloseTo(common.doughG + sum(additions.map(({ massG }) => massG)), 6);
  // a third of the base with its own addition has the hydration it was to have
  additions.forEach(({ massG }, index) => {
    const waterG = (common.hydrationAll! / 100) * common.baseG / 3 + massG;
    expect((100 * waterG) / (common.baseG / 3)).toBeCloseTo(before.hydrationAll! + [0, 5][index]!, 6);
  });
  // everything else keeps its proportion
  const salt = (of: Formula['stages']) => sum(of.flatMap(({ lines }) => lines).filter(({ ingredientId }) => /salt/.test(ingredientId)).map(({ massG }) => massG));
  expect(salt(base) / common.baseG).toBeCloseTo(salt(formula.stages) / before.baseG, 9);
}); // prettier-ignore

test('it is planned like any batch: the base first, each rung’s addition at its own step, pieces of each', () => {
  const { formula: ladder, ladder: rungs } = made(wish());
  const sheet = planned(ladder);
  expect(sheet.ways!.map(({ wayId, count, name }) => [wayId, count, name])).toEqual(
    rungs.rungs.map(({ id, code }) => [id, 2, code]),
  );
  const asked = sheet.stages.flatMap((stage) => stage.lines).filter(({ note }) => CODES.includes(note));
  expect(asked.map(({ atStepId }) => atStepId)).toHaveLength(2);
  expect(new Set(asked.map(({ atStepId }) => atStepId)).size).toBe(2);
  for (const { atStepId } of asked)
    expect(sheet.steps.find(({ id }) => id === atStepId)).toMatchObject({ kind: 'mix' });
  expect(sheet.doughG).toBeGreaterThan(6 * 400);
});

test('milk is not all water: so many points of hydration are more of it', () => {
  const milky: Formula = {
    ...formula,
    stages: formula.stages.map((stage) => ({
      ...stage,
      lines: stage.lines.map((line) =>
        line.id === 'water' ? { ...line, ingredientId: 'whole-milk' } : line,
      ),
    })),
  };
  const hydration = ({ formula: ladder }: ReturnType<typeof made>) =>
    formulaTotals({ ...ladder, stages: ladder.stages.filter(({ id }) => id !== 'ladder') }, libraryBook)
      .hydrationAll!;
  expect(hydration(made(wish(), milky))).toBeCloseTo(formulaTotals(milky, libraryBook).hydrationAll! - 5, 6);
});

test('long ids and a formula that has such ids already: every id is still its own', () => {
  const long = 'x'.repeat(40);
  const busy: Formula = {
    ...formula,
    steps: formula.steps.map((step, index) => ({
      ...step,
      id: index === 0 ? 'rung-1' : `${long.slice(0, 38)}${index}`.slice(-40),
    })),
  };
  const { formula: ladder, ladder: rungs } = made(wish(), busy);
  expect(checkFormula(ladder, libraryBook)).toEqual([]);
  const ids = [...ladder.steps, ...ladder.ways!.flatMap(({ steps }) => steps)].map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(rungs.rungs[0]!.id).not.toBe('rung-1');
});

test('yeast and binder are shares of what the formula has; proof and oven change the step and no gram', () => {
  for (const axis of ['yeast', 'binder'] as const) {
    const { formula: ladder } = made(wish({ axis, values: [50, 100, 200] }));
    const [first, second] = ladder.stages.find(({ id }) => id === 'ladder')!.lines;
    expect(second!.massG / first!.massG).toBeCloseTo(3, 9);
  }
  const proof = made(wish({ axis: 'proof', values: [50, 100] })).formula;
  expect(proof.stages).toHaveLength(formula.stages.length);
  const own = formula.steps.find(({ kind }) => kind === 'proof')!;
  expect(proof.ways!.map(({ steps }) => steps.find(({ kind }) => kind === 'proof')!.minS)).toEqual([
    own.minS! / 2,
    own.minS,
  ]);
  const hot: Formula = { ...formula, steps: [...formula.steps, { ...own, id: 'oven', kind: 'bake', tempC: 220, minS: 1800, maxS: null }] }; // prettier-ignore
  const oven = made(wish({ axis: 'oven', values: [-20, 0, 20] }), hot).formula;
  expect(oven.ways!.map(({ steps }) => steps.at(-1)!.tempC)).toEqual([200, 220, 240]);
  expect(oven.steps.some(({ kind }) => kind === 'proof')).toBe(true);
});

test('what cannot be laddered is not offered, and nonsense is refused at its field', () => {
  const noBinder: Formula = {
    ...formula,
    stages: formula.stages.map((stage) => ({
      ...stage,
      lines: stage.lines.filter(({ ingredientId }) => !/psyllium|xanthan/.test(ingredientId)),
    })),
  };
  expect(ladderAxes(formula, libraryBook)).toEqual(expect.arrayContaining(['water', 'yeast', 'proof']));
  expect(ladderAxes(noBinder, libraryBook)).not.toContain('binder');
  expect(ladderAxes({ ...formula, ways: made(wish()).formula.ways! }, libraryBook)).toEqual([]);
  // without a time of its own a proof cannot be longer or shorter
  const untimed: Formula = {
    ...formula,
    steps: formula.steps.map((step) => ({ ...step, minS: null, maxS: null })),
  };
  expect(ladderAxes(untimed, libraryBook)).not.toContain('proof');
  expect(problem(wish({ axis: 'binder' }), noBinder)).toBe('notAllowed axis');
  expect(problem(wish({ values: [0] }))).toBe('tooSmall values');
  expect(problem(wish({ values: [0, 1, 2, 3, 4, 5, 6] }))).toBe('tooLarge values');
  expect(problem(wish({ values: [5, 0] }))).toBe('notAllowed values');
  expect(problem(wish({ values: [0, Number.NaN] }))).toBe('notAllowed values');
  expect(problem(wish({ values: [-300, 0] }))).toBe('tooSmall values.0');
  expect(problem(wish({ axis: 'yeast', values: [0, 100] }))).toBe('tooSmall values.0');
  expect(problem(wish({ pieces: 0 }))).toBe('tooLarge pieces');
});
