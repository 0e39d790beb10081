/**
 * ./crumb soak bench [COUNT] [SEED]: seeded schedules of cuts, kills, repeats and reorderings over the bench's queue and stream, with two
 * servers on one database behind a plain balancer. Ends with what was lost, doubled, out of order, and not the same everywhere.
 */
import { randomUUID } from 'node:crypto';
import { chmod, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { eightRolls } from '@/core/batch/testBatch';
import { seededRandom } from '@/core/numeric/seededRandom';
import { Crumb } from './faults/crumb';
import { balance } from './soakBench/balancer';
import { Device } from './soakBench/device';

const DEVICES = 3;
const TAPS = 8;
const SPAN_MS = 2500;
/** After the last fault everything has to be one and the same within so long. */
const SETTLE_MS = 25_000;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const tally = { lost: 0, doubled: 0, outOfOrder: 0, apart: 0, hung: 0 };
const notes: string[] = [];
const fell = new Map<string, number>();
const slowest: number[] = [];

interface Log {
  readonly events: { readonly seq: number; readonly atMs: number; readonly action: { readonly text?: string } }[];
  readonly epoch: string;
  readonly nowMs: number;
} // prettier-ignore

async function patiently<T>(work: () => Promise<T>): Promise<T> {
  for (let tried = 0; ; tried++) {
    try {
      return await work();
    } catch (error) {
      if (tried > 200) throw error;
      await pause(150);
    }
  }
}

const readJson = async <T>(url: string, body?: unknown): Promise<T> => {
  const answer = await fetch(url, body === undefined ? {} : { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  if (!answer.ok) throw new Error(`${url}: ${answer.status}`);
  return (await answer.json()) as T;
}; // prettier-ignore

async function runSchedule(servers: readonly Crumb[], url: string, formulaId: string, seed: number): Promise<void> {
  const random = seededRandom(seed);
  const request = { requestId: randomUUID(), formulaId, revision: 1, batch: eightRolls };
  const { id } = await patiently(() => readJson<{ id: string }>(`${url}/api/k/-/bakes`, request));
  const page = await patiently(() => readJson<Log>(`${url}/api/k/-/bakes/${id}?after=0`));
  const devices = Array.from({ length: DEVICES }, () => new Device(url, id, random, page as never));
  await Promise.all(devices.map((device) => device.open()));
  const plan: { atMs: number; what: string; run: () => unknown }[] = [];
  const at = (what: string, run: () => unknown, atMs = random() * SPAN_MS): void => void plan.push({ atMs, what, run });
  devices.forEach((device, name) => {
    const moments = Array.from({ length: TAPS }, () => random() * SPAN_MS).sort((a, b) => a - b);
    moments.forEach((moment, tap) => at('tap', () => device.tap(`${name}.${tap}`), moment));
    if (random() < 0.6) {
      const from = random() * SPAN_MS;
      at('cut', () => device.cut(true), from);
      at('mend', () => device.cut(false), from + 200 + random() * 1500);
    }
    if (random() < 0.4) at('reload', () => device.reload());
  });
  for (const server of servers) if (random() < 0.25) at('killServer', () => server.signal('SIGKILL'));
  if (random() < 0.15) at('killDatabase', () => servers[0]?.signalDatabase('SIGKILL'));
  const from = performance.now();
  for (const { atMs, what, run } of plan.sort((a, b) => a.atMs - b.atMs)) {
    await pause(atMs - (performance.now() - from));
    await run();
    fell.set(what, (fell.get(what) ?? 0) + 1);
  }
  devices.forEach((device) => device.cut(false));
  await Promise.all(servers.map((server) => server.up()));
  await settle(url, id, devices, seed);
  devices.forEach((device) => device.close());
} // prettier-ignore

/** Waits until all are through, then compares what each device shows with what the server has. */
async function settle(url: string, id: string, devices: readonly Device[], seed: number): Promise<void> {
  const until = performance.now() + SETTLE_MS;
  const from = performance.now();
  const all = () => patiently(() => readJson<Log>(`${url}/api/k/-/bakes/${id}?after=0`));
  let log = await all();
  const shows = (device: Device) => JSON.stringify(device.events) === JSON.stringify(log.events);
  const isDone = () => log.events.length >= DEVICES * TAPS && devices.every((device) => device.waiting === 0 && shows(device));
  while (!isDone() && performance.now() < until) {
    await pause(50);
    log = await all();
  }
  slowest.push(performance.now() - from);
  // what a network says again long after: nothing comes of it
  await pause(300);
  log = await all();
  const texts = log.events.map(({ action }) => action.text ?? '');
  const tell = (what: keyof typeof tally, count: number): void => {
    if (count === 0) return;
    tally[what] += count;
    notes.push(`schedule ${seed}: ${count} ${what}: ${texts.join(' ')}; waiting ${devices.map(({ waiting }) => waiting).join(' ')}`);
  };
  const wanted = devices.flatMap((_, name) => Array.from({ length: TAPS }, (__, tap) => `${name}.${tap}`));
  tell('hung', devices.filter(({ waiting }) => waiting > 0).length);
  tell('lost', wanted.filter((text) => !texts.includes(text)).length);
  tell('doubled', texts.length - new Set(texts).size);
  tell('outOfOrder', devices.filter((_, name) => {
    const own = texts.filter((text) => text.startsWith(`${name}.`));
    return own.join() !== [...own].sort().join();
  }).length);
  tell('apart', devices.filter((device) => !shows(device)).length);
} // prettier-ignore

const count = Number(process.argv[2] ?? 300);
const seed = Number(process.argv[3] ?? 1);
const folder = await mkdtemp(path.join(tmpdir(), 'crumb-bench-'));
await chmod(folder, 0o755);
const servers = [await Crumb.in(path.join(folder, 'home')), await Crumb.in(path.join(folder, 'home'))];
const from = performance.now();
try {
  for (const server of servers)
    if ((await server.up()) === null) throw new Error(`it does not start: ${server.output}`);
  const balancer = await balance(
    servers.map(({ port }) => port),
    seededRandom(seed),
  );
  const shelf = await (await fetch(`${balancer.url}/k/-/formulas`)).text();
  const formulaId = /\/formulas\/([0-9a-f-]{36})/.exec(shelf)?.[1] ?? '';
  for (let index = 0; index < count; index++) {
    await runSchedule(servers, balancer.url, formulaId, seed * 100_000 + index);
    if ((index + 1) % 25 === 0)
      console.log(`${index + 1} schedules, ${Math.round((performance.now() - from) / 1000)} s`);
  }
  balancer.close();
} finally {
  servers[1]?.signal('SIGKILL');
  await servers[1]?.gone(3000);
  await servers[0]?.remove().catch(() => undefined);
  await rm(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 200 });
}
for (const note of notes.slice(0, 20)) console.log(`  ${note}`);
console.log(`happened: ${[...fell].map(([what, times]) => `${what} ${times}`).join(', ')}`);
console.log(
  `${count} schedules, seed ${seed}, in ${Math.round((performance.now() - from) / 1000)} s, the slowest the same everywhere ${Math.round(Math.max(...slowest))} ms after the last fault: ${Object.entries(tally).map(([what, times]) => `${times} ${what}`).join(', ')}`,
); // prettier-ignore
process.exit(Object.values(tally).some((times) => times > 0) ? 1 : 0);
