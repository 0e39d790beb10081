import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { show } from '../testKitchen';
import { TimerBell } from './TimerBell';
import type { KitchenTimer } from './boardTimer';
import { timerBoard } from './timerBoard';

const ring = jest.fn();
let path = '/k/test/formulas';
jest.mock('./bell', () => ({
  ring: (...made: unknown[]) => ring(...made) as unknown,
  speak: jest.fn(),
  shake: jest.fn(),
  notify: jest.fn(),
  soundState: () => 'ready',
  listenForTouch: () => () => undefined,
}));
// a test has no threads: the second hand is its own
jest.mock('@/workers/makeTicker', () => ({
  tickEverySecond: (tick: () => void) => {
    const timer = setInterval(tick, 1000);
    return () => clearInterval(timer);
  },
}));
jest.mock('next/navigation', () => ({ usePathname: () => path, useRouter: () => ({}) }));

const timer = (endsAtMs: number, bakeId = 'b1', kitchen = 'test'): KitchenTimer => ({
  kitchen,
  bakeId,
  bakeName: 'Rolls',
  stepId: 's',
  stepKind: 'proof',
  stepTitle: 'Proof in the warm',
  call: null,
  until: '',
  endsAtMs,
  mayUntilMs: null,
});
let served: KitchenTimer[] = [];
beforeEach(() => {
  jest.useFakeTimers({ now: 1_000_000 });
  ring.mockClear();
  path = '/k/test/formulas';
  timerBoard.fromServer([], [], 0);
  global.fetch = jest.fn(() =>
    Promise.resolve({
      ok: true,
      status: 200,
      json: () => Promise.resolve({ timers: served, ovens: [], nowMs: Date.now() + 5000 }),
    } as Response),
  );
});
afterEach(() => jest.useRealTimers());
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

test('a timer rings when it is up, by the server’s clock, on whatever page, and again until it was heard', async () => {
  served = [timer(1_000_000 + 5000 + 3000)];
  show(<TimerBell />);
  await pass(2500);
  expect(ring).not.toHaveBeenCalled();
  await pass(1000);
  expect(ring).toHaveBeenCalledTimes(1);
  expect(screen.getByRole('alert')).toHaveTextContent('Time is up: Proof in the warm');
  expect(screen.getByRole('link', { name: 'Go to it' })).toHaveAttribute(
    'href',
    '/k/test/bench/b1?at=steps&step=s',
  );
  expect(document.title).toBe('(!) Proof in the warm');
  // until somebody answers
  await pass(20_000);
  expect(ring).toHaveBeenCalledTimes(2);
  await userEvent
    .setup({ advanceTimers: jest.advanceTimersByTime })
    .click(screen.getByRole('button', { name: 'Heard' }));
  expect(screen.queryByRole('alert')).toBeNull();
  expect(document.title).not.toContain('Proof');
  await pass(60_000);
  expect(ring).toHaveBeenCalledTimes(2);
  // a minute more is another end
  served = [timer(Date.now() + 5000 + 1000)];
  await pass(10_000);
  expect(ring).toHaveBeenCalledTimes(3);
});

test('what the bench itself knows is newer than what was served, and rings without a network', async () => {
  served = [];
  global.fetch = jest.fn(() => Promise.reject(new TypeError('no network')));
  path = '/k/test/bench/b1';
  show(<TimerBell />);
  act(() => timerBoard.fromBench('b1', [timer(1_002_000)], 0));
  await pass(2500);
  expect(ring).toHaveBeenCalledTimes(1);
  // its own bench says it larger: there it is only heard
  expect(screen.queryByRole('alert')).toBeNull();
  await userEvent
    .setup({ advanceTimers: jest.advanceTimersByTime })
    .click(screen.getByRole('button', { name: 'Heard: stop ringing' }));
  await pass(60_000);
  expect(ring).toHaveBeenCalledTimes(1);
  act(() => timerBoard.fromBench('b1', null, 0));
});

test('one that was over long before the page came is shown and does not ring', async () => {
  served = [timer(1_000_000 + 5000 - 900_000)];
  show(<TimerBell />);
  await pass(1000);
  expect(ring).not.toHaveBeenCalled();
  expect(screen.getByRole('alert')).toHaveTextContent('noticed 15 min late');
});

test('a timer of another kitchen rings too, and leads there', async () => {
  served = [timer(1_000_000 + 5000 + 1000, 'b7', 'mill')];
  show(<TimerBell />);
  await pass(2000);
  expect(ring).toHaveBeenCalledTimes(1);
  expect(screen.getByRole('link', { name: 'Go to it' })).toHaveAttribute(
    'href',
    '/k/mill/bench/b7?at=steps&step=s',
  );
});
