import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { closePool, openPool } from '@/db/pool';
import { hasBakeUnderWay } from '@/db/queries/bakeCards';
import { bracketed } from '@/door/hosts';
import { newestMoment } from '@/db/queries/kitchens';
import { KitchenClock, setKitchenClock } from '@/server/clock';
import { makeCluster } from './cluster';
import { openHome, writePrivately, type Home } from './home';
import { HostFailure, say } from './hostFailure';
import { leaseCluster, type Lease } from './lease';
import { prepareDatabase, prepareHome } from './prepare';
import { RESTORED } from './roles';
import { serve, type Serving } from './serve';
import { openThreads, type Threads } from './threads';
import { lendThreads } from '@/server/simulations';

export interface StartOptions {
  readonly root: string;
  readonly homeFolder: string;
  readonly listen: string;
  readonly port: number;
  readonly dev: boolean;
  /** A server of the reader's own; then no cluster is made, started or stopped. */
  readonly databaseUrl: string | null;
  readonly ownerUrl: string | null;
}

interface Running {
  home: Home;
  lease: Lease | null;
  serving: Serving | null;
  threads: Threads | null;
  stopping: boolean;
}

/** `./crumb start` and `dev`: the database, then the door, until told to stop. */
export async function start(options: StartOptions): Promise<void> {
  const home = openHome(options.homeFolder);
  const running: Running = { home, lease: null, serving: null, threads: null, stopping: false };
  refuseBesideOlder(home);
  process.env.CRUMB_LISTEN_PORT = String(options.port);
  const stopped = stopOnSignal(running);
  try {
    if (options.databaseUrl) {
      await prepareDatabase(options.ownerUrl ?? options.databaseUrl, options.root);
    } else {
      await makeCluster(home);
      await takeUp(running, options);
    }
    if (running.stopping) return await stopped;
    setClock(home);
    // what is stored of answers holds for the program that computed them
    process.env.CRUMB_BUILD = buildOf(options);
    const threads = openThreads(options.root);
    running.threads = threads;
    lendThreads(threads.run);
    const unmark = markServing(options);
    const serving = await serve({ ...options, keyFolder: path.join(home.folder, 'keys') });
    running.serving = serving;
    // told by its pages, to whoever pairs a device
    if (serving.network) process.env.CRUMB_NETWORK = JSON.stringify(serving.network);
    const watching = watchClock(home);
    if (running.stopping) await running.serving.close();
    if (!running.stopping) say(whereItIs(options, serving.network, home));
    await stopped;
    clearInterval(watching);
    unmark();
  } catch (error) {
    // told to stop in the middle of starting: whatever broke by that is not worth a word
    if (running.stopping) return await stopped;
    running.stopping = true;
    await putDown(running);
    throw error;
  }
}

function whereItIs(
  { listen, port, databaseUrl }: StartOptions,
  network: Serving['network'],
  home: Home,
): string {
  const shown = network ? '127.0.0.1' : bracketed(listen);
  const here = `Honest Crumb is at http://${shown}:${port}   (Ctrl-C stops it; the data stays in ${databaseUrl ? 'your database' : home.dataFolder})`;
  if (!network) return here;
  return `${here}\nFor devices that are paired (Equipment page): ${network.addresses.join(', ')}\nThey trust the certificate with the fingerprint ${network.fingerprint}`;
}

/** A lease, the database behind it brought up to date, and a watch over both: a database that was killed is started again. */
async function takeUp(running: Running, options: StartOptions): Promise<void> {
  const lease = await leaseCluster(running.home);
  running.lease = lease;
  if (running.stopping) return;
  const { serving } = await prepareHome(running.home, lease, options.root);
  process.env.DATABASE_URL = serving;
  await watchOver(running, lease);
}

async function watchOver(running: Running, lease: Lease): Promise<void> {
  lease.onLost = () => void bringBack(running);
  lease.client.on('notification', () =>
    say('Other data were restored in the place of those that were here; pages show them from now on.'),
  );
  // also finds out if it was lost before somebody was to be told
  await lease.client.query(`listen ${RESTORED}`);
}

const AGAIN_MS = 2000;

async function bringBack(running: Running): Promise<void> {
  while (!running.stopping) {
    try {
      running.lease = null;
      const lease = await leaseCluster(running.home);
      running.lease = lease;
      const url = new URL(process.env.DATABASE_URL ?? '');
      url.port = String(lease.port);
      process.env.DATABASE_URL = url.href;
      await watchOver(running, lease);
      say('The database was gone; it has been started again. Nothing that was saved is lost.');
      if (running.stopping) await lease.giveUp();
      return;
    } catch (error) {
      say(`The database is gone and does not start: ${(error as Error).message}`);
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  }
}

/** Resolves when all is put down. The first signal asks, the second does not wait. */
function stopOnSignal(running: Running): Promise<void> {
  return new Promise((resolve) => {
    const onSignal = (): void => {
      if (running.stopping) {
        say('Left at once. The next start finds everything as it was.');
        process.exit(130);
      }
      running.stopping = true;
      say('Stopping ... (once more leaves at once)');
      void putDown(running).finally(resolve);
    };
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, onSignal);
  });
}

async function putDown(running: Running): Promise<void> {
  await running.serving?.close().catch(() => undefined);
  await closePool(500);
  await running.threads?.close().catch(() => undefined);
  await running.lease?.giveUp();
}

/** The first versions wrote down that they ran, and did not share a database. */
function refuseBesideOlder(home: Home): void {
  const file = path.join(home.folder, 'server.pid');
  if (!existsSync(file)) return;
  const pid = readFileSync(file, 'utf8').trim();
  const alive =
    existsSync(`/proc/${pid}/cmdline`) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('next');
  if (alive)
    throw new HostFailure(
      `an older version is still running on this home (process ${pid}); stop that one first`,
    );
  rmSync(file, { force: true });
}

/** A word for the program that runs: the stamp of its build; in development another one with each start. */
function buildOf({ root, dev }: StartOptions): string {
  const stamp = path.join(root, '.next', 'crumb-stamp');
  return !dev && existsSync(stamp) ? readFileSync(stamp, 'utf8') : `${process.pid} ${Date.now()}`;
}

/** Says to ./crumb test that the built application is in use. @returns how to unsay it */
function markServing({ root, dev }: StartOptions): () => void {
  if (dev) return () => undefined;
  const folder = path.join(root, '.next', 'serving');
  mkdirSync(folder, { recursive: true });
  const file = path.join(folder, String(process.pid));
  writeFileSync(file, '');
  return () => rmSync(file, { force: true });
}

const bootId = (): string => readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim();
/** Goes on while the machine sleeps, cannot be set, and is the same for every process since the machine was switched on. */
const sinceBootMs = (): number => Number(readFileSync('/proc/uptime', 'utf8').split(' ')[0]) * 1000;

/** The kitchen's clock as the process before left it, if that was since the machine was switched on. */
function setClock(home: Home): void {
  const file = path.join(home.folder, 'clock.json');
  let before: number | null = null;
  try {
    const stored = JSON.parse(readFileSync(file, 'utf8')) as { boot?: unknown; aheadMs?: unknown };
    if (stored.boot === bootId() && typeof stored.aheadMs === 'number') before = stored.aheadMs;
  } catch {
    // never written, or not whole: the machine's clock is believed
  }
  const clock = new KitchenClock({ wallMs: Date.now, steadyMs: sinceBootMs }, before);
  writePrivately(file, JSON.stringify({ boot: bootId(), aheadMs: clock.ahead }));
  setKitchenClock(clock);
  clockOf = clock;
}
let clockOf: KitchenClock | null = null;

const LOOK_MS = 5000;
const DAY_MS = 86_400_000;

/** Says when the machine's clock was set, and believes it again when nothing is under way that it could spoil. */
function watchClock(home: Home): ReturnType<typeof setInterval> {
  let checkedPast = false;
  const look = async (): Promise<void> => {
    const clock = clockOf;
    const url = process.env.DATABASE_URL;
    if (!clock || !url) return;
    const jumpMs = clock.newJumpMs();
    if (jumpMs !== 0)
      say(
        `Warning: the clock of this machine was set ${wordJump(jumpMs)}. Timers keep their lengths; times go on as before until no bake is under way.`,
      );
    if (checkedPast && clock.jumpedMs() === 0) return;
    const pool = openPool(url);
    try {
      if (!checkedPast) {
        const newestMs = await newestMoment(pool);
        const aheadMs = newestMs === null ? 0 : clock.nowMs() - newestMs;
        if (aheadMs < -60_000)
          say(
            `Warning: the clock of this machine is ${wordJump(aheadMs)} behind the last entry of this kitchen.`,
          );
        if (aheadMs > 300 * DAY_MS)
          say(
            `Warning: by the clock of this machine the last entry of this kitchen is ${wordJump(aheadMs)} ago. If that cannot be, set the clock.`,
          );
        checkedPast = true;
      }
      if (clock.jumpedMs() !== 0 && !(await hasBakeUnderWay(pool))) {
        clock.settle();
        writePrivately(
          path.join(home.folder, 'clock.json'),
          JSON.stringify({ boot: bootId(), aheadMs: clock.ahead }),
        );
        say('No bake is under way: the clock of this machine is followed again.');
      }
    } catch {
      // the database is away just now: at the next look
    } finally {
      await pool.end();
    }
  };
  void look();
  return setInterval(() => void look(), LOOK_MS);
}

function wordJump(ms: number): string {
  const seconds = Math.round(Math.abs(ms) / 1000);
  const [count, unit] =
    seconds < 120
      ? [seconds, 'seconds']
      : seconds < 7200
        ? [Math.round(seconds / 60), 'minutes']
        : seconds < 172_800
          ? [Math.round(seconds / 3600), 'hours']
          : [Math.round(seconds / 86_400), 'days'];
  return `${count} ${unit}${ms > 0 ? ' ahead' : ' back'}`;
}
