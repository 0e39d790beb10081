/**
 * ./crumb bench instruments [SECONDS]: fifty instruments that read five times a second, told to the built application over HTTP, against the same statements done
 * bare by one program on the same database; and whether pages still answer meanwhile.
 */
import { randomBytes, randomUUID } from 'node:crypto';
import type pg from 'pg';
import { windowsOf } from '@/core/instrument/readingWindow';
import { quantileOf } from '@/core/numeric/quantile';
import { openPool } from '@/db/pool';
import { addWindows, holdInstrument, insertTelling } from '@/db/queries/instruments';
import { transaction } from '@/db/transaction';
import { DEMO_API, inDemo } from './demoKitchen';
import { Findings } from './findings';
import { freshDatabase } from './freshDatabase';
import { serveBuilt } from './processes';

const INSTRUMENTS = 50;
const PER_SECOND = 5;
// of bench instruments SECONDS
const SECONDS = Number(process.argv[3] ?? 60);

interface Instrument {
  readonly id: string;
  readonly key: string;
}
interface Told {
  readonly ms: number[];
  refused: number;
}

const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, Math.max(0, ms)));

/** All instruments at their pace, each beginning in its own part of a second; one that is late is late, and none is left out. */
async function paced(all: readonly Instrument[], atOnce: number, tell: (one: Instrument, readings: number) => Promise<boolean>): Promise<Told> {
  const everyMs = (1000 * atOnce) / PER_SECOND;
  const rounds = Math.round((SECONDS * 1000) / everyMs);
  const told: Told = { ms: [], refused: 0 };
  const fromMs = performance.now();
  const each = async (one: Instrument, place: number): Promise<void> => {
    for (let round = 0; round < rounds; round += 1) {
      await pause(fromMs + (round + place / all.length) * everyMs - performance.now());
      const at = performance.now();
      if (!(await tell(one, atOnce))) told.refused += 1;
      told.ms.push(performance.now() - at);
    }
  };
  await Promise.all(all.map(each));
  return told;
} // prettier-ignore

const readingsOf = (count: number) =>
  Array.from({ length: count }, (_, at) => ({
    agoMs: at * (1000 / PER_SECOND),
    value: 400 + at,
    state: 'moving' as const,
  }));

/** Over HTTP, as a bridge does. */
const overHttp =
  (home: string) =>
  async ({ key }: Instrument, count: number): Promise<boolean> => {
    const answer = await fetch(`${home}/api/instruments/readings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', authorization: `Bearer ${key}` },
      body: JSON.stringify({ tellingId: randomUUID(), readings: readingsOf(count) }),
    });
    const { taken } = (await answer.json()) as { taken?: number };
    return taken === count;
  };

/** The same statements and nothing else: no server, nothing judged, nobody asked for a key. */
const bare =
  (pool: pg.Pool, kitchenId: string) =>
  ({ id }: Instrument, count: number): Promise<boolean> =>
    transaction(pool, async (client) => {
      const now = Date.now();
      await holdInstrument(client, kitchenId, id);
      await insertTelling(client, kitchenId, id, { tellingId: randomUUID(), content: randomBytes(32), receivedAt: new Date(now), taken: count, refused: { malformed: 0, impossible: 0, late: 0 } });
      await addWindows(client, kitchenId, id, windowsOf(readingsOf(count).map(({ agoMs, ...each }) => ({ ...each, atMs: now - agoMs }))));
      return true;
    }); // prettier-ignore

/** How long a page, and what it asks for, takes to answer, over and over until it is over. */
async function asked(url: string, until: Promise<unknown>): Promise<number[]> {
  const ms: number[] = [];
  let isOver = false;
  void until.finally(() => (isOver = true));
  while (!isOver) {
    const at = performance.now();
    const answer = await fetch(url);
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
    ms.push(performance.now() - at);
    await pause(200);
  }
  return ms;
}

const found = new Findings(['what', 'found', 'aim']);
const database = await freshDatabase();
const server = await serveBuilt(database.url);
const pool = openPool(database.url);
try {
  const all: Instrument[] = [];
  for (let count = 0; count < INSTRUMENTS; count += 1) {
    const key = randomBytes(32).toString('base64url');
    const answer = await fetch(`${server.url}${DEMO_API}/instruments`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        requestId: randomUUID(),
        name: `No. ${count}`,
        kind: 'scale',
        stepG: 0.1,
        key,
      }),
    });
    all.push({ id: ((await answer.json()) as { id: string }).id, key });
  }
  const { rows } = await pool.query<{ id: string }>('select kitchen_id as id from instrument limit 1');
  const kitchenId = rows[0]!.id;
  const pages = { 'the bench’s list': inDemo('/bench'), 'its timers': `${DEMO_API}/timers` };
  const both = (ms: readonly number[]) =>
    `${quantileOf(ms, 0.5).toFixed(1)} / ${quantileOf(ms, 0.95).toFixed(1)} ms`;
  const pagesDuring = async (work: Promise<unknown>) =>
    Object.fromEntries(
      await Promise.all(
        Object.entries(pages).map(
          async ([name, path]) => [name, await asked(`${server.url}${path}`, work)] as const,
        ),
      ),
    );
  await pagesDuring(pause(3000));
  const quiet = await pagesDuring(pause(10_000));
  for (const [atOnce, how] of [
    [PER_SECOND, 'told once a second'],
    [1, 'each reading told by itself'],
  ] as const) {
    const plain = await paced(all, atOnce, bare(pool, kitchenId));
    const work = paced(all, atOnce, overHttp(server.url));
    const [ours, loud] = await Promise.all([work, pagesDuring(work)]);
    const wanted = (INSTRUMENTS * PER_SECOND * SECONDS) / atOnce;
    found.add(`${INSTRUMENTS} instruments, ${PER_SECOND} readings a second, ${SECONDS} s, ${how}: tellings taken`, `${ours.ms.length - ours.refused} of ${wanted}`, 'all'); // prettier-ignore
    found.add('… a telling, p50 / p95', both(ours.ms), '–');
    found.add('… against the same statements bare', `${both(plain.ms)}: ${(quantileOf(ours.ms, 0.5) / quantileOf(plain.ms, 0.5)).toFixed(1)} ×`, '–'); // prettier-ignore
    for (const [name, ms] of Object.entries(loud)) {
      const ratio = quantileOf(ms, 0.5) / quantileOf(quiet[name]!, 0.5);
      found.add(`… ${name} meanwhile, p50 / p95`, `${both(ms)}: ${ratio.toFixed(1)} × of when it is quiet`, 'answers'); // prettier-ignore
    }
  }
  await found.write('instruments');
} finally {
  await pool.end();
  await server.stop();
  await database.drop();
}
