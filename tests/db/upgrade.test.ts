import { cp, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { readFileSync } from 'node:fs';
import { migrate } from '@/db/migrate';
import { firstKitchen } from '@/db/queries/kitchens';
import { loadKit } from '@/server/kit';
import { testDatabase } from './testDatabase';

const firstOf = (name: string): unknown =>
  (JSON.parse(readFileSync(`src/core/documents/fixtures/${name}.json`, 'utf8')) as unknown[])[0];

test('a database of the first versions: height and scales move to the kit, with and without one', async () => {
  const db = await testDatabase({ empty: true });
  const folder = await mkdtemp(path.join(tmpdir(), 'crumb-migrations-'));
  for (const file of ['000001_initial.sql', '000002_ingredients.sql', '000003_kit.sql'])
    await cp(path.join('src/db/migrations', file), path.join(folder, file));
  await migrate(db.admin, folder);
  const details = firstOf('kitchenDetails.v1') as { scales: unknown; altitudeM: number };
  const insert = (id: string, at: string) =>
    db.admin.query('insert into kitchen (id, details, created_at) values ($1, $2, $3)', [
      id,
      { ...details, altitudeM: 640 },
      at,
    ]);
  const [withKit, without] = ['00000000-0000-4000-8000-000000000001', '00000000-0000-4000-8000-000000000002'];
  await insert(withKit, '2026-01-01');
  await insert(without, '2026-01-02');
  await db.admin.query(
    `insert into kitchen_kit (kitchen_id, version, request_id, kit, saved_at) values ($1, 1, gen_random_uuid(), $2, now())`,
    [withKit, firstOf('kit.v1')],
  );
  await migrate(db.admin, 'src/db/migrations');
  const first = await firstKitchen(db.admin);
  expect(first).toMatchObject({ id: withKit, details: { name: 'Larkspur Lock' }, setAside: null });
  if (!first) throw new Error('no kitchen');
  const context = (id: string) => ({ pool: db.admin, kitchen: { ...first, id } });
  const stored = await loadKit(context(withKit));
  // the kit's own height was the one that was edited
  expect([stored.version, stored.kit.altitudeM, stored.kit.scales, stored.setAside]).toEqual([
    2,
    95,
    details.scales,
    undefined,
  ]);
  const ordinary = await loadKit(context(without));
  expect([ordinary.version, ordinary.kit.altitudeM, ordinary.kit.scales]).toEqual([1, 640, details.scales]);
  await rm(folder, { recursive: true });
  await db.drop();
});
