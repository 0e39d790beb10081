import { clusterUrl, testDatabase, type TestDatabase } from './testDatabase';
import { openPool } from '@/db/pool';
import { OWNER, SERVING } from '@/host/roles';

/** What the roles may do is asked of the running database, not of the statements that were to see to it. */
let db: TestDatabase;
beforeAll(async () => {
  db = await testDatabase();
});
afterAll(() => db.drop());

test('neither the serving role nor the owner has any power over the server', async () => {
  const { rows } = await db.admin.query<Record<string, boolean | string>>(
    `select rolname, rolsuper, rolcreatedb, rolcreaterole, rolreplication, rolbypassrls from pg_roles
     where rolname = any ($1) order by rolname`,
    [[OWNER, SERVING]],
  );
  expect(rows.map(({ rolname }) => rolname)).toEqual([OWNER, SERVING]);
  for (const { rolname, ...powers } of rows)
    expect([rolname, new Set(Object.values(powers))]).toEqual([rolname, new Set([false])]);
  const member = await db.admin.query(
    `select 1 from pg_auth_members m join pg_roles r on r.oid = m.member where r.rolname = any ($1)`,
    [[OWNER, SERVING]],
  );
  expect(member.rows).toEqual([]);
});

test('the serving role reads and adds, and rewrites only what is meant to change', async () => {
  const { rows } = await db.admin.query<{ relname: string; rights: string[] }>(
    `select c.relname, array_agg(p order by p) filter (where has_table_privilege($1, c.oid, p)) as rights
     from pg_class c join pg_namespace n on n.oid = c.relnamespace,
       unnest(array['SELECT', 'INSERT', 'UPDATE', 'DELETE', 'TRUNCATE', 'REFERENCES', 'TRIGGER']) p
     where n.nspname = 'public' and c.relkind in ('r', 'p') group by c.relname order by c.relname`,
    [SERVING],
  );
  expect(Object.fromEntries(rows.map(({ relname, rights }) => [relname, rights.join(' ')]))).toEqual({
    bake: 'INSERT SELECT',
    bake_card: 'INSERT SELECT UPDATE',
    bake_event: 'INSERT SELECT',
    bake_forecast: 'INSERT SELECT',
    bake_photo: 'INSERT SELECT',
    bake_under_way: 'DELETE INSERT SELECT UPDATE',
    computed_answer: 'INSERT SELECT UPDATE',
    device: 'INSERT SELECT',
    device_code: 'INSERT SELECT',
    formula: 'INSERT SELECT UPDATE',
    formula_revision: 'INSERT SELECT',
    instrument: 'INSERT SELECT',
    instrument_telling: 'DELETE INSERT SELECT',
    instrument_window: 'INSERT SELECT UPDATE',
    installation: 'SELECT',
    kitchen: 'INSERT SELECT UPDATE',
    kitchen_day: 'INSERT SELECT',
    kitchen_ingredient: 'INSERT SELECT',
    kitchen_kit: 'INSERT SELECT',
    kitchen_life: 'INSERT SELECT',
    kitchen_starters: 'INSERT SELECT',
    taste_link: 'INSERT SELECT',
    kitchen_orders: 'INSERT SELECT',
    schema_migration: 'SELECT',
  });
});

test.each([
  ['create table thing (id integer)', /permission denied for schema public/],
  ['create temporary table thing (id integer)', /permission denied to create temporary tables/],
  ['create schema other', /permission denied for database/],
  ['drop table bake', /must be owner/],
  ['alter table bake disable trigger all', /must be owner/],
  ['delete from bake_event', /permission denied/],
  ['truncate kitchen', /permission denied/],
  ['update bake set sheet = batch', /permission denied/],
  ["select pg_read_file('/etc/passwd')", /permission denied/],
  ["select pg_ls_dir('/')", /permission denied/],
  ["copy kitchen to '/tmp/kitchen'", /permission denied|must be superuser/],
  ["copy kitchen from program 'id'", /permission denied|must be superuser/],
  ["select lo_import('/etc/passwd')", /permission denied/],
  ['create role thief', /permission denied/],
  [`alter role ${SERVING} superuser`, /must be superuser|permission denied/],
  [`set role ${OWNER}`, /permission denied/],
  ['create extension dblink', /permission denied|could not open/],
  ['create database other', /permission denied/],
])('the serving role may not: %s', async (sql, refusal) => {
  await expect(db.pool.query(sql)).rejects.toThrow(refusal);
});

test('a stranger’s database is closed to it, and the owner is no superuser either', async () => {
  const owner = openPool(clusterUrl('OWNER', db.name));
  await expect(owner.query("select pg_read_file('/etc/passwd')")).rejects.toThrow(/permission denied/);
  await expect(owner.query("copy kitchen to program 'id'")).rejects.toThrow(/must be superuser/);
  await owner.end();
});
