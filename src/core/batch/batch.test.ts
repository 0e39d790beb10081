import fc from 'fast-check';
import { bakeState, stillToWeigh } from '../bake';
import { allLines, emptyFormula, formulaTotals, type Formula } from '../formula';
import { newStep, type MethodStep, type StepKind } from '../method';
import { anyFormula, line, partedLoaf, plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { readAs } from '../readAs';
import {
  batchRequestSchema,
  batchSheetSchema,
  ordinaryScales,
  planBatch,
  roundToScale,
  type BatchRequest,
  type ScaleRanges,
} from '.';

const fine: ScaleRanges = [{ upToG: 1_000_000, stepG: 0.01 }];
const plan = (request: BatchRequest, scales = ordinaryScales, formula = plainLoaf()) => {
  const result = planBatch(formula, request, scales, libraryBook);
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value;
};
const pieces = (count: number, pieceMassG: number, rest: object = {}): BatchRequest => ({
  mode: 'pieces', pieces: count, pieceMassG, weighed: 'dough', bakeLossPercent: 10, bowlLossPercent: 0, ...rest,
}); // prettier-ignore

describe('scaling', () => {
  test('eight rolls of 85 g need 680 g of dough, and every mass follows', () => {
    const sheet = plan(pieces(8, 85), fine);
    expect(sheet.doughG).toBeCloseTo(680, 1);
    expect(sheet.factor).toBeCloseTo(680 / 980, 9);
    expect(sheet.stages[0]?.lines.find(({ id }) => id === 'water')?.massG).toBeCloseTo((400 * 680) / 980, 2);
    expect(sheet.stages[1]?.lines[0]?.massG).toBeCloseTo((10 * 680) / 980, 2);
    expect(sheet.pieces).toMatchObject({ count: 8, doughG: 85, bakedG: 76.5 });
    expect(batchSheetSchema.safeParse(sheet).success).toBe(true);
  });

  test('a piece weighed baked starts heavier, and the bowl keeps its share', () => {
    const sheet = plan(pieces(8, 85, { weighed: 'baked', bowlLossPercent: 2 }), fine);
    expect(sheet.pieces.doughG).toBeCloseTo(85 / 0.9, 9);
    expect(sheet.doughG).toBeCloseTo((8 * 85) / 0.9 / 0.98, 1);
    expect(sheet.pieces.bakedG).toBeCloseTo(85, 9);
  });

  test('by what one ingredient leaves, and by a factor: whole pieces and a small one', () => {
    const used = plan(
      { mode: 'fixed', lineId: 'tapioca-starch', massG: 430, pieceMassG: 500, bowlLossPercent: 0 },
      fine,
    );
    expect(used.factor).toBeCloseTo(2.15, 9);
    expect(used.pieces.count).toBe(4);
    expect(used.pieces.remainderG).toBeCloseTo(980 * 2.15 - 2000, 1);
    expect(
      plan({ mode: 'factor', factor: 0.5, pieceMassG: 490, bowlLossPercent: 0 }, fine).pieces,
    ).toMatchObject({ count: 1 });
  });

  test('once the formula is once its pieces, whatever the bowl keeps; never none', () => {
    const once = (pieceMassG: number, factor = 1) =>
      plan({ mode: 'factor', factor, pieceMassG, bowlLossPercent: 1 }, fine).pieces;
    // a loaf of 980 g of dough: the bowl keeps 10, and it is still a loaf
    expect(once(980)).toMatchObject({ count: 1, remainderG: 0 });
    expect(once(980).doughG).toBeCloseTo(970.2, 1);
    expect(once(122.5)).toMatchObject({ count: 8 });
    expect(once(122.5).doughG).toBeCloseTo(970.2 / 8, 1);
    // less than one piece is one smaller piece
    expect(once(2000)).toMatchObject({ count: 1 });
    expect(once(2000).doughG).toBeCloseTo(970.2, 1);
    // room for ten and a half is ten and a half
    expect(once(92)).toMatchObject({ count: 10, doughG: 92 });
  });

  test('every line is scaled alike and mass is conserved before rounding', () => {
    fc.assert(
      fc.property(anyFormula, fc.double({ min: 0.05, max: 20, noNaN: true }), (formula, factor) => {
        const sheet = plan({ mode: 'factor', factor, pieceMassG: 100, bowlLossPercent: 0 }, fine, formula);
        // what is saved with a bake is read again to the letter
        expect(batchSheetSchema.parse(sheet)).toEqual(sheet);
        const exact = sheet.stages.flatMap((stage) => stage.lines.map(({ exactG }) => exactG));
        const before = allLines(formula).map(({ massG }) => massG);
        expect(exact.reduce((sum, mass) => sum + mass, 0)).toBeCloseTo(
          factor * before.reduce((sum, mass) => sum + mass, 0),
          6,
        );
        expect(sheet.rounding.hydrationAll.exact).toBeCloseTo(
          formulaTotals(formula, libraryBook).hydrationAll!,
          9,
        );
        expect(sheet.pieces.count * sheet.pieces.doughG + sheet.pieces.remainderG).toBeCloseTo(
          sheet.usableDoughG,
          3,
        );
      }),
    );
  });
});

describe('rounding to the scale', () => {
  test('is to the nearest step, never to nothing, and clean of binary dust', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 20_000, noNaN: true }), (massG) => {
        const rounded = roundToScale(ordinaryScales, massG);
        expect(rounded.massG).toBeGreaterThan(0);
        expect(Math.abs(rounded.massG - massG)).toBeLessThanOrEqual(
          Math.max(rounded.stepG / 2, rounded.stepG - massG) + 1e-9,
        );
        expect(rounded.massG).toBe(Number(rounded.massG.toFixed(2)));
      }),
    );
    expect(roundToScale(ordinaryScales, 3.04)).toEqual({ massG: 3, stepG: 0.1 });
    expect(roundToScale(ordinaryScales, 0.01)).toEqual({ massG: 0.1, stepG: 0.1 });
    expect(roundToScale(ordinaryScales, 4003)).toEqual({ massG: 4005, stepG: 5 });
  });

  test('says what it did: salt on a scale of whole grams', () => {
    const coarse: ScaleRanges = [{ upToG: 1_000_000, stepG: 1 }];
    const sheet = plan({ mode: 'factor', factor: 0.25, pieceMassG: 100, bowlLossPercent: 0 }, coarse);
    expect(sheet.rounding.salt.exact).toBeCloseTo(2, 9);
    expect(sheet.rounding.salt.rounded).toBeCloseTo((100 * 3) / 125, 9);
    expect(sheet.rounding.worst).toMatchObject({ lineId: 'salt' });
    expect(sheet.rounding.worst?.percent).toBeCloseTo(20, 9);
  });
});

test('nonsense is refused with its field', () => {
  const refusal = (request: unknown) => {
    const read = readAs(batchRequestSchema, request);
    return read.ok ? 'ok' : `${read.problem.path}:${read.problem.code}`;
  };
  expect(refusal(pieces(2.5, 85))).toBe('pieces:notWhole');
  expect(refusal(pieces(0, 85))).toBe('pieces:tooSmall');
  expect(refusal(pieces(8, NaN))).toBe('pieceMassG:notANumber');
  expect(refusal(pieces(8, 85, { bowlLossPercent: 100 }))).toBe('bowlLossPercent:tooLarge');
  expect(refusal({ mode: 'magic' })).toBe('mode:notAllowed');
  const empty = emptyFormula('Empty', 's');
  const wet = { ...empty, stages: [{ ...empty.stages[0]!, lines: [line('water', 10)] }] };
  expect(planBatch(empty, pieces(1, 100), ordinaryScales, libraryBook)).toMatchObject({
    problem: { code: 'nothingToWeigh' },
  });
  expect(planBatch(wet, pieces(1, 100), ordinaryScales, libraryBook)).toMatchObject({
    problem: { code: 'noFlour' },
  });
  expect(
    planBatch(
      plainLoaf(),
      { mode: 'fixed', lineId: 'x', massG: 1, pieceMassG: 1, bowlLossPercent: 0 },
      ordinaryScales,
      libraryBook,
    ),
  ).toMatchObject({ problem: { code: 'unknownLine' } });
  expect(planBatch(plainLoaf(), pieces(5000, 20_000), ordinaryScales, libraryBook)).toMatchObject({
    problem: { code: 'tooLarge' },
  });
});

test('what is put by is finished on a later day: its calls and its lines are not today’s; of a sauce for five what is left is said', () => {
  const loaf = partedLoaf();
  const [frozen, tin] = loaf.ways!;
  const step = (kind: StepKind, id: string, part: Partial<MethodStep> = {}) => ({
    ...newStep(kind, id),
    ...part,
  });
  const formula: Formula = {
    ...loaf,
    stages: [
      ...loaf.stages,
      { id: 'dip', kind: 'sauce', name: 'Dip', perPieceG: 20, keeps: { place: 'fridge', days: 4 }, lines: [line('olive-oil', 200, 'oil')] },
      { id: 'more', kind: 'sauce', name: 'More', perPieceG: 20, lines: [line('olive-oil', 200, 'oil2')] },
    ],
    ways: [
      { ...frozen!, steps: [step('freeze', 'f'), step('bake', 'b', { takes: [{ lineId: 'poppy-seed', share: 1 }] })] },
      { ...tin!, steps: [step('bake', 'b2')] },
    ],
  }; // prettier-ignore
  const plan = planBatch(formula, { mode: 'factor', factor: 1, pieceMassG: 70, bowlLossPercent: 1 }, ordinaryScales, libraryBook); // prettier-ignore
  if (!plan.ok) throw new Error(plan.problem.code);
  const { steps, ways, leftOver, stages } = plan.value;
  const ids = steps.map(({ id }) => id);
  expect([ids.includes('f'), ids.includes('b'), ids.includes('b2')]).toEqual([true, false, true]);
  expect(ways!.map(({ later }) => later?.map(({ id }) => id))).toEqual([['b'], undefined]);
  expect(stages.flatMap(({ lines }) => lines).filter(({ later }) => later).map(({ ingredientId, atStepId }) => [ingredientId, atStepId])).toEqual([['poppy-seed', undefined]]); // prettier-ignore
  // nobody is asked for it today
  const open = stillToWeigh(plan.value, bakeState(0, []));
  expect([...open.now, ...open.later].map(({ ingredientId }) => ingredientId)).not.toContain('poppy-seed');
  // six pieces take 120 of 200 g; how the other sauce keeps nobody said
  expect(leftOver).toEqual([{ stageId: 'dip', name: 'Dip', massG: 80, perPieceG: 20, keeps: { place: 'fridge', days: 4 } }]); // prettier-ignore
  expect(batchSheetSchema.safeParse(plan.value).success).toBe(true);
});
