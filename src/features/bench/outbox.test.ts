import type { BakeAction, BakeEvent } from '@/core/bake';
import type { Tap } from '@/core/requests';
import type { Answer } from '../asking/ask';
import { memoryStore } from '../queue/browserQueue';
import { Queue } from '../queue/queue';
import { Outbox, type LogPlace, type StoredLog } from './outbox';

type Receipt = {
  results: { eventId: string; problem: null | { code: 'alreadyClosed' | 'alreadyDone'; path: string } }[];
  events: BakeEvent[];
  epoch: string;
  nowMs: number;
};

const salt: BakeAction = { type: 'weighed', lineId: 'salt', massG: 10 };
const note: BakeAction = { type: 'noted', text: 'damp' };

interface Left {
  eventId: string;
  madeAtMs: number;
  action: BakeAction;
}

async function rig(stored: Left[] = [], before: StoredLog | null = null, looksOn = false) {
  const sent: Tap[][] = [];
  const asked: number[] = [];
  const answers: ((answer: Answer<Receipt>) => void)[] = [];
  let waiting: (() => void) | null = null;
  let ids = 0;
  const clock = { ms: 1000 };
  const store = memoryStore();
  const lane = 'taps:bake';
  await store.put(
    stored.map(({ eventId, madeAtMs, action }) => ({
      id: eventId, lane, what: '', body: { action }, madeAtMs, tab: 'gone', refused: null,
    })), // prettier-ignore
  );
  const logs: StoredLog[] = [];
  const log: LogPlace = { load: () => Promise.resolve(before), save: (saved) => logs.push(saved) };
  const queue = new Queue({ store, now: () => clock.ms, tab: 'this' });
  const looks: number[] = [];
  const hands = { who: null as string | null, looksOn };
  const outbox: Outbox = new Outbox(
    {
      post: (taps, after) => {
        sent.push([...taps]);
        asked.push(after);
        return new Promise((resolve) => answers.push(resolve));
      },
      ask: () => void looks.push(outbox.after),
      who: () => hands.who,
      mayPress: !hands.looksOn,
      queue,
      log,
      lane,
      now: () => clock.ms,
      newId: () => `tap-${++ids}`,
      wait: (_, then) => {
        waiting = then;
        return () => (waiting = null);
      },
    },
    { events: [], epoch: 'first', nowMs: 501_000, arrivedAtMs: 1000 },
  );
  await outbox.open();
  const turn = () => new Promise((resolve) => setTimeout(resolve, 0));
  const answer = async (with_: Answer<Receipt>) => {
    answers.shift()?.(with_);
    await turn();
  };
  const tap = async (action: BakeAction) => {
    outbox.tap(action);
    await turn();
  };
  const ok = (taps: readonly Tap[], problem: Receipt['results'][0]['problem'] = null): Answer<Receipt> => ({
    kind: 'ok',
    value: {
      results: taps.map(({ eventId }) => ({ eventId, problem })),
      events: taps.map(({ action }, index) => ({ seq: index + 1, atMs: 501_000, action })),
      epoch: 'first',
      nowMs: 501_000,
    },
  });
  const unsent = async () => (await store.all()).filter(({ refused }) => !refused);
  const refused = async () => (await store.all()).filter((entry) => entry.refused).map(({ id }) => id);
  return {
    outbox,
    sent,
    asked,
    logs,
    looks,
    answer,
    ok,
    clock,
    unsent,
    refused,
    tap,
    hands,
    wind: () => waiting?.(),
  };
}

test('a tap is written down, sent, and struck out when the server has it', async () => {
  const { outbox, sent, answer, ok, unsent, tap } = await rig();
  await tap(salt);
  expect(await unsent()).toHaveLength(1);
  expect(sent).toEqual([[{ eventId: 'tap-1', agoMs: 0, action: salt }]]);
  await answer(ok(sent[0]!));
  expect(await unsent()).toEqual([]);
  expect(outbox.state).toMatchObject({ waiting: [], reachable: true, offsetMs: 500_000 });
  expect(outbox.state.events).toHaveLength(1);
});

test('a tap is of whoever was at this device when it was made, also where it waits', async () => {
  const { sent, answer, wind, tap, hands, unsent } = await rig();
  hands.who = 'Imke';
  await tap(salt);
  await answer({ kind: 'unreachable', full: false });
  hands.who = 'Rowan';
  await tap(note);
  expect((await unsent()).map(({ body }) => body)).toMatchObject([{ by: 'Imke' }, { by: 'Rowan' }]);
  wind();
  expect(sent.at(-1)!.map(({ by }) => by)).toEqual(['Imke', 'Rowan']);
});

test('a device that looks on takes nothing, and says so', async () => {
  const { outbox, sent, tap, unsent } = await rig([], null, true);
  await tap(salt);
  expect([outbox.state.refused, outbox.state.waiting, sent, await unsent()]).toEqual([{ code: 'onlyLooks', path: '' }, [], [], []]);
}); // prettier-ignore

test('through a dead network: saved, sent again with the same ids and its true age, in order', async () => {
  const { outbox, sent, answer, ok, unsent, clock, wind, tap } = await rig();
  await tap(salt);
  await answer({ kind: 'unreachable', full: false });
  expect(outbox.state.reachable).toBe(false);
  clock.ms += 5000;
  await tap(note);
  await answer({ kind: 'unreachable', full: false });
  clock.ms += 5000;
  wind();
  expect(sent.at(-1)).toEqual([
    { eventId: 'tap-1', agoMs: 10_000, action: salt },
    { eventId: 'tap-2', agoMs: 5000, action: note },
  ]);
  await answer(ok(sent.at(-1)!));
  expect(await unsent()).toEqual([]);
});

test('what a closed page left unsent goes out when the bench is opened again', async () => {
  const { sent } = await rig([{ eventId: 'old', madeAtMs: 400, action: salt }]);
  expect(sent).toEqual([[{ eventId: 'old', agoMs: 600, action: salt }]]);
});

test('a tap the server will never take is not sent for ever, and is said; one done already is not worth a word', async () => {
  const first = await rig();
  await first.tap(salt);
  await first.answer(first.ok(first.sent[0]!, { code: 'alreadyClosed', path: '' }));
  expect(first.outbox.state).toMatchObject({ waiting: [], refused: { code: 'alreadyClosed' } });
  const second = await rig();
  await second.tap(salt);
  await second.answer(second.ok(second.sent[0]!, { code: 'alreadyDone', path: '' }));
  expect(second.outbox.state).toMatchObject({ waiting: [], refused: null });
  const third = await rig();
  await third.tap(salt);
  await third.answer({ kind: 'invalid', problems: [{ code: 'tooLarge', path: 'taps.0.agoMs' }] });
  expect(third.outbox.state).toMatchObject({ waiting: [], refused: { code: 'tooLarge' } });
});

test('one bad tap among several is struck out alone', async () => {
  const taps = ['a', 'bad', 'c'].map((eventId) => ({ eventId, madeAtMs: 900, action: salt }));
  const { sent, answer, ok, unsent, refused, tap: press } = await rig(taps);
  await answer({ kind: 'invalid', problems: [{ code: 'notAllowed', path: 'taps.1' }] });
  for (let turn = 0; turn < 3; turn++) {
    const [tap] = sent.at(-1)!;
    await answer(
      tap?.eventId === 'bad'
        ? { kind: 'invalid', problems: [{ code: 'notAllowed', path: 'taps.0' }] }
        : ok(sent.at(-1)!),
    );
  }
  expect(sent.slice(1).map((batch) => batch.map(({ eventId }) => eventId))).toEqual([['a'], ['bad'], ['c']]);
  expect(await unsent()).toEqual([]);
  expect(await refused()).toEqual(['bad']);
  // the bad one is set aside, to be shown: from now on they travel together again
  await press(salt);
  await press(note);
  await press(note);
  await answer(ok(sent.at(-1)!));
  expect(sent.at(-1)).toHaveLength(2);
});

test('the server is asked for no more than what came after the log that is known', async () => {
  const { outbox, asked, sent, answer, tap } = await rig();
  const news = (...seqs: number[]): BakeEvent[] => seqs.map((seq) => ({ seq, atMs: 501_000, action: note }));
  const say = (events: BakeEvent[], epoch = 'first') => ({
    kind: 'ok' as const,
    value: { events, epoch, nowMs: 501_000 },
  });
  const seqs = () => outbox.state.events.map(({ seq }) => seq);
  outbox.look(say(news(1, 2)), 0);
  await tap(salt);
  expect(asked).toEqual([2]);
  await answer({
    kind: 'ok',
    value: {
      results: [{ eventId: sent[0]![0]!.eventId, problem: null }],
      events: news(3),
      epoch: 'first',
      nowMs: 501_000,
    },
  });
  expect([seqs(), outbox.after, outbox.state.waiting]).toEqual([[1, 2, 3], 3, []]);
  // an answer that was on its way meanwhile takes nothing back and doubles nothing
  outbox.look(say(news(3, 4)), 2);
  outbox.look(say(news(3)), 2);
  expect(seqs()).toEqual([1, 2, 3, 4]);
  const known = outbox.state;
  outbox.look(say([]), 4);
  expect(outbox.state).toBe(known);
  // a backup was restored: what is known does not hold, and is read from the beginning
  outbox.look(say(news(5), 'second'), 4);
  expect([seqs(), outbox.after]).toEqual([[1, 2, 3, 4], 0]);
  outbox.look(say(news(1), 'second'), 0);
  expect([seqs(), outbox.after]).toEqual([[1], 1]);
});

test('a page that is older than what this device knew takes up the log it had; not one of other data, nor one that is shorter', async () => {
  const events: BakeEvent[] = [1, 2].map((seq) => ({ seq, atMs: 400_000, action: note }));
  const { outbox, asked, logs, answer, ok, sent, tap } = await rig([], { epoch: 'first', events });
  expect(outbox.state.events).toEqual(events);
  // and asks only for what came after it
  await tap(salt);
  expect(asked).toEqual([2]);
  await answer({
    kind: 'ok',
    value: { ...(ok(sent[0]!) as { value: Receipt }).value, events: [{ seq: 3, atMs: 1, action: salt }] },
  });
  expect(logs.at(-1)?.events.map(({ seq }) => seq)).toEqual([1, 2, 3]);
  const other = await rig([], { epoch: 'another', events });
  expect(other.outbox.state.events).toEqual([]);
  expect(other.logs).toEqual([{ epoch: 'first', events: [] }]);
});

test('what is new while taps are on their way is asked for again after them: the answer to them may be older', async () => {
  const { outbox, looks, answer, ok, sent, tap } = await rig();
  await tap(salt);
  const events: BakeEvent[] = [1, 2].map((seq) => ({ seq, atMs: 1, action: note }));
  outbox.look({ kind: 'ok', value: { events, epoch: 'first', nowMs: 501_000 } }, 0);
  expect([outbox.state.events, looks]).toEqual([[], []]);
  await answer(ok(sent[0]!));
  expect([outbox.state.events.length, looks.length]).toEqual([1, 1]);
  // and once only
  await tap(note);
  await answer({ kind: 'unreachable', full: false });
  expect(looks).toHaveLength(1);
});
