import { createHash } from 'node:crypto';
import { cp, mkdir, mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { migrate } from '@/db/migrate';
import written from './migrations.json';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let folder: string;
beforeEach(async () => {
  db = await testDatabase({ empty: true });
  folder = await mkdtemp(path.join(tmpdir(), 'crumb-migrations-'));
  await cp('src/db/migrations', folder, { recursive: true });
});
afterEach(async () => {
  await db.drop();
  await rm(folder, { recursive: true });
});

test('applies each migration once, even when two starters race', async () => {
  const racers = await Promise.all([1, 2, 3].map(() => migrate(db.admin, folder)));
  expect(racers.flat()).toEqual([
    '000001_initial.sql',
    '000002_ingredients.sql',
    '000003_kit.sql',
    '000004_firm_ground.sql',
    '000005_one_home_each.sql',
    '000006_lists.sql',
    '000007_kitchens.sql',
    '000008_lots.sql',
    '000009_stock.sql',
    '000010_day.sql',
    '000011_starters.sql',
    '000012_orders.sql',
    '000013_news.sql',
    '000014_instruments.sql',
    '000015_who.sql',
    '000016_devices.sql',
    '000017_photos.sql',
    '000018_advice.sql',
    '000019_forecasts.sql',
    '000020_found.sql',
    '000021_taste_links.sql',
    '000022_cuts.sql',
    '000023_found_words.sql',
  ]);
  expect(await migrate(db.admin, folder)).toEqual([]);
  const initial = await readFile('src/db/migrations/000001_initial.sql');
  const { rows } = await db.admin.query('select id, file, checksum from schema_migration order by id');
  expect(rows).toHaveLength(23);
  expect(rows[0]).toEqual({
    id: 1,
    file: '000001_initial.sql',
    checksum: createHash('sha256').update(initial).digest('hex'),
  });
});

test('a migration that a kitchen may have applied stays as it is, under its name', async () => {
  const files = (await readdir('src/db/migrations')).sort();
  const found = await Promise.all(
    files.map(async (file) => {
      const sql = await readFile(path.join('src/db/migrations', file));
      return [file, createHash('sha256').update(sql).digest('hex').slice(0, 16)];
    }),
  );
  // A difference here means that a database of before does not start any more. A new migration gets a line of its own; the others stay.
  expect(Object.fromEntries(found)).toEqual(written);
});

test('only migrations are read, and one after the other by their numbers', async () => {
  await rm(folder, { recursive: true });
  await mkdir(folder);
  const files = {
    '000002_second.sql': 'create table second as select * from first',
    '000001_first.sql': "create table first as select 'ä' as letter",
    '000003_third.sql.orig': 'select 1 / 0',
    '3_third.sql': 'select 1 / 0',
    '0000003_third.sql': 'select 1 / 0',
    '000003_.sql': 'select 1 / 0',
    'abcdef_third.sql': 'select 1 / 0',
    'README.md': 'no SQL',
  };
  for (const [file, sql] of Object.entries(files)) await writeFile(path.join(folder, file), sql);
  expect(await migrate(db.admin, folder)).toEqual(['000001_first.sql', '000002_second.sql']);
  expect((await db.admin.query('select letter from second')).rows).toEqual([{ letter: 'ä' }]);
});

test('a migration that fails leaves nothing behind, and the next attempt starts clean', async () => {
  await writeFile(path.join(folder, '000002_half.sql'), 'create table half (id integer); select 1 / 0;');
  await expect(migrate(db.admin, folder)).rejects.toThrow(/division by zero/);
  const { rows } = await db.admin.query(
    "select to_regclass('half') as half, (select count(*)::int from schema_migration) as done",
  );
  expect(rows).toEqual([{ half: null, done: 1 }]);
});

test('refuses an edited migration and a database newer than the program', async () => {
  await migrate(db.admin, folder);
  await writeFile(path.join(folder, '000001_initial.sql'), '-- something else');
  await expect(migrate(db.admin, folder)).rejects.toThrow(/changed after it had been applied/);
  await db.admin.query(
    "insert into schema_migration (id, file, checksum) values (999, '000999_future.sql', 'x')",
  );
  await expect(migrate(db.admin, folder)).rejects.toThrow(/newer than the program/);
});
