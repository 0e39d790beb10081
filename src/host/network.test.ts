import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, request as plainRequest } from 'node:http';
import { request as secureRequest } from 'node:https';
import { connect, type AddressInfo } from 'node:net';
import { PassThrough } from 'node:stream';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { connect as secureConnect, type PeerCertificate } from 'node:tls';
import type { PairedDevice } from '@/core/network/pairedDevice';
import { makeDoor, type Door } from '@/door/door';
import { certificateOf, type Certificate } from './certificate';
import { insecureServer, openLobby } from './lobby';

/** Certificate, lobby and both doors on a real socket, before an application that repeats what it was asked. */
const folder = mkdtempSync(path.join(tmpdir(), 'crumb-keys-'));
const NOW_MS = Date.now();
const KEY = 'k'.repeat(43);
let device: PairedDevice | null = null;
let isAway = false;
let made: Certificate;
let doors: Door[];
let lobby: ReturnType<typeof openLobby>;
let port = 0;

beforeAll(async () => {
  made = await certificateOf(folder, ['192.168.1.4'], NOW_MS);
  const local = { port: 0, listen: '127.0.0.1', addresses: () => [] };
  const standing = { ...local, scheme: 'https' as const };
  const options = {
    log: () => undefined,
    handle: async (
      request: import('node:http').IncomingMessage,
      response: import('node:http').ServerResponse,
    ) => {
      if (request.url === '/api/news') {
        response.setHeader('content-type', 'text/event-stream; charset=utf-8');
        response.write('data: 1\n\n');
        return;
      }
      let body = '';
      for await (const part of request) body += String(part);
      response.end(
        JSON.stringify({
          url: request.url,
          only: request.headers['x-crumb-only'] ?? null,
          may: request.headers['x-crumb-may'] ?? null,
          body,
        }),
      );
    },
  };
  const deviceOf = (key: string) =>
    isAway ? Promise.reject(new Error('away')) : Promise.resolve(key === KEY ? device : null);
  doors = [
    makeDoor({ ...options, standing: local }),
    makeDoor({ ...options, standing, network: { ...made, deviceOf } }),
  ];
  const insecure = insecureServer(standing, made.authority, made.fingerprint);
  lobby = openLobby({ local: doors[0]!.server, network: doors[1]!.server, insecure });
  await new Promise<void>((resolve) => lobby.server.listen(0, '127.0.0.1', resolve));
  port = (lobby.server.address() as AddressInfo).port;
  local.port = standing.port = port;
});
afterAll(async () => {
  lobby.close();
  await Promise.all(doors.map((door) => door.close(0)));
  rmSync(folder, { recursive: true });
});
beforeEach(() => {
  device = { id: 'x', address: 'mill', may: 'bench' };
  isAway = false;
});

interface Asked {
  readonly method?: string;
  readonly headers?: Record<string, string>;
  readonly body?: string;
  readonly cookie?: boolean;
}
interface Answer {
  readonly status: number;
  readonly location: string | undefined;
  readonly body: string;
}
/** From the network, and by a browser that trusts the authority. */
const ask = (at: string, { method = 'GET', headers = {}, body, cookie = true }: Asked = {}, secure = true): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const options = { host: '127.0.0.1', servername: 'localhost', port, path: at, method, agent: false, ca: made.authority,
      headers: { host: `127.0.0.1:${port}`, ...(cookie && { cookie: `a=b; __Host-crumb-device=${KEY}` }), ...headers } };
    const sent = (secure ? secureRequest : plainRequest)(options, (answer) => {
      let text = '';
      answer.on('data', (part: Buffer) => (text += part.toString()));
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, location: answer.headers.location, body: text }));
    });
    sent.on('error', reject);
    sent.end(body);
  }); // prettier-ignore
const post = (at: string, more: Asked = {}) =>
  ask(at, {
    method: 'POST',
    body: '{}',
    ...more,
    headers: { 'content-type': 'application/json', origin: `https://127.0.0.1:${port}`, ...more.headers },
  });
const shown = (servername: string): Promise<PeerCertificate & { authorized: boolean }> =>
  new Promise((resolve, reject) => {
    const socket = secureConnect({ host: '127.0.0.1', port, ca: made.authority, servername }, () => {
      resolve({ ...socket.getPeerCertificate(), authorized: socket.authorized });
      socket.destroy();
    });
    socket.on('error', reject);
  });

test('the certificate is for this machine’s names and addresses, and holds for whoever trusts its authority', async () => {
  const { subjectaltname, authorized } = await shown('localhost');
  expect(authorized).toBe(true);
  expect(subjectaltname).toContain('IP Address:192.168.1.4');
  await expect(shown('kitchen.example')).rejects.toThrow(/altnames/i);
});

test('it stays as it is from start to start; for another address, or when it runs out, it is made anew under the same authority', async () => {
  const again = await certificateOf(folder, ['192.168.1.4'], NOW_MS);
  expect(again).toEqual(made);
  const moved = await certificateOf(folder, ['192.168.1.9'], NOW_MS);
  expect([moved.cert === made.cert, moved.authority, moved.fingerprint]).toEqual([
    false,
    made.authority,
    made.fingerprint,
  ]);
  const later = await certificateOf(folder, ['192.168.1.9'], NOW_MS + 370 * 86_400_000);
  expect([later.cert === moved.cert, later.fingerprint]).toEqual([false, made.fingerprint]);
  expect(made.fingerprint).toMatch(/^(?:[0-9A-F]{2}:){31}[0-9A-F]{2}$/);
});

test('one port: this machine plainly, paired devices securely', async () => {
  expect(await ask('/k/mill', { cookie: false }, false)).toMatchObject({ status: 200, body: JSON.stringify({ url: '/k/mill', only: null, may: null, body: '' }) });
  // a write of more than one packet arrives whole
  const body = JSON.stringify({ text: 'x'.repeat(100_000) });
  const plain = await ask('/api/kit', { method: 'POST', body, headers: { 'content-type': 'application/json' } }, false);
  expect((JSON.parse(plain.body) as { body: string }).body).toBe(body);
  const bake = '/api/k/mill/bakes/0b9c1f6e-2f0a-4c1e-9a53-1f0e3c9f1a2b/taps';
  const secure = await post(bake, { body });
  expect(JSON.parse(secure.body)).toEqual({ url: bake, only: 'mill', may: 'bench', body });
}); // prettier-ignore

test('who is not paired sees the page to pair and nothing else; who is, what it was paired for', async () => {
  const as = async (at: string, more: Asked = {}) => {
    const { status, location } = await ask(at, more);
    return `${status}${location ? ` ${location}` : ''}`;
  };
  const nobody = { cookie: false };
  expect([await as('/', nobody), await as('/k/mill', nobody), await as('/api/k/mill/timers', nobody), await as('/pair', nobody), await as('/_next/static/a.js', nobody)])
    .toEqual(['303 /pair', '303 /pair', '401', '200', '200']);
  expect([(await post('/api/pairing', nobody)).status, (await ask('/api/pairing', nobody)).status]).toEqual([200, 401]);
  expect([await as('/'), await as('/k/mill'), await as('/api/k/mill/timers'), await as('/k/other'), await as('/api/k/other/timers'), await as('/api/k/mill/devices')])
    .toEqual(['303 /k/mill', '200', '200', '303 /k/mill', '403', '403']);
  expect((await post('/api/k/mill/kit')).status).toBe(403);
  device = { ...device!, may: 'all' };
  expect((await post('/api/k/mill/kit')).status).toBe(200);
  // what only the door may say, said from outside
  expect(await ask('/api/k/mill/timers', { headers: { 'x-crumb-only': 'other' } })).toMatchObject({ body: expect.stringContaining('"only":"mill"') as string });
  expect((await ask('/k/mill', { cookie: false, headers: { 'x-crumb-only': 'other' } }, false)).body).toContain('"only":null');
  expect((await ask('/k/mill', { headers: { 'x-crumb-may': 'look' } })).body).toContain('"may":"all"');
  device = null;
  expect([await as('/k/mill'), await as('/api/k/mill/timers')]).toEqual(['303 /pair', '401']);
  isAway = true;
  expect(await as('/k/mill')).toBe('503');
}); // prettier-ignore

test('pages of others write nothing, by whatever scheme; this machine pairs with nothing', async () => {
  for (const origin of ['http://kitchen.example', `http://127.0.0.1:${port}`, 'null'])
    expect([origin, (await post('/api/k/mill/bakes', { headers: { origin } })).status]).toEqual([
      origin,
      403,
    ]);
  expect((await ask('/k/mill', { headers: { host: `kitchen.example:${port}` } })).status).toBe(403);
  const here = { method: 'POST', body: '{}', headers: { 'content-type': 'application/json' } };
  expect((await ask('/api/pairing', here, false)).status).toBe(403);
});

test('a code is tried five times in a row, no more', async () => {
  const tried: number[] = [];
  for (let count = 0; count < 8; count += 1)
    tried.push((await post('/api/pairing', { cookie: false })).status);
  expect(tried.filter((status) => status === 200).length).toBeLessThanOrEqual(5);
  expect(tried.at(-1)).toBe(429);
});

test('a device whose key is withdrawn hears no more news', async () => {
  jest.useFakeTimers({ doNotFake: ['nextTick', 'setImmediate', 'queueMicrotask', 'performance'] });
  const door = makeDoor({
    standing: { port, listen: '127.0.0.1', addresses: () => [], scheme: 'https' },
    log: () => undefined,
    handle: (_request, response) => {
      response.setHeader('content-type', 'text/event-stream');
      response.write('data: 1\n\n');
      return Promise.resolve();
    },
    network: { ...made, deviceOf: () => Promise.resolve(device) },
  });
  await new Promise<void>((resolve) => door.server.listen(0, '127.0.0.1', resolve));
  const at = (door.server.address() as AddressInfo).port;
  const ended = new Promise<string>((resolve, reject) => {
    const sent = secureRequest({ host: '127.0.0.1', servername: 'localhost', port: at, path: '/api/news', agent: false, ca: made.authority, headers: { host: `127.0.0.1:${port}`, cookie: `__Host-crumb-device=${KEY}` } }, (answer) => {
      let text = '';
      answer.on('data', (part: Buffer) => {
        text += part.toString();
        device = null;
        jest.advanceTimersByTime(5000);
      });
      answer.on('error', () => resolve(text));
      answer.on('close', () => resolve(text));
    });
    sent.on('error', reject);
    sent.end();
  });
  expect(await ended).toBe('data: 1\n\n');
  jest.useRealTimers();
  await door.close(0);
}); // prettier-ignore

test('from the network without a secure connection: what is missing, and the certificate', async () => {
  const server = insecureServer({ port: 4310, listen: '127.0.0.1', addresses: () => [], scheme: 'https' }, made.authority, made.fingerprint);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const at = (server.address() as AddressInfo).port;
  const get = (where: string, method = 'GET', host = '127.0.0.1:4310') =>
    new Promise<Answer>((resolve, reject) => {
      const sent = plainRequest({ host: '127.0.0.1', port: at, path: where, method, agent: false, headers: { host } }, (answer) => {
        let text = '';
        answer.on('data', (part: Buffer) => (text += part.toString()));
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, location: undefined, body: text }));
      });
      sent.on('error', reject);
      sent.end();
    });
  const page = await get('/k/mill');
  expect(page.body).toContain('This connection is not secure');
  expect(page.body).toContain(made.fingerprint);
  expect(page.body).toContain('https://127.0.0.1:4310');
  expect(page.body).not.toContain('mill');
  expect((await get('/honest-crumb.crt')).body).toBe(made.authority);
  expect([(await get('/', 'POST')).status, (await get('/', 'GET', 'kitchen.example:4310')).status]).toEqual([403, 403]);
  server.close();
  server.closeAllConnections();
}); // prettier-ignore

test('plainly only this machine gets in, whoever says what first: the network is shown what is missing', async () => {
  const shown: string[] = [];
  const stub = (name: string) => createServer().on('connection', () => void shown.push(name));
  const { server } = openLobby({
    local: stub('local'),
    network: stub('network'),
    insecure: stub('insecure'),
  });
  const comes = async (remoteAddress: string | undefined, first: number) => {
    const socket = Object.assign(new PassThrough(), { remoteAddress });
    server.emit('connection', socket);
    socket.write(Buffer.from([first]));
    await new Promise((resolve) => setImmediate(resolve));
    socket.destroy();
    return shown.splice(0).join();
  };
  const plain = 'G'.charCodeAt(0);
  for (const here of ['127.0.0.1', '127.8.0.1', '::1', '::ffff:127.0.0.1'])
    expect([here, await comes(here, plain)]).toEqual([here, 'local']);
  for (const there of [
    '192.168.1.4',
    '::ffff:192.168.1.4',
    '10.127.0.1',
    '1270::1',
    'fe80::1',
    '::10',
    undefined,
  ])
    expect([there, await comes(there, plain)]).toEqual([there, 'insecure']);
  for (const anybody of ['127.0.0.1', '192.168.1.4'])
    expect([anybody, await comes(anybody, 22)]).toEqual([anybody, 'network']);
});

test('who says nothing in the lobby, or nonsense, keeps nobody waiting', async () => {
  const quiet = connect(port, '127.0.0.1');
  const nonsense = connect(port, '127.0.0.1', () => nonsense.end('\u0016nonsense'));
  await new Promise<void>((resolve) => nonsense.on('close', () => resolve()).on('error', () => undefined));
  expect((await ask('/k/mill')).status).toBe(200);
  quiet.destroy();
});
