import { randomUUID } from 'node:crypto';
import { emptyOutcome, type BakeAction } from '@/core/bake';
import { eightRolls } from '@/core/batch/testBatch';
import type { TakenAdvice } from '@/core/advice';
import { rollsWithMethod } from '@/core/run/testRuns';
import type { Tasting } from '@/core/tasting';
import { logCsvHead } from '@/core/formats/logCsv';
import { ORDINARY_KIT } from '@/core/kit';
import { adviceOn, adviceSoFar } from '@/server/advice';
import { logbook, recordTaps, startBake } from '@/server/bakes';
import { contextIn, type Context } from '@/server/context';
import { bakeForecast } from '@/server/forecasts';
import { saveEntry } from '@/server/ingredients';
import { saveKit } from '@/server/kit';
import { knownLot } from '@/server/knownLot';
import { logAsCsv, logAsJson } from '@/server/logExport';
import { createFormula, saveFormula } from '@/server/formulas';
import { loadAbsorption } from '@/server/absorption';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let here: Context;
let formulaId: string;
let minute = 0;
beforeAll(async () => {
  db = await testDatabase();
  const kitchen = await db.kitchen();
  here = { ...kitchen, now: () => new Date(Date.UTC(2026, 9, 1, 8, minute)) };
  const made = await createFormula(here, { requestId: randomUUID(), formula: rollsWithMethod() });
  if (!made.ok) throw new Error('no formula');
  formulaId = made.value.id;
});
afterAll(() => db.drop());

const tap = (id: string, ...actions: BakeAction[]) =>
  recordTaps(
    here,
    id,
    actions.map((action) => ({ eventId: randomUUID(), agoMs: 0, action })),
  );
const tasted = (scores: Tasting['scores']): BakeAction => ({
  type: 'tasted',
  tastingId: randomUUID(),
  tasting: { taster: 'Imke', occasion: 'fresh', scores, words: '', rungId: null, blind: false },
});
const closed = (coreTempC: number): BakeAction => ({
  type: 'closed',
  outcome: { ...emptyOutcome, coreTempC },
});
async function bake(revision: number, ...actions: BakeAction[]): Promise<string> {
  minute += 60;
  const started = await startBake(here, { requestId: randomUUID(), formulaId, revision, batch: eightRolls });
  if (!started.ok) throw new Error('no bake');
  await tap(started.value.id, ...actions);
  return started.value.id;
}
const advice = (revision: number): TakenAdvice => ({
  cause: 'underBaked',
  probability: 0.7,
  change: { kind: 'bake', by: 1.2 },
  revision,
  expects: [{ question: 'gumminess', was: 1, same: 1.6, value: 3.8, low: 2.9, high: 4.7 }],
});

test('a raw bake is looked into once for what is known of it, and anew when more is', async () => {
  const raw = await bake(1, closed(84), tasted({ gumminess: 1, denseLine: 2 }));
  const first = await adviceOn(here, raw);
  expect(first!.enough).toBe(true);
  const chance = (of: typeof first, ...causes: string[]) => of!.likely.reduce((sum, { cause, probability }) => sum + (causes.includes(cause) ? probability : 0), 0);
  expect(chance(first, 'underBaked', 'coolOven', 'piecesLarge')).toBeGreaterThan(0.7);
  expect(first!.advice!.change.by).toBeGreaterThan(1);
  expect(first!.seen.map(({ sign }) => sign)).toEqual(expect.arrayContaining(['read.core', 'fresh.gumminess']));
  const stored = () => here.pool.query('select about, signature from computed_answer where kitchen_id = $1 and about like $2 order by 1', [here.kitchen.id, `%${raw}`]);
  const before = (await stored()).rows as { about: string; signature: string }[];
  expect(before.map(({ about }) => about.split(' ')[0])).toEqual(['advice', 'axes']);
  // a dark crust was no cold oven; the bakes with one thing off are not made again
  await tap(raw, tasted({ colourAbove: 5, colourBelow: 5 }));
  const second = await adviceOn(here, raw);
  expect(chance(second, 'coolOven')).toBeLessThan(0.5 * chance(first, 'coolOven'));
  const after = (await stored()).rows as { about: string; signature: string }[];
  expect(after[0]!.signature).not.toBe(before[0]!.signature);
  expect(after[1]).toEqual(before[1]);
  // what was confirmed after another bake is remembered here
  const other = await bake(1, closed(97));
  await tap(other, { type: 'causeTold', cause: 'coolOven' });
  const third = await adviceOn(here, raw);
  expect(third!.likely.find(({ cause }) => cause === 'coolOven')!.prior).toBeGreaterThan(second!.likely.find(({ cause }) => cause === 'coolOven')!.prior);
}, 60_000); // prettier-ignore

test('of what is not over, given up, or somebody else’s, nothing is said', async () => {
  expect(await adviceOn(here, await bake(1))).toBeNull();
  expect(await adviceOn(here, await bake(1, { type: 'abandoned', reason: 'power' }))).toBeNull();
  const over = await bake(1, closed(97));
  expect(await adviceOn(await db.kitchen(), over)).toBeNull();
});

test('advice is held against the first tasted bake of its version, and stays open until there is one', async () => {
  const saved = await saveFormula(here, { id: formulaId, requestId: randomUUID(), seen: 1, formula: { ...rollsWithMethod(), about: 'longer' } }); // prettier-ignore
  if (!saved.ok) throw new Error('not saved');
  const bad = await bake(1, closed(84), tasted({ gumminess: 1 }));
  await tap(bad, { type: 'advised', advice: advice(2) }, { type: 'causeTold', cause: 'coolOven' });
  const line = async () => (await adviceSoFar(here)).find(({ bakeId }) => bakeId === bad)!;
  expect(await line()).toMatchObject({
    checkedBy: null,
    result: { verdict: 'open' },
    cause: 'coolOven',
    name: rollsWithMethod().name,
  });
  // the version before it, one nobody tasted, one that was given up: none of them says anything of it
  await bake(1, closed(97), tasted({ gumminess: 5 }));
  await bake(2, closed(97));
  await bake(2, tasted({ gumminess: 5 }), { type: 'abandoned', reason: 'burnt' });
  expect((await line()).result.verdict).toBe('open');
  const good = await bake(2, closed(97), tasted({ gumminess: 4 }));
  await bake(2, closed(97), tasted({ gumminess: 1 }));
  expect(await line()).toMatchObject({ checkedBy: good, result: { verdict: 'right', scores: [{ was: 1, now: 4, isInside: true }] } }); // prettier-ignore
  expect(await adviceSoFar(await db.kitchen())).toEqual([]);
});

test('a bake that is to teach nothing teaches nothing, and does again', async () => {
  const mix = rollsWithMethod().steps.find(({ kind }) => kind === 'mix')!.id;
  const felt = await bake(1, { type: 'felt', stepId: mix, band: 'crumbly' }, closed(97));
  const marks = async () => (await loadAbsorption(here)).length;
  expect(await marks()).toBeGreaterThan(0);
  await tap(felt, { type: 'teachingSet', teaches: false });
  expect(await marks()).toBe(0);
  await tap(felt, { type: 'teachingSet', teaches: true });
  expect(await marks()).toBeGreaterThan(0);
});

test('what was predicted is saved once, whatever the kitchen becomes; of a bake of before it says when it was made', async () => {
  const id = await bake(1);
  const first = await bakeForecast(here, id);
  expect(first!.madeAtMs).toBe(here.now().getTime());
  expect(first!.heat!.coreC.value).toBeGreaterThan(80);
  await saveKit(here, { requestId: randomUUID(), seen: 0, kit: { ...ORDINARY_KIT, roomC: 30 } });
  minute += 60;
  expect(await bakeForecast(here, id)).toEqual(first);
  expect((await bakeForecast(here, await bake(1)))!.roomC).toBe(30);
  expect(await bakeForecast(await db.kitchen(), id)).toBeNull();
  // one that this program cannot read is left as it is, and takes nothing down
  const other = await bake(1);
  await here.pool.query(
    'insert into bake_forecast (kitchen_id, bake_id, forecast, schema_version) values ($1, $2, $3, 99)',
    [here.kitchen.id, other, '{}'],
  );
  expect(await bakeForecast(here, other)).toBeNull();
});

test('the log goes out as a table and as JSON, of one formula or of all; a bag is recalled, also from what is not over', async () => {
  const lot = { kind: 'lot' as const, id: 'own-rice-7', of: 'white-rice-flour', code: 'Mill 7', openedOn: null, bestBefore: null, open: true };
  const saved = await saveEntry(here, { requestId: randomUUID(), seen: 0, away: false, entry: lot });
  expect(saved.ok).toBe(true);
  here = contextIn(here.pool, here.kitchen, here);
  const running = await bake(1);
  const over = await bake(1, closed(97), tasted({ gumminess: 4 }));
  const recall = async (context: Context) =>
    (await logbook(context, { formulaId: null, lot: 'own-rice-7', words: [], again: null, order: 'newest', after: null, most: 9 })).lines.map(({ id }) => id);
  expect(await recall(here)).toEqual([over, running]);
  expect(await recall(await db.kitchen())).toEqual([]);
  expect(await knownLot(here, 'own-rice-7')).toEqual({ id: 'own-rice-7', name: 'Mill 7' });
  expect(await knownLot(here, "x'); drop table bake")).toBeNull();

  const all = async (pieces: AsyncGenerator<string>) => {
    let text = '';
    for await (const piece of pieces) text += piece;
    return text;
  };
  const table = (await all(logAsCsv(here, null))).trimEnd().split('\r\n');
  const { bakes } = JSON.parse(await all(logAsJson(here, formulaId))) as { bakes: Record<string, unknown>[] };
  const { rows } = await here.pool.query<{ count: number }>('select count(*)::int as count from bake where kitchen_id = $1', [here.kitchen.id]);
  expect([table.length - 1, bakes.length]).toEqual([rows[0]!.count, rows[0]!.count]);
  expect(bakes.find((each) => each.bakeId === over)).toMatchObject({ 'tasted.gumminess': 4, coreC: 97, bags: 'white-rice-flour: own-rice-7' });
  expect(JSON.parse(await all(logAsJson(here, randomUUID())))).toMatchObject({ bakes: [] });
  expect(await all(logAsCsv(await db.kitchen(), null))).toBe(logCsvHead());
}); // prettier-ignore
