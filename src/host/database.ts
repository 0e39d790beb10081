import { spawn } from 'node:child_process';
import path from 'node:path';
import { makeCluster, postgresPrograms, SUPERUSER } from './cluster';
import { openHome, passwordFile, writePrivately, type Home } from './home';
import { HostFailure } from './hostFailure';
import { leaseCluster, type Lease } from './lease';
import { connectAsSuperuser } from './prepare';
import { addressOf, DATABASE, makeRolesAndDatabase, OWNER, SERVING } from './roles';

export interface DatabaseOptions {
  readonly root: string;
  readonly homeFolder: string;
  /** A server of the reader's own; null: the home's. */
  readonly databaseUrl: string | null;
  /** Where the user stands: paths are meant from there. */
  readonly calledFrom: string;
}

/** The surroundings in which PostgreSQL's own programs find the database, with the password in a file and nowhere else. */
export type Surroundings = Readonly<Record<string, string>> & { readonly PGDATABASE: string };

function ownServer(home: Home, databaseUrl: string): Surroundings {
  const url = new URL(databaseUrl);
  const [host, port, user, database] = [
    url.hostname.replace(/[[\]]/g, ''),
    url.port || '5432',
    decodeURIComponent(url.username),
    decodeURIComponent(url.pathname.slice(1)) || 'postgres',
  ];
  const file = path.join(home.folder, 'keys', 'pgpass-own');
  const escaped = decodeURIComponent(url.password).replace(/[\\:]/g, '\\$&');
  writePrivately(file, `*:*:*:*:${escaped}\n`);
  const mode = url.searchParams.get('sslmode');
  return {
    PGHOST: host,
    PGPORT: port,
    PGUSER: user,
    PGDATABASE: database,
    PGPASSFILE: file,
    ...(mode && { PGSSLMODE: mode }),
  };
}

/** Does `work` with the database in use: the home's cluster is started for it if need be, and left running if others use it. */
export async function withDatabase<T>(
  { homeFolder, databaseUrl }: Pick<DatabaseOptions, 'homeFolder' | 'databaseUrl'>,
  work: (surroundings: Surroundings, inHome: { home: Home; lease: Lease } | null) => Promise<T>,
): Promise<T> {
  const home = openHome(homeFolder);
  if (databaseUrl) return work(ownServer(home, databaseUrl), null);
  await makeCluster(home);
  const lease = await leaseCluster(home);
  try {
    await makeRolesAndDatabase(home, lease, (database) => connectAsSuperuser(home, lease.port, database));
    const surroundings = {
      PGHOST: '127.0.0.1',
      PGPORT: String(lease.port),
      PGUSER: OWNER,
      PGDATABASE: DATABASE,
      PGPASSFILE: passwordFile(home, { [OWNER]: 'owner' }),
    };
    return await work(surroundings, { home, lease });
  } finally {
    await lease.giveUp();
  }
}

/** Runs one of PostgreSQL's programs where the user stands. @returns its exit code */
export function runClient(
  program: string,
  args: readonly string[],
  { surroundings, cwd, quiet = false }: { surroundings: Surroundings; cwd: string; quiet?: boolean },
): Promise<{ code: number; errors: string }> {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, {
      cwd,
      stdio: quiet ? ['ignore', 'ignore', 'pipe'] : 'inherit',
      env: { ...process.env, ...surroundings, PATH: `${postgresPrograms()}:${process.env.PATH ?? ''}` },
    });
    let errors = '';
    child.stderr?.on('data', (part: Buffer) => (errors += part.toString()));
    child.on('error', (error: NodeJS.ErrnoException) =>
      reject(error.code === 'ENOENT' ? new HostFailure(`there is no program '${program}' here`) : error),
    );
    child.on('close', (code, signal) => resolve({ code: code ?? (signal === 'SIGINT' ? 130 : 1), errors }));
  });
}

/** `./crumb db [PROGRAM ARGS]`: psql, or another of PostgreSQL's programs, on the kitchen's database. */
export async function openDatabaseProgram(
  options: DatabaseOptions,
  [program = 'psql', ...args]: readonly string[],
): Promise<number> {
  // Ctrl-C is the program's: a psql prompt clears its line by it
  process.on('SIGINT', () => undefined);
  return withDatabase(options, async (surroundings) => {
    const { code } = await runClient(program, [`--dbname=${surroundings.PGDATABASE}`, ...args], {
      surroundings,
      cwd: options.calledFrom,
    });
    return code;
  });
}

/** A cluster for tests and benchmarks in use while a command runs; where it is stands in the command's environment. */
export async function runWithDatabase(
  homeFolder: string,
  [program, ...args]: readonly string[],
): Promise<number> {
  if (!program) throw new HostFailure('with-database needs a command');
  process.on('SIGINT', () => undefined);
  const home = openHome(homeFolder, { scratch: true });
  await makeCluster(home, { scratch: true });
  const lease = await leaseCluster(home);
  try {
    await makeRolesAndDatabase(home, lease, (database) => connectAsSuperuser(home, lease.port, database));
    return await new Promise<number>((resolve, reject) => {
      const child = spawn(program, args, {
        stdio: 'inherit',
        env: {
          ...process.env,
          CRUMB_TEST_DATABASE: addressOf(home, lease.port, SUPERUSER, 'superuser', 'postgres'),
          CRUMB_TEST_OWNER: addressOf(home, lease.port, OWNER, 'owner', 'postgres'),
          CRUMB_TEST_SERVING: addressOf(home, lease.port, SERVING, 'serving', 'postgres'),
        },
      });
      child.on('error', reject);
      child.on('exit', (code) => resolve(code ?? 1));
      process.on('SIGTERM', () => child.kill('SIGTERM'));
    });
  } finally {
    await lease.giveUp();
  }
}
