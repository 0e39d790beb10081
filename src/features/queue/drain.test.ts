import type { Answer } from '../asking/ask';
import { memoryStore } from './browserQueue';
import { Drain } from './drain';
import { Queue, type QueueStore, type Waiting } from './queue';

const noted = (text: string) => ({ action: { type: 'noted', text } });

/** A browser with what its tabs left in it, a server that answers as told, a clock that the test winds. */
function rig({ left = [], alive = [] }: { left?: Partial<Waiting>[]; alive?: string[] | null }) {
  const store = memoryStore();
  const clock = { ms: 100_000 };
  const queue = new Queue({ store, now: () => clock.ms, tab: 'this' });
  const posts: { path: string; body: unknown }[] = [];
  let answerTo: (path: string, body: unknown) => Answer<unknown> = () => ({ kind: 'ok', value: {} });
  let waiting: { ms: number; then: () => void } | null = null;
  const drain = new Drain({
    queue,
    post: (path, body) => {
      posts.push({ path, body });
      return Promise.resolve(answerTo(path, body));
    },
    aliveTabs: () => Promise.resolve(alive && new Set(alive)),
    alone: (work) => work(),
    now: () => clock.ms,
    wait: (ms, then) => {
      waiting = { ms, then };
      return () => undefined;
    },
  });
  const round = async () => {
    const due = waiting;
    due?.then();
    await new Promise((resolve) => setTimeout(resolve, 5));
    return due?.ms;
  };
  const ready = store.put(
    left.map((entry, index) => ({
      id: `e${index}`, lane: 'kit', what: '', body: {}, madeAtMs: 99_000 + index, tab: 'gone', refused: null, ...entry,
    })), // prettier-ignore
  );
  return {
    queue, store, posts, clock, round, drain,
    answer: (as: typeof answerTo) => (answerTo = as),
    start: async () => {
      await ready;
      drain.start();
      await round();
    },
  }; // prettier-ignore
}

test('what a closed tab left is sent to where it belongs, in order, and is gone then', async () => {
  const { start, posts, store } = rig({
    left: [
      { lane: 'taps:b1@ours', body: noted('one') },
      { lane: 'sheet:f1@theirs', body: { seen: 1 } },
      { lane: 'taps:b1@ours', body: noted('two') },
      // from before kitchens had addresses: to the oldest
      { lane: 'ingredient:own-x', body: { entry: 1 } },
      { lane: 'form:outcome:b1', body: { text: {} } },
    ],
  });
  await start();
  expect(posts).toEqual([
    {
      path: '/api/k/ours/bakes/b1/taps',
      body: {
        taps: [
          { eventId: 'e0', agoMs: 1000, action: { type: 'noted', text: 'one' } },
          { eventId: 'e2', agoMs: 998, action: { type: 'noted', text: 'two' } },
        ],
        // nobody looks at that log
        after: 2_147_483_647,
      },
    },
    { path: '/api/k/theirs/formulas/f1/revisions', body: { seen: 1 } },
    { path: '/api/k/-/ingredients', body: { entry: 1 } },
  ]);
  // a half-written form is nobody's but its page's
  expect((await store.all()).map(({ lane }) => lane)).toEqual(['form:outcome:b1']);
});

test('what a living tab, or an open page of this one, sends itself is left alone', async () => {
  const { start, posts, queue, round } = rig({
    left: [{ tab: 'other' }, { lane: 'sheet:f1@ours', tab: 'this' }],
    alive: ['this', 'other'],
  });
  const letGo = queue.hold('sheet:f1@ours');
  await start();
  expect(posts).toEqual([]);
  letGo();
  await round();
  expect(posts.map(({ path }) => path)).toEqual(['/api/k/ours/formulas/f1/revisions']);
});

test('where tabs cannot be told apart, others are left a while', async () => {
  const { start, posts, clock, round } = rig({ left: [{ tab: 'other' }], alive: null });
  await start();
  expect(posts).toEqual([]);
  clock.ms += 20_000;
  await round();
  expect(posts).toHaveLength(1);
});

test('a dead network: tried again, ever more slowly, until it is there', async () => {
  const { start, posts, store, round, answer } = rig({ left: [{}] });
  answer(() => ({ kind: 'unreachable', full: false }));
  await start();
  expect(await round()).toBe(500);
  expect(await round()).toBe(1000);
  expect(await round()).toBe(2000);
  expect(await store.all()).toHaveLength(1);
  answer(() => ({ kind: 'ok', value: {} }));
  await round();
  expect([posts.length, (await store.all()).length]).toEqual([5, 0]);
});

test('what is refused for good stays, with its reason, alone, and is sent again only by hand', async () => {
  const { start, posts, queue, round, answer } = rig({
    left: ['a', 'bad', 'c'].map((text) => ({ lane: 'taps:b1', body: noted(text) })),
  });
  answer((_, body) =>
    JSON.stringify(body).includes('bad')
      ? { kind: 'refused', why: 'otherContent' }
      : { kind: 'ok', value: {} },
  );
  await start();
  expect(posts).toHaveLength(4);
  expect(queue.snapshot.map(({ id, refused }) => [id, refused?.why])).toEqual([['e1', 'otherContent']]);
  await round();
  expect(posts).toHaveLength(4);
  answer(() => ({
    kind: 'ok',
    value: { results: [{ eventId: 'e1', problem: { code: 'alreadyClosed', path: '' } }] },
  }));
  await queue.refuse('e1', null);
  await round();
  // the server took the request and not the tap: that is an answer too
  expect(queue.snapshot[0]?.refused).toMatchObject({ why: 'invalid', problem: { code: 'alreadyClosed' } });
});

test('a storage that refuses loses nothing that the page still holds, and says so', async () => {
  const broken: QueueStore = {
    all: () => Promise.reject(new Error('no')),
    put: () => Promise.reject(new Error('full')),
    remove: () => Promise.reject(new Error('no')),
  };
  const queue = new Queue({ store: broken, now: () => 5, tab: 'this' });
  await queue.open();
  await queue.put({ id: 'x', lane: 'kit', what: '', body: 1 });
  await queue.put({ id: 'y', lane: 'kit', what: '', body: 2 });
  expect([queue.fragile, queue.lane('kit').map(({ id }) => id)]).toEqual([true, ['x', 'y']]);
  await queue.refresh();
  expect(queue.lane('kit').map(({ id }) => id)).toEqual(['x', 'y']);
  await queue.remove(['x']);
  expect(queue.lane('kit').map(({ id }) => id)).toEqual(['y']);
});
