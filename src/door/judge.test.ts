import { isOurHost, isOurOrigin, type Standing } from './hosts';
import { isJson, judge, pathOf } from './judge';
import { Limits } from './limits';
import { RefusalLog } from './refusalLog';

const home: Standing = { port: 4310, listen: '127.0.0.1', addresses: () => [] };
const kitchen: Standing = { ...home, listen: '192.168.1.4' };
const everywhere: Standing = { ...home, listen: '0.0.0.0', addresses: () => ['192.168.1.4', '[fe80::1]'] };

test.each([
  ['localhost:4310', true, true, true],
  ['127.0.0.1:4310', true, true, true],
  ['[::1]:4310', true, true, true],
  ['LOCALHOST:4310', true, true, true],
  ['192.168.1.4:4310', false, true, true],
  ['[fe80::1]:4310', false, false, true],
  // another machine's address, no address at all, and our names with another port
  ['203.0.113.7:4310', false, false, false],
  ['999.999.999.999:4310', false, false, false],
  ['127.0.0.1', false, false, false],
  ['127.0.0.1:4311', false, false, false],
  ['localhost:80', false, false, false],
  ['kitchen.example:4310', false, false, false],
  ['127.0.0.1.kitchen.example:4310', false, false, false],
  ['localhost.kitchen.example:4310', false, false, false],
  ['user@127.0.0.1:4310', false, false, false],
  ['127.0.0.1:4310, kitchen.example', false, false, false],
  ['', false, false, false],
  [undefined, false, false, false],
])('host %s: on loopback %s, on one address %s, on all %s', (host, onLoopback, onOne, onAll) => {
  expect([home, kitchen, everywhere].map((standing) => isOurHost(host, standing))).toEqual([
    onLoopback,
    onOne,
    onAll,
  ]);
});

test('on the web’s own port the name stands alone', () => {
  expect(isOurHost('localhost', { ...home, port: 80 })).toBe(true);
});

test.each([
  [{ origin: 'http://127.0.0.1:4310' }, true],
  [{}, true],
  [{ 'sec-fetch-site': 'same-origin' }, false],
  [{ 'sec-fetch-site': 'cross-site' }, false],
  [{ origin: 'https://127.0.0.1:4310' }, false],
  [{ origin: 'http://127.0.0.1:9999' }, false],
  [{ origin: 'http://localhost:4310' }, false],
  [{ origin: 'null' }, false],
  [{ origin: 'https://kitchen.example' }, false],
])('a write with %j may come: %s', (headers, may) => {
  expect(isOurOrigin({ host: '127.0.0.1:4310', ...headers })).toBe(may);
});

test('only JSON in UTF-8 is JSON', () => {
  for (const type of [
    'application/json',
    'application/json; charset=utf-8',
    'Application/JSON;charset="UTF-8"',
  ])
    expect([type, isJson(type)]).toEqual([type, true]);
  for (const type of [
    undefined,
    '',
    'text/plain',
    'application/jsonx',
    'application/json+x',
    'application/json; charset=utf-16',
    'application/json;x',
    'x application/json',
  ])
    expect([type, isJson(type)]).toEqual([type, false]);
});

test('an address is decodable, plain, and goes nowhere else', () => {
  for (const url of ['/', '/bench/1?at=weigh', '/api/formulas/x', '/formulas?find=caf%C3%A9'])
    expect([url, pathOf(url)]).toEqual([url, url.split('?')[0]]);
  for (const url of [
    '/bench/%',
    '/bench/%ff',
    '/x?find=%',
    '/a%00b',
    '/a%0d%0ab',
    '/a\\b',
    '//kitchen.example/',
    'http://kitchen.example/',
    '*',
    '',
    `/${'x'.repeat(5000)}`,
    '/a/../b',
    '/a/%2e%2e/b',
  ])
    expect([url, pathOf(url)]).toEqual([url, null]);
});

/** Every kind of path under every kind of host by every kind of method: who is let in, and what the others are told. */
describe('kinds of paths × hosts × methods', () => {
  const paths = [
    '/',
    '/bench/1',
    '/api/kit',
    '/api/nope',
    '/icon.svg',
    '/icon.svgx',
    '/_next/static/a.js',
    '/_next/staticx',
    '/_next/image',
    '/bench/%',
  ];
  const hosts = ['127.0.0.1:4310', 'kitchen.example:4310'];
  const methods = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'TRACE'];
  const cases = paths.flatMap((url) =>
    hosts.flatMap((host) => methods.map((method) => ({ url, host, method }))),
  );
  test.each(cases)('$method $url as $host', ({ url, host, method }) => {
    const headers = { host, ...(method === 'POST' && { 'content-type': 'application/json' }) };
    const judged = judge({ method, url, headers }, home);
    const reads = method === 'GET' || method === 'HEAD';
    const expected =
      host !== hosts[0]
        ? 'foreignHost'
        : url === '/bench/%'
          ? 'badAddress'
          : reads || (method === 'POST' && url.startsWith('/api/'))
            ? 'in'
            : 'badMethod';
    expect(judged.ok ? 'in' : judged.why).toBe(expected);
  });
});

test('a flood runs dry, comes back with time, and dries up nobody else', () => {
  const limits = new Limits();
  let taken = 0;
  while (limits.take('a', 'write', 1000)) taken += 1;
  expect(taken).toBe(240);
  expect(limits.take('a', 'read', 1000)).toBe(true);
  expect(limits.take('b', 'write', 1000)).toBe(true);
  expect(limits.take('a', 'write', 1100)).toBe(true);
  // an instrument that has gone wild, and the bridge before all of them
  const told = (key: string) => limits.take(key, 'instrument', 1000);
  expect(Array.from({ length: 70 }, () => told('wild')).filter(Boolean)).toHaveLength(60);
  expect([told('calm'), limits.take('a', 'bridge', 1000)]).toEqual([true, true]);
  expect([limits.take('wild', 'instrument', 1100), limits.take('wild', 'instrument', 1100)]).toEqual([
    true,
    false,
  ]);
  let read = 0;
  while (limits.take('c', 'read', 1000)) read += 1;
  expect(read).toBe(1200);
});

test('refusals are written down harmlessly, and a flood of them shortly', () => {
  const lines: string[] = [];
  const log = new RefusalLog((line) => lines.push(line));
  const refused = { why: 'foreignHost' as const, client: '127.0.0.1', method: 'GET', host: 'x' };
  for (let count = 0; count < 500; count++) log.note({ ...refused, url: '/\u001b[31m\nforged line' }, 1000);
  expect(lines).toHaveLength(10);
  expect(lines[0]).toBe('refused (foreignHost): GET /?[31m?forged line from 127.0.0.1, host x');
  log.note({ ...refused, url: '/' }, 61_000);
  expect(lines[10]).toBe('refused (foreignHost): 490 more of the same');
});
