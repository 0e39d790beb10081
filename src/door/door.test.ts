import { Agent, request as httpRequest, type IncomingHttpHeaders } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { makeDoor, type Door } from './door';

/** A door on a real socket, before an application that does what its address says. */
let door: Door;
let port = 0;
let trouble: 'database' | null = null;
let never = 0;
const standing = { port: 0, listen: '127.0.0.1', addresses: () => [] };

beforeEach(async () => {
  trouble = null;
  never = 0;
  door = makeDoor({
    standing,
    log: () => undefined,
    trouble: () => trouble,
    handle: async (request, response) => {
      const { pathname } = new URL(request.url ?? '/', 'http://x');
      if (pathname === '/broken') response.statusCode = 500;
      if (pathname.endsWith('/never')) {
        never += 1;
        if (pathname === '/api/never') await new Promise((resolve) => response.once('close', resolve));
        return;
      }
      if (pathname === '/throws') throw new Error('told to');
      if (pathname === '/api/told') {
        response.setHeader('content-type', 'text/event-stream; charset=utf-8');
        response.write('data: 1\n\n');
        return;
      }
      if (pathname === '/slow') await new Promise((resolve) => setTimeout(resolve, 300));
      response.setHeader('x-powered-by', 'something');
      let body = '';
      for await (const part of request) body += String(part);
      response.end(pathname === '/api/echo' ? body : JSON.stringify(request.headers));
    },
  });
  await new Promise<void>((resolve) => door.server.listen(0, '127.0.0.1', resolve));
  port = (door.server.address() as AddressInfo).port;
  standing.port = port;
});
afterEach(() => door.close(0));

interface Answer {
  status: number;
  headers: IncomingHttpHeaders;
  body: string;
}
const ask = (
  path: string,
  {
    method = 'GET',
    headers = {},
    body,
  }: { method?: string; headers?: Record<string, string>; body?: string | Buffer } = {},
): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const sent = httpRequest(
      {
        host: '127.0.0.1',
        port,
        path,
        method,
        agent: false,
        headers: { host: `127.0.0.1:${port}`, ...headers },
      },
      (answer) => {
        let text = '';
        answer.on('data', (part: Buffer) => (text += part.toString()));
        answer.on('end', () =>
          resolve({ status: answer.statusCode ?? 0, headers: answer.headers, body: text }),
        );
      },
    );
    sent.on('error', reject);
    sent.end(body);
  });
const raw = (text: string): Promise<string> =>
  new Promise((resolve, reject) => {
    const socket = connect(port, '127.0.0.1', () => socket.write(text));
    let received = '';
    socket.on('data', (part) => (received += part.toString()));
    socket.on('close', () => resolve(received));
    socket.on('error', reject);
  });
const json = { 'content-type': 'application/json' };

const CARRIED = [
  'content-security-policy',
  'x-content-type-options',
  'x-frame-options',
  'referrer-policy',
  'cache-control',
];

test('every answer carries the headers: pages, data, refusals, faults, and what is no HTTP at all', async () => {
  const answers = await Promise.all([
    ask('/'),
    ask('/api/kit'),
    ask('/', { headers: { host: 'kitchen.example' } }),
    ask('/', { method: 'TRACE' }),
    ask('/bench/%'),
    ask('/broken'),
    ask('/throws'),
    ask('/api/echo', { method: 'POST', headers: { 'content-type': 'application/jsonx' }, body: '{}' }),
  ]);
  expect(answers.map(({ status }) => status)).toEqual([200, 200, 403, 405, 400, 500, 500, 415]);
  for (const { headers } of answers) {
    expect(CARRIED.filter((name) => headers[name] === undefined)).toEqual([]);
    expect(headers['x-powered-by']).toBeUndefined();
    expect(headers['cache-control']).toBe('no-store');
  }
  for (const text of [
    'GARBAGE\r\n\r\n',
    'GET / HTTP/9.9\r\n\r\n',
    `GET / HTTP/1.1\r\nhost: x\r\nx: ${'y'.repeat(20_000)}\r\n\r\n`,
    'CONNECT kitchen.example:443 HTTP/1.1\r\nhost: x\r\n\r\n',
    'GET / HTTP/1.1\r\nhost: x\r\nconnection: upgrade\r\nupgrade: websocket\r\n\r\n',
  ]) {
    const received = await raw(text);
    expect(received).toMatch(/^HTTP\/1\.1 4\d\d /);
    expect(CARRIED.filter((name) => !received.includes(`${name}: `))).toEqual([]);
  }
});

test('the application gets the nonce that the answer carries, and nothing a stranger put in for it', async () => {
  const { headers, body } = await ask('/', {
    headers: {
      'content-security-policy': 'default-src *',
      'x-forwarded-host': 'kitchen.example',
      'x-middleware-subrequest': 'x',
    },
  });
  const seen = JSON.parse(body) as IncomingHttpHeaders;
  expect(seen['content-security-policy']).toBe(headers['content-security-policy']);
  expect(seen['content-security-policy']).toMatch(/script-src 'nonce-[A-Za-z0-9+/=]{24}' 'strict-dynamic';/);
  expect([seen['x-forwarded-host'], seen['x-middleware-subrequest']]).toEqual([undefined, undefined]);
});

test('a body comes whole to the application, in pieces or in one', async () => {
  const body = JSON.stringify({ text: 'ü'.repeat(1000) });
  expect((await ask('/api/echo', { method: 'POST', headers: json, body })).body).toBe(body);
  const chunked = { ...json, 'transfer-encoding': 'chunked' };
  expect((await ask('/api/echo', { method: 'POST', headers: chunked, body })).body).toBe(body);
  expect((await ask('/api/echo', { method: 'POST', headers: json })).body).toBe('');
});

test('a body over the limit is answered while it is still being sent, and the connection ends', async () => {
  const huge = Buffer.alloc(3 * 1024 * 1024, 'x');
  for (const headers of [json, { ...json, 'transfer-encoding': 'chunked' }]) {
    const answer = await ask('/api/echo', { method: 'POST', headers, body: huge });
    expect([answer.status, JSON.parse(answer.body)]).toEqual([
      413,
      { error: { kind: 'tooBig', mostBytes: 524_288 } },
    ]);
  }
  // one that says it is huge and then never sends a byte
  const received = await raw(
    `POST /api/echo HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\ncontent-type: application/json\r\ncontent-length: 99999999\r\n\r\n`,
  );
  expect(received).toMatch(/^HTTP\/1\.1 413 /);
});

test('a page that cannot be made says so itself, and looks again when it is the database', async () => {
  const ours = await ask('/broken');
  expect([ours.status, ours.body]).toEqual([500, expect.stringContaining('Something broke at our end')]);
  trouble = 'database';
  const away = await ask('/broken', { headers: { cookie: 'crumb-view=dim.g.C.metric' } });
  expect([away.status, away.headers['retry-after']]).toEqual([503, '2']);
  expect(away.body).toContain('<html lang="en" data-light="dim">');
  const nonce = /'nonce-([^']+)'/.exec(away.headers['content-security-policy'] as string)?.[1];
  expect(away.body).toContain(`<script nonce="${nonce}">`);
  // parts of pages and data are not for eyes
  expect((await ask('/broken', { headers: { rsc: '1' } })).status).toBe(500);
});

test('closing lets those inside finish, turns the next away, and waits for nobody who only holds a connection', async () => {
  const agent = new Agent({ keepAlive: true });
  await new Promise<void>((resolve) =>
    httpRequest({ port, host: '127.0.0.1', agent, headers: { host: `127.0.0.1:${port}` } }, (answer) =>
      answer.resume().on('end', resolve),
    ).end(),
  );
  const halfOpen = connect(port, '127.0.0.1', () => halfOpen.write('GET / HT'));
  halfOpen.on('error', () => undefined);
  const slow = ask('/slow');
  await new Promise((resolve) => setTimeout(resolve, 50));
  const from = performance.now();
  const closed = door.close(4000);
  expect((await slow).status).toBe(200);
  await closed;
  expect(performance.now() - from).toBeLessThan(2500);
  await expect(ask('/')).rejects.toThrow();
});

test('what is told as it comes has no end: a stop ends it at once, and waits for nothing', async () => {
  const heard = new Promise<string>((resolve, reject) => {
    const sent = httpRequest({ host: '127.0.0.1', port, path: '/api/told' }, (answer) => {
      let text = '';
      answer.on('data', (part: Buffer) => {
        text += part.toString();
        void door.close(60_000);
      });
      answer.on('close', () => resolve(text));
    });
    sent.on('error', reject);
    sent.end();
  });
  // far within the minute that others would be given
  expect(await heard).toBe('data: 1\n\n');
});

test('who never comes to an end is shown out after the grace', async () => {
  const pulling = Array.from({ length: 64 }, () => ask('/never').catch(() => 'cut'));
  while (never < 64) await new Promise((resolve) => setTimeout(resolve, 10));
  const from = performance.now();
  await door.close(200);
  expect(performance.now() - from).toBeLessThan(5000);
  expect(new Set(await Promise.all(pulling))).toEqual(new Set(['cut']));
});

test('a kitchen’s file may be larger than anything else, and is not without end', async () => {
  const json = { 'content-type': 'application/json' };
  const body = Buffer.alloc(600 * 1024, 32);
  expect((await ask('/api/echo', { method: 'POST', headers: json, body })).status).toBe(413);
  expect((await ask('/api/kitchens/import?request=x', { method: 'POST', headers: json, body })).status).toBe(
    200,
  );
  // with its pictures it is larger still
  const zip = { 'content-type': 'application/zip' };
  const big = Buffer.alloc(9 * 1024 * 1024);
  expect(
    (await ask('/api/kitchens/import?request=x', { method: 'POST', headers: zip, body: big })).status,
  ).toBe(200);
  expect((await ask('/api/echo', { method: 'POST', headers: zip, body: '{}' })).status).toBe(415);
  const archive = { ...zip, 'content-length': String(65 * 1024 * 1024) };
  expect(
    (await ask('/api/kitchens/import?request=x', { method: 'POST', headers: archive, body: big })).status,
  ).toBe(413);
  const endless = { ...json, 'content-length': String(9 * 1024 * 1024) };
  const refused = await ask('/api/kitchens/import?request=x', { method: 'POST', headers: endless, body });
  expect([refused.status, JSON.parse(refused.body)]).toEqual([
    413,
    { error: { kind: 'tooBig', mostBytes: 8 * 1024 * 1024 } },
  ]);
});

test('a picture is one by its first bytes: what is none, or is too large, is refused before it has all come', async () => {
  const bake = '0b9c1f6e-2f0a-4c1e-9a53-1f0e3c9f1a2b';
  const at = `/api/k/mill/bakes/${bake}/photos/${bake}`;
  const send = (body: Buffer, headers: Record<string, string> = {}) =>
    ask(at, { method: 'POST', headers: { 'content-type': 'image/jpeg', ...headers }, body });
  const jpeg = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(2_000_000)]);
  expect((await send(jpeg)).status).toBe(200);
  expect((await send(jpeg, { 'content-type': 'application/json' })).status).toBe(415);
  expect((await ask('/api/echo', { method: 'POST', headers: { 'content-type': 'image/jpeg' }, body: jpeg })).status).toBe(415);
  expect((await send(jpeg, { 'content-length': '20000001' })).status).toBe(413);
  const why = async (body: Buffer) => (JSON.parse((await send(body)).body) as { error: { problems: { params: object }[] } }).error.problems[0]?.params;
  expect(await why(Buffer.concat([Buffer.alloc(4), Buffer.from('ftypheic'), Buffer.alloc(9000)]))).toEqual({ why: 'heic' });
  expect(await why(Buffer.from('<svg'))).toEqual({ why: 'other' });
  // a hundred megabytes of something else: the answer is there while they are still being sent
  const received = await raw(`POST ${at} HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nContent-Type: image/png\r\nContent-Length: 19000000\r\n\r\n${'MZ'.repeat(40)}`);
  expect(received).toMatch(/^HTTP\/1\.1 422 /);
}); // prettier-ignore

test('so many pictures are taken in at once; one more is told to come again', async () => {
  const at = '/api/k/mill/bakes/0b9c1f6e-2f0a-4c1e-9a53-1f0e3c9f1a2b/photos/0b9c1f6e-2f0a-4c1e-9a53-1f0e3c9f1a2b';
  const head = `POST ${at} HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nContent-Type: image/png\r\nContent-Length: 9000\r\n\r\n`;
  const slow = Array.from({ length: 4 }, () => connect(port, '127.0.0.1', function (this: Socket) { this.write(head); }));
  await Promise.all(slow.map((socket) => new Promise((resolve) => socket.once('connect', resolve))));
  const one = () => ask(at, { method: 'POST', headers: { 'content-type': 'image/png' }, body: Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]) });
  const status = async (wanted: number) => { while ((await one()).status !== wanted) await new Promise((again) => setImmediate(again)); return wanted; };
  expect(await status(503)).toBe(503);
  slow.forEach((socket) => socket.destroy());
  expect(await status(200)).toBe(200);
}); // prettier-ignore

test('instruments have a way of their own: no browser, a pace for each key, and little at once', async () => {
  const at = '/api/instruments/readings';
  const tell = (key: string, headers: Record<string, string> = {}, body = '{}') =>
    ask(at, { method: 'POST', headers: { ...json, authorization: `Bearer ${key}`, ...headers }, body });
  const own = { origin: `http://127.0.0.1:${port}` };
  expect((await tell('a', own)).status).toBe(403);
  expect((await tell('a', { 'sec-fetch-site': 'none' })).status).toBe(403);
  expect((await ask('/api/echo', { method: 'POST', headers: { ...json, ...own }, body: '{}' })).status).toBe(
    200,
  );
  expect((await tell('a', {}, 'x'.repeat(65 * 1024))).status).toBe(413);
  // one that has gone wild is told to wait; the others, and the kitchen's pages, are not
  const wild = await Promise.all(Array.from({ length: 100 }, () => tell('wild')));
  expect(new Set(wild.map(({ status }) => status))).toEqual(new Set([200, 429]));
  expect((await tell('calm')).status).toBe(200);
  expect((await ask('/api/kit')).status).toBe(200);
});

test('who asks for data and leaves at once costs the application nothing, and nobody waits behind him', async () => {
  const asks = await Promise.all(
    Array.from(
      { length: 64 },
      () =>
        new Promise<ReturnType<typeof connect>>((resolve) => {
          const head = `GET /api/never HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\n\r\n`;
          const socket = connect(port, '127.0.0.1', () => socket.write(head, () => resolve(socket)));
        }),
    ),
  );
  while (never === 0) await new Promise((resolve) => setTimeout(resolve, 5));
  // those who wait for their turn leave, the last first; those at work stay
  for (const socket of asks.slice(8).reverse()) socket.destroy();
  expect((await ask('/api/echo')).status).toBe(200);
  expect(never).toBeGreaterThan(0);
  expect(never).toBeLessThan(40);
  for (const socket of asks) socket.destroy();
});

test('sockets that left HTTP by CONNECT, an upgrade or nonsense are hung up on, and keep nobody from stopping', async () => {
  const host = `host: 127.0.0.1:${port}\r\n`;
  const openings = [
    `CONNECT x:1 HTTP/1.1\r\n${host}\r\n`,
    `POST / HTTP/1.1\r\n${host}upgrade: websocket\r\nconnection: upgrade\r\n\r\n`,
    'no HTTP at all\r\n\r\n',
  ];
  // they say much more than anybody asked for, and never that they are done
  const clients = openings.map((opening) =>
    connect({ port, host: '127.0.0.1', allowHalfOpen: true })
      .on('error', () => undefined)
      .on('connect', function (this: Socket) {
        this.write(opening + 'x'.repeat(600_000));
      }),
  );
  const answers = clients.map(
    (client) =>
      new Promise((resolve) => client.once('data', (part) => resolve(part.toString().slice(0, 12)))),
  );
  expect(await Promise.all(answers)).toEqual(['HTTP/1.1 405', 'HTTP/1.1 400', 'HTTP/1.1 400']);
  await door.close(200);
  const open = await new Promise((resolve) => door.server.getConnections((_, count) => resolve(count)));
  expect(open).toBe(0);
  for (const client of clients) client.destroy();
}, 4000);

test('whoever comes on an open connection while it closes is turned away in plain words, to come again', async () => {
  // two requests written one behind the other on one connection: the second is read while the first is still inside
  const socket = connect(port, '127.0.0.1');
  const asked = `GET /slow HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\n\r\n`;
  let received = '';
  socket.on('data', (part) => (received += part.toString()));
  socket.on('error', () => undefined);
  socket.write(asked);
  const ended = new Promise((resolve) => socket.on('close', resolve));
  await new Promise((resolve) => setTimeout(resolve, 100));
  const closed = door.close(4000);
  socket.write(asked);
  await Promise.all([closed, ended]);
  expect(received).toMatch(/^HTTP\/1\.1 200 /);
  expect(received).not.toContain('Something broke');
  for (const [, status] of received.matchAll(/HTTP\/1\.1 (\d+)/g)) expect(['200', '503']).toContain(status);
});
