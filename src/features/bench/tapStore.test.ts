import { tapStore } from './tapStore';
import type { WaitingTap } from './outbox';

const tap = (eventId: string, madeAtMs: number): WaitingTap => ({
  eventId,
  madeAtMs,
  action: { type: 'noted', text: eventId },
});
beforeEach(() => localStorage.clear());

test('a new page takes over what earlier pages of the same bake left, in the order it was made', () => {
  tapStore('bake').save([tap('b', 20)]);
  tapStore('bake').save([tap('a', 10), tap('c', 30)]);
  tapStore('other').save([tap('x', 1)]);
  const store = tapStore('bake');
  expect(store.load().map(({ eventId }) => eventId)).toEqual(['a', 'b', 'c']);
  expect(localStorage).toHaveLength(2);
  store.save([]);
  expect(localStorage).toHaveLength(1);
  expect(tapStore('bake').load()).toEqual([]);
});

test('rubbish in the storage does not stand in the way of taps', () => {
  localStorage.setItem('crumb-taps:bake:1', '{broken');
  localStorage.setItem('crumb-taps:bake:2', '{"not":"a list"}');
  localStorage.setItem('crumb-taps:bake:3', JSON.stringify([5, null, { eventId: 'x' }, tap('good', 5)]));
  expect(
    tapStore('bake')
      .load()
      .map(({ eventId }) => eventId),
  ).toEqual(['good']);
});

test('a storage that refuses loses nothing that the page still holds', () => {
  const store = tapStore('bake');
  const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  expect(() => store.save([tap('a', 1)])).not.toThrow();
  full.mockRestore();
});
