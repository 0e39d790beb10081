import { spawn } from 'node:child_process';
import {
  chownSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
  appendFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { keyOf, type Home } from './home';
import { HostFailure, say } from './hostFailure';

/** The newest installed server's programs. A machine with only the client has the folder too, so the server's own is looked for. */
export function postgresPrograms(): string {
  const root = '/usr/lib/postgresql';
  const found = (existsSync(root) ? readdirSync(root) : [])
    .filter((version) => existsSync(path.join(root, version, 'bin', 'initdb')))
    .sort((a, b) => Number(a) - Number(b))
    .at(-1);
  if (!found) throw new HostFailure('PostgreSQL is not installed: apt-get install postgresql');
  return path.join(root, found, 'bin');
}

interface Ran {
  readonly code: number;
  readonly output: string;
}

/** Runs one of PostgreSQL's programs as the server's user, in a folder that everybody can enter. */
function runProgram(home: Home, name: string, args: readonly string[]): Promise<Ran> {
  return new Promise((resolve, reject) => {
    const child = spawn(path.join(postgresPrograms(), name), args, {
      cwd: '/',
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, LC_ALL: 'C' },
      ...(home.runAs ?? {}),
    });
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (part: Buffer) => (output += part.toString()));
    child.on('error', reject);
    // not 'close': a server left running keeps the pipes open
    child.on('exit', (code) => resolve({ code: code ?? 1, output }));
  });
}

const own = (home: Home, file: string): void => {
  if (home.runAs) chownSync(file, home.runAs.uid, home.runAs.gid);
};

export const SUPERUSER = 'crumb';

/** Settings of every cluster of ours: this machine only, password only, no socket in the file system. */
const SETTINGS = [
  "listen_addresses = '127.0.0.1'",
  "unix_socket_directories = ''",
  'max_connections = 60',
  "password_encryption = 'scram-sha-256'",
];

/** What a crash may cost tests: everything. */
const SCRATCH_SETTINGS = ['fsync = off', 'synchronous_commit = off', 'full_page_writes = off'];

/**
 * Makes the cluster where there is none. It is made beside its place and moved there when it is whole: killed half-way, the next
 * call clears the half away and begins again. A cluster that lies where the server's user cannot go is moved to where it can.
 */
export async function makeCluster(home: Home, { scratch = false } = {}): Promise<void> {
  await moveFromUnreachable(home);
  if (existsSync(path.join(home.cluster, 'PG_VERSION'))) return checkVersion(home);
  const half = clearHalves(home);
  // a folder without PG_VERSION is what a start of the first versions left when it was killed
  rmSync(home.cluster, { recursive: true, force: true });
  say('Making a database ...');
  const keyFolder = mkdtempSync(path.join(tmpdir(), 'crumb-'));
  try {
    const keyFile = path.join(keyFolder, 'key');
    writeFileSync(keyFile, keyOf(home, 'superuser'), { mode: 0o600 });
    own(home, keyFolder);
    own(home, keyFile);
    if (home.runAs && home.dataFolder === home.folder) {
      // the home itself belongs to whoever started this: the server's user gets its one folder in it
      mkdirSync(half, { mode: 0o700 });
      own(home, half);
    }
    const made = await runProgram(home, 'initdb', [
      '-D', half, '-U', SUPERUSER, '--auth=scram-sha-256', `--pwfile=${keyFile}`, '-E', 'UTF8', '--locale=C.UTF-8',
      ...(scratch ? ['--no-sync'] : []),
    ]); // prettier-ignore
    if (made.code !== 0)
      throw new HostFailure(
        wordLog(made.output, home) ?? `the database could not be made:\n${made.output.trim()}`,
      );
    appendFileSync(
      path.join(half, 'postgresql.conf'),
      `\n${[...SETTINGS, ...(scratch ? SCRATCH_SETTINGS : [])].join('\n')}\n`,
    );
    renameSync(half, home.cluster);
  } finally {
    rmSync(keyFolder, { recursive: true, force: true });
  }
}

/**
 * A place of this process's own for what is not whole yet, with what killed ones left cleared away. Never the same place twice: the program
 * that a killed start had begun may still be writing into its own.
 */
function clearHalves(home: Home): string {
  for (const entry of readdirSync(home.dataFolder)) {
    if (!entry.startsWith('pg.half')) continue;
    try {
      rmSync(path.join(home.dataFolder, entry), { recursive: true, force: true, maxRetries: 3 });
    } catch {
      // still being written into: it stays in nobody's way until the next time
    }
  }
  return path.join(home.dataFolder, `pg.half.${process.pid}.${Date.now().toString(36)}`);
}

function checkVersion(home: Home): void {
  const made = readFileSync(path.join(home.cluster, 'PG_VERSION'), 'utf8').trim();
  const here = path.basename(path.dirname(postgresPrograms()));
  if (made !== here)
    throw new HostFailure(
      `the data were made by PostgreSQL ${made}, this machine has ${here}. Install it (apt-get install postgresql-${made}), back up with ./crumb backup, and restore into a new home`,
    );
}

/** Homes of the first versions: the data lie in a folder that the server reached only by a capability it no longer has. */
async function moveFromUnreachable(home: Home): Promise<void> {
  const old = path.join(home.folder, 'pg');
  if (home.dataFolder === home.folder || !existsSync(path.join(old, 'PG_VERSION'))) return;
  if (existsSync(path.join(home.cluster, 'PG_VERSION'))) {
    // it was moved, and the start that moved it was killed before it could clear up
    rmSync(old, { recursive: true, force: true });
    return;
  }
  say(`Moving the data to ${home.cluster}, where the database server can reach them by ordinary rights ...`);
  const pid = livePostmaster(old);
  if (pid !== null) {
    process.kill(pid, 'SIGINT');
    for (let waited = 0; livePostmaster(old) !== null; waited++) {
      if (waited > 300)
        throw new HostFailure(`the old database (process ${pid}) does not stop; stop it, then start again`);
      await pause(100);
    }
  }
  const half = clearHalves(home);
  cpSync(old, half, { recursive: true, preserveTimestamps: true });
  for (const entry of readdirSync(half, { recursive: true, encoding: 'utf8' }))
    own(home, path.join(half, entry));
  own(home, half);
  renameSync(half, home.cluster);
  rmSync(old, { recursive: true, force: true });
}

/** The process that serves this cluster; null: none. A number left behind by a power cut may belong to another program by now. */
export function livePostmaster(cluster: string): number | null {
  try {
    const pid = Number(readFileSync(path.join(cluster, 'postmaster.pid'), 'utf8').split('\n')[0]);
    const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8');
    return command.includes('postgres') && command.includes(cluster) ? pid : null;
  } catch {
    return null;
  }
}

/** The port of a running cluster stands in the fourth line of its pid file; null until it is written. */
export function clusterPort(home: Home): number | null {
  try {
    const port = Number(readFileSync(path.join(home.cluster, 'postmaster.pid'), 'utf8').split('\n')[3]);
    return Number.isInteger(port) && port > 0 ? port : null;
  } catch {
    return null;
  }
}

function portIsFree(port: number): Promise<number | null> {
  return new Promise((resolve) => {
    const server = createServer();
    server.on('error', () => resolve(null));
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address ? address.port : null));
    });
  });
}

/** The same port as last time where it is free: whoever looks for the database again after a crash finds it where it was. */
async function choosePort(home: Home): Promise<number> {
  const file = path.join(home.folder, 'database-port');
  const last = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  const port = (last > 1024 && last < 65536 ? await portIsFree(last) : null) ?? (await portIsFree(0));
  if (port === null) throw new HostFailure('no free port on 127.0.0.1 for the database');
  writeFileSync(file, String(port), { mode: 0o600 });
  return port;
}

const logOf = (home: Home) => path.join(home.cluster, 'server.log');

const tail = (text: string, lines: number): string => text.trimEnd().split('\n').slice(-lines).join('\n');

function wordLog(log: string, home: Home): string | null {
  if (/No space left on device|Disk quota exceeded/i.test(log))
    return `the disk is full, the database cannot start (${home.cluster}). Make room, then start again; nothing that was saved is lost`;
  if (/data directory .* has (?:wrong ownership|invalid permissions)/i.test(log))
    return `the data folder ${home.cluster} belongs to another user. Start as the user who made it`;
  return null;
}

const ATTEMPTS = 6;

/** Starts the server process, if none runs. Whether it answers yet is for who connects to find out. */
export async function startCluster(home: Home): Promise<void> {
  const log = logOf(home);
  for (let attempt = 1; livePostmaster(home.cluster) === null; attempt++) {
    const pidFile = path.join(home.cluster, 'postmaster.pid');
    // nobody serves it, so whatever the file says is of yesterday
    if (existsSync(pidFile) && livePostmaster(home.cluster) === null) rmSync(pidFile, { force: true });
    if (!existsSync(log)) writeFileSync(log, '', { mode: 0o600 });
    own(home, log);
    const before = readFileSync(log, 'utf8').length;
    const port = await choosePort(home);
    const started = await runProgram(home, 'pg_ctl', [
      '-D',
      home.cluster,
      '-l',
      log,
      '-o',
      `-p ${port}`,
      '-t',
      '120',
      '-w',
      'start',
    ]);
    if (started.code === 0) return;
    const output = readFileSync(log, 'utf8').slice(before);
    const word = wordLog(output, home);
    if (word) throw new HostFailure(word);
    // after a power cut or kill -9 the old server's last children may need a moment to notice and let go
    if (attempt >= ATTEMPTS)
      throw new HostFailure(`the database did not start. Its log (${log}) ends with:\n${tail(output, 8)}`);
    await pause(300 * attempt);
  }
}

/** Stops the server: lets it end its statements' transactions, then insists. What was committed is safe either way. */
export async function stopCluster(home: Home): Promise<void> {
  if (livePostmaster(home.cluster) === null) return;
  const fast = await runProgram(home, 'pg_ctl', ['-D', home.cluster, '-m', 'fast', '-t', '8', '-w', 'stop']);
  if (fast.code === 0 || livePostmaster(home.cluster) === null) return;
  await runProgram(home, 'pg_ctl', ['-D', home.cluster, '-m', 'immediate', '-t', '3', '-w', 'stop']);
  if (livePostmaster(home.cluster) !== null)
    say('The database does not stop; it is left as it is, and the next start takes it over.');
}
