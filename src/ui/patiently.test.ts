import { patiently } from './patiently';

test('what does not arrive is asked for again after a while, as often as it takes; what is there is asked for once', async () => {
  jest.useFakeTimers();
  const load = jest
    .fn<Promise<string>, []>()
    .mockRejectedValueOnce(new Error('gone'))
    .mockRejectedValueOnce(new Error('gone'))
    .mockResolvedValue('here');
  const got = patiently(load)();
  await jest.advanceTimersByTimeAsync(2999);
  expect(load).toHaveBeenCalledTimes(1);
  await jest.advanceTimersByTimeAsync(3001);
  expect(await got).toBe('here');
  await jest.advanceTimersByTimeAsync(60_000);
  expect(load).toHaveBeenCalledTimes(3);
  jest.useRealTimers();
});
