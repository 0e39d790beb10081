/** Brings the database named by DATABASE_URL up to date and, when it is empty, moves the demo kitchen in. */
import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { libraryBook } from '@/core/ingredients';
import { migrate } from '@/db/migrate';
import { openPool } from '@/db/pool';
import { importKitchen } from '@/server/importKitchen';

export async function prepareDatabase(url: string, root: string): Promise<void> {
  const pool = openPool(url);
  try {
    const applied = await migrate(pool, path.join(root, 'src/db/migrations'));
    for (const file of applied) console.error(`Migrated: ${file}`);
    const demo: unknown = JSON.parse(await readFile(path.join(root, 'src/demo/larkspurLock.json'), 'utf8'));
    const imported = await importKitchen({ pool, book: libraryBook, newId: randomUUID }, demo);
    if (!imported.ok) throw new Error(`The demo kitchen was refused: ${JSON.stringify(imported.problem)}`);
    if (imported.value) console.error('The demo kitchen has moved in.');
  } finally {
    await pool.end();
  }
}

if (process.argv[1]?.endsWith('prepareDatabase.ts')) {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set');
  await prepareDatabase(url, process.cwd());
}
