import { KitchenClock, kitchenClock, setKitchenClock } from './clock';

function rig(before: number | null = null) {
  const time = { wall: 1_000_000_000, steady: 5000 };
  const clock = new KitchenClock({ wallMs: () => time.wall, steadyMs: () => time.steady }, before);
  const pass = (ms: number) => {
    time.wall += ms;
    time.steady += ms;
  };
  return { clock, time, pass };
}

test('a clock that is set, forwards or back, changes no length; it is told once, and believed again when asked to', () => {
  for (const jumpMs of [3_600_000, -3_600_000, 365 * 86_400_000]) {
    const { clock, time, pass } = rig();
    const startedAt = clock.nowMs();
    pass(60_000);
    time.wall += jumpMs;
    pass(60_000);
    expect(clock.nowMs() - startedAt).toBe(120_000);
    expect([clock.newJumpMs(), clock.newJumpMs(), clock.jumpedMs()]).toEqual([jumpMs, 0, jumpMs]);
    clock.settle();
    expect([clock.nowMs(), clock.jumpedMs()]).toEqual([time.wall, 0]);
  }
});

test('the nudges of a time server are no jump', () => {
  const { clock, time, pass } = rig();
  time.wall += 900;
  pass(1000);
  expect([clock.jumpedMs(), clock.newJumpMs()]).toEqual([0, 0]);
});

test('the next process of the same boot goes on from where this one was, also if the clock was set in between', () => {
  const first = rig();
  first.time.wall += 3_600_000;
  const second = rig(first.clock.ahead);
  second.time.wall += 3_600_000;
  expect(second.clock.nowMs()).toBe(first.clock.nowMs());
  expect(new KitchenClock({ wallMs: () => 10_500, steadyMs: () => 500 }, 9000).nowMs()).toBe(10_500);
});

test('two seconds are a nudge and more is a jump, between two processes as within one', () => {
  const { clock, time } = rig();
  for (const [setMs, jumpMs] of [
    [2000, 0],
    [-2000, 0],
    [2001, 2001],
    [-2001, -2001],
  ] as const) {
    time.wall = 1_000_000_000 + setMs;
    expect(clock.jumpedMs()).toBe(jumpMs);
  }
  // told anew only when it jumps again
  time.wall = 1_000_010_000;
  expect([clock.newJumpMs(), clock.newJumpMs()]).toEqual([10_000, 0]);
  time.wall += 2000;
  expect(clock.newJumpMs()).toBe(0);
  time.wall += 2001;
  expect(clock.newJumpMs()).toBe(14_001);
  const next = (before: number | null) =>
    new KitchenClock({ wallMs: () => 50_000, steadyMs: () => 1000 }, before).nowMs();
  // wall less steady is 49 000 now
  expect([next(null), next(49_000), next(47_000), next(46_999), next(51_001)]).toEqual([
    50_000, 50_000, 50_000, 47_999, 52_001,
  ]);
});

test('a process has one clock: the machine’s until the host sets another', () => {
  const first = kitchenClock();
  expect(kitchenClock()).toBe(first);
  expect(Math.abs(first.nowMs() - Date.now())).toBeLessThan(2000);
  const other = rig().clock;
  setKitchenClock(other);
  expect(kitchenClock()).toBe(other);
  setKitchenClock(first);
});
