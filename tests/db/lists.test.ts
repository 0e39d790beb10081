import { randomUUID } from 'node:crypto';
import { emptyOutcome, SCORES_ASKED, type BakeAction } from '@/core/bake';
import { eightRolls } from '@/core/batch/testBatch';
import { formulaTotals } from '@/core/formula';
import { line, partedLoaf, plainLoaf } from '@/core/formula/testFormulas';
import { libraryBook } from '@/core/ingredients';
import { seededRandom } from '@/core/numeric/seededRandom';
import { hasBakeUnderWay } from '@/db/queries/bakeCards';
import { newestMoment } from '@/db/queries/kitchens';
import { renewCards } from '@/server/bakeCards';
import { bakeNews, bakesUnderWay, logbook, recordTaps, startBake, stockLeft } from '@/server/bakes';
import { contextIn, type Context } from '@/server/context';
import { archiveFormula, createFormula, formulaName, saveFormula } from '@/server/formulas';
import { formulaNames, loadShelf } from '@/server/shelf';
import { timersUnderWay } from '@/server/timers';
import { ended, shelf, underWay } from './lists';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let here: Context;
const clock = { ms: 0 };
beforeAll(async () => {
  db = await testDatabase();
});
afterAll(() => db.drop());
beforeEach(async () => {
  clock.ms = Date.UTC(2026, 10, 19, 5);
  here = await db.kitchen(clock);
});

async function made(name = 'Loaf'): Promise<string> {
  const formula = await createFormula(here, { requestId: randomUUID(), formula: { ...plainLoaf(), name } });
  if (!formula.ok) throw new Error('no formula');
  return formula.value.id;
}
async function started(formulaId: string): Promise<string> {
  const bake = await startBake(here, { requestId: randomUUID(), formulaId, revision: 1, batch: eightRolls });
  if (!bake.ok) throw new Error('no bake');
  return bake.value.id;
}
const tap = (id: string, ...actions: BakeAction[]) =>
  recordTaps(here, id, actions.map((action) => ({ eventId: randomUUID(), agoMs: 0, action }))); // prettier-ignore
const close = (words: string): BakeAction => ({ type: 'closed', outcome: { ...emptyOutcome, words } });

test('whatever happens to bakes, their cards say what a reading of sheet and log would say', async () => {
  const random = seededRandom(11);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const formulaId = await made();
  const bakes = await Promise.all(Array.from({ length: 4 }, () => started(formulaId)));
  const proof = plainLoaf().steps.find(({ kind }) => kind === 'proof')!.id;
  const outcome = { ...emptyOutcome, massBeforeG: 980, massAfterG: 860, again: 'changed' as const };
  const actions: readonly (() => BakeAction)[] = [
    () => ({ type: 'weighed', lineId: pick(plainLoaf().stages[0]!.lines).id, massG: 10 + random() * 90 }),
    () => ({ type: 'timerStarted', stepId: proof, durationS: 60 + Math.floor(random() * 3600) }),
    () => ({ type: 'timerStopped', stepId: proof }),
    () => ({ type: 'stepDone', stepId: pick(plainLoaf().steps).id }),
    () => ({ type: 'rise', stepId: proof, of: 'jar', grownPercent: 40 }),
    () => ({ type: 'riseTakenBack', stepId: proof }),
    () => ({ type: 'felt', stepId: proof, band: 'soft' }),
    () => ({ type: 'closed', outcome }),
    () => ({ type: 'outcomeCorrected', outcome: { ...outcome, words: 'dense' } }),
    () => ({ type: 'abandoned', reason: 'burnt' }),
    () => ({ type: 'reopened' }),
  ];
  const stored = async () => ({
    cards: (await db.admin.query('select * from bake_card where kitchen_id = $1 order by bake_id', [here.kitchen.id])).rows as unknown[],
    underWay: (await db.admin.query('select * from bake_under_way where kitchen_id = $1 order by bake_id', [here.kitchen.id])).rows as unknown[],
  }); // prettier-ignore
  const seen = new Set<number>();
  for (let turn = 0; turn < 60; turn++) {
    clock.ms += 1000;
    await tap(pick(bakes), pick(actions)());
    if (turn % 6 !== 0) continue;
    const before = await stored();
    await db.admin.query('update bake_card set derivation = 0 where kitchen_id = $1', [here.kitchen.id]);
    expect(await renewCards(db.admin)).toBe(4);
    expect(await stored()).toEqual(before);
    seen.add(before.underWay.length);
  }
  // it went to and fro
  expect(seen.size).toBeGreaterThan(1);
});

test('a card follows its bake: counted once, under way or in the book, never both, its words found', async () => {
  const formulaId = await made('Millet loaf');
  const [one, two] = [await started(formulaId), await started(formulaId)];
  await tap(one, close('Gummy at the base; 20 g less water'));
  expect((await underWay(here)).bakes.map(({ id }) => id)).toEqual([two]);
  expect((await ended(here)).lines).toMatchObject([{ id: one, name: 'Millet loaf', pieces: 8, again: null }]);
  const find = async (...words: string[]) =>
    (
      await logbook(here, {
        formulaId: null,
        words,
        again: null,
        order: 'newest' as const,
        after: null,
        most: 9,
      })
    ).lines.length;
  expect([await find('gummy'), await find('gum', 'mill'), await find('gum', 'rye')]).toEqual([1, 1, 0]);
  // no word is an operator
  expect([await find("'", ':*', '&', '\\'), await find('!gummy')]).toEqual([expect.any(Number), 1]);
  await tap(one, { type: 'outcomeCorrected', outcome: { ...emptyOutcome, words: 'fine', again: 'yes' } });
  expect([await find('gummy'), await find('fine')]).toEqual([0, 1]);
  // notes and tastings find it as well, and what was in it
  await tap(one, { type: 'noted', text: 'Thunder in the air' });
  const card = {
    taster: 'Imke',
    occasion: 'fresh' as const,
    scores: {},
    words: 'Cardboard',
    rungId: null,
    blind: false,
  };
  await tap(one, { type: 'tasted', tastingId: randomUUID(), tasting: card });
  expect([await find('thunder'), await find('cardb', 'imke'), await find('psyllium')]).toEqual([1, 1, 1]);
  const again = (word: 'yes' | 'no' | 'givenUp') =>
    logbook(here, { formulaId, words: [], again: word, order: 'newest', after: null, most: 9 });
  // by whoever was at it, by the day, by a score, by what it tells
  const nothing = { formulaId, words: [], again: null, order: 'newest' as const, after: null, most: 9 };
  const narrowed = async (by: Partial<Parameters<typeof logbook>[1]>) =>
    (await logbook(here, { ...nothing, ...by })).lines.length;
  const { startedAtMs } = (await logbook(here, nothing)).lines[0]!;
  const asked = (score: string) => SCORES_ASKED.find(({ id }) => id === score)!;
  const scores = { ...emptyOutcome.scores, crumb: 4, crust: 2 };
  const better: BakeAction = {
    type: 'outcomeCorrected',
    outcome: { ...emptyOutcome, words: 'fine', again: 'yes', scores },
  };
  await recordTaps(here, one, [{ eventId: randomUUID(), agoMs: 0, by: 'Rowan', action: better }]);
  expect([await find('rowan'), await find('nobody')]).toEqual([1, 0]);
  expect([await narrowed({ sinceMs: startedAtMs }), await narrowed({ sinceMs: startedAtMs + 1 })]).toEqual([
    1, 0,
  ]);
  expect([await narrowed({ untilMs: startedAtMs + 1 }), await narrowed({ untilMs: startedAtMs })]).toEqual([
    1, 0,
  ]);
  expect([
    await narrowed({ score: asked('crumb.good') }),
    await narrowed({ score: asked('crumb.bad') }),
    await narrowed({ score: asked('crust.bad') }),
    await narrowed({ score: asked('chew.bad') }),
  ]).toEqual([1, 0, 1, 0]);
  expect([
    await narrowed({ told: 'rise' }),
    await narrowed({ told: 'feel' }),
    await narrowed({ told: 'cut' }),
  ]).toEqual([0, 0, 0]);
  const proof = plainLoaf().steps.find(({ kind }) => kind === 'proof')!.id;
  await tap(one, { type: 'reopened' });
  await tap(one, { type: 'rise', stepId: proof, of: 'jar', grownPercent: 40 });
  await tap(one, { ...better, type: 'closed' });
  expect([await narrowed({ told: 'rise' }), await narrowed({ told: 'feel' })]).toEqual([1, 0]);
  await tap(two, { type: 'abandoned', reason: '' });
  expect((await again('yes')).lines.map(({ id }) => id)).toEqual([one]);
  expect((await again('givenUp')).lines.map(({ id }) => id)).toEqual([two]);
  expect((await again('no')).lines).toEqual([]);
  expect((await shelf(here)).cards).toMatchObject([{ bakes: 2, lastBakedAtMs: clock.ms }]);
});

test('before the database goes it is asked whether anybody bakes; at a start, when anything was last saved', async () => {
  const fresh = await testDatabase();
  try {
    expect([await hasBakeUnderWay(fresh.admin), await newestMoment(fresh.admin)]).toEqual([false, null]);
    // the database's own clock says what is forgotten; the kitchen's says when
    const then = { ms: Date.now() - 1000 };
    here = await fresh.kitchen(then);
    const formulaId = await made();
    const bake = await started(formulaId);
    expect([await hasBakeUnderWay(fresh.admin), await newestMoment(fresh.admin)]).toEqual([true, then.ms]);
    then.ms += 60_000;
    await tap(bake, { type: 'noted', text: 'damp' });
    expect(await newestMoment(fresh.admin)).toBe(then.ms);
    then.ms += 60_000;
    await tap(bake, close('good'));
    expect([await hasBakeUnderWay(fresh.admin), await newestMoment(fresh.admin)]).toEqual([false, then.ms]);
    then.ms += 60_000;
    await saveFormula(here, { id: formulaId, requestId: randomUUID(), seen: 1, formula: plainLoaf() });
    expect(await newestMoment(fresh.admin)).toBe(then.ms);
    // one left standing for weeks keeps nobody from leaving
    await started(formulaId);
    expect(await hasBakeUnderWay(fresh.admin)).toBe(true);
    await fresh.admin.query(`update bake_under_way set started_at = now() - interval '15 days'`);
    expect(await hasBakeUnderWay(fresh.admin)).toBe(false);
  } finally {
    await fresh.drop();
  }
});

test('bakes begun at once are all counted', async () => {
  const formulaId = await made();
  await Promise.all(Array.from({ length: 8 }, () => started(formulaId)));
  expect((await shelf(here)).cards).toMatchObject([{ bakes: 8 }]);
  expect((await underWay(here)).bakes).toHaveLength(8);
});

test('what is under way is listed a page at a time; the timers of all of it ring', async () => {
  const formulaId = await made();
  const proof = plainLoaf().steps.find(({ kind }) => kind === 'proof')!.id;
  for (let count = 0; count < 60; count++) {
    clock.ms += 1000;
    await tap(await started(formulaId), { type: 'timerStarted', stepId: proof, durationS: 3600 - count });
  }
  const { bakes, next } = await underWay(here);
  expect([bakes.length, next]).toEqual([50, { startedAtMs: bakes[49]!.startedAtMs, id: bakes[49]!.id }]);
  const rest = await bakesUnderWay(here, { after: next, most: 10 });
  expect([rest.bakes.length, rest.next]).toEqual([10, null]);
  expect(new Set([...bakes, ...rest.bakes].map(({ id }) => id)).size).toBe(60);
  const mine = async () =>
    (await timersUnderWay(here, null)).timers.filter(({ kitchen }) => kitchen === here.kitchen.address);
  const timers = await mine();
  expect(timers).toHaveLength(60);
  expect(timers.map(({ endsAtMs }) => endsAtMs)).toEqual(
    timers.map(({ endsAtMs }) => endsAtMs).sort((a, b) => a - b),
  );
  await tap(bakes[0]!.id, { type: 'timerStopped', stepId: proof });
  expect(await mine()).toHaveLength(59);
  // whoever looks at another kitchen hears them too; those of the demo are heard only there
  const isOurs = ({ kitchen }: { kitchen: string }) => kitchen === here.kitchen.address;
  const heard = async (at: Context) => (await timersUnderWay(at, null)).timers.filter(isOurs).length;
  const there = await db.kitchen(clock);
  expect(await heard(there)).toBe(59);
  await db.admin.query('update kitchen set demo = true where id = $1', [here.kitchen.id]);
  expect([await heard(there), await heard(here)]).toEqual([0, 59]);
});

test('in another order, a page at a time: what was baked last first on the shelf, the oldest first in the logbook', async () => {
  const [never, once, lately] = [await made('A never'), await made('B once'), await made('C lately')];
  const bakes: string[] = [];
  for (const formulaId of [once, lately, once, lately]) {
    bakes.push(await started(formulaId));
    await tap(bakes.at(-1)!, close(''));
    clock.ms += 60_000;
  }
  const shelfIds: string[] = [];
  for (
    let after = null as Awaited<ReturnType<typeof loadShelf>>['next'], more = true;
    more;
    more = after !== null
  ) {
    const page = await loadShelf(here, {
      words: [],
      style: null,
      archived: false,
      order: 'baked',
      after,
      most: 1,
    });
    shelfIds.push(...page.cards.map(({ id }) => id));
    after = page.next;
  }
  expect(shelfIds).toEqual([lately, once, never]);
  const seen: string[] = [];
  for (
    let after = null as Awaited<ReturnType<typeof logbook>>['next'], more = true;
    more;
    more = after !== null
  ) {
    const page = await logbook(here, {
      formulaId: null,
      words: [],
      again: null,
      order: 'oldest',
      after,
      most: 3,
    });
    seen.push(...page.lines.map(({ id }) => id));
    after = page.next;
  }
  expect(seen).toEqual(bakes);
});

test('the shelf: by name, a page at a time, found by words and kind, the archive apart', async () => {
  const names = ['Teff rolls', 'millet loaf', 'Millet rolls', 'Rice flats', 'ähren loaf'];
  const ids = new Map<string, string>();
  for (const name of names) ids.set(name, await made(name));
  await saveFormula(here, {
    id: ids.get('Rice flats')!, requestId: randomUUID(), seen: 1, formula: { ...plainLoaf(), name: 'Buckwheat flats', style: 'rolls' },
  }); // prettier-ignore
  await archiveFormula(here, { id: ids.get('Teff rolls')!, archived: true });
  const ask = (part: Partial<Parameters<typeof loadShelf>[1]>) =>
    loadShelf(here, {
      words: [],
      style: null,
      archived: false,
      order: 'name' as const,
      after: null,
      most: 50,
      ...part,
    });
  const all = (await ask({})).cards.map(({ name }) => name);
  expect([...all].sort()).toEqual(['Buckwheat flats', 'Millet rolls', 'millet loaf', 'ähren loaf']);
  expect((await formulaNames(here, '')).map(({ name }) => name)).toEqual(all);
  expect(await formulaNames(here, 'MILLET r')).toEqual([
    { id: ids.get('Millet rolls'), name: 'Millet rolls' },
  ]);
  const paged: string[] = [];
  for (
    let after = null as Awaited<ReturnType<typeof ask>>['next'], more = true;
    more;
    more = after !== null
  ) {
    const page = await ask({ after, most: 1 });
    expect(page.cards).toHaveLength(1);
    paged.push(...page.cards.map(({ name }) => name));
    after = page.next;
  }
  expect(paged).toEqual(all);
  const [third, full] = [await ask({ most: 3 }), await ask({ most: 4 })];
  expect([third.next?.name, full.next]).toEqual([all[2], null]);
  expect((await ask({ words: ['rolls', 'MILL'] })).cards.map(({ name }) => name)).toEqual(['Millet rolls']);
  expect((await ask({ words: ['%'] })).cards).toEqual([]);
  expect((await ask({ style: 'rolls' })).cards.map(({ name }) => name)).toEqual(['Buckwheat flats']);
  expect((await ask({ archived: true })).cards.map(({ name }) => name)).toEqual(['Teff rolls']);
});

test('a card on the shelf says what a dough is known by: its flours, the most first, its binders, its water', async () => {
  const formula = {
    ...plainLoaf(),
    name: 'Many flours',
    stages: [
      {
        ...plainLoaf().stages[0]!,
        lines: [
          line('teff-flour', 20),
          line('tapioca-starch', 150),
          line('white-rice-flour', 200),
          line('millet-flour', 30),
          line('white-rice-flour', 100, 'more-rice'),
          line('psyllium-husk', 20),
          line('water', 400),
        ],
      },
    ],
  };
  await createFormula(here, { requestId: randomUUID(), formula });
  const [card] = (await shelf(here)).cards;
  const of = (id: string) => libraryBook.get(id)!.name;
  expect(card?.flours.map(({ name, percent }) => [name, Math.round(percent * 1e6) / 1e6])).toEqual([
    [of('white-rice-flour'), 60],
    [of('tapioca-starch'), 30],
    [of('millet-flour'), 6],
  ]);
  expect(card?.binders).toEqual([{ name: of('psyllium-husk'), percent: 4 }]);
  expect(card?.hydrationAll).toBe(formulaTotals(formula, libraryBook).hydrationAll);
  // the next revision is another dough, also on the shelf
  const id = card!.id;
  const stages = [{ ...formula.stages[0]!, lines: [line('teff-flour', 500), line('water', 450)] }];
  await saveFormula(here, { id, requestId: randomUUID(), seen: 1, formula: { ...formula, stages } });
  expect((await shelf(here)).cards).toMatchObject([
    { id, flours: [{ name: of('teff-flour'), percent: 100 }], binders: [] },
  ]);
});

test('what a bake taught is made ready when it ends or is corrected, and at no other time', async () => {
  const works: (() => Promise<void>)[] = [];
  here = contextIn(here.pool, here.kitchen, { ...here, afterwards: (work) => void works.push(work) });
  const formulaId = await made();
  const bake = await started(formulaId);
  // what is to be expected of it is computed then, and nothing of it is learnt
  expect(works.splice(0)).toHaveLength(1);
  const proof = plainLoaf().steps.find(({ kind }) => kind === 'proof')!.id;
  const counts: number[] = [];
  for (const action of [
    { type: 'timerStarted', stepId: proof, durationS: 600 },
    { type: 'rise', stepId: proof, of: 'jar', grownPercent: 40 },
    close('good'),
    close('again'),
    { type: 'noted', text: 'sliced' },
    { type: 'outcomeCorrected', outcome: { ...emptyOutcome, words: 'dense' } },
    { type: 'reopened' },
  ] as const) {
    clock.ms += 60_000;
    await tap(bake, action);
    counts.push(works.length);
  }
  expect(counts).toEqual([0, 0, 1, 1, 2, 3, 3]);
  const known = async () => {
    await works[0]?.();
    const { rows } = await db.admin.query<{ about: string }>('select about from computed_answer where kitchen_id = $1', [here.kitchen.id]); // prettier-ignore
    return rows.map(({ about }) => about);
  };
  // a bake that goes on tells its own bench; it teaches when it has ended
  expect(await known()).not.toContain(`rise ${formulaId}`);
  await tap(bake, close('good'));
  expect(await known()).toContain(`rise ${formulaId}`);
});

test('a log is told from where it is known; under another epoch it says so', async () => {
  const id = await started(await made());
  await tap(id, { type: 'noted', text: 'one' }, { type: 'noted', text: 'two' });
  const taken = await recordTaps(here, id, [{ eventId: randomUUID(), agoMs: 0, action: { type: 'noted', text: 'three' } }], 2); // prettier-ignore
  expect(taken).toMatchObject({ value: { epoch: here.kitchen.epoch, events: [{ seq: 3 }] } });
  expect((await bakeNews(here, id, 1))?.events.map(({ seq }) => seq)).toEqual([2, 3]);
  expect((await bakeNews(here, id, 3))?.events).toEqual([]);
  expect(await bakeNews(here, randomUUID(), 0)).toBeNull();
});

test('a stranger’s kitchen sees nothing in any list', async () => {
  const formulaId = await made('Secret loaf');
  const [running, over] = [await started(formulaId), await started(formulaId)];
  const proof = plainLoaf().steps.find(({ kind }) => kind === 'proof')!.id;
  await tap(running, { type: 'timerStarted', stepId: proof, durationS: 60 });
  await tap(over, close('secret words'));
  const there = await db.kitchen(clock);
  expect((await underWay(there)).bakes).toEqual([]);
  for (const filter of [
    { formulaId: null, words: [] },
    { formulaId, words: [] },
    { formulaId: null, words: ['secret'] },
  ])
    expect(
      (await logbook(there, { ...filter, again: null, order: 'newest' as const, after: null, most: 9 }))
        .lines,
    ).toEqual([]);
  expect(await shelf(there)).toMatchObject({ cards: [], counts: { onShelf: 0, archived: 0 } });
  expect(await formulaNames(there, '')).toEqual([]);
  expect(await bakeNews(there, running, 0)).toBeNull();
  expect(await formulaName(there, formulaId)).toBeNull();
});

test('what is put by is listed while there is any of it, and taken from piece by piece; twice sent it went once', async () => {
  const formula = await createFormula(here, { requestId: randomUUID(), formula: partedLoaf() });
  if (!formula.ok) throw new Error('no formula');
  const id = await started(formula.value.id);
  expect(await stockLeft(here)).toEqual([]);
  await tap(id, close('good'));
  const [first] = await stockLeft(here);
  const pieces = (bake: Awaited<ReturnType<typeof stockLeft>>[number] | undefined) =>
    bake!.stock.flatMap((put) => ('wayId' in put ? [put] : []))[0]!;
  const rolls = pieces(first);
  expect([first!.id, first!.stock.length]).toEqual([id, 1]);
  expect(rolls).toMatchObject({
    name: 'Rolls',
    as: 'frozenRaw',
    madeAtMs: clock.ms,
    bestByMs: clock.ms + 21 * 86_400_000,
  });
  const count = (leftPieces: number): BakeAction => ({ type: 'stockCounted', wayId: 'frozen', leftPieces });
  const one = { eventId: randomUUID(), agoMs: 0, action: count(rolls.madePieces - 1) };
  await recordTaps(here, id, [one]);
  await recordTaps(here, id, [one]);
  expect(pieces((await stockLeft(here))[0]).leftPieces).toBe(rolls.madePieces - 1);
  await tap(id, count(0));
  expect(await stockLeft(here)).toEqual([]);
  expect(await stockLeft(await db.kitchen(clock))).toEqual([]);
});
