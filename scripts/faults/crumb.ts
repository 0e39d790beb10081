import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { livePostmaster, SUPERUSER } from '@/host/cluster';
import { databaseFailure } from '@/db/errors';
import { keyOf, openHome, removeHome, type Home } from '@/host/home';
import { freePort } from '../processes';

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** ./crumb start as a user runs it, in a home of its own, to be killed, stopped and frozen. */
export class Crumb {
  private child: ChildProcess | null = null;
  /** What it said, for the report of a fault. */
  output = '';

  private constructor(
    readonly folder: string,
    readonly port: number,
  ) {}

  static async in(folder: string): Promise<Crumb> {
    return new Crumb(folder, await freePort());
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  private get home(): Home {
    return openHome(this.folder);
  }

  /** Starts the process, and does not wait for it. */
  spawn(): void {
    const env: NodeJS.ProcessEnv = {
      ...process.env,
      NODE_ENV: 'production',
      CRUMB_HOME: this.folder,
      PORT: String(this.port),
      CRUMB_BENCH: '1',
    };
    delete env.DATABASE_URL;
    const child = spawn(process.execPath, ['--enable-source-maps', '.next/host.mjs', 'start'], {
      env,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (part: Buffer) => (this.output += part.toString()));
    this.child = child;
  }

  get alive(): boolean {
    return this.child !== null && this.child.exitCode === null && this.child.signalCode === null;
  }

  /** Starts, or starts again, until it answers. @returns how long that took, ms; null when it did not come */
  async up(withinMs = 40_000): Promise<number | null> {
    const from = performance.now();
    if (!this.alive) this.spawn();
    while (performance.now() - from < withinMs) {
      const ok = await fetch(`${this.url}/api/health`, { signal: AbortSignal.timeout(6000) })
        .then(async (answer) => {
          await answer.arrayBuffer();
          return answer.ok;
        })
        .catch(() => false);
      if (ok) return performance.now() - from;
      if (!this.alive) return null;
      await pause(60);
    }
    return null;
  }

  async gone(withinMs: number): Promise<boolean> {
    const until = performance.now() + withinMs;
    while (this.alive && performance.now() < until) await pause(20);
    return !this.alive;
  }

  signal(signal: NodeJS.Signals): void {
    this.child?.kill(signal);
  }

  get postmaster(): number | null {
    return livePostmaster(this.home.cluster);
  }

  /** The database server and all its children. */
  get databaseProcesses(): number[] {
    const pid = this.postmaster;
    if (pid === null) return [];
    try {
      return [
        pid,
        ...execFileSync('pgrep', ['-P', String(pid)], { encoding: 'utf8' })
          .trim()
          .split('\n')
          .map(Number),
      ];
    } catch {
      return [pid];
    }
  }

  signalDatabase(signal: NodeJS.Signals, whole = false): void {
    const pids = whole ? this.databaseProcesses : [this.postmaster].filter((pid) => pid !== null);
    for (const pid of pids) {
      try {
        process.kill(pid, signal);
      } catch {
        // it went by itself
      }
    }
  }

  /** How the database's processes stand and what they wrote last: for the report of one that does not come. */
  get databaseState(): string {
    const lines: string[] = [];
    for (const pid of this.databaseProcesses) {
      try {
        const [, name = '', state = ''] =
          /\((.*)\) (\S)/.exec(readFileSync(`/proc/${pid}/stat`, 'utf8')) ?? [];
        lines.push(
          `${pid} ${name} ${state} ${readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ').slice(0, 90)}`,
        );
      } catch {
        // gone meanwhile
      }
    }
    const log = path.join(this.home.cluster, 'server.log');
    return `${lines.join('\n')}\n${existsSync(log) ? readFileSync(log, 'utf8').slice(-3000) : 'no log'}`;
  }

  /** Everything down and away. */
  async remove(): Promise<void> {
    this.signal('SIGKILL');
    await this.gone(3000);
    this.signalDatabase('SIGCONT', true);
    this.signalDatabase('SIGKILL', true);
    for (let waited = 0; this.postmaster !== null && waited < 50; waited++) await pause(50);
    await pause(100);
    removeHome(this.home);
  }

  /** Looks into the database past the application. */
  async query<Row extends pg.QueryResultRow>(text: string, values: unknown[] = []): Promise<Row[]> {
    // the last fault may still be working: a database that was just told to stop answers once more, then goes and comes again
    for (let tried = 0; ; tried++) {
      try {
        return await this.queryOnce<Row>(text, values);
      } catch (error) {
        const away =
          (error as { code?: string }).code === 'ENOENT' || databaseFailure(error) === 'unavailable';
        if (tried >= 60 || !away) throw error;
        await pause(250);
      }
    }
  }

  private async queryOnce<Row extends pg.QueryResultRow>(text: string, values: unknown[]): Promise<Row[]> {
    const { cluster } = this.home;
    const port = Number(readFileSync(path.join(cluster, 'postmaster.pid'), 'utf8').split('\n')[3]);
    const client = new pg.Client({
      host: '127.0.0.1',
      port,
      user: SUPERUSER,
      password: keyOf(this.home, 'superuser'),
      database: 'crumb',
    });
    client.on('error', () => undefined);
    await client.connect();
    try {
      return (await client.query<Row>(text, values)).rows;
    } finally {
      await client.end();
    }
  }

  get hasCluster(): boolean {
    return existsSync(path.join(this.home.cluster, 'PG_VERSION'));
  }
}
