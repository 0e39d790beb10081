import { agendaOf, nextCall, withoutEnded } from './agenda';
import type { DayDocument } from './dayDocument';
import { editDay, type DayEdit } from './dayEdit';
import { dayWith } from './laidOut';
import { ORDINARY_LIFE } from './lifeDocument';
import { batchWays } from './kitchenDay';
import { clockMs, clockOf, DEMO, dayBatch, demoFormula, laidOut } from '../../../tests/kitchenDays';
import type { DayView } from './dayView';
import { needsOf, shortOf } from './needs';

const dayOf = (...batches: DayDocument['batches']): DayDocument => ({ batches, lit: [] });
const edited = (day: DayDocument, edit: DayEdit, now: string): DayDocument => {
  const made = editDay(day, edit, clockMs(now));
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
};
const readyOf = (view: DayView, id: string) => {
  const ms = view.batches.find((batch) => batch.id === id)?.readyMs;
  return ms == null ? null : clockOf(ms);
};
const blockOf = (view: DayView, id: string, kind: string) =>
  view.batches.find((batch) => batch.id === id)!.blocks.find((block) => block.kind === kind)!;

test('supper at seven: laid out backwards, told in the order of the clock, the oven lit in time', () => {
  const day = dayOf(dayBatch('rolls', 'supper-rolls', '19:00'));
  const view = laidOut(day, '12:03');
  expect(readyOf(view, 'rolls')).toBe('19:00');
  expect(view.batches[0]).toMatchObject({ variantId: 'as written', collision: null });
  const [oven] = view.ovens.filter(({ lit }) => lit.length > 0);
  const bake = blockOf(view, 'rolls', 'bake');
  // heated through when the rolls go in, and never hotter than they want it
  expect(oven!.points.find(({ ms }) => ms === bake.startMs)?.tempC).toBe(205);
  expect(Math.max(...oven!.points.map(({ tempC }) => tempC))).toBe(205);
  expect(oven!.points[0]!.ms).toBe(oven!.lit[0]!.atMs);
  const calls = agendaOf(dayWith(day, view));
  const told = calls.map((call) => `${clockOf(call.atMs)} ${call.kind === 'block' ? call.step : call.kind}`);
  expect(told.at(-1)).toBe('19:00 ready');
  expect(told).toContain(`${clockOf(oven!.lit[0]!.atMs)} light`);
  expect(told.filter((each) => each.endsWith('look'))).toHaveLength(1);
  const clocks = told.map((each) => each.slice(0, 5));
  expect([...clocks].sort()).toEqual(clocks);
  // what asks for nobody is not called for
  expect(nextCall(calls, clockMs('12:03'))).toMatchObject({ kind: 'block', step: 'mix' });
  expect(nextCall(calls, clockMs('18:20'))).toMatchObject({ kind: 'block', step: 'mix' });
  expect(nextCall(calls.map((call) => (call.kind === 'block' ? { ...call, state: 'done' as const } : call)), clockMs('18:20'))).toMatchObject({ kind: 'ready' });
}); // prettier-ignore

test('saved and opened again nothing moves', () => {
  const day = dayOf(dayBatch('rolls', 'supper-rolls', '19:00'), dayBatch('discs', 'pizza-discs', '20:30'));
  const saved = dayWith(day, laidOut(day, '10:00'));
  const again = laidOut(saved, '10:21', { rounds: 20 });
  expect(again.changes).toEqual([]);
  expect(dayWith(saved, again)).toEqual(saved);
});

test('a start that is late moves the rest, and only what has to: the supper stays at seven as long as the dough bears it', () => {
  const saved = dayWith(dayOf(dayBatch('rolls', 'supper-rolls', '19:00'), dayBatch('tray', 'blue-jar-tray', '20:30')), laidOut(dayOf(dayBatch('rolls', 'supper-rolls', '19:00'), dayBatch('tray', 'blue-jar-tray', '20:30')), '10:00'));
  const mix = saved.batches[0]!.at;
  const [firstId, first] = Object.entries(mix).sort(([, a], [, b]) => a.startMs - b.startMs)[0]!;
  // begun five minutes late, noticed at once
  const late = edited(saved, { type: 'begun', batchId: 'rolls', blockId: firstId, atMs: first.startMs + 300_000 }, clockOf(first.startMs + 300_000));
  const view = laidOut(late, first.startMs + 300_000);
  expect(readyOf(view, 'rolls')).toBe('19:00');
  expect(readyOf(view, 'tray')).toBe('20:30');
  expect(view.changes.every(({ batchId }) => batchId === 'rolls')).toBe(true);
  expect(blockOf(view, 'rolls', first.kind)).toMatchObject({ state: 'running', startMs: first.startMs + 300_000 });
  // forty minutes late nothing bears it: the rolls are later by what is too much, and it is said
  const tooLate = edited(saved, { type: 'begun', batchId: 'rolls', blockId: firstId, atMs: first.startMs + 40 * 60_000 }, clockOf(first.startMs + 40 * 60_000));
  const other = laidOut(tooLate, first.startMs + 40 * 60_000);
  const ready = other.batches[0]!.readyMs!;
  expect(ready).toBeGreaterThan(clockMs('19:10'));
  expect(ready).toBeLessThanOrEqual(clockMs('19:40'));
  expect(other.batches[0]!.collision?.lateMs).toBe(ready - clockMs('19:00'));
  expect(other.changes.length).toBeGreaterThan(0);
}); // prettier-ignore

test('a rise that takes longer, a step that is done early: the rest follows', () => {
  const day = dayOf(dayBatch('rolls', 'supper-rolls', '19:00'));
  const saved = dayWith(day, laidOut(day, '10:00'));
  const blocks = Object.entries(saved.batches[0]!.at).sort(([, a], [, b]) => a.startMs - b.startMs);
  const [proofId, proof] = blocks.find(([, { kind }]) => kind === 'proof')!;
  const begun = blocks.filter(([, { startMs }]) => startMs < proof.startMs).reduce((at, [blockId, { startMs, endMs }]) => edited(edited(at, { type: 'begun', batchId: 'rolls', blockId, atMs: startMs }, '10:00'), { type: 'over', batchId: 'rolls', blockId, atMs: endMs }, '10:00'), saved);
  const proofing = edited(begun, { type: 'begun', batchId: 'rolls', blockId: proofId, atMs: proof.startMs }, '10:00');
  const view = laidOut(proofing, proof.endMs);
  expect(blockOf(view, 'rolls', 'mix')).toMatchObject({ state: 'done' });
  const longer = edited(proofing, { type: 'longer', batchId: 'rolls', blockId: proofId, startMs: proof.startMs, lastsS: (proof.endMs - proof.startMs) / 1000 + 1800 }, '10:00');
  const waited = laidOut(longer, proof.endMs);
  expect(blockOf(waited, 'rolls', 'bake').startMs).toBeGreaterThanOrEqual(proof.endMs + 1_800_000);
  // taken back, all is as it was
  expect(laidOut(edited(longer, { type: 'takeBack', batchId: 'rolls', blockId: proofId }, '10:00'), proof.startMs).batches[0]!.readyMs).toBe(clockMs('19:00'));
}); // prettier-ignore

test('out from two to half past four: what collides is said, and one of the ways out solves it', () => {
  // mixed at one: shaped before two, proofed by twenty to three, and nobody to bake them
  const day = dayOf(dayBatch('rolls', 'supper-rolls', '18:00'));
  const out = { life: { ...ORDINARY_LIFE, away: [...ORDINARY_LIFE.away, { name: 'Out', days: [6], from: '14:00', to: '16:30', people: null }] } };
  const late = laidOut(day, '13:00', out);
  const collision = late.batches[0]!.collision!;
  expect(collision.lateMs).toBe(late.batches[0]!.readyMs! - clockMs('18:00'));
  expect(collision.lateMs).toBeGreaterThan(60 * 60_000);
  expect(collision.cause.kind).toBe('hands');
  // half the yeast proofs until somebody is back
  const lever = collision.waysOut.find(({ kind }) => kind === 'lever');
  expect(lever).toMatchObject({ variantId: 'yeast 0.5', tasteCost: 2 });
  const solved = laidOut(edited(day, { type: 'levers', batchId: 'rolls', levers: ['yeast'] }, '13:00'), '13:00', out);
  expect(solved.batches[0]).toMatchObject({ collision: null, variantId: 'yeast 0.5', lever: { yeast: 0.5 } });
  expect(readyOf(solved, 'rolls')! <= '18:00').toBe(true);
  expect(clockOf(blockOf(solved, 'rolls', 'bake').startMs) >= '16:30').toBe(true);
}); // prettier-ignore

test('an oven that is not hot yet: the load goes in as soon as it is, nothing before it moves, and said to be hot it is as before', () => {
  const day = dayOf(dayBatch('rolls', 'supper-rolls', '19:00'));
  const saved = dayWith(day, laidOut(day, '12:00'));
  const bake = Object.values(saved.batches[0]!.at).find(({ kind }) => kind === 'bake')!;
  const [proofId, proof] = Object.entries(saved.batches[0]!.at).find(([, { kind }]) => kind === 'proof')!;
  const begun = edited(saved, { type: 'begun', batchId: 'rolls', blockId: proofId, atMs: proof.startMs }, '12:00');
  const late = edited(begun, { type: 'notHot', ovenId: bake.ovenId!, untilMs: bake.startMs + 15 * 60_000, setC: bake.setC!, plate: null }, '12:00');
  const nowMs = bake.startMs - 5 * 60_000;
  const view = laidOut(late, nowMs);
  expect((blockOf(view, 'rolls', 'bake').startMs - bake.startMs) / 60_000).toBe(15);
  expect(blockOf(view, 'rolls', 'proof').startMs).toBe(proof.startMs);
  expect(view.changes[0]).toMatchObject({ kind: 'bake', byMs: 15 * 60_000 });
  // it is part of the day as it is saved
  expect(dayWith(late, view).notHot).toEqual(late.notHot);
  expect(blockOf(laidOut(edited(late, { type: 'hot', ovenId: bake.ovenId! }, '12:00'), nowMs), 'rolls', 'bake').startMs).toBe(bake.startMs);
}); // prettier-ignore

test('what is pinned where it cannot be is said, and let go of it lies well', () => {
  const day = dayOf(dayBatch('rolls', 'supper-rolls', '19:00'));
  const saved = dayWith(day, laidOut(day, '12:00'));
  const [id] = Object.entries(saved.batches[0]!.at).find(([, { kind }]) => kind === 'bake')!;
  const pinned = edited(saved, { type: 'pin', batchId: 'rolls', blockId: id, startMs: clockMs('12:10') }, '12:00');
  expect(laidOut(pinned, '12:00').batches[0]).toMatchObject({ readyMs: null, collision: { cause: { kind: 'pin' }, waysOut: [{ kind: 'pinAt', blockId: id, step: 'bake' }, { kind: 'unpin' }] } });
  // the nearest is the soonest there is: mixed at once
  const [near] = laidOut(pinned, '12:00').batches[0]!.collision!.waysOut;
  if (near?.kind !== 'pinAt') throw new Error('none is near');
  const soonest = laidOut(dayOf(dayBatch('rolls', 'supper-rolls', null)), '12:00');
  expect(clockOf(near.startMs)).toBe(clockOf(blockOf(soonest, 'rolls', 'bake').startMs));
  const there = laidOut(edited(pinned, { type: 'pin', batchId: 'rolls', blockId: id, startMs: near.startMs }, '12:00'), '12:00');
  expect(blockOf(there, 'rolls', 'bake').startMs).toBe(near.startMs);
  const free = edited(pinned, { type: 'unpin', batchId: 'rolls', blockId: null }, '12:00');
  expect(readyOf(laidOut(free, '12:00'), 'rolls')).toBe('19:00');
  const held = edited(saved, { type: 'pin', batchId: 'rolls', blockId: id, startMs: clockMs('16:00') }, '12:00');
  expect(clockOf(blockOf(laidOut(held, '12:00'), 'rolls', 'bake').startMs)).toBe('16:00');
}); // prettier-ignore

test('a formula that is gone leaves its batch out, and the others are planned', () => {
  const view = laidOut(dayOf(dayBatch('rolls', 'supper-rolls', '19:00'), { ...dayBatch('gone', 'supper-rolls', '19:00'), formulaId: 'nowhere' }), '12:00');
  expect(view.leftOut).toEqual(['gone']);
  expect(readyOf(view, 'rolls')).toBe('19:00');
}); // prettier-ignore

test('what the day needs, summed over its batches, in the order in which it is wanted', () => {
  const view = laidOut(dayOf(dayBatch('rolls', 'supper-rolls', '19:00'), dayBatch('tray', 'blue-jar-tray', '21:30')), '10:00');
  const { needs, ahead } = view.needs!;
  const alone = (key: string) => laidOut(dayOf(dayBatch('one', key, '19:00')), '10:00').needs!.needs;
  const [rolls, tray] = [alone('supper-rolls'), alone('blue-jar-tray')];
  const massOf = (all: typeof needs, id: string) => all.find(({ ingredientId }) => ingredientId === id)?.massG ?? 0;
  const shared = rolls.map(({ ingredientId }) => ingredientId).filter((id) => massOf(tray, id) > 0);
  expect(shared.length).toBeGreaterThan(2);
  for (const { ingredientId, massG, batchIds } of needs) {
    expect(massG).toBeCloseTo(massOf(rolls, ingredientId) + massOf(tray, ingredientId), 6);
    if (shared.includes(ingredientId)) expect(batchIds).toEqual(['rolls', 'tray']);
  }
  expect(needs.map(({ firstMs }) => firstMs)).toEqual(needs.map(({ firstMs }) => firstMs).toSorted((a, b) => a - b));
  expect(needs[0]!.firstMs).toBe(Math.min(...view.batches.flatMap(({ blocks }) => blocks.map(({ startMs }) => startMs))));
  expect(ahead.every(({ massG, byMs }) => massG > 0 && byMs >= needs[0]!.firstMs)).toBe(true);
}); // prettier-ignore

test('a bag past its date is said; what is held back or for another day is not counted', () => {
  const line = (id: string, massG: number, more = {}) => ({ id, ingredientId: id, name: id, exactG: massG, massG, stepG: 1, note: '', ...more });
  const sheet = { stages: [{ id: 's', kind: 'main' as const, name: 'Dough', lines: [line('rice', 100), line('water', 80, { heldBack: true }), line('oil', 5, { later: true })] }] };
  const lot = { kind: 'lot' as const, id: 'own-lot', of: 'rice', code: 'March', openedOn: null, bestBefore: '2026-11-27', open: true };
  const told = (lots: (typeof lot)[]) => needsOf([{ id: 'b', sheet, firstMs: clockMs('12:00') }], lots, () => '2026-11-28').needs;
  expect(told([])).toEqual([{ ingredientId: 'rice', name: 'rice', massG: 100, firstMs: clockMs('12:00'), batchIds: ['b'], pastDate: null }]);
  expect(told([lot])[0]!.pastDate).toBe('2026-11-27');
  expect(told([{ ...lot, bestBefore: '2026-11-28' }])[0]!.pastDate).toBeNull();
  expect(told([{ ...lot, open: false }])[0]!.pastDate).toBeNull();
  // what there is not enough of; where nobody looked there is
  const short = (...have: { ingredientId: string; massG: number }[]) => shortOf({ needs: told([]) }, have);
  expect([short(), short({ ingredientId: 'rice', massG: 100 }), short({ ingredientId: 'oil', massG: 0 })]).toEqual([[], [], []]);
  expect(short({ ingredientId: 'rice', massG: 60 })).toEqual([{ ingredientId: 'rice', name: 'rice', massG: 40 }]);
}); // prettier-ignore

test('not risen yet, says the bench: the day goes on from when it is looked at again', () => {
  const plain = dayBatch('rolls', 'supper-rolls', '19:00');
  const saved = dayWith(dayOf(plain), laidOut(dayOf(plain), '10:00'));
  const formula = demoFormula('supper-rolls');
  const ways = batchWays(formula, plain, DEMO);
  if (!ways.ok) throw new Error(ways.problem.code);
  const proof = Object.entries(saved.batches[0]!.at).find(([, { kind }]) => kind === 'proof')![1];
  const { sheet } = ways.value[0]!;
  const proofId = sheet.steps.find(({ kind }) => kind === 'proof')!.id;
  const before = sheet.steps.slice(0, sheet.steps.findIndex(({ id }) => id === proofId));
  const done = Object.fromEntries(before.map(({ id }) => [id, { startMs: null, doneMs: proof.startMs }]));
  const at = (untilMs: number) => {
    const bakes = new Map([['b1', { sheet, startedMs: proof.startMs - 7_200_000, endedMs: null, calls: { ...done, [proofId]: { startMs: proof.startMs, doneMs: null, untilMs } } }]]);
    const view = laidOut({ ...saved, batches: [{ ...saved.batches[0]!, bakeId: 'b1' }] }, proof.endMs - 300_000, { bakes });
    return { ends: blockOf(view, 'rolls', 'proof').endMs, bakes: blockOf(view, 'rolls', 'bake').startMs };
  };
  // the clock of a proof is set to the shortest: that alone makes it no shorter
  const usual = at(proof.startMs + 60_000);
  expect(usual.ends).toBe(proof.endMs);
  const later = at(proof.endMs + 1_800_000);
  expect(later.ends).toBe(proof.endMs + 1_800_000);
  expect(later.bakes).toBeGreaterThanOrEqual(later.ends);
}); // prettier-ignore

test('what has ended at the bench is called for no more, nor is an oven lit for it', () => {
  const day = dayOf(
    { ...dayBatch('rolls', 'supper-rolls', '19:00'), bakeId: 'b1' },
    dayBatch('tray', 'blue-jar-tray', '21:30'),
  );
  const saved = dayWith(day, laidOut(day, '10:00'));
  expect(withoutEnded(saved, () => false)).toEqual(saved);
  const left = withoutEnded(saved, (id) => id === 'b1');
  expect(left.batches.map(({ id }) => id)).toEqual(['tray']);
  // the oven is cold again by then, and lit anew for the tray
  expect(saved.lit).toHaveLength(2);
  expect(left.lit).toEqual(saved.lit.slice(1));
  expect(withoutEnded({ ...saved, batches: saved.batches.slice(0, 1) }, () => true)).toEqual({
    batches: [],
    lit: [],
  });
});

test('the next call: what lies behind what has begun is done; out of the oven in time; what nobody answers stands for a while', () => {
  const day = dayOf(dayBatch('rolls', 'supper-rolls', '19:00'));
  const saved = dayWith(day, laidOut(day, '12:03'));
  const { at } = saved.batches[0]!;
  const [proofId, proof] = Object.entries(at).find(([, { kind }]) => kind === 'proof')!;
  const [bakeId, bake] = Object.entries(at).find(([, { kind }]) => kind === 'bake')!;
  const begun = (blockId: string, startMs: number): DayDocument => ({ ...saved, batches: [{ ...saved.batches[0]!, progress: { [blockId]: { startMs, endMs: null, lastsS: null } } }] });
  const next = (document: DayDocument, ms: number) => nextCall(agendaOf(document), ms);
  // proofing: nobody is sent back to mix, though nobody has said that it was mixed
  expect(next(begun(proofId, proof.startMs), proof.startMs + 60_000)).toMatchObject({ kind: 'light' });
  const look = proof.looksMs[0]!;
  expect(next({ ...begun(proofId, proof.startMs), lit: [] }, look + 9 * 60_000)).toMatchObject({ kind: 'look', atMs: look });
  expect(next({ ...begun(proofId, proof.startMs), lit: [] }, look + 11 * 60_000)?.atMs).not.toBe(look);
  // a look nobody answers gives way to the load that goes in by now, and not to one that goes in later
  const toLoad = (minutes: number) => next({ ...begun(proofId, proof.startMs), batches: [{ ...begun(proofId, proof.startMs).batches[0]!, at: { [proofId]: { ...proof, looksMs: [bake.startMs - minutes * 60_000 - 120_000] }, [bakeId]: bake } }], lit: [] }, bake.startMs - minutes * 60_000);
  expect([toLoad(4), toLoad(6)].map((call) => call?.kind)).toEqual(['block', 'look']);
  // baking: it comes out when it is done, and is called for until somebody says so
  for (const ms of [bake.startMs + 60_000, bake.endMs + 5 * 60_000]) expect(next(begun(bakeId, bake.startMs), ms)).toMatchObject({ kind: 'out', blockId: bakeId, atMs: bake.endMs });
  // a load that nobody has put in is not called out of the oven
  expect(next(saved, bake.endMs - 60_000)).toMatchObject({ kind: 'block', step: 'mix' });
}); // prettier-ignore
