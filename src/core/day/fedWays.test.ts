import { clockMs, clockOf, dayBatch, laidOut } from '../../../tests/kitchenDays';
import { starter } from '../starter/testStarters';
import type { StarterEvent } from '../starter/starterDocument';
import { agendaOf } from './agenda';
import type { DayDocument } from './dayDocument';
import { editDay } from './dayEdit';
import { dayWith } from './laidOut';
import { ORDINARY_LIFE } from './lifeDocument';

const HOUR = 3_600_000;
const BATON = '0b8f6d1c-52a1-4b0f-8a53-1f4f7c1f9d01';
const fedAt = (ms: number, massG = 200): StarterEvent => ({
  id: '00000000-0000-4000-8000-000000000001', atMs: ms, kind: 'fed', keptG: massG / 5, flourG: (2 * massG) / 5, waterG: (2 * massG) / 5, rest: 'jar', place: 'room', tempC: 21,
}); // prettier-ignore
const jar = (...log: StarterEvent[]) => ({ starters: [starter(log)] });
const dayOf = (ready: string | null): DayDocument => ({
  batches: [dayBatch(BATON, 'sorghum-baton', ready, { id: BATON })],
  lit: [],
});
/** Nobody sleeps in this kitchen. */
const AWAKE = { ...ORDINARY_LIFE, away: [] };
const blocksOf = (view: ReturnType<typeof laidOut>) => view.batches[0]!.blocks;
const kindsOf = (view: ReturnType<typeof laidOut>) => blocksOf(view).map(({ kind }) => kind);

test('a dough of a kept starter is fed for in time: the feed first, ripe when it is mixed, and on the agenda with its amounts', () => {
  // fed two days ago: nothing in the jar is ripe any more
  const starters = jar(fedAt(clockMs('08:00') - 48 * HOUR));
  const day = dayOf('21:00');
  const view = laidOut(day, '06:00', { starters, life: AWAKE });
  expect(kindsOf(view)[0]).toBe('feed');
  const [feed, mix] = blocksOf(view);
  expect(view.batches[0]).toMatchObject({ short: null, fromJar: null, collision: null });
  expect(view.batches[0]!.variantId).toMatch(/^as written ripe [125]$/);
  const { seedG, flourG, waterG } = feed!.feed!;
  expect(seedG + flourG + waterG).toBeGreaterThan(180);
  // mixed while it is ripe: not before, and not after it is past
  const ripeH = (mix!.startMs - feed!.startMs) / HOUR;
  expect(ripeH).toBeGreaterThan(3.5);
  expect(ripeH).toBeLessThan(13);
  expect(mix!.startMs).toBeGreaterThanOrEqual(feed!.endMs);
  expect(mix!.startMs).toBeLessThanOrEqual(mix!.latestMs!);
  // a hand for a moment, and a look whether it has risen
  expect(feed!.hands).toEqual([{ fromMs: feed!.startMs, toMs: feed!.startMs + 300_000 }]);
  expect(feed!.looksMs.length).toBeGreaterThan(0);
  const calls = agendaOf(dayWith(day, view));
  expect(calls[0]).toMatchObject({ kind: 'block', step: 'feed', byItself: false, feed: { name: 'Mildred', seedG, flourG, waterG } });
}); // prettier-ignore

test('supper tomorrow with a night between: the slow feed is given in the evening, and nobody gets up for it', () => {
  const starters = jar(fedAt(clockMs('08:00') - 48 * HOUR));
  const day: DayDocument = { ...dayOf(null), batches: [{ ...dayOf(null).batches[0]!, ready: { fromMs: clockMs('17:00', '2026-11-29'), toMs: clockMs('17:00', '2026-11-29') } }] };
  const view = laidOut(day, '19:00', { starters, rounds: 30 });
  expect(view.batches[0]!.collision).toBeNull();
  const [feed] = blocksOf(view);
  const clock = clockOf(feed!.startMs);
  expect(clock < '22:30' && clock >= '06:00').toBe(true);
}); // prettier-ignore

test('what is ripe in the jar is used while it is ripe: nothing is fed, and it is mixed in time', () => {
  const starters = jar(fedAt(clockMs('06:00'), 300));
  const view = laidOut(dayOf(null), '11:00', { starters, life: AWAKE });
  expect(view.batches[0]).toMatchObject({ variantId: 'as written ripe 0', fromJar: { name: 'Mildred', massG: 174 } });
  expect(kindsOf(view)).not.toContain('feed');
  const [first] = blocksOf(view);
  expect(first!.startMs).toBeLessThan(clockMs('16:00'));
}); // prettier-ignore

test('too little in the jar, one that is young, one that was thrown away: it is said, and the dough is laid out without', () => {
  const shortOf = (starters: Parameters<typeof laidOut>[2]) => {
    const [batch] = laidOut(dayOf('21:00'), '06:00', { life: AWAKE, rounds: 1, ...starters }).batches;
    expect(batch!.blocks.some(({ kind }) => kind === 'feed')).toBe(false);
    return batch!.short;
  };
  const fed = fedAt(clockMs('08:00') - 24 * HOUR, 15);
  expect(shortOf({ starters: jar(fed) })).toEqual({ name: 'Mildred', neededG: 174, massG: 15, why: 'tooLittle' });
  expect(shortOf({ starters: { starters: [starter([fedAt(fed.atMs)], { begunMs: fed.atMs })] } })).toMatchObject({ why: 'young' });
  expect(shortOf({ starters: jar(fed, { id: '00000000-0000-4000-8000-000000000002', kind: 'thrown', atMs: clockMs('05:00'), sign: 'orange' }) })).toMatchObject({ why: 'thrown' });
}); // prettier-ignore

test('fed as the day asked, the feed is a fact, whatever the jar holds then; not ripe yet, the dough waits for it', () => {
  const starters = jar(fedAt(clockMs('08:00') - 48 * HOUR, 100));
  const saved = dayWith(dayOf('21:00'), laidOut(dayOf('21:00'), '06:00', { starters, life: AWAKE }));
  const feedId = Object.keys(saved.batches[0]!.at).find((id) => id.startsWith('feed '))!;
  const { startMs, endMs } = saved.batches[0]!.at[feedId]!;
  const edited = (edit: Parameters<typeof editDay>[1], ms: number) => {
    const made = editDay(saved, edit, ms);
    if (!made.ok) throw new Error(made.problem.code);
    return made.value;
  };
  const of = { batchId: BATON, blockId: feedId };
  const begun = edited({ type: 'begun', ...of, atMs: startMs }, startMs);
  const empty = jar(...starters.starters[0]!.log, { id: '00000000-0000-4000-8000-000000000003', kind: 'taken', massG: 95, atMs: startMs });
  const after = laidOut(begun, startMs + HOUR, { starters: empty, life: AWAKE });
  expect(after.batches[0]).toMatchObject({ variantId: saved.batches[0]!.variantId, short: null });
  expect(blocksOf(after)[0]).toMatchObject({ kind: 'feed', state: 'running', startMs });
  expect(after.changes).toEqual([]);
  const mixBefore = blocksOf(after)[1]!.startMs;
  const longer = edited({ type: 'longer', ...of, startMs, lastsS: (mixBefore - startMs) / 1000 + 5400 }, startMs);
  const waiting = laidOut(longer, mixBefore, { starters: empty, life: AWAKE });
  expect(blocksOf(waiting)[1]!.startMs).toBeGreaterThanOrEqual(mixBefore + 5_400_000);
  expect(endMs).toBeLessThanOrEqual(mixBefore);
}); // prettier-ignore
