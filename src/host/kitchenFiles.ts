import { randomUUID } from 'node:crypto';
import { closeSync, createWriteStream, existsSync, openSync, readFileSync, readSync } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type pg from 'pg';
import { openPool, PATIENT } from '@/db/pool';
import { findKitchen, listKitchens } from '@/db/queries/kitchens';
import { exportKitchen } from '@/server/exportKitchen';
import { importArchive } from '@/server/importArchive';
import { importKitchen } from '@/server/importKitchen';
import { archiveKitchen, isArchive } from '@/server/kitchenArchive';
import { withDatabase, type DatabaseOptions } from './database';
import { HostFailure, say } from './hostFailure';
import { writeNewFile } from './newFile';
import { migrateDatabase } from './prepare';
import { addressesOf, SERVING } from './roles';

/** The database brought up to date, as its tables' owner. */
const withPool = <T>(options: DatabaseOptions, work: (pool: pg.Pool) => Promise<T>): Promise<T> =>
  withDatabase(options, async (_, inHome) => {
    const url = inHome ? addressesOf(inHome.home, inHome.lease.port).owner : (options.databaseUrl ?? '');
    await migrateDatabase(url, options.root, inHome ? SERVING : null);
    const pool = openPool(url, PATIENT);
    try {
      return await work(pool);
    } finally {
      await pool.end();
    }
  });

/** `./crumb export KITCHEN FILE`: one kitchen in the open format, by its word in addresses; while it is in use. */
export async function exportToFile(options: DatabaseOptions, args: readonly string[]): Promise<number> {
  const [address, name] = args;
  if (!address || !name || args.length > 2)
    throw new HostFailure('say which and where to: ./crumb export KITCHEN FILE');
  await writeNewFile(options.calledFrom, name, (half) =>
    withPool(options, async (pool) => {
      const kitchen = await findKitchen(pool, address);
      if (!kitchen) {
        const here = (await listKitchens(pool)).map((each) => each.address);
        throw new HostFailure(`there is no kitchen ${address}; there is ${here.join(', ') || 'none'}`);
      }
      // by its name: the text alone for whoever wants to read it, else an archive with the pictures
      const pieces = name.endsWith('.json')
        ? Readable.from(exportKitchen({ pool, kitchen }))
        : await archiveKitchen({ pool, kitchen });
      await pipeline(pieces, createWriteStream(half, { mode: 0o600 }));
    }),
  );
  say(`${address} is in ${name}. ./crumb import ${name} makes a kitchen of it, here or elsewhere.`);
  return 0;
}

/** A text is read whole, pictures one by one. */
const LIMITS = { textBytes: 1024 ** 3, picturesBytes: 256 * 1024 ** 3 };

function beginningOf(file: string): Buffer {
  const open = openSync(file, 'r');
  const bytes = Buffer.alloc(4);
  readSync(open, bytes, 0, 4, 0);
  closeSync(open);
  return bytes;
}

/** `./crumb import FILE`: makes a kitchen out of a file, beside those that are here, whole or not at all. */
export async function importFromFile(options: DatabaseOptions, args: readonly string[]): Promise<number> {
  const [name] = args;
  if (!name || args.length > 1) throw new HostFailure('say from where: ./crumb import FILE');
  const file = path.resolve(options.calledFrom, name);
  if (!existsSync(file)) throw new HostFailure(`there is no file ${name}`);
  const made = await withPool(options, (pool) => {
    const here = { pool, newId: randomUUID };
    if (isArchive(beginningOf(file))) return importArchive(here, file, LIMITS);
    let data: unknown;
    try {
      data = JSON.parse(readFileSync(file, 'utf8'));
    } catch {
      throw new HostFailure(`${name} is neither an archive nor JSON; nothing was changed`);
    }
    return importKitchen(here, data);
  });
  if (!made.ok) {
    const { code, path: place } = made.problem;
    throw new HostFailure(`${name} cannot be taken, nothing was changed: ${code} at ${place || 'its top'}`);
  }
  say(`“${made.value.details.name}” is here now, at /k/${made.value.address}.`);
  return 0;
}
