import { randomUUID } from 'node:crypto';
import { emptyOutcome, stateOf, type BakeAction } from '@/core/bake';
import { TASTE_LINK_LIMITS } from '@/core/network/tasteLink';
import { eightRolls } from '@/core/batch/testBatch';
import { plainLoaf } from '@/core/formula/testFormulas';
import type { Tasting } from '@/core/tasting';
import { loadBake } from '@/server/bakeRecords';
import { recordTaps, startBake } from '@/server/bakes';
import type { Context } from '@/server/context';
import { createFormula } from '@/server/formulas';
import { closeLink, linkedBread, linksOf, makeLink, tasteByLink } from '@/server/tasteLinks';
import { testDatabase, type TestDatabase } from './testDatabase';

const clock = { ms: Date.UTC(2026, 9, 1, 8) };
let db: TestDatabase;
let here: Context;
let bake: string;
beforeAll(async () => {
  db = await testDatabase();
  here = await db.kitchen(clock);
  const made = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!made.ok) throw new Error('no formula');
  const started = await startBake(here, { requestId: randomUUID(), formulaId: made.value.id, revision: 1, batch: eightRolls });
  if (!started.ok) throw new Error('no bake');
  bake = started.value.id;
  const closed: BakeAction = { type: 'closed', outcome: emptyOutcome };
  await recordTaps(here, bake, [{ eventId: randomUUID(), agoMs: 0, action: closed }]);
}); // prettier-ignore
afterAll(() => db.drop());

const inKitchen = (address: string) => Promise.resolve(address === here.kitchen.address ? here : null);
const asked = (token: string) => [inKitchen, here.pool, token, here.now()] as const;
const link = async (hours: 6 | 24 | 72 = 6) => {
  const made = await makeLink(here, bake, { hours });
  if (!made.ok) throw new Error(JSON.stringify(made.failure));
  return made.value.token;
};
const card = (part: Partial<Tasting> = {}): Tasting => ({
  taster: 'Anna',
  occasion: 'fresh',
  scores: { gumminess: 4 },
  words: '',
  rungId: null,
  blind: false,
  ...part,
});
const cards = async () => [...stateOf((await loadBake(here, bake))!).tastings.values()];

test('a link shows the bread and takes a card, once however often it is sent; it never changes another', async () => {
  const token = await link();
  expect(token).toMatch(/^[A-Za-z0-9_-]{24}$/);
  expect(await linkedBread(...asked(token))).toEqual({
    name: plainLoaf().name,
    startedAtMs: clock.ms,
    timeZone: here.kitchen.details.timeZone,
    rungs: [],
  });
  const tastingId = randomUUID();
  for (let time = 0; time < 3; time += 1)
    expect(await tasteByLink({ tastingId, tasting: card() }, ...asked(token))).toMatchObject({ ok: true });
  expect(await cards()).toMatchObject([{ taster: 'Anna', scores: { gumminess: 4 }, by: 'Anna', before: [] }]);
  const other = { tastingId, tasting: card({ scores: { gumminess: 1 } }) };
  expect(await tasteByLink(other, ...asked(token))).toMatchObject({ failure: { kind: 'otherContent' } });
  // no bread of this bake has a code
  const coded = { tastingId: randomUUID(), tasting: card({ rungId: 'rung-1' }) };
  expect(await tasteByLink(coded, ...asked(token))).toMatchObject({ failure: { problems: [{ code: 'unknownRung', path: 'rungId' }] } }); // prettier-ignore
  expect(await cards()).toHaveLength(1);
  // what is in the database opens nothing by itself
  const { rows } = await here.pool.query<{ row: string }>('select t::text as row from taste_link t');
  expect(JSON.stringify(rows)).not.toContain(token);
});

test('it ends by its hour, or when it is closed; what is no link, and what ended, are answered alike', async () => {
  const [short, long] = [await link(6), await link(72)];
  const before = (await linksOf(here, bake)).length;
  clock.ms += 6 * 3_600_000;
  expect(await linkedBread(...asked(short))).toBeNull();
  expect(await linkedBread(...asked(long))).not.toBeNull();
  const gone = { ok: false, failure: { kind: 'notFound' } };
  const send = (token: string) => tasteByLink({ tastingId: randomUUID(), tasting: card() }, ...asked(token));
  expect(await send(short)).toEqual(gone);
  expect(await send('x'.repeat(24))).toEqual(gone);
  const open = await linksOf(here, bake);
  expect(open.length).toBe(before - 2);
  // a stranger closes nothing, and makes none for a bake that is not theirs
  const there = await db.kitchen(clock);
  expect(await closeLink(there, open[0]!.id)).toEqual(gone);
  expect(await makeLink(there, bake, { hours: 6 })).toEqual(gone);
  expect(await closeLink(here, open[0]!.id)).toMatchObject({ ok: true });
  expect(await closeLink(here, open[0]!.id)).toEqual(gone);
  expect(await linkedBread(...asked(long))).toBeNull();
  expect(await send(long)).toEqual(gone);
});

test('so many are open at a time, and no more', async () => {
  const made = [];
  for (let count = 0; count <= TASTE_LINK_LIMITS.openPerBake; count += 1)
    made.push((await makeLink(here, bake, { hours: 24 })).ok);
  expect(made.filter((is) => !is)).toHaveLength(1);
  expect(made.at(-1)).toBe(false);
});
