/** The machine's side of ./crumb: what needs the database or serves. `crumb` itself installs what is missing and then becomes this. */
import path from 'node:path';
import { runWithDatabase, openDatabaseProgram } from './database';
import { HostFailure, say, wordSystemError } from './hostFailure';

const root = process.cwd();
const calledFrom = process.env.CRUMB_CALLED_FROM ?? root;
const homeFolder = path.resolve(root, process.env.CRUMB_HOME ?? '.crumb');

function portOf(text: string | undefined): number {
  const port = Number(text ?? 4310);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new HostFailure(`PORT=${text} is no port (1 to 65535)`);
  return port;
}

/** A server of the reader's own, with the role that may change tables if that is another one. */
const databaseUrl = process.env.DATABASE_URL || null;
const ownerUrl = process.env.DATABASE_OWNER_URL || null;

async function run([command, ...rest]: readonly string[]): Promise<number> {
  // each fetched where it is asked for: the framework is of no use to the other commands, the kitchen's documents are to few
  const where = { root, homeFolder, databaseUrl: ownerUrl ?? databaseUrl, calledFrom };
  switch (command) {
    case 'start':
    case 'dev': {
      const { start } = await import('./start');
      await start({
        root,
        homeFolder,
        listen: process.env.CRUMB_LISTEN || '127.0.0.1',
        port: portOf(process.env.PORT),
        dev: command === 'dev',
        databaseUrl,
        ownerUrl,
      });
      return 0;
    }
    case 'db':
      return openDatabaseProgram(where, rest);
    case 'with-database':
      return runWithDatabase(homeFolder, rest);
    case 'backup':
      return (await import('./backup')).backup(where, rest);
    case 'restore':
      return (await import('./restore')).restore(where, rest);
    case 'export':
      return (await import('./kitchenFiles')).exportToFile(where, rest);
    case 'import':
      return (await import('./kitchenFiles')).importFromFile(where, rest);
    default:
      throw new HostFailure(`unknown command '${command}'; see ./crumb help`);
  }
}

// whoever reads our words may be gone (a closed terminal, a pipe that ended): that is no reason to stop, nor to complain of it for ever
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);

try {
  process.exit(await run(process.argv.slice(2)));
} catch (error) {
  const worded = wordSystemError(error, homeFolder);
  if (worded instanceof HostFailure) say(`crumb: ${worded.message}`);
  else {
    const { message } = worded as Error;
    say(`crumb: something went wrong that nobody foresaw: ${message}`);
    say('What was saved is safe. Start again; if it stays, CRUMB_DEBUG=1 shows where it happened.');
    if (process.env.CRUMB_DEBUG) console.error(worded);
  }
  process.exit(1);
}
