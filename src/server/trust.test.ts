import { takeToken } from './rateLimit';
import { knownId } from './knownId';
import { isTrustedHost, isTrustedOrigin } from './trust';

afterEach(() => {
  delete process.env.CRUMB_LISTEN;
});

test('only this machine’s own names are ours, whatever a name service says', () => {
  for (const host of ['localhost', 'localhost:4310', '127.0.0.1:4310', '[::1]:4310', 'LOCALHOST:1']) {
    expect([host, isTrustedHost(host)]).toEqual([host, true]);
  }
  for (const host of [
    null,
    '',
    'kitchen.example',
    '127.0.0.1.kitchen.example',
    'localhost.kitchen.example:4310',
    '192.168.1.4',
  ]) {
    expect([host, isTrustedHost(host)]).toEqual([host, false]);
  }
});

test('listening beyond the machine trusts bare addresses, never names', () => {
  process.env.CRUMB_LISTEN = '0.0.0.0';
  expect(isTrustedHost('192.168.1.4:4310')).toBe(true);
  expect(isTrustedHost('[fe80::1]:4310')).toBe(true);
  expect(isTrustedHost('kitchen.example')).toBe(false);
  process.env.CRUMB_LISTEN = '127.0.0.1';
  expect(isTrustedHost('192.168.1.4:4310')).toBe(false);
});

test('a write comes from a page of the same host, or from no page at all', () => {
  const from = (headers: Record<string, string>) =>
    isTrustedOrigin(new Headers({ host: '127.0.0.1:4310', ...headers }));
  expect(from({ origin: 'http://127.0.0.1:4310' })).toBe(true);
  expect(from({})).toBe(true);
  expect(from({ 'sec-fetch-site': 'cross-site' })).toBe(false);
  expect(from({ origin: 'http://127.0.0.1:9999' })).toBe(false);
  expect(from({ origin: 'null' })).toBe(false);
  expect(from({ origin: 'https://kitchen.example' })).toBe(false);
});

test('a flood runs dry and comes back with time', () => {
  let taken = 0;
  while (takeToken(1_000_000)) taken += 1;
  expect(taken).toBe(240);
  expect(takeToken(1_000_000)).toBe(false);
  expect(takeToken(1_000_100)).toBe(true);
});

test('only ids reach a query', () => {
  expect(knownId('3B37F07C-ffe9-41e6-97f9-3c02bd7cc1a9')).toBe('3b37f07c-ffe9-41e6-97f9-3c02bd7cc1a9');
  for (const id of ['', 'x', "'; drop table bake; --", '3b37f07c-ffe9-41e6-97f9-3c02bd7cc1a9/..'])
    expect(knownId(id)).toBeNull();
});
