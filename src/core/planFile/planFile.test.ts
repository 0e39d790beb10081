import { readFileSync } from 'node:fs';
import { libraryBook } from '../ingredients';
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

test.each<[string, object, string, string]>([
  ['another format', { format: 'honest-crumb.kitchen' }, 'wrongFormat', 'format'],
  ['a version of later', { version: 2 }, 'wrongVersion', 'version'],
  ['a formula the kitchen has not', { batches: [{ id: 'a', formula: 'brioche', ready: null }] }, 'notAllowed', 'batches.0.formula'],
  ['an order for ten thousand', { batches: [{ id: 'a', formula: 'supper-rolls', ready: null, batch: { mode: 'pieces', pieces: 10_000, pieceMassG: 85, weighed: 'dough', bakeLossPercent: 10, bowlLossPercent: 0 } }] }, 'tooLarge', 'batches.0.batch.pieces'],
  ['ready before now', { batches: [{ id: 'a', formula: 'supper-rolls', ready: '2026-11-27T19:00:00Z' }] }, 'tooSmall', 'batches.0.ready.to'],
  ['a kitchen that is none', { kitchen: { format: 'x' } }, 'wrongFormat', 'kitchen.format'],
  ['no such zone', { life: { zone: 'Nowhere' } }, 'notAllowed', 'life.zone'],
  ['nothing to make', { batches: [] }, 'tooSmall', 'batches'],
])('%s is refused at its field', (_, more, code, path) => {
  const made = plan(more);
  expect(made.ok ? null : [made.problem.code, made.problem.path]).toEqual([code, path]);
}); // prettier-ignore
