/**
 * ./crumb bench scale: builds the demo kitchen twice, with a hundred bakes and with ten thousand, and tells for every page and every
 * API how much longer the large one takes; then the throughput of the three lists against an empty page of the same framework.
 */
import autocannon from 'autocannon';
import { randomUUID } from 'node:crypto';
import { connect } from 'node:net';
import type pg from 'pg';
import { openPool, PATIENT } from '@/db/pool';
import { DEMO_API, inDemo } from './demoKitchen';
import { Findings } from './findings';
import { freshDatabase, testCluster } from './freshDatabase';
import { serveBuilt, type Served } from './processes';
import { growKitchen, type Size } from './scale/bigKitchen';

/** Logs as long as instruments and many hands make them: two million events in ten thousand bakes. */
const NOTES = 167;
const SMALL: Size = { bakes: 100, formulas: 30, notes: NOTES };
const LARGE: Size = { bakes: 10_000, formulas: 300, notes: NOTES };
const ROUNDS = Number(process.env.CRUMB_ROUNDS ?? 25);

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

interface Place {
  readonly served: Served;
  readonly drop: () => Promise<void>;
  readonly ids: {
    readonly formula: string;
    readonly bake: string;
    readonly running: string;
    readonly middle: string;
    /** What the first page of the shelf asks for. */
    readonly marks: string;
  };
}

async function build(size: Size): Promise<Place> {
  const database = await freshDatabase();
  const owner = openPool(
    testCluster('OWNER').replace(/\/[^/]*$/, `/${new URL(database.url).pathname.slice(1)}`),
    PATIENT,
  );
  const from = performance.now();
  const events = await growKitchen(owner, size);
  const served = await serveBuilt(database.url, { CRUMB_BENCH: '1' });
  const ids = await pickIds(owner, served.url);
  await owner.end();
  console.log(
    `${size.bakes} bakes more, ${size.formulas} formulas more, ${events} events in all: made in ${Math.round((performance.now() - from) / 1000)} s`,
  );
  return { served, drop: database.drop, ids };
}

async function pickIds(pool: pg.Pool, url: string): Promise<Place['ids']> {
  const { rows: formulas } = await pool.query<{ id: string }>(
    `select formula_id as id from bake where started_at > now() - interval '12 days' group by formula_id order by count(*) desc, id limit 1`,
  );
  const formula = formulas[0]?.id ?? '';
  const { rows: bakes } = await pool.query<{ id: string; at: Date }>(
    `select id, started_at as at from bake order by started_at desc offset 50 limit 1`,
  );
  const { id: running } = await post(url, `${DEMO_API}/bakes`, {
    requestId: randomUUID(),
    formulaId: formula,
    revision: 1,
    batch: { mode: 'factor', factor: 1, pieceMassG: 100, bowlLossPercent: 0 },
  });
  const last = bakes[0];
  const page = await (await fetch(url + inDemo('/formulas'))).text();
  const shown = new Set([...page.matchAll(/href="[^"]*\/formulas\/([0-9a-f-]{36})"/g)].map(([, id]) => id));
  const marks = `${DEMO_API}/formulas/slices?ids=${[...shown].join(',')}`;
  return { formula, marks, bake: last?.id ?? '', running, middle: `${last?.at.getTime()}.${last?.id}` };
}

async function post(url: string, path: string, data: unknown): Promise<{ id: string }> {
  const answer = await fetch(url + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(data),
  });
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  return (await answer.json()) as { id: string };
}

type Ask = (place: Place) => Promise<number>;
const get =
  (path: (ids: Place['ids']) => string): Ask =>
  async ({ served, ids }) => {
    const answer = await fetch(served.url + path(ids));
    const body = await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${path(ids)}: ${answer.status}`);
    return body.byteLength;
  };

const ASKED: readonly (readonly [string, Ask])[] = [
  ['an empty page', get(() => '/empty')],
  ['Today', get(() => inDemo('/'))],
  ['shelf', get(() => inDemo('/formulas'))],
  ['logbook', get(() => inDemo('/logbook'))],
  ['logbook, further on', get(({ middle }) => inDemo(`/logbook?after=${middle}`))],
  ['logbook, found by words', get(() => inDemo('/logbook?find=gummy'))],
  ['logbook, filtered', get(() => inDemo('/logbook?since=2000-01-01&score=crust.bad&told=rise'))],
  ['bakes side by side', get(({ bake, running }) => inDemo(`/logbook/compare?bakes=${bake},${running}`))],
  ['what goes with scores', get(({ formula }) => inDemo(`/logbook/patterns?formula=${formula}`))],
  ['how good advice was', get(() => inDemo('/logbook/advice'))],
  ['logbook of a formula', get(({ formula }) => inDemo(`/logbook?formula=${formula}`))],
  ['a bake', get(({ bake }) => inDemo(`/logbook/${bake}`))],
  ['sheet', get(({ formula }) => inDemo(`/formulas/${formula}`))],
  ['story', get(({ formula }) => inDemo(`/formulas/${formula}/story`))],
  ['batch', get(({ formula }) => inDemo(`/formulas/${formula}/batch`))],
  ['bench', get(({ running }) => inDemo(`/bench/${running}`))],
  ['ingredients', get(() => inDemo('/ingredients'))],
  ['kit', get(() => inDemo('/kit'))],
  ['api: shelf marks', get(({ marks }) => marks)],
  ['api: what was learnt', get(({ formula }) => `${DEMO_API}/formulas/${formula}/learnt`)],
  ['api: what was felt', get(() => `${DEMO_API}/ingredients/learnt`)],
  ['api: a formula', get(({ formula }) => `${DEMO_API}/formulas/${formula}`)],
  ['api: a story', get(({ formula }) => `${DEMO_API}/formulas/${formula}/story`)],
  ['api: a bake', get(({ running }) => `${DEMO_API}/bakes/${running}`)],
  ['api: timers', get(() => `${DEMO_API}/timers`)],
  [
    'api: a tap',
    async ({ served, ids }) => {
      const text = JSON.stringify(
        await post(served.url, `${DEMO_API}/bakes/${ids.running}/taps`, {
          taps: [{ eventId: randomUUID(), agoMs: 0, action: { type: 'noted', text: 'warm' } }],
        }),
      );
      return text.length;
    },
  ],
];

/** What the same bench found before lists were made of columns: recorded once, at the start of that work. */
const START: {
  readonly ratio: Readonly<Record<string, string>>;
  readonly shares: Readonly<Record<'/' | '/formulas' | '/logbook', string>>;
  readonly waits: Readonly<Record<string, string>>;
} = {
  ratio: {
    Today: '1.54',
    shelf: '4.22',
    logbook: '1.55',
    'logbook of a formula': '3.33',
    sheet: '1.04',
    bench: '1.15',
    'api: shelf marks': '9.99',
    'api: what was learnt': '1.79',
    'api: what was felt': '1.00',
    'api: timers': '6.30',
    'api: a tap': '1.03',
  },
  shares: { '/': '0.20 / 0.10', '/formulas': '0.13 / 0.02', '/logbook': '0.04 / 0.02' },
  waits: { 'the shelf': '42 s', 'the shelf marks': '1.9 s', 'the logbook': '203 s' },
};
const found = new Findings([
  `median of ${ROUNDS}, one after the other`,
  '100 bakes',
  '10,000 bakes',
  'ratio (aim at most 1.5)',
  'size',
  'at the start',
]);

async function compare(small: Place, large: Place): Promise<void> {
  for (const [name, ask] of ASKED) {
    const ms = { small: [] as number[], large: [] as number[] };
    let bytes = 0;
    const timed = async (place: Place): Promise<number> => {
      const from = performance.now();
      bytes = await ask(place);
      return performance.now() - from;
    };
    // the very first of each is told apart: nothing is remembered yet
    const cold = [await timed(small), await timed(large)] as const;
    for (let round = 0; round < ROUNDS; round++) {
      ms.small.push(await timed(small));
      ms.large.push(await timed(large));
    }
    const [a, b] = [median(ms.small), median(ms.large)];
    found.add(
      name,
      `${a.toFixed(0)} ms`,
      `${b.toFixed(0)} ms`,
      (b / a).toFixed(2),
      `${(bytes / 1024).toFixed(0)} KB`,
      START.ratio[name] ?? '–',
    );
    console.log(`  first: ${cold.map((each) => each.toFixed(0)).join(' / ')} ms`);
  }
}

/** What a run before left behind in the middle of its pages is not to be counted against the next. */
async function settled(url: string): Promise<void> {
  for (let quick = 0; quick < 3;) {
    const from = performance.now();
    await (await fetch(`${url}/empty`)).text();
    quick = performance.now() - from < 100 ? quick + 1 : 0;
  }
}

/** Pages a second, 16 connections, as a share of the empty page's in the same round. */
async function throughput(url: string): Promise<Map<string, number>> {
  const perSecond = async (path: string): Promise<number> => {
    await settled(url);
    const result = await autocannon({ url: url + path, connections: 16, duration: 4 });
    if (result.non2xx > 0 || result.errors > 0)
      throw new Error(`${path}: ${result.non2xx} bad answers, ${result.errors} errors`);
    return result.requests.average;
  };
  const paths = ['/', '/formulas', '/logbook'];
  const shares = new Map<string, number[]>(paths.map((path) => [path, []]));
  for (const path of ['/empty', ...paths.map(inDemo)]) await perSecond(path);
  for (let round = 0; round < 3; round++) {
    const empty = await perSecond('/empty');
    for (const path of paths) shares.get(path)?.push((await perSecond(inDemo(path))) / empty);
  }
  return new Map([...shares].map(([path, each]) => [path, median(each)]));
}

/** Clients that ask for something heavy and leave before it comes: how long does the next tiny request wait? */
async function leaveEarly(name: string, { served }: Place, path: string): Promise<void> {
  const { port, host } = new URL(served.url);
  const waits: number[] = [];
  for (let round = 0; round < 5; round++) {
    await settled(served.url);
    await Promise.all(
      Array.from(
        { length: 64 },
        () =>
          new Promise<void>((resolve) => {
            const socket = connect(Number(port), '127.0.0.1', () => {
              socket.write(`GET ${path} HTTP/1.1\r\nhost: ${host}\r\n\r\n`);
              setTimeout(() => {
                socket.destroy();
                resolve();
              }, 20);
            });
            socket.on('error', () => resolve());
          }),
      ),
    );
    const from = performance.now();
    await fetch(`${served.url}/api/health`);
    waits.push(performance.now() - from);
  }
  const most = `${Math.max(...waits).toFixed(0)} ms`;
  found.add(
    `after 64 clients left ${name} early, the next tiny request waits`,
    '–',
    most,
    '< 100 ms',
    '–',
    START.waits[name] ?? '–',
  );
}

export async function benchScale(): Promise<void> {
  const small = await build(SMALL);
  const large = await build(LARGE);
  try {
    await compare(small, large);
    const few = await throughput(small.served.url);
    const many = await throughput(large.served.url);
    for (const [path, name] of [
      ['/', 'Today'],
      ['/formulas', 'shelf'],
      ['/logbook', 'logbook'],
    ] as const) {
      const [a, b] = [few.get(path) ?? NaN, many.get(path) ?? NaN];
      found.add(
        `${name}, pages a second as a share of an empty page’s`,
        a.toFixed(2),
        b.toFixed(2),
        (b / a).toFixed(2),
        '–',
        START.shares[path],
      );
    }
    // last: what they leave behind would hold up the others
    await leaveEarly('the shelf', large, inDemo('/formulas'));
    await leaveEarly('the shelf marks', large, large.ids.marks);
    await leaveEarly('the logbook', large, inDemo('/logbook'));
    await found.write('scale');
  } finally {
    for (const place of [small, large]) {
      await place.served.stop();
      await place.drop();
    }
  }
}
await benchScale();
