import { secondHand, type TickPort } from './secondHand';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('a thread that cannot be loaded is replaced by the page’s own clock, until one can be', () => {
  const started: (TickPort & { ended: boolean })[] = [];
  const start = (): TickPort => {
    const port = { onmessage: null, onerror: null, ended: false, terminate: () => void (port.ended = true) };
    started.push(port);
    return port;
  };
  const tick = jest.fn();
  const end = secondHand(start, tick);
  const preventDefault = jest.fn();
  started[0]?.onerror?.({ preventDefault });
  expect(preventDefault).toHaveBeenCalledTimes(1);
  expect(started[0]?.ended).toBe(true);
  jest.advanceTimersByTime(5000);
  expect(tick).toHaveBeenCalledTimes(5);
  // tried again, and lost again: still once a second
  jest.advanceTimersByTime(25_000);
  expect(started).toHaveLength(2);
  started[1]?.onerror?.({ preventDefault });
  jest.advanceTimersByTime(30_000);
  expect(tick).toHaveBeenCalledTimes(60);
  expect(started).toHaveLength(3);
  // the third one ticks: the page's own clock is put away
  started[2]?.onmessage?.({});
  jest.advanceTimersByTime(10_000);
  expect(tick).toHaveBeenCalledTimes(61);
  end();
  expect(started[2]?.ended).toBe(true);
});
