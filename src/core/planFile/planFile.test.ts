import { readFileSync } from 'node:fs';
import type { Formula } from '../formula';
import { line } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { newStep } from '../method';
import { fed, starter, told } from '../starter/testStarters';
import { planDayFile } from './planFile';

const kitchen = JSON.parse(readFileSync('src/demo/larkspurLock.json', 'utf8')) as object;
const SUPPER = {
  format: 'honest-crumb.day',
  version: 1,
  now: '2026-11-28T07:00:00Z',
  until: '2026-11-28T23:00:00Z',
  life: { zone: 'Europe/Lisbon', away: [{ days: [6], from: '14:00', to: '17:00' }] },
  kitchen,
  batches: [{ id: 'discs', formula: 'pizza-discs', ready: '2026-11-28T19:00:00Z' }],
};
const plan = (more: object = {}) => planDayFile(JSON.stringify({ ...SUPPER, ...more }), libraryBook);

test('supper at seven, out from two to five: baked once before, topped and finished after', () => {
  const made = plan();
  if (!made.ok) throw new Error(`${made.problem.code} ${made.problem.path}`);
  const { batches, calls, ovens, score } = made.value;
  expect(score).toMatchObject({ unplaced: 0, lateMin: 0, unwantedMin: 0 });
  expect(batches).toEqual([
    {
      id: 'discs',
      placed: true,
      made: 'as written',
      ready: '2026-11-28T19:00:00.000Z',
      // finished in the last half hour: nothing rises any more that could be late
      readyBetween: { from: '2026-11-28T19:00:00.000Z', to: expect.stringMatching(/T19:0[0-5]/) as string },
      chance: 1,
      wanted: { from: '2026-11-28T19:00:00.000Z', to: '2026-11-28T19:00:00.000Z' },
    },
  ]);
  const bakes = calls.filter(({ kind }) => kind === 'bake');
  expect(bakes.map(({ from }) => from.slice(11, 16))).toEqual([
    '13:15', '13:25', '13:35', '13:45', '18:25', '18:35', '18:45', '18:55',
  ]); // prettier-ignore
  // ten minutes before anybody leaves all is done
  // nothing is asked of anybody while nobody is there
  for (const { from, to, handsOn } of calls)
    if (handsOn) expect(to.slice(11, 16) <= '14:00' || from.slice(11, 16) >= '17:00').toBe(true);
  // par-baked by two, cold by six: the stone is heated for the finish as well, by somebody who is back
  expect(ovens).toMatchObject([
    { at: '2026-11-28T12:25:00.000Z', ovenId: 'range', setC: 290, plate: 'stone' },
    { at: '2026-11-28T17:30:00.000Z', setC: 300, plate: 'stone' },
  ]);
  expect(plan()).toEqual(made);
});

test('what comes too late is said, with when it could be ready', () => {
  const made = plan({ batches: [{ id: 'late', formula: 'supper-rolls', ready: '2026-11-28T08:00:00Z' }] });
  const [late] = made.ok ? made.value.batches : [];
  expect(late).toMatchObject({ placed: true, collision: { cause: { kind: 'time' } } });
  expect(late?.collision?.waysOut).toEqual([{ kind: 'later', ready: late?.ready }]);
});

test('a starter of the kitchen is fed in time, and what is put by is taken out; with neither hands nor a jar for it that is said', () => {
  const jar = starter(told([-4, fed(25, 50, 50)]));
  const [first] = (kitchen as { formulas: { revisions: { formula: Formula }[] }[] }).formulas;
  const { formula } = first!.revisions.at(-1)!;
  const rolls = { ...formula, name: 'Sour rolls', stages: [{ id: 'main', kind: 'main', name: 'Dough', lines: [line('white-rice-flour', 300), line('water', 240), line('salt', 6), line('psyllium-husk', 15), line('sorghum-starter', 120)] }], steps: [newStep('mix', 'mix'), { ...newStep('bulk', 'bulk'), minS: 7200, maxS: 7200 }, { ...newStep('bake', 'bake'), minS: 1800, tempC: 230 }], ways: undefined };
  const withJar = { ...kitchen, version: 11, life: null, orders: null, starters: { starters: [jar] }, formulas: [...(kitchen as { formulas: object[] }).formulas, { key: 'sour', archivedAt: null, branchedFrom: null, revisions: [{ savedAt: '2026-11-01T08:00:00Z', formula: rolls }] }] };
  const made = plan({
    version: 2, kitchen: withJar, until: '2026-11-29T07:00:00Z',
    batches: [{ id: 'sour', formula: 'sour', ready: '2026-11-28T21:30:00Z' }, { id: 'frozen', formula: 'lock-dough', ready: '2026-11-28T20:30:00Z', takenOut: { wayId: 'frozen', pieces: 4 } }],
  });
  if (!made.ok) throw new Error(`${made.problem.code} ${made.problem.path}`);
  const { batches, calls } = made.value;
  expect(batches.map(({ id, ready }) => [id, ready?.slice(11, 16)])).toEqual([['sour', '21:30'], ['frozen', '20:30']]);
  const feed = calls.find(({ kind }) => kind === 'feed')!;
  const mix = calls.find(({ kind, batch }) => kind === 'mix' && batch === 'sour')!;
  expect(feed).toMatchObject({ batch: 'sour', handsOn: true });
  expect(feed.to <= mix.from).toBe(true);
  const { starter: mine } = batches[0] as { starter: { name: string; seedG: number; flourG: number; waterG: number } };
  expect(mine.name).toBe('Mildred');
  expect(mine.seedG + mine.flourG + mine.waterG).toBeGreaterThanOrEqual(187);
  expect(calls.flatMap(({ batch, kind }) => (batch === 'frozen' ? [kind] : []))).toEqual(['thaw', 'proof', 'bake']);
  const thrown = { ...jar, log: told([-4, { kind: 'thrown', sign: 'pink' }]) };
  const none = plan({ version: 2, kitchen: { ...withJar, starters: { starters: [thrown] } }, batches: [{ id: 'sour', formula: 'sour', ready: null }] });
  // 120 g in 681 g of dough
  const { pieces, pieceMassG, bowlLossPercent } = formula.usualYield;
  const neededG = Math.round((120 * pieces * pieceMassG) / (1 - bowlLossPercent / 100) / 681);
  expect(none.ok && none.value.batches[0]).toMatchObject({ starter: { name: 'Mildred', why: 'thrown', neededG } });
}); // prettier-ignore

test.each<[string, object, string, string]>([
  ['another format', { format: 'honest-crumb.kitchen' }, 'wrongFormat', 'format'],
  ['a version of later', { version: 3 }, 'wrongVersion', 'version'],
  ['a formula the kitchen has not', { batches: [{ id: 'a', formula: 'brioche', ready: null }] }, 'notAllowed', 'batches.0.formula'],
  ['an order for ten thousand', { batches: [{ id: 'a', formula: 'supper-rolls', ready: null, batch: { mode: 'pieces', pieces: 10_000, pieceMassG: 85, weighed: 'dough', bakeLossPercent: 10, bowlLossPercent: 0 } }] }, 'tooLarge', 'batches.0.batch.pieces'],
  ['ready before now', { batches: [{ id: 'a', formula: 'supper-rolls', ready: '2026-11-27T19:00:00Z' }] }, 'tooSmall', 'batches.0.ready.to'],
  ['a kitchen that is none', { kitchen: { format: 'x' } }, 'wrongFormat', 'kitchen.format'],
  ['no such zone', { life: { zone: 'Nowhere' } }, 'notAllowed', 'life.zone'],
  ['what is not put by', { batches: [{ id: 'a', formula: 'lock-dough', ready: null, takenOut: { wayId: 'tin', pieces: 1 } }] }, 'unknownWay', 'batches.0.takenOut.wayId'],
  ['nothing to make', { batches: [] }, 'tooSmall', 'batches'],
])('%s is refused at its field', (_, more, code, path) => {
  const made = plan(more);
  expect(made.ok ? null : [made.problem.code, made.problem.path]).toEqual([code, path]);
}); // prettier-ignore
