import { spawn, type ChildProcess, type SpawnOptions } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** Runs a program to its end with its output in sight. @returns its exit code */
export function run(command: string, args: string[], options: SpawnOptions = {}): Promise<number> {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['ignore', 'inherit', 'inherit'], ...options });
    child.on('error', () => resolve(127));
    child.on('exit', (code) => resolve(code ?? 1));
  });
}

export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.on('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/** Waits until an address answers, or says so when it does not in time. */
export async function answers(url: string, withinMs = 60_000): Promise<void> {
  const until = Date.now() + withinMs;
  for (;;) {
    const ok = await fetch(url).then(
      (response) => response.ok,
      () => false,
    );
    if (ok) return;
    if (Date.now() > until) throw new Error(`${url} did not answer within ${withinMs} ms`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

export interface Served {
  readonly url: string;
  readonly stop: () => Promise<void>;
}

/** Serves the built application from a database, on a port and with a home of its own. */
export async function serveBuilt(databaseUrl: string, env: Record<string, string> = {}): Promise<Served> {
  const port = await freePort();
  const home = await mkdtemp(path.join(tmpdir(), 'crumb-home-'));
  const child: ChildProcess = spawn(process.execPath, ['--enable-source-maps', '.next/host.mjs', 'start'], {
    stdio: ['ignore', 'ignore', process.env.CRUMB_QUIET ? 'ignore' : 'inherit'],
    env: {
      ...process.env,
      ...env,
      NODE_ENV: 'production',
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      CRUMB_HOME: home,
    },
  });
  const url = `http://127.0.0.1:${port}`;
  // a script that dies must not leave its server behind
  process.on('exit', () => child.kill('SIGKILL'));
  await answers(`${url}/api/health`);
  return {
    url,
    stop: async () => {
      await new Promise<void>((resolve) => {
        child.on('exit', () => resolve());
        child.kill('SIGTERM');
      });
      await rm(home, { recursive: true, force: true });
    },
  };
}
