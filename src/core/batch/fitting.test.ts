import { formulaTotals, type Formula } from '../formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { newStep, type MethodStep, type StepKind } from '../method';
import { NO_ROOM, type Room } from '../process/room';
import {
  ordinaryScales,
  planBatch,
  smallDoses,
  type BatchRequest,
  type BatchSheet,
  type ScaleRanges,
} from '.';

const step = (kind: StepKind, part: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, kind),
  ...part,
});
const room = (part: Partial<Room> = {}): Room => ({ ...NO_ROOM, ...part });
const tray = (lengthCm: number, widthCm: number, count = 1) =>
  ({ kind: 'tray', surface: { lengthCm, widthCm, round: false }, count }) as const;

const method = [step('mix'), step('kneadAgain'), step('bulk'), step('shape'), step('bake'), step('cool')];
const planned = (
  { formula = { ...plainLoaf(), steps: method }, request, kitchen, scales = ordinaryScales }:
  { formula?: Formula; request: BatchRequest; kitchen: Room; scales?: ScaleRanges },
): BatchSheet => {
  const sheet = planBatch(formula, request, scales, libraryBook, kitchen);
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.problem));
  return sheet.value;
}; // prettier-ignore
const rolls = (pieces: number): BatchRequest => ({
  mode: 'pieces', pieces, pieceMassG: 85, weighed: 'dough', bakeLossPercent: 10, bowlLossPercent: 0,
}); // prettier-ignore

test('a dough too big for the mixer becomes several mixes: all of it is weighed, each mix its share, then it rises as one', () => {
  const sheet = planned({ request: rolls(40), kitchen: room({ mixG: 1500 }) });
  expect(sheet.mixes).toEqual({ count: 3, mostG: 1500 });
  expect(sheet.steps.map(({ id }) => id)).toEqual([
    'mix-1', 'kneadAgain-1', 'mix-2', 'kneadAgain-2', 'mix-3', 'kneadAgain-3', 'bulk', 'shape', 'bake', 'cool',
  ]); // prettier-ignore
  expect(sheet.activities?.slice(0, 2).map(({ mix }) => mix)).toEqual([
    { at: 1, of: 3 },
    { at: 1, of: 3 },
  ]);
  const [main] = sheet.stages;
  const water = main!.lines.filter(({ ingredientId }) => ingredientId === 'water');
  expect(water.map(({ atStepId, of }) => [atStepId, of?.at])).toEqual([
    [undefined, 1],
    ['mix-2', 2],
    ['mix-3', 3],
  ]);
  const whole = (400 * 40 * 85) / 980;
  expect(water.reduce((sum, { exactG }) => sum + exactG, 0)).toBeCloseTo(whole, 6);
  expect(sheet.doughG).toBeCloseTo(3400, -1);
  // it fits: nothing is said, nothing is split
  const fits = planned({ request: rolls(12), kitchen: room({ mixG: 1500 }) });
  expect(fits.mixes).toBeUndefined();
  expect(fits.steps.map(({ id }) => id)).toEqual(method.map(({ id }) => id));
});

test('loads follow from the trays: 40 rolls, 12 at a time, four even loads', () => {
  const formula = { ...plainLoaf(), steps: method, bakedAs: { shape: 'roll', lengthCm: null, widthCm: null, tin: null, perLoad: null } } as const; // prettier-ignore
  const sheet = planned({ formula, request: rolls(40), kitchen: room({ plates: [tray(40, 30)] }) });
  expect(sheet.loads).toEqual([{ stepId: 'bake', wayId: null, fits: 12, by: 'tray', loads: 4 }]);
  expect(sheet.activities?.map(({ pieces }) => pieces)).toEqual([10, 10, 10, 10]);
  // not even one of them fits: one goes in at a time, and it is said
  const cup = planned({ formula, request: rolls(3), kitchen: room({ plates: [tray(6, 6)] }) });
  expect(cup.loads).toEqual([{ stepId: 'bake', wayId: null, fits: 0, by: 'tray', loads: 3 }]);
});

test('a dose below the scale is said and helped: a stock in the dough’s water or flour that holds it to a twentieth', () => {
  const plain = plainLoaf();
  const [main, ...rest] = plain.stages;
  const lines = [...main!.lines, line('instant-yeast', 0.4, 'yeast'), line('xanthan', 3, 'gum')];
  const formula: Formula = { ...plain, stages: [{ ...main!, lines }, ...rest] };
  const wholeGrams: ScaleRanges = [{ upToG: 5000, stepG: 1 }];
  const sheet = planned({
    formula,
    request: { mode: 'factor', factor: 1, pieceMassG: 900, bowlLossPercent: 0 },
    kitchen: NO_ROOM,
    scales: wholeGrams,
  });
  const doses = smallDoses(sheet, libraryBook);
  const yeast = doses.find(({ lineId }) => lineId === 'yeast');
  expect(yeast).toMatchObject({
    stepG: 1,
    finerStepG: 0.01,
    stock: { how: 'dissolved', doseG: 10, carrierG: 240, takeG: 10 },
  });
  expect(yeast?.offPercent).toBeCloseTo(125, 6);
  expect(doses.find(({ lineId }) => lineId === 'gum')).toMatchObject({
    finerStepG: 0.1,
    stock: { how: 'mixed', doseG: 10, carrierG: 90, takeG: 30, lessCarrierG: 27 },
  });
  // baking powder in water has spent itself before it is in the dough
  const lifted: Formula = {
    ...plain,
    stages: [{ ...main!, lines: [...main!.lines, line('baking-powder', 3)] }, ...rest],
  };
  const once = planned({
    formula: lifted,
    request: rolls(10),
    kitchen: room({ mixG: 500 }),
    scales: wholeGrams,
  });
  const powder = smallDoses(once, libraryBook).filter(({ name }) => name === 'Baking powder');
  expect(powder.map(({ stock }) => stock?.how)).toEqual(['mixed']);
  // what is taken of a stock holds the dose, and its carrier is in the dough
  for (const { stock, exactG } of doses) {
    if (!stock) continue;
    const held = (stock.takeG * stock.doseG) / (stock.doseG + stock.carrierG);
    expect(Math.abs(held / exactG - 1)).toBeLessThan(0.05);
    expect(stock.lessCarrierG).toBeLessThan(formulaTotals(formula, libraryBook).doughG);
  }
  // a scale of tenths shows both well enough
  const fine = planned({
    formula,
    request: rolls(10),
    kitchen: NO_ROOM,
    scales: [{ upToG: 5000, stepG: 0.01 }],
  });
  expect(smallDoses(fine, libraryBook)).toEqual([]);
});
