import { cp, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { migrate } from '@/db/migrate';
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
  ]);
  expect(await migrate(db.admin, folder)).toEqual([]);
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
    "insert into schema_migration (id, file, checksum) values (7, '000007_future.sql', 'x')",
  );
  await expect(migrate(db.admin, folder)).rejects.toThrow(/newer than the program/);
});
