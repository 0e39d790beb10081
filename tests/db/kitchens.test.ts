import { ORDINARY_LIFE } from '@/core/day/lifeDocument';
import { NOT_SHARED } from '@/core/day/shared';
import { fed, starter, told } from '@/core/starter/testStarters';
import { loadLife, saveLife } from '@/server/day';
import { loadOrders, orderedFormulas, saveOrders } from '@/server/orders';
import { loadStarters, saveStarters } from '@/server/starters';
import { randomUUID } from 'node:crypto';
import { eightRolls } from '@/core/batch/testBatch';
import type { KitchenFile } from '@/core/formats';
import type { BlendEntry } from '@/core/ingredients';
import { plainLoaf } from '@/core/formula/testFormulas';
import { kitchenWord, PLAIN_WAYS } from '@/core/kit';
import type { SetUpKitchen } from '@/core/requests';
import { addressesLike, findKitchen, listKitchens } from '@/db/queries/kitchens';
import { recordTaps, startBake } from '@/server/bakes';
import { exportKitchen } from '@/server/exportKitchen';
import { Busy } from '@/server/failure';
import { archiveFormula, createFormula, duplicateFormula, loadFormula, saveFormula } from '@/server/formulas';
import { importKitchen } from '@/server/importKitchen';
import { loadEntries, saveEntry } from '@/server/ingredients';
import { contextIn, type Context } from '@/server/context';
import { loadKit, saveKit } from '@/server/kit';
import {
  bringDemo,
  kitchensHere,
  removeDemo,
  renewDemo,
  saveDetails,
  setUpKitchen,
  type Installation,
} from '@/server/kitchens';
import { ended, shelf } from './lists';
import { testDatabase, type TestDatabase } from './testDatabase';

/** Kitchens beside one another: each under a word of its own, the demo among them, and none in another's way. */
let db: TestDatabase;
let here: Installation;
let owner: Installation;
const now = () => new Date(Date.UTC(2026, 10, 19, 5));
beforeEach(async () => {
  db = await testDatabase();
  here = { pool: db.pool, newId: randomUUID, now };
  // who starts the application owns the tables; who serves it may not say that the demo was brought
  owner = { ...here, pool: db.admin };
});
afterEach(() => db.drop());

const wish = (part: Partial<SetUpKitchen> = {}): SetUpKitchen => ({
  requestId: randomUUID(), name: 'Süße Mühle', timeZone: 'Europe/Berlin', baking: 'everything', ovenKind: 'fan', altitudeM: 700, ...part,
}); // prettier-ignore
async function inside(address: string): Promise<Context> {
  const kitchen = await findKitchen(db.pool, address);
  if (!kitchen) throw new Error(`no kitchen at ${address}`);
  return contextIn(db.pool, kitchen, { now, newId: randomUUID, afterwards: () => undefined });
}

test('a word for addresses: what is left of a name in plain letters, and a number where it is taken', () => {
  expect(
    ['Süße Mühle', 'Larkspur Lock', '  Brød & Bolle!  ', '麦', 'ÅÄÖ', 'x'.repeat(60), 'a'.repeat(29) + ' b'].map((name) =>
      kitchenWord(name, []),
    ),
  ).toEqual(['susse-muhle', 'larkspur-lock', 'br-d-bolle', 'kitchen', 'aao', 'x'.repeat(30), 'a'.repeat(29)]);
  expect(kitchenWord('My kitchen', ['my-kitchen', 'my-kitchen-2', 'other'])).toBe('my-kitchen-3');
  expect(kitchenWord('My kitchen', ['my-kitchen-2'])).toBe('my-kitchen');
}); // prettier-ignore

test('a kitchen of one’s own: what was answered, three formulas that work, once however often it is sent', async () => {
  const asked = wish();
  const made = await Promise.all([
    setUpKitchen(here, asked),
    setUpKitchen(here, asked),
    setUpKitchen(here, asked),
  ]);
  const card = { address: 'susse-muhle', name: 'Süße Mühle', demo: false };
  expect(made).toEqual(Array(3).fill({ ok: true, value: card }));
  expect(await kitchensHere(here)).toEqual([card]);
  const kitchen = await inside('susse-muhle');
  const { cards } = await shelf(kitchen);
  expect(cards.map(({ style }) => style).sort()).toEqual(['pizza', 'rolls', 'tinLoaf']);
  for (const { hydrationAll, binders } of cards) {
    expect(hydrationAll).toBeGreaterThan(50);
    expect(binders.length).toBeGreaterThan(0);
  }
  const { kit, version } = await loadKit(kitchen);
  expect([version, kit.altitudeM, kit.ovens.map(({ kind }) => kind)]).toEqual([1, 700, ['fan']]);
  // the same name again is another kitchen, empty if that is what was asked for, and knows nothing of the first
  expect(await setUpKitchen(here, wish({ baking: 'none' }))).toMatchObject({
    value: { address: 'susse-muhle-2' },
  });
  const second = await inside('susse-muhle-2');
  expect((await shelf(second)).cards).toEqual([]);
  expect(await loadFormula(second, cards[0]!.id)).toBeNull();
  expect(await findKitchen(db.pool, 'susse-muhle-3')).toBeNull();
  // no sign of a pattern is one
  expect(await addressesLike(db.pool, 'susse_muhle')).toEqual([]);
});

test.each(['loaves', 'small', 'flat'] as const)('three formulas to begin with for %s', async (baking) => {
  const made = await setUpKitchen(here, wish({ baking }));
  if (!made.ok) throw new Error('not made');
  expect((await shelf(await inside(made.value.address))).cards).toHaveLength(3);
});

test('the demo comes once, is put back as it was, and stays away when it was removed; no other kitchen notices', async () => {
  const own = await setUpKitchen(here, wish());
  if (!own.ok) throw new Error('not made');
  expect(await Promise.all([bringDemo(owner), bringDemo(owner)])).toEqual(
    expect.arrayContaining([true, false]),
  );
  expect((await kitchensHere(here)).map(({ demo }) => demo)).toEqual([false, true]);
  const demo = (await listKitchens(db.pool)).find((kitchen) => kitchen.demo)!;
  const first = await inside(demo.address);
  const before = (await shelf(first)).cards.map(({ name }) => name);
  await createFormula(first, { requestId: randomUUID(), formula: plainLoaf() });
  expect(await renewDemo(here)).toEqual({
    ok: true,
    value: { address: demo.address, name: demo.details.name, demo: true },
  });
  const again = await inside(demo.address);
  expect(again.kitchen.id).not.toBe(demo.id);
  expect((await shelf(again)).cards.map(({ name }) => name)).toEqual(before);
  expect((await ended(again)).lines.length).toBeGreaterThan(0);
  expect(await removeDemo(again)).toEqual({ ok: true, value: { removed: true } });
  expect(await findKitchen(db.pool, demo.address)).toBeNull();
  // also who has no right to bring it may ask
  expect([await bringDemo(owner), await bringDemo(here)]).toEqual([false, false]);
  const mine = await inside(own.value.address);
  expect(await removeDemo(mine)).toEqual({ ok: false, failure: { kind: 'notFound' } });
  expect((await shelf(mine)).cards).toHaveLength(3);
  // nothing of it is left anywhere
  const { rows } = await db.admin.query<{ table_name: string }>(
    `select table_name from information_schema.columns where table_schema = 'public' and column_name = 'kitchen_id'`,
  );
  for (const { table_name: table } of rows) {
    const left = await db.admin.query(`select 1 from ${table} where kitchen_id = any ($1)`, [
      [demo.id, again.kitchen.id],
    ]);
    expect([table, left.rowCount]).toEqual([table, 0]);
  }
  // pressed in two tabs at once it is one demo all the same
  await Promise.all([renewDemo(here), renewDemo(here), renewDemo(here)]);
  expect((await kitchensHere(here)).filter((kitchen) => kitchen.demo)).toEqual([
    { address: demo.address, name: demo.details.name, demo: true },
  ]);
});

test('a log goes with its whole kitchen, and in no other way', async () => {
  await bringDemo(owner);
  const [demo] = await listKitchens(db.pool);
  for (const table of ['bake_event', 'formula_revision', 'bake', 'kitchen_kit'])
    await expect(db.admin.query(`delete from ${table}`)).rejects.toThrow(/append-only/);
  // who serves cannot pretend to be the function
  const client = await db.pool.connect();
  try {
    await client.query('begin');
    await client.query(`select set_config('crumb.removing', $1, true)`, [demo!.id]);
    await expect(client.query('delete from bake_event')).rejects.toThrow(/permission denied/);
  } finally {
    await client.query('rollback');
    client.release();
  }
});

test('a kitchen gets another name and zone; its address stays, and its neighbour is as it was', async () => {
  await setUpKitchen(here, wish());
  await setUpKitchen(here, wish({ name: 'Beside' }));
  const details = {
    ...PLAIN_WAYS,
    name: 'The old mill',
    about: 'By the weir',
    timeZone: 'Asia/Tokyo',
    people: ['Ilse'],
  };
  expect(await saveDetails(await inside('susse-muhle'), details)).toEqual({ ok: true, value: details });
  expect((await inside('susse-muhle')).kitchen.details).toEqual(details);
  expect((await inside('beside')).kitchen.details.name).toBe('Beside');
});

/** A file without its ids, whose order is chance where two things began at one moment. */
function plain(text: string): unknown {
  const file = JSON.parse(text) as KitchenFile;
  expect(file.bakes.flatMap(({ events }) => events).flatMap(({ by, action }) => (by === 'Imke' ? [[by, action.type]] : []))).toEqual([['Imke', 'noted']]); // prettier-ignore
  // by what does not change with its ids
  const word = (revisions: unknown) =>
    JSON.stringify(revisions, (name, value: unknown) => (name === 'formulaId' ? '' : value));
  const sorted = [...file.formulas].sort((a, b) => (word(a.revisions) < word(b.revisions) ? -1 : 1));
  const order = new Map(sorted.map(({ key }, index) => [key, `f${index}`]));
  const bare = ({ key: _key, ...bake }: KitchenFile['bakes'][number]) =>
    JSON.stringify({ ...bake, formula: order.get(bake.formula) });
  const partly = ({
    formulaId,
    ...stage
  }: KitchenFile['formulas'][number]['revisions'][number]['formula']['stages'][number]) =>
    formulaId ? { ...stage, formulaId: order.get(formulaId) ?? 'not in the file' } : stage;
  return {
    ...file,
    formulas: sorted.map(({ key, branchedFrom, revisions, ...formula }) => ({
      ...formula,
      revisions: revisions.map(({ formula: made, ...revision }) => ({
        ...revision,
        formula: { ...made, stages: made.stages.map(partly) },
      })),
      key: order.get(key),
      branchedFrom: branchedFrom && { ...branchedFrom, formula: order.get(branchedFrom.formula) },
    })),
    bakes: file.bakes.map(bare).sort(),
    orders: file.orders && {
      ...file.orders,
      orders: file.orders.orders.map((each) => ({ ...each, formulaId: order.get(each.formulaId) })),
    },
  };
}
async function written(context: Context): Promise<string> {
  const pieces: string[] = [];
  for await (const piece of exportKitchen(context)) pieces.push(piece);
  return pieces.join('');
}

test('a kitchen written out and read in again is the same, with every version of everything, here and in another home', async () => {
  await bringDemo(owner);
  const [demo] = await listKitchens(db.pool);
  const first = await inside(demo!.address);
  // what the demo has nothing of: a branch, one put away, newer versions, a bake under way
  const { cards } = await shelf(first);
  const [one, two] = [cards[0]!.id, cards[1]!.id];
  const branch = await duplicateFormula(first, {
    id: one,
    requestId: randomUUID(),
    revision: 1,
    name: 'A branch',
  });
  if (!branch.ok) throw new Error('no branch');
  await archiveFormula(first, { id: two, archived: true });
  const kit = await loadKit(first);
  await saveKit(first, { requestId: randomUUID(), seen: kit.version, kit: { ...kit.kit, roomC: 17 } });
  const jar = (await loadEntries(first)).find(({ id }) => id === 'own-quay-jar')!;
  await saveEntry(first, {
    requestId: randomUUID(),
    seen: jar.version,
    entry: { ...(jar.entry as BlendEntry), source: 'weighed' },
    away: true,
  });
  // two sacks of what the branch is made of: one in use, one put away after it was in a bake
  // made in part by another formula
  const made = (await loadFormula(first, one))!;
  const by = { ...made.formula, stages: made.formula.stages.map((stage) => ({ ...stage, formulaId: two })) };
  await saveFormula(first, { id: one, requestId: randomUUID(), seen: made.revision, formula: by });
  const kept = (await loadFormula(first, branch.value.id))!;
  const { ingredientId } = kept.formula.stages[0]!.lines[0]!;
  const sack = (code: string, seen: number, openedOn: string, away = false) =>
    saveEntry(first, {
      requestId: randomUUID(), seen, away,
      entry: { kind: 'lot', id: `own-sack-${code}`, of: ingredientId, code, openedOn, bestBefore: null, open: true },
    }); // prettier-ignore
  await sack('a', 0, '2026-09-01');
  await sack('b', 0, '2026-10-01');
  const withSacks = await inside(demo!.address);
  const bake = await startBake(withSacks, {
    requestId: randomUUID(),
    formulaId: branch.value.id,
    revision: 1,
    batch: eightRolls,
  });
  if (!bake.ok) throw new Error('no bake');
  await recordTaps(withSacks, bake.value.id, [
    { eventId: randomUUID(), agoMs: 0, by: 'Imke', action: { type: 'noted', text: 'damp – “mild”' } },
    { eventId: randomUUID(), agoMs: 0, action: { type: 'lotUsed', ingredientId, lotId: 'own-sack-a' } },
  ]);
  await sack('a', 1, '2026-09-01', true);
  await saveLife(withSacks, {
    requestId: randomUUID(),
    seen: 0,
    life: { ...ORDINARY_LIFE, people: 3, shared: { ...NOT_SHARED, apart: ['egg'] } },
  });
  await saveStarters(withSacks, {
    requestId: randomUUID(),
    seen: 0,
    starters: { starters: [starter(told([0, fed(25, 50, 50)]))] },
  });
  await saveOrders(withSacks, {
    requestId: randomUUID(),
    seen: 0,
    orders: {
      spare: 2,
      orders: [
        {
          id: randomUUID(),
          who: 'Mill café',
          formulaId: branch.value.id,
          formulaName: 'Rolls',
          pieces: 6,
          avoids: [],
          when: { kind: 'weekly', days: [6], clock: '08:00' },
          skipped: [],
        },
      ],
    },
  });
  const text = await written(await inside(demo!.address));
  expect(text).toContain('"lotUsed"');
  expect(text).toContain('"formulaId"');
  const file = JSON.parse(text) as KitchenFile;
  expect([file.version, file.formulas.length, file.bakes.length, file.kits.length, file.leftOut]).toEqual([
    14,
    17,
    29,
    3,
    [],
  ]);
  const wish = { requestId: randomUUID() };
  const [again, twice] = [await importKitchen(here, file, wish), await importKitchen(here, file, wish)];
  if (!again.ok || !twice.ok) throw new Error(JSON.stringify([again, twice]));
  expect([again.value.address, twice.value.id, again.value.demo]).toEqual([
    `${demo!.address}-2`,
    again.value.id,
    false,
  ]);
  expect(plain(await written(await inside(again.value.address)))).toEqual(plain(text));
  expect(plain(await written(await inside(demo!.address)))).toEqual(plain(text));
  // its hours, starters and orders too; each order of this kitchen’s own formula
  const there = await inside(again.value.address);
  expect([file.life?.people, (await loadLife(there)).value, (await loadStarters(there)).value]).toEqual([
    3,
    file.life,
    file.starters,
  ]);
  const [ordered] = (await loadOrders(there)).value.orders;
  expect(await orderedFormulas(there, (await loadOrders(there)).value)).toMatchObject([
    { formulaId: ordered!.formulaId },
  ]);
  const elsewhere = await testDatabase();
  try {
    const moved = await importKitchen({ ...here, pool: elsewhere.pool }, file);
    if (!moved.ok) throw new Error(JSON.stringify(moved));
    expect(plain(await written({ ...first, pool: elsewhere.pool, kitchen: moved.value }))).toEqual(
      plain(text),
    );
    // lists say there what they said here
    const there = contextIn(elsewhere.pool, moved.value, first);
    expect((await ended(there)).lines.map(({ name, words }) => [name, words])).toEqual(
      (await ended(first)).lines.map(({ name, words }) => [name, words]),
    );
  } finally {
    await elsewhere.drop();
  }
});

test('what cannot be read is left out and named; numbers hold, and the rest can be read in', async () => {
  await bringDemo(owner);
  const [demo] = await listKitchens(db.pool);
  const { rows } = await db.admin.query<{ id: string }>(
    `select id from formula where name like 'Blue-jar%' or name like 'Millet%' order by name`,
  );
  const client = await db.admin.connect();
  await client.query('set session_replication_role = replica');
  await client.query(`update formula_revision set schema_version = 99 where formula_id = $1 and number = 2`, [
    rows[0]!.id,
  ]);
  await client.query(`update formula_revision set schema_version = 99 where formula_id = $1`, [rows[1]!.id]);
  // a log that lost its first entries, and a clock that was set back between two revisions
  const log = await client.query<{ bake: string }>(
    `update bake_event set schema_version = 99 where bake_id = (select min(bake_id::text)::uuid from bake_event where action ->> 'type' = 'timerChanged'
       and bake_id not in (select id from bake where formula_id = $1)) and action ->> 'type' = 'timerStarted' returning bake_id as bake`,
    [rows[1]!.id],
  );
  await client.query(`update formula_revision set saved_at = '2020-01-01' where number = 2`);
  client.release(true);
  const file = JSON.parse(await written(await inside(demo!.address))) as KitchenFile;
  expect(log.rowCount).toBeGreaterThan(0);
  expect(file.formulas).toHaveLength(15);
  const kept = file.formulas.find(({ key }) => key === rows[0]!.id)!;
  expect([kept.revisions.length, kept.revisions[1]]).toEqual([3, kept.revisions[0]]);
  expect(new Set(file.leftOut.map(({ kind }) => kind))).toEqual(
    new Set(['formula', 'bakePlan', 'bakeAction']),
  );
  expect(file.leftOut.flatMap(({ of }) => of ?? [])).toEqual(log.rows.map(({ bake }) => bake));
  expect(file.leftOut.map(({ id }) => id)).toContain(`${rows[0]!.id} 2`);
  expect(file.bakes.some(({ formula }) => formula === rows[1]!.id)).toBe(false);
  expect(await importKitchen(here, file)).toMatchObject({ ok: true });
});

test('two at once are written out, so that slow readers leave the database to everybody else', async () => {
  await bringDemo(owner);
  const [demo] = await listKitchens(db.pool);
  const begun = async () => {
    const pieces = exportKitchen(await inside(demo!.address));
    await pieces.next();
    return pieces;
  };
  const [one, two] = [await begun(), await begun()];
  await expect(begun()).rejects.toBeInstanceOf(Busy);
  await one.return(undefined);
  const three = await begun();
  await expect(begun()).rejects.toBeInstanceOf(Busy);
  for (const pieces of [two, three]) await pieces.return(undefined);
  expect(JSON.parse(await written(await inside(demo!.address)))).toMatchObject({ version: 14 });
});

test('whoever leaves in the middle of a file leaves no transaction behind', async () => {
  await bringDemo(owner);
  const [demo] = await listKitchens(db.pool);
  const pieces = exportKitchen(await inside(demo!.address));
  await pieces.next();
  expect(db.pool.idleCount).toBe(db.pool.totalCount - 1);
  await pieces.return(undefined);
  expect(db.pool.idleCount).toBe(db.pool.totalCount);
  expect((await db.pool.query('show transaction_read_only')).rows).toEqual([
    { transaction_read_only: 'off' },
  ]);
});
