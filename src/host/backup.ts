import { statSync } from 'node:fs';
import { runClient, withDatabase, type DatabaseOptions } from './database';
import { HostFailure, say } from './hostFailure';
import { writeNewFile } from './newFile';

/**
 * `./crumb backup FILE`: the whole database in one file, as it is at this moment, while it is in use. Written beside its place and
 * moved there when it has been read through once: what bears the name is whole.
 */
export async function backup(options: DatabaseOptions, args: readonly string[]): Promise<number> {
  const [name] = args;
  if (!name || args.length > 1) throw new HostFailure('say where to: ./crumb backup FILE');
  const file = await writeNewFile(options.calledFrom, name, (half) =>
    withDatabase(options, async (surroundings) => {
      const run = (program: string, programArgs: readonly string[]) =>
        runClient(program, programArgs, { surroundings, cwd: options.calledFrom, quiet: true });
      const dumped = await run('pg_dump', ['--format=custom', '--no-password', `--file=${half}`]);
      if (dumped.code !== 0) throw wordFailure(dumped.errors);
      // what bears the name has been read through once
      const readThrough = await run('pg_restore', ['--file=/dev/null', half]);
      if (readThrough.code !== 0) throw wordFailure(readThrough.errors);
    }),
  );
  say(
    `Backed up to ${name} (${Math.ceil(statSync(file).size / 1024)} KB). ./crumb restore ${name} brings it back.`,
  );
  return 0;
}

function wordFailure(errors: string): HostFailure {
  if (/No space left on device/.test(errors)) return new HostFailure('the disk is full; nothing was written');
  if (/server version.*pg_dump version/s.test(errors))
    return new HostFailure(
      'the database server is newer than this machine’s pg_dump; install the client of its version',
    );
  return new HostFailure(
    `the backup failed, nothing was written:\n${errors.trim().split('\n').slice(-4).join('\n')}`,
  );
}
