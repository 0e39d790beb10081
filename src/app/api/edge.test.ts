import * as z from 'zod';
import { done, failed, invalid } from '@/server/failure';
import { answer, notFound, reading, writing } from './edge';

const HOST = '127.0.0.1:4310';
const schema = z.strictObject({ grams: z.number().min(1) });
const ask = (body: BodyInit | null, headers: Record<string, string> = {}) =>
  new Request(`http://${HOST}/api/x`, {
    method: 'POST',
    body,
    headers: { host: HOST, 'content-type': 'application/json', ...headers },
  });
const taken: unknown[] = [];
const write = async (request: Request) => {
  const response = await writing(request, schema, (body) => {
    taken.push(body);
    return Promise.resolve(Response.json({ took: body.grams }));
  });
  return [
    response.status,
    (await response.json()) as { error?: { kind: string; problems?: object[] } },
  ] as const;
};
beforeEach(() => {
  taken.length = 0;
});

test('a good request reaches its work, a bad one does not, and is told why', async () => {
  expect(await write(ask('{"grams":5}'))).toEqual([200, { took: 5 }]);
  expect(await write(ask('{"grams":0}'))).toEqual([
    422,
    { error: { kind: 'invalid', problems: [{ code: 'tooSmall', path: 'grams', params: { min: 1 } }] } },
  ]);
  expect((await write(ask('{"grams":5,"more":1}')))[0]).toBe(422);
  expect((await write(ask('{"grams":')))[0]).toBe(400);
  expect((await write(ask(null)))[0]).toBe(400);
  expect((await write(ask(new Uint8Array([0x22, 0xff, 0x22]))))[0]).toBe(400);
  expect(taken).toEqual([{ grams: 5 }]);
});

test('a database that is away or full is said so, a fault of ours is not described to strangers', async () => {
  const statusOf = async (error: Error) => {
    const response = await reading(() => Promise.reject(error));
    return [response.status, await response.text()] as const;
  };
  expect((await statusOf(Object.assign(new Error('database'), { code: 'ECONNREFUSED' })))[0]).toBe(503);
  expect((await statusOf(Object.assign(new Error('database'), { code: '57P01' })))[0]).toBe(503);
  expect((await statusOf(Object.assign(new Error('database'), { code: '53100' })))[0]).toBe(507);
  const logged = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const [status, text] = await statusOf(new Error('secret path'));
  expect(status).toBe(500);
  expect(text).not.toContain('secret');
  expect(logged).toHaveBeenCalled();
  logged.mockRestore();
});

test('what a use case says becomes the answer', async () => {
  expect(answer(done({ id: 1 }), 201).status).toBe(201);
  expect(answer(invalid({ code: 'tooWet', path: 'x' })).status).toBe(422);
  const stale = answer(failed({ kind: 'stale', revision: 4, savedAtMs: 9 }));
  expect([stale.status, await stale.json()]).toEqual([
    409,
    { error: { kind: 'stale', revision: 4, savedAtMs: 9 } },
  ]);
  expect(notFound().status).toBe(404);
  expect((await reading(() => Promise.resolve(null))).status).toBe(404);
});
