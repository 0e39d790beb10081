import { takenOutSheet } from '../batch';
import { partedLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { ORDINARY_KIT } from '../kit';
import { newStep, type MethodStep, type StepKind } from '../method';
import { NO_ROOM } from '../process/room';
import { agendaOf } from './agenda';
import { dayWith } from './laidOut';
import { outOf } from './usualRequest';
import { clockMs, clockOf, dayBatch, demoFormula, laidOut } from '../../../tests/kitchenDays';

const step = (kind: StepKind, min: number | null, more: Partial<MethodStep> = {}): MethodStep => ({
  ...newStep(kind, kind),
  minS: min === null ? null : 60 * min,
  ...more,
});
const takenOut = {
  bakeId: '5a1f9f0e-2c55-4a0e-9a64-0c2f5b1d8a77',
  wayId: 'frozen',
  as: 'frozenRaw',
  leftPieces: 9,
  madeAtMs: clockMs('12:00', '2026-11-14'),
  bestByMs: clockMs('12:00', '2026-12-05'),
} as const;
const rolls = (pieces: number, more = {}) =>
  dayBatch('rolls', 'lock-dough', '09:00', {
    batch: outOf(demoFormula('lock-dough'), 'frozen', pieces),
    takenOut,
    ...more,
  });

test('of pieces that were put by what is behind the freezing is left, in loads, with what goes on then and nothing else', () => {
  const formula = partedLoaf();
  const [frozen, tin] = formula.ways!;
  const seeded = { ...frozen!, steps: [step('divide', null), step('freeze', 120), step('thaw', 200), step('top', null, { takes: [{ lineId: 'poppy-seed', share: 1 }] }), step('bake', 20)] };
  const made = { ...formula, steps: [step('mix', 10), step('bulk', 60)], ways: [seeded, tin!] };
  const room = { ...NO_ROOM, mixG: 100 };
  const sheetOf = (wayId: string, pieces: number) => takenOutSheet(made, { wayId, pieces }, ORDINARY_KIT.scales, libraryBook, room);
  const sheet = sheetOf('frozen', 6);
  if (!sheet.ok) throw new Error(sheet.problem.code);
  expect(sheet.value.steps.map(({ kind, minS }) => [kind, minS])).toEqual([['thaw', 12_000], ['top', null], ['bake', 1200]]);
  expect(sheet.value.ways).toMatchObject([{ wayId: 'frozen', count: 6, doughG: 70 }]);
  // 10 g of seeds on 980 g of dough; six of 70 g are 420 g: 4.3 g
  expect(sheet.value.stages.flatMap(({ lines }) => lines.map(({ id, exactG, atStepId }) => [id, exactG.toFixed(2), atStepId]))).toEqual([['poppy-seed', '4.29', 'top']]);
  expect([sheet.value.mixes, sheet.value.leftOver, sheet.value.lots]).toEqual([undefined, undefined, undefined]);
  // what is not put by, or is no way of it, or none of it
  expect([sheetOf('tin', 1), sheetOf('none', 1)]).toMatchObject([{ problem: { code: 'unknownWay' } }, { problem: { code: 'unknownWay' } }]);
  expect(sheetOf('frozen', 0)).toMatchObject({ ok: false });
}); // prettier-ignore

test('rolls for lunch: taken out by somebody that morning, thawed, proofed and baked in time; for breakfast nobody is up for it', () => {
  const evening = clockMs('18:00', '2026-11-27');
  const noon = (more = {}) => ({ batches: [rolls(6, { ready: { fromMs: clockMs('13:00'), toMs: clockMs('13:00') }, ...more })], lit: [] });
  const view = laidOut(noon(), evening);
  const [batch] = view.batches;
  expect([clockOf(batch!.readyMs!), batch!.collision, batch!.variantId]).toEqual(['13:00', null, 'as written']);
  expect(batch!.blocks.map(({ kind }) => kind)).toEqual(['thaw', 'proof', 'bake']);
  const [thaw, proof] = batch!.blocks;
  // four to five hours to thaw, one to proof, twenty minutes in the oven, and a little to spare behind the proof
  expect(clockOf(proof!.startMs) <= '11:40' && clockOf(proof!.startMs) >= '11:00').toBe(true);
  expect(thaw!.endMs - thaw!.startMs).toBe(4.5 * 3_600_000);
  // thawed dough bears an hour
  expect(proof!.startMs).toBeGreaterThanOrEqual(thaw!.endMs);
  expect(proof!.startMs).toBeLessThanOrEqual(thaw!.endMs + 3_600_000);
  // somebody takes them out: a moment
  expect(thaw!.hands).toEqual([{ fromMs: thaw!.startMs, toMs: thaw!.startMs + 300_000 }]);
  expect(view.needs!.takeOut).toEqual([{ batchId: 'rolls', pieces: 6, as: 'frozenRaw', bestByMs: takenOut.bestByMs, atMs: thaw!.startMs, isPast: false }]);
  expect(view.needs!.needs).toEqual([]);
  const [first] = agendaOf(dayWith(noon(), view)).filter(({ kind }) => kind === 'block');
  expect(first).toMatchObject({ step: 'thaw', byItself: false, atMs: thaw!.startMs, takeOut: { pieces: 6, as: 'frozenRaw' } });
  // past its best by then
  const old = laidOut(noon({ takenOut: { ...takenOut, bestByMs: clockMs('12:00', '2026-11-20') } }), evening);
  expect(old.needs!.takeOut[0]!.isPast).toBe(true);
  const early = laidOut({ batches: [rolls(6)], lit: [] }, evening).batches[0]!;
  expect(early.collision?.cause.kind).toBe('hands');
  expect(early.readyMs).toBeGreaterThan(clockMs('09:00'));
}); // prettier-ignore

test('once it is out it goes on from there; a lever has nothing to change', () => {
  const view = laidOut({ batches: [rolls(6, { levers: ['yeast', 'cold'] })], lit: [] }, clockMs('18:00', '2026-11-27'));
  const [thaw] = view.batches[0]!.blocks;
  const out = clockMs('06:00');
  const progress = { [thaw!.id]: { startMs: out, endMs: null, lastsS: null } };
  const later = laidOut({ batches: [rolls(6, { progress })], lit: [] }, out);
  expect(later.batches[0]!.blocks.map(({ kind, state }) => [kind, state])).toEqual([['thaw', 'running'], ['proof', 'todo'], ['bake', 'todo']]);
  expect(later.batches[0]!.readyMs).toBeGreaterThanOrEqual(out + 60_000 * (240 + 60 + 20));
  expect(later.needs!.takeOut).toEqual([]);
}); // prettier-ignore
