import { browserQueue, memoryStore } from './browserQueue';
import { findDraft, rememberDraft, type DraftPlace } from './draft';
import { takeEarlierStorage } from './earlierStorage';
import { Queue, type QueueStore } from './queue';
import type { SaveWish } from './saver';

let alive: string[] = [];
beforeEach(() => {
  alive = [];
  Object.defineProperty(navigator, 'locks', {
    configurable: true,
    value: {
      query: () => Promise.resolve({ held: alive.map((name) => ({ name: `crumb-tab:${name}` })) }),
      request: () => Promise.resolve(),
    },
  });
});

const store = memoryStore();
const inTab = (tab: string, stored: QueueStore = store): DraftPlace => ({
  queue: new Queue({ store: stored, now: () => 1000, tab }),
  lane: 'sheet:f',
  what: () => 'Changes',
  body: (wish) => wish,
});
const wish = (value: string): SaveWish<string> => ({ requestId: value, seen: 3, value });
const read = (body: unknown) => Promise.resolve(typeof body === 'object' ? (body as SaveWish<string>) : null);

test('a reload finds what this tab had not saved; once saved it is gone', async () => {
  rememberDraft(inTab('one'), wish('a'));
  await Promise.resolve();
  expect(await findDraft(inTab('one'), read)).toEqual(wish('a'));
  expect(await findDraft({ ...inTab('one'), lane: 'sheet:other' }, read)).toBeNull();
  const again = inTab('one');
  await again.queue.open();
  rememberDraft(again, null);
  expect(await findDraft(inTab('one'), read)).toBeNull();
});

test('a draft of a tab that is gone is taken over, one of a living tab is left alone', async () => {
  rememberDraft(inTab('one'), wish('theirs'));
  alive = ['one'];
  expect(await findDraft(inTab('two'), read)).toBeNull();
  alive = [];
  expect(await findDraft(inTab('two'), read)).toEqual(wish('theirs'));
  const after = inTab('two');
  await after.queue.open();
  expect(after.queue.snapshot.map(({ id }) => id)).toEqual(['sheet:f:two']);
});

test('what is no draft is set aside and shown; what cannot be read now stays for the next page', async () => {
  const place = inTab('one', memoryStore());
  await place.queue.put({ id: 'sheet:f:one', lane: 'sheet:f', what: 'Rubbish', body: 'rubbish' });
  expect(await findDraft(place, () => Promise.reject(new Error('no network')))).toBeNull();
  expect(place.queue.snapshot[0]?.refused).toBeNull();
  expect(await findDraft(place, read)).toBeNull();
  expect(place.queue.snapshot[0]?.refused).toMatchObject({ why: 'invalid' });
});

test('what the first versions saved in the browser comes along, and leaves its old place only then', async () => {
  localStorage.clear();
  const tap = { eventId: 't1', madeAtMs: 5, action: { type: 'noted', text: 'late' } };
  localStorage.setItem('crumb-taps:b1:x', JSON.stringify([tap, 7, { eventId: 1 }]));
  localStorage.setItem('crumb-draft:f1:tab9', JSON.stringify({ seen: 4, formula: { name: 'Loaf' } }));
  localStorage.setItem('crumb-outcome:b1', JSON.stringify({ pieces: '8' }));
  localStorage.setItem('crumb-draft:f2:tab9', '{broken');
  localStorage.setItem('else', 'stays');
  const full: QueueStore = { ...memoryStore(), put: () => Promise.reject(new Error('full')) };
  await expect(takeEarlierStorage(localStorage, full, 50, () => 'id')).rejects.toThrow('full');
  expect(localStorage.getItem('crumb-taps:b1:x')).not.toBeNull();
  const stored = memoryStore();
  await takeEarlierStorage(localStorage, stored, 50, () => 'id');
  expect((await stored.all()).map(({ id, lane, body, madeAtMs }) => [id, lane, body, madeAtMs])).toEqual([
    ['t1', 'taps:b1', { action: tap.action }, 5],
    ['sheet:f1:tab9', 'sheet:f1', { requestId: 'id', seen: 4, formula: { name: 'Loaf' } }, 50],
    ['form:outcome:b1', 'form:outcome:b1', { text: { pieces: '8' } }, 50],
  ]);
  expect(localStorage.getItem('else')).toBe('stays');
  expect(localStorage.getItem('crumb-taps:b1:x')).toBeNull();
});

test('one queue for all pages of a tab', () => {
  expect(browserQueue()).toBe(browserQueue());
});
