import { loafSheet } from '../batch/testBatch';
import { libraryBook } from '../ingredients';
import { whoSchema, type BakeAction, type BakeEvent } from './bakeEvent';
import { isWho } from './bakeLimits';
import { bakeState } from './bakeState';
import { decide } from './decide';
import { handsOf, whoDid } from './whoDid';

const salt: BakeAction = { type: 'weighed', lineId: 'salt', massG: 7 };
const water: BakeAction = { type: 'weighed', lineId: 'water', massG: 400 };
const give = (to: string): BakeAction => ({ type: 'handedOver', to, words: 'rolls at two' });
/** All at one moment: who did what is told by what was done, too. */
const log = (...events: [BakeAction, string?][]): BakeEvent[] =>
  events.map(([action, by], at) => ({ seq: at + 1, atMs: 1000, action, ...(by !== undefined && { by }) }));
const whose = (...events: [BakeAction, string?][]) => {
  const { withWhom, handover } = bakeState(0, log(...events));
  return [withWhom, handover?.to ?? null];
};

test('a bake is with whoever did something last; given away it stands so until whoever got it is at it', () => {
  expect(whose()).toEqual([null, null]);
  expect(whose([salt])).toEqual([null, null]);
  expect(whose([salt, 'Imke'], [water])).toEqual(['Imke', null]);
  expect(whose([salt, 'Imke'], [give('Rowan'), 'Imke'])).toEqual(['Rowan', 'Rowan']);
  // one more turn of the hand, or nobody said: it stays given
  expect(whose([give('Rowan'), 'Imke'], [salt, 'Imke'], [water])).toEqual(['Rowan', 'Rowan']);
  expect(whose([give('Rowan'), 'Imke'], [salt, 'Rowan'])).toEqual(['Rowan', null]);
  expect(whose([give('Rowan'), 'Imke'], [give('Imke'), 'Rowan'])).toEqual(['Imke', 'Imke']);
  expect(whose([give('Imke'), 'Imke'])).toEqual(['Imke', null]);
  expect(bakeState(0, log([give('Rowan')])).handover).toEqual({ to: 'Rowan', from: null, words: 'rolls at two', atMs: 1000 });
}); // prettier-ignore

test('what a page takes for a name is what is kept as one', () => {
  for (const name of ['Imke', ' Imke ', '', '   ', 'x'.repeat(60), 'x'.repeat(61), ` ${'x'.repeat(60)}`, 'a\u0000b', 'a\nb', '\ud83d', '👩🏽‍🍳 Ängström'])
    expect([name, isWho(name)]).toEqual([name, whoSchema.safeParse(name).success]);
}); // prettier-ignore

test('a bake that is over is given to nobody', () => {
  const over = bakeState(0, log([{ type: 'abandoned', reason: '' }]));
  expect(decide(loafSheet(), over, give('Rowan'), libraryBook)).toMatchObject({
    problem: { code: 'alreadyClosed' },
  });
});

test('who did a thing is told by what it was and when; how much each did, most first', () => {
  const events = log([salt, 'Imke'], [water, 'Rowan'], [give('Rowan'), 'Rowan'], [{ type: 'stepDone', stepId: 'mix' }]);
  expect(whoDid(events, { type: 'weighed', atMs: 1000, lineId: 'salt' })).toBe('Imke');
  expect(whoDid(events, { type: 'weighed', atMs: 1000, lineId: 'water' })).toBe('Rowan');
  expect(whoDid(events, { type: 'weighed', atMs: 1001, lineId: 'water' })).toBeNull();
  expect(whoDid(events, { type: 'stepDone', atMs: 1000, stepId: 'mix' })).toBeNull();
  expect(handsOf(events)).toEqual([
    { who: 'Rowan', count: 2 },
    { who: 'Imke', count: 1 },
  ]);
}); // prettier-ignore
