import type { News } from '@/core/news';
import { NewsCarrier, type TabWord } from './newsCarrier';

/** Tabs of one browser, with a lock, a channel, a clock and a server that are all in hand. */
function browser() {
  let nowMs = 0;
  let timers: { tab: string; atMs: number; then: () => void }[] = [];
  const streams: { heard: (text: string) => void; ended: () => void; tab: string; open: boolean }[] = [];
  let holder: { tab: string; end: () => void } | null = null;
  const queue: { tab: string; begin: () => void; end: () => void }[] = [];
  const hears = new Map<string, (word: TabWord) => void>();
  const next = () => {
    const first = queue.shift();
    if (!first) return;
    holder = first;
    first.begin();
  };
  const tab = (name: string, isSeen = true) => {
    const carrier = new NewsCarrier({
      open: (on) => {
        const stream = { ...on, tab: name, open: true };
        streams.push(stream);
        return () => (stream.open = false);
      },
      takeTask: (steal, begin, end) => {
        queue.push({ tab: name, begin, end });
        if (steal && holder) {
          const robbed = holder;
          queue.unshift(...queue.splice(queue.length - 1));
          holder = null;
          next();
          robbed.end();
        } else if (!holder) next();
      },
      tell: (word) => [...hears].forEach(([other, hear]) => other !== name && hear(word)),
      listen: (hear) => hears.set(name, hear),
      isSeen: () => isSeen,
      now: () => nowMs,
      wait: (ms, then) => {
        const timer = { tab: name, atMs: nowMs + ms, then };
        timers.push(timer);
        return () => (timers = timers.filter((each) => each !== timer));
      },
    });
    const heard: News[] = [];
    carrier.subscribe((news) => heard.push(news));
    carrier.start();
    return { carrier, heard };
  };
  return {
    tab,
    open: () => streams.filter(({ open }) => open),
    say: (news: object) => streams.filter(({ open }) => open).forEach(({ heard }) => heard(JSON.stringify(news))),
    /** The tab is closed: the browser lets go of its lock and of its channel. */
    close: (name: string) => {
      hears.delete(name);
      streams.forEach((stream) => stream.tab === name && (stream.open = false));
      queue.splice(0, queue.length, ...queue.filter((each) => each.tab !== name));
      if (holder?.tab !== name) return;
      holder = null;
      next();
    },
    /** It is there, holds its lock, and does nothing. */
    freeze: (name: string) => {
      hears.delete(name);
      timers = timers.filter(({ tab: of }) => of !== name);
      streams.forEach((stream) => stream.tab === name && (stream.heard = () => undefined));
    },
    pass: (ms: number) => {
      const untilMs = nowMs + ms;
      for (;;) {
        const due = timers.filter(({ atMs }) => atMs <= untilMs).sort((a, b) => a.atMs - b.atMs)[0];
        if (!due) break;
        timers = timers.filter((each) => each !== due);
        nowMs = due.atMs;
        due.then();
      }
      nowMs = untilMs;
    },
  };
} // prettier-ignore

const BAKE = { of: 'bake', id: 'b' } as const;

test('eight tabs carry one stream; each hears what is told on it, and the next takes it over when the carrier is closed', () => {
  const here = browser();
  const tabs = Array.from({ length: 8 }, (_, index) => here.tab(`tab ${index}`));
  expect(here.open()).toHaveLength(1);
  here.say({ of: 'hearing', is: true });
  here.say(BAKE);
  here.say({ of: 'something newer' });
  for (const { heard, carrier } of tabs) {
    expect(heard).toEqual([{ of: 'hearing', is: true }, BAKE]);
    expect(carrier.isHearing).toBe(true);
  }
  // who opens later is told that news can be heard
  expect(here.tab('late').carrier.isHearing).toBe(true);
  here.close('tab 0');
  expect(here.open().map(({ tab }) => tab)).toEqual(['tab 1']);
  // something may have been told to nobody in between: until it can be heard again every tab asks, and then once
  expect(tabs[7]?.carrier.isHearing).toBe(false);
  here.say({ of: 'hearing', is: true });
  here.say(BAKE);
  for (const { heard } of tabs.slice(1))
    expect(heard.slice(2)).toEqual([{ of: 'hearing', is: false }, { of: 'hearing', is: true }, BAKE]);
});

test('a stream that ends is opened again, later each time, and until it is every tab knows that it has to ask', () => {
  const here = browser();
  const [one, two] = [here.tab('one'), here.tab('two')];
  here.say({ of: 'hearing', is: true });
  here.open()[0]?.ended();
  expect([one.carrier.isHearing, two.carrier.isHearing]).toEqual([false, false]);
  expect(here.open()).toHaveLength(0);
  here.pass(500);
  here.open()[0]?.ended();
  here.pass(500);
  expect(here.open()).toHaveLength(0);
  here.pass(500);
  here.say({ of: 'hearing', is: true });
  expect(two.carrier.isHearing).toBe(true);
});

test('silence is a dead connection: the carrier opens another; of a tab that sleeps the task is taken by one that is looked at', () => {
  const here = browser();
  const [asleep, hidden, seen] = [here.tab('asleep'), here.tab('hidden', false), here.tab('seen')];
  here.say({ of: 'hearing', is: true });
  here.pass(29_000);
  here.say({ of: 'beat' });
  here.pass(29_000);
  expect(seen.carrier.isHearing).toBe(true);
  here.freeze('asleep');
  here.pass(10_000);
  expect([hidden.carrier.isHearing, seen.carrier.isHearing]).toEqual([false, false]);
  expect(here.open().at(-1)?.tab).toBe('seen');
  here.say({ of: 'hearing', is: true });
  expect(hidden.carrier.isHearing).toBe(true);
  // and one that is awake but cut off
  const before = here.open().at(-1);
  here.pass(40_000);
  expect(before?.open).toBe(false);
  expect(asleep.heard).toEqual([{ of: 'hearing', is: true }]);
}); // prettier-ignore
