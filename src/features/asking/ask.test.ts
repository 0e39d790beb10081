import { ask } from './ask';
import { pairing } from './pairing';

const answerWith = (status: number, body: unknown) => {
  global.fetch = jest.fn(() =>
    Promise.resolve({ ok: status < 300, status, json: () => Promise.resolve(body) } as Response),
  );
};

test('an answer is handed on; a body is sent as JSON, none is a plain reading', async () => {
  answerWith(200, { id: 'x' });
  expect(await ask('/api/a', { say: 1 })).toEqual({ kind: 'ok', value: { id: 'x' } });
  expect(fetch).toHaveBeenLastCalledWith(
    '/api/a',
    expect.objectContaining({ method: 'POST', body: '{"say":1}' }),
  );
  await ask('/api/b');
  expect(fetch).toHaveBeenLastCalledWith('/api/b', { cache: 'no-store', signal: null });
});

test('what may be asked again just as it is, is told from what may not', async () => {
  for (const status of [429, 500, 502, 503, 504]) {
    answerWith(status, {});
    expect(await ask('/x', {})).toEqual({ kind: 'unreachable', full: false });
  }
  answerWith(507, { error: { kind: 'full' } });
  expect(await ask('/x', {})).toEqual({ kind: 'unreachable', full: true });
  global.fetch = jest.fn(() => Promise.reject(new TypeError('Failed to fetch')));
  expect(await ask('/x', {})).toEqual({ kind: 'unreachable', full: false });
  for (const [status, why] of [
    [403, 'forbidden'],
    [404, 'notFound'],
    [413, 'tooBig'],
    [400, 'broken'],
  ] as const) {
    answerWith(status, { error: {} });
    expect(await ask('/x', {})).toEqual({ kind: 'refused', why });
  }
});

test('a device that is not paired any more is told from a server that does not answer', async () => {
  const told: boolean[] = [];
  const leave = pairing.subscribe(() => told.push(pairing.isPaired()));
  for (const status of [200, 401, 401, 503, 401, 403]) {
    answerWith(status, {});
    await ask('/x', {});
  }
  global.fetch = jest.fn(() => Promise.reject(new TypeError('Failed to fetch')));
  await ask('/x', {});
  leave();
  expect(told).toEqual([false, true, false, true]);
});

test('a conflict and a fault carry what is needed to say so; half an answer is none', async () => {
  answerWith(409, { error: { kind: 'stale', revision: 7, savedAtMs: 5 } });
  expect(await ask('/x', {})).toEqual({ kind: 'stale', revision: 7, savedAtMs: 5 });
  answerWith(422, { error: { kind: 'invalid', problems: [{ code: 'tooWet', path: 'a' }] } });
  expect(await ask('/x', {})).toEqual({ kind: 'invalid', problems: [{ code: 'tooWet', path: 'a' }] });
  global.fetch = jest.fn(() =>
    Promise.resolve({
      ok: true,
      status: 200,
      json: () => Promise.reject(new SyntaxError('cut off')),
    } as Response),
  );
  expect(await ask('/x', {})).toEqual({ kind: 'unreachable', full: false });
});
