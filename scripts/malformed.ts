/**
 * ./crumb soak requests [COUNT] [SEED]: malformed requests against the running server, raw bytes included. Ends with what crashed, hung or
 * was answered 5xx; each has to be 0, and the server has to stop when told after all that.
 */
import { connect } from 'node:net';
import { seededRandom } from '@/core/numeric/seededRandom';
import { freshDatabase } from './freshDatabase';
import { serveBuilt } from './processes';

const count = Number(process.argv[2] ?? 20_000);
const random = seededRandom(Number(process.argv[3] ?? 1));
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
const chance = (share: number) => random() < share;
const bytes = (most: number) =>
  Buffer.from(Array.from({ length: Math.floor(random() * most) }, () => Math.floor(random() * 256)));

const UUID = '3b37f07c-ffe9-41e6-97f9-3c02bd7cc1a9';
const PATHS = [
  '/', '/kit', '/formulas', `/formulas/${UUID}`, `/bench/${UUID}`, '/bench/%', '/bench/%ff', '/logbook', '/logbook?after=5.x', '/ingredients',
  '/api/k/-/kit', '/api/k/-/formulas', `/api/k/-/formulas/${UUID}`, `/api/k/-/formulas/${UUID}/revisions`, `/api/k/-/formulas/${UUID}/story?before=x`,
  `/api/k/-/formulas/${UUID}/learnt`, `/api/k/-/formulas/${UUID}/archive`, '/api/k/-/formulas/import', '/api/k/-/formulas/slices', '/api/k/-/bakes', `/api/k/-/bakes/${UUID}`,
  `/api/k/-/bakes/${UUID}/taps`, '/api/k/-/ingredients', '/api/k/-/timers', '/api/health', '/api/nope', '/api', '/_next/static/x.js', '/_next/staticx',
  '/_next/image?url=%2Ficon.svg&w=64&q=75', '/_next/data/x.json', '/icon.svg', '/icon.svgx', '/__nextjs_original-stack-frame', '*', '', '//x', '/%00',
  '/%2e%2e/%2e%2e/etc/passwd', '/../../etc/passwd', '/\\x', `/${'a'.repeat(3000)}`, `/${'a'.repeat(9000)}`, '/?%', '/?x=%ff', 'http://kitchen.example/',
] as const; // prettier-ignore
const METHODS = [
  'GET',
  'GET',
  'HEAD',
  'POST',
  'POST',
  'POST',
  'PUT',
  'DELETE',
  'PATCH',
  'OPTIONS',
  'TRACE',
  'CONNECT',
  'BREW',
  'get',
  '',
];
const VALUES: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  1e308,
  1.5,
  '',
  'x',
  '\u0000',
  '\ud83d',
  '=1+1',
  'constructor',
  '__proto__',
  [],
  {},
  [[]],
  { id: 1 },
  UUID,
  '9'.repeat(400),
];
const KEYS = [
  'requestId',
  'seen',
  'formula',
  'kit',
  'entry',
  'away',
  'taps',
  'eventId',
  'agoMs',
  'action',
  'type',
  'batch',
  'mode',
  'pieces',
  'copyOf',
  'file',
  'archived',
  '__proto__',
  'stages',
  'ovens',
];

function value(depth: number): unknown {
  if (depth > 4 || chance(0.5)) return chance(0.2) ? UUID : pick(VALUES);
  if (chance(0.3)) return Array.from({ length: Math.floor(random() * 4) }, () => value(depth + 1));
  return Object.fromEntries(
    Array.from({ length: Math.floor(random() * 6) }, () => [pick(KEYS), value(depth + 1)]),
  );
}

function body(): Buffer {
  const kind = random();
  if (kind < 0.55) return Buffer.from(JSON.stringify(value(0)) ?? '');
  if (kind < 0.65) return Buffer.from(JSON.stringify(value(0)).slice(0, -1));
  if (kind < 0.75) return bytes(300);
  if (kind < 0.8) return Buffer.from('['.repeat(Math.floor(random() * 100_000)));
  if (kind < 0.83) return Buffer.alloc(600_000, 'x');
  return Buffer.alloc(0);
}

/** One request as bytes on the wire: some are HTTP, some nearly, some not at all. */
function request(port: number): Buffer {
  if (chance(0.05)) return bytes(400);
  const method = pick(METHODS);
  const host = chance(0.8)
    ? `127.0.0.1:${port}`
    : pick(['kitchen.example', '', `localhost:${port}`, '127.0.0.1', 'a b', `[::1]:${port}`, '203.0.113.7']);
  const sent = method === 'POST' || chance(0.1) ? body() : Buffer.alloc(0);
  const headers = [`host: ${host}`];
  if (chance(0.8))
    headers.push(
      `content-type: ${pick(['application/json', 'application/json', 'application/json; charset=utf-8', 'application/jsonx', 'application/json; charset=utf-16', 'text/plain', ''])}`,
    );
  const chunked = sent.length > 0 && chance(0.2);
  if (chunked) headers.push('transfer-encoding: chunked');
  else if (sent.length > 0 || chance(0.1))
    headers.push(`content-length: ${chance(0.9) ? sent.length : pick([-1, 1, 99_999_999, 'x'])}`);
  if (chance(0.15))
    headers.push(
      `origin: ${pick(['null', 'https://127.0.0.1', 'http://kitchen.example', `http://127.0.0.1:${port}`])}`,
    );
  if (chance(0.1)) headers.push(`cookie: crumb-view=${pick(['dim', 'x.y.z', '%', 'a'.repeat(3000)])}`);
  if (chance(0.1))
    headers.push(
      pick([
        'rsc: 1',
        'next-action: x',
        'next-router-state-tree: %',
        'next-router-prefetch: 1',
        'x-forwarded-host: kitchen.example',
        'x-middleware-subrequest: middleware',
        'expect: 100-continue',
        'upgrade: websocket\r\nconnection: upgrade',
        'range: bytes=0-1',
        `x: ${'y'.repeat(20_000)}`,
        'accept-encoding: gzip, br, \u0001',
      ]),
    );
  const head = Buffer.from(
    `${method} ${pick(PATHS)} ${chance(0.95) ? 'HTTP/1.1' : pick(['HTTP/1.0', 'HTTP/2.0', 'HTTP/9', 'ICE/1.0'])}\r\n${headers.join('\r\n')}\r\nconnection: close\r\n\r\n`,
    'latin1',
  );
  if (!chunked) return Buffer.concat([head, sent]);
  const size = chance(0.9) ? sent.length.toString(16) : pick(['zz', '-1', 'ffffffffffff']);
  return Buffer.concat([head, Buffer.from(`${size}\r\n`), sent, Buffer.from('\r\n0\r\n\r\n')]);
}

const ANSWER_MS = 15_000;
/** A page takes less, also on a loaded machine. */
const SILENCE_MS = 4000;
const STOP_MS = 8000;

function send(port: number, data: Buffer): Promise<{ status: number | null; hung: boolean }> {
  return new Promise((resolve) => {
    let received = '';
    const socket = connect(port, '127.0.0.1');
    const end = (hung: boolean) => {
      clearTimeout(timer);
      clearTimeout(over);
      socket.destroy();
      const status = /^HTTP\/1\.1 (\d{3})/.exec(received.replace(/^HTTP\/1\.1 100[^]*?\r\n\r\n/, ''))?.[1];
      resolve({ status: status ? Number(status) : null, hung });
    };
    // what never was a whole request may be waited for by the server: it says so itself in the end
    const timer = setTimeout(() => end(received === ''), ANSWER_MS);
    socket.on('connect', () => socket.write(data));
    // what was no whole request is waited for: the other side is told that no more will come
    const over = setTimeout(() => socket.end(), SILENCE_MS);
    socket.on('data', (part) => (received += received.length < 400 ? part.toString('latin1') : ''));
    socket.on('error', () => end(false));
    socket.on('close', () => end(false));
  });
}

const database = await freshDatabase();
// its own log of refusals is of no interest here
process.env.CRUMB_QUIET = '1';
const server = await serveBuilt(database.url, { CRUMB_BENCH: '1' });
const port = Number(new URL(server.url).port);
const statuses = new Map<string, number>();
let hung = 0;
let fives = 0;
let sent = 0;
const from = performance.now();
await Promise.all(
  Array.from({ length: 24 }, async () => {
    while (sent < count) {
      sent += 1;
      const data = request(port);
      const answer = await send(port, data);
      const word = answer.status === null ? 'closed' : `${Math.floor(answer.status / 100)}xx`;
      statuses.set(word, (statuses.get(word) ?? 0) + 1);
      if (answer.hung) {
        hung += 1;
        console.log(`hung: ${JSON.stringify(data.toString('latin1').slice(0, 300))}`);
      }
      if ((answer.status ?? 0) >= 500) {
        fives += 1;
        console.log(`${answer.status}: ${JSON.stringify(data.toString('latin1').slice(0, 500))}`);
      }
    }
  }),
);
const well = await fetch(`${server.url}/api/health`).then(
  (answer) => answer.ok,
  () => false,
);
// whatever came in, it stops when told, in the time it promises
const stopFrom = performance.now();
const stops = await Promise.race([
  server.stop().then(() => true),
  new Promise<false>((resolve) => setTimeout(() => resolve(false), STOP_MS)),
]);
await database.drop();
console.log([...statuses].map(([word, times]) => `${word} ${times}`).join(', '));
console.log(
  `${count} requests in ${Math.round((performance.now() - from) / 1000)} s: ${well ? 0 : 1} crashes, ${hung} hung, ${fives} answered 5xx; ${stops ? `stopped in ${Math.round(performance.now() - stopFrom)} ms` : `did not stop within ${STOP_MS} ms`}`,
);
process.exit(well && stops && hung === 0 && fives === 0 ? 0 : 1);
