import { bakeState, emptyOutcome, type BakeAction, type BakeRecord } from '../bake';
import { planBatch } from '../batch';
import { libraryBook } from '../ingredients';
import { ORDINARY_KIT } from '../kit';
import { ORDINARY_KITCHEN } from '../run';
import { rollsWithMethod } from '../run/testRuns';
import { forecastOf, recordRows, type Forecast, type RecordWhat } from '.';

const formula = rollsWithMethod();
const planned = planBatch(
  formula,
  { mode: 'factor', factor: 1, pieceMassG: 85, bowlLossPercent: 0 },
  ORDINARY_KIT.scales,
  libraryBook,
);
if (!planned.ok) throw new Error(JSON.stringify(planned.problem));
const sheet = planned.value;
const asked = { sheet, formula, book: libraryBook, kitchen: ORDINARY_KITCHEN }; // prettier-ignore
const forecast = forecastOf(asked, 1000)!;

const step = (kind: string) => sheet.steps.find((each) => each.kind === kind)!.id;
function rowsOf(actions: readonly (readonly [minute: number, action: BakeAction])[], of: Forecast | null = forecast) {
  const bake: BakeRecord = { id: 'b', formulaId: 'f', revision: 1, startedAtMs: 0, sheet, events: actions.map(([minute, action], index) => ({ seq: index + 1, atMs: 60_000 * minute, action })) };
  const rows = recordRows(bake, bakeState(0, bake.events), of);
  return (what: RecordWhat) => rows.find((row) => row.what === what);
} // prettier-ignore

test('a forecast is of the pieces that are planned, in order, inside of what can be, and says when it was made', () => {
  const { heat, grown, rise, madeAtMs } = forecast;
  expect(madeAtMs).toBe(1000);
  for (const { low, value, high } of [grown, heat!.coreC, heat!.lost, heat!.brownTop, forecast.feel!]) {
    expect(low).toBeLessThanOrEqual(value);
    expect(value).toBeLessThanOrEqual(high);
  }
  expect(heat!.coreC.value).toBeGreaterThan(85);
  expect(heat!.lost.value).toBeGreaterThan(0.04);
  expect(heat!.coolS.value).toBeGreaterThan(0);
  expect(rise.atS.length).toBeLessThanOrEqual(80);
  expect(grown.value).toBeGreaterThan(1.2);
  // larger pieces are set later
  const large = planBatch(formula, { mode: 'factor', factor: 1, pieceMassG: 170, bowlLossPercent: 0 }, ORDINARY_KIT.scales, libraryBook);
  if (!large.ok) throw new Error('no batch');
  expect(forecastOf({ ...asked, sheet: large.value }, 0)!.heat!.setS.value!).toBeGreaterThan(1.15 * heat!.setS.value!);
}); // prettier-ignore

test('planned, predicted, happened side by side; the models are judged inside or outside', () => {
  const { coreC, lost } = forecast.heat!;
  const row = rowsOf([
    [10, { type: 'stepDone', stepId: step('mix') }],
    [70, { type: 'rise', stepId: step('proof'), of: 'dough', grownPercent: 300 }],
    [71, { type: 'felt', stepId: step('proof'), band: 'pourable' }],
    [100, { type: 'closed', outcome: { ...emptyOutcome, pieces: 9, massBeforeG: 1000, massAfterG: 1000 * (1 - lost.value), coreTempC: coreC.value } }],
  ]); // prettier-ignore
  expect(row('core')).toMatchObject({
    predicted: coreC,
    happened: { value: coreC.value },
    isInside: true,
  });
  expect(row('lost')!.isInside).toBe(true);
  expect(row('mark')).toMatchObject({ atS: 3600, happened: { value: 4 }, isInside: false });
  expect(row('feel')!.isInside).toBe(false);
  expect(row('pieces')).toMatchObject({
    planned: sheet.pieces.count,
    happened: { value: 9 },
    isInside: null,
  });
  // nobody has seen its colour: predicted alone, and judged by nothing
  expect(row('colourAbove')).toMatchObject({ happened: null, isInside: null });
  expect(
    rowsOf([[100, { type: 'closed', outcome: { ...emptyOutcome, coreTempC: coreC.high + 5 } }]])('core')!
      .isInside,
  ).toBe(false);
});

test('times are the hands’: told, never judged; a score of a colour touches the browning it stands for', () => {
  const tasting = { taster: null, occasion: 'fresh' as const, words: '', rungId: null, blind: false };
  const start = { type: 'timerStarted', stepId: step('bake'), durationS: 1500 } as const;
  const colour = (score: number) =>
    rowsOf([
      [10, start],
      [40, { type: 'stepDone', stepId: step('bake') }],
      [100, { type: 'closed', outcome: emptyOutcome }],
      [101, { type: 'tasted', tastingId: '7c3f0d55-3b55-4f0c-8a2b-000000000001', tasting: { ...tasting, scores: { colourAbove: score } } }],
    ]); // prettier-ignore
  expect(colour(3)('bakeTime')).toMatchObject({
    planned: 1500,
    happened: { value: 1800 },
    isInside: null,
  });
  expect(colour(3)('colourAbove')!.happened!.value).toBe(4);
  const { brownTop } = forecast.heat!;
  expect(colour(5)('colourAbove')!.isInside).toBe(brownTop.high >= 4 ** 2.25);
  expect(colour(3)('room')).toBeUndefined();
});

test('of a core that was read again and again the last counts, a look at the load before it, the log before both', () => {
  const read = (tempC: number) => ({ type: 'reading', of: 'core', tempC, stepId: null }) as const;
  const core = (...actions: BakeAction[]) => rowsOf(actions.map((action, index) => [90 + index, action] as const))('core')!.happened!.value;
  const close = (coreTempC: number | null) => ({ type: 'closed', outcome: { ...emptyOutcome, coreTempC } }) as const;
  expect(core(read(84), read(92), close(null))).toBe(92);
  expect(core(read(84), { type: 'looked', stepId: step('bake'), coreC: 95, colour: 'dark' }, read(90), close(null))).toBe(95);
  expect(core(read(84), close(97))).toBe(97);
}); // prettier-ignore

test('without a forecast what was planned and what happened stand alone', () => {
  const row = rowsOf([[100, { type: 'closed', outcome: { ...emptyOutcome, coreTempC: 97 } }]], null);
  expect(row('core')).toMatchObject({ predicted: null, happened: { value: 97 }, isInside: null });
});
