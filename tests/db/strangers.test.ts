import { randomUUID } from 'node:crypto';
import type pg from 'pg';
import { bakeCard, emptyOutcome, stateOf, type BakeAction } from '@/core/bake';
import { eightRolls } from '@/core/batch/testBatch';
import { partedLoaf, plainLoaf } from '@/core/formula/testFormulas';
import { EMPTY_DAY } from '@/core/day/dayDocument';
import { NO_ORDERS } from '@/core/orders/orderDocument';
import { NO_STARTERS } from '@/core/starter/starterDocument';
import { ORDINARY_LIFE } from '@/core/day/lifeDocument';
import { windowsOf } from '@/core/instrument/readingWindow';
import { ORDINARY_KIT, PLAIN_WAYS } from '@/core/kit';
import { testCut } from '@/core/slice/testCuts';
import * as advice from '@/db/queries/advice';
import * as bakeCards from '@/db/queries/bakeCards';
import * as rings from '@/db/queries/rings';
import * as bakes from '@/db/queries/bakes';
import * as computedAnswers from '@/db/queries/computedAnswers';
import * as forecasts from '@/db/queries/forecasts';
import * as formulas from '@/db/queries/formulas';
import * as ingredients from '@/db/queries/ingredients';
import * as devices from '@/db/queries/devices';
import * as instruments from '@/db/queries/instruments';
import * as kitchens from '@/db/queries/kitchens';
import * as logbookLines from '@/db/queries/logbookLines';
import * as photos from '@/db/queries/photos';
import * as shelf from '@/db/queries/shelf';
import * as stock from '@/db/queries/stock';
import * as tasteLinks from '@/db/queries/tasteLinks';
import * as versions from '@/db/queries/versions';
import * as whole from '@/db/queries/whole';
import { loadBake } from '@/server/bakeRecords';
import { recordTaps, startBake } from '@/server/bakes';
import type { Context } from '@/server/context';
import { createFormula, duplicateFormula } from '@/server/formulas';
import { saveEntry } from '@/server/ingredients';
import { saveDay, saveLife } from '@/server/day';
import { saveStarters } from '@/server/starters';
import { saveOrders } from '@/server/orders';
import { saveKit } from '@/server/kit';
import { askCode, pair } from '@/server/devices';
import { addInstrument, take } from '@/server/instruments';
import { testDatabase, type TestDatabase } from './testDatabase';

/** Every query there is, asked as a stranger with the ids of somebody else's kitchen: it sees nothing there and changes nothing. */
const KEY = 'k'.repeat(43);
const DIGEST = Buffer.alloc(32, 7);
const PICTURE = { cameDigest: DIGEST, picture: Buffer.from('picture'), small: Buffer.from('small') };
const LINK = { id: randomUUID(), tokenDigest: DIGEST, madeAt: new Date(1), expiresAt: new Date(9e12) };
const RANGE = { value: 2, low: 1, high: 3 };
const FORECAST = { madeAtMs: 1, roomC: 21, doughC: 26, feel: null, rise: { atS: [0], volume: [1], low: [1], high: [1] }, grown: RANGE, readyS: RANGE, heat: null }; // prettier-ignore
let db: TestDatabase;
let here: Context;
let there: Context;
let ids: {
  formula: string;
  copy: string;
  running: string;
  over: string;
  entry: string;
  event: string;
  requests: Record<'formula' | 'bake' | 'entry' | 'kit', string>;
  instrument: string;
  device: string;
  telling: string;
  photo: string;
};

beforeAll(async () => {
  db = await testDatabase();
  [here, there] = [await db.kitchen(), await db.kitchen()];
  const requests = { formula: randomUUID(), bake: randomUUID(), entry: randomUUID(), kit: randomUUID() };
  const formula = await createFormula(here, { requestId: requests.formula, formula: partedLoaf() });
  if (!formula.ok) throw new Error('no formula');
  const copy = await duplicateFormula(here, { id: formula.value.id, requestId: randomUUID() });
  const start = (requestId: string) =>
    startBake(here, { requestId, formulaId: formula.value.id, revision: 1, batch: eightRolls });
  const [running, over] = [await start(requests.bake), await start(randomUUID())];
  const entry = {
    kind: 'blend' as const, id: 'own-mix', name: 'Mix', alsoCalled: [], source: '', role: 'flour' as const,
    parts: [{ ingredientId: 'teff-flour', massG: 100 }], densityGPerMl: null,
  }; // prettier-ignore
  await saveEntry(here, { requestId: requests.entry, seen: 0, away: false, entry });
  await saveKit(here, { requestId: requests.kit, seen: 0, kit: ORDINARY_KIT });
  await saveDay(here, { requestId: requests.kit, seen: 0, day: EMPTY_DAY });
  await saveLife(here, { requestId: requests.kit, seen: 0, life: ORDINARY_LIFE });
  await saveStarters(here, { requestId: requests.kit, seen: 0, starters: NO_STARTERS });
  await saveOrders(here, { requestId: requests.kit, seen: 0, orders: NO_ORDERS });
  if (!copy.ok || !running.ok || !over.ok) throw new Error('not made');
  const event = randomUUID();
  const proof = plainLoaf().steps.find(({ kind }) => kind === 'proof')!.id;
  const marks: BakeAction[] = [
    { type: 'timerStarted', stepId: proof, durationS: 60 },
    {
      type: 'photographed',
      photo: { photoId: LINK.id, of: 'cut', widthPx: 9, heightPx: 9, rungId: null },
    },
    { type: 'photoRead', photoId: LINK.id, crumb: testCut({}) },
    { type: 'rise', stepId: proof, of: 'jar', grownPercent: 40 },
    { type: 'felt', stepId: proof, band: 'soft' },
    { type: 'causeTold', cause: 'tooWet' },
  ];
  await recordTaps(here, running.value.id, [{ eventId: event, agoMs: 0, action: marks[0]! }]);
  for (const action of [...marks, { type: 'closed', outcome: emptyOutcome } as BakeAction])
    await recordTaps(here, over.value.id, [{ eventId: randomUUID(), agoMs: 0, action }]);
  await computedAnswers.upsertAnswer(here.pool, here.kitchen.id, 'absorption', 'a', [1]);
  const instrument = await addInstrument(here, {
    requestId: requests.kit,
    name: 'Scale',
    kind: 'scale',
    stepG: 1,
    key: KEY,
  });
  if (!instrument.ok) throw new Error('no instrument');
  const code = await askCode(here, { name: 'Tablet', may: 'bench' });
  if (!code.ok || !(await pair(here, code.value.code))) throw new Error('no device');
  await askCode(here, { name: 'Phone', may: 'look' });
  const device = (await devices.listDevices(here.pool, here.kitchen.id))[0]!.id;
  const telling = randomUUID();
  await take(here.pool, KEY, { tellingId: telling, readings: [{ agoMs: 0, value: 412 }] }, here.now());
  const photo = randomUUID();
  await tasteLinks.insertLink(here.pool, here.kitchen.id, { ...LINK, bakeId: running.value.id });
  await forecasts.insertForecast(here.pool, here.kitchen.id, running.value.id, FORECAST);
  await photos.insertPhoto(here.pool, here.kitchen.id, {
    bakeId: running.value.id,
    photoId: photo,
    ...PICTURE,
  });
  ids = {
    photo, instrument: instrument.value.id, telling, device,
    formula: formula.value.id, copy: copy.value.id, running: running.value.id, over: over.value.id, entry: 'own-mix', event, requests,
  }; // prettier-ignore
});
afterAll(() => db.drop());

type Ask = (client: pg.PoolClient, kitchenId: string) => Promise<unknown>;
const place = { startedAtMs: 4e12, id: 'ffffffff-ffff-4fff-bfff-ffffffffffff' };
const everything = {
  formulaId: null,
  words: [],
  again: null,
  order: 'newest' as const,
  after: null,
  most: 50,
};
const onShelf = { words: [], style: null, archived: false, order: 'name' as const, after: null, most: 50 };

/** What sees: in the owner's kitchen something, in a stranger's nothing. */
const READS: Record<string, Ask> = {
  wholeKits: async (c, k) => (await whole.wholeKits(c, k)).rows,
  wholeEntries: async (c, k) => (await whole.wholeEntries(c, k)).rows,
  wholeFormulas: (c, k) => whole.wholeFormulas(c, k),
  wholeRevisions: async (c, k) => (await whole.wholeRevisions(c, k, ids.formula)).rows,
  wholeBakes: async (c, k) => (await whole.wholeBakes(c, k, { after: null, most: 9 })).rows,
  listUnderWay: (c, k) => bakeCards.listUnderWay(c, k, { after: null, most: 9 }),
  'listUnderWay, further': (c, k) => bakeCards.listUnderWay(c, k, { after: place, most: 9 }),
  listStock: (c, k) => stock.listStock(c, k, 9),
  listLinks: (c, k) => tasteLinks.listLinks(c, k, ids.running, new Date(0)),
  listTold: (c, k) => advice.listTold(c, k, 9),
  listBefore: (c, k) => advice.listBefore(c, k, { formulaId: ids.formula, ...place }, 9),
  listAfter: (c, k) => advice.listAfter(c, k, { formulaId: ids.formula, revision: 1, afterMs: 0 }, 9),
  listLogbook: (c, k) => logbookLines.listLogbook(c, k, everything),
  'listLogbook, of a formula': (c, k) => logbookLines.listLogbook(c, k, { ...everything, formulaId: ids.formula, after: place }),
  'listLogbook, by words': (c, k) => logbookLines.listLogbook(c, k, { ...everything, words: ['plain'] }),
  'listLogbook, narrowed': (c, k) => logbookLines.listLogbook(c, k, { ...everything, sinceMs: 0, untilMs: Date.parse('2100-01-01') }),
  listTaughtFormulas: (c, k) => bakeCards.listTaughtFormulas(c, k, 'rises', { most: 9, mostBakes: 9 }),
  scoresOfRevisions: (c, k) => bakeCards.scoresOfRevisions(c, k, ids.formula),
  bakesSignature: (c, k) => bakeCards.bakesSignature(c, k),
  cutSignatures: (c, k) => bakeCards.cutSignatures(c, k, [ids.formula], 9),
  riseSignatures: (c, k) => bakeCards.riseSignatures(c, k, [ids.formula], 9),
  kitchenRiseSignature: (c, k) => bakeCards.kitchenRiseSignature(c, k, 9),
  feltSignature: (c, k) => bakeCards.feltSignature(c, k, 9),
  findBake: (c, k) => bakes.findBake(c, k, ids.running),
  findBakes: (c, k) => bakes.findBakes(c, k, [ids.running, ids.over]),
  lockBake: (c, k) => bakes.lockBake(c, k, ids.running),
  lockAnyBake: (c, k) => bakes.lockAnyBake(c, k, ids.running),
  findBakeByRequest: (c, k) => bakes.findBakeByRequest(c, k, ids.requests.bake, { formulaId: ids.formula, revision: 1, batch: eightRolls }),
  listCutBakes: (c, k) => bakes.listCutBakes(c, k, ids.formula, 9),
  listRisenBakes: (c, k) => bakes.listRisenBakes(c, k, ids.formula, 9),
  listKitchenRisenBakes: (c, k) => bakes.listKitchenRisenBakes(c, k, 9),
  listFeltBakes: (c, k) => bakes.listFeltBakes(c, k, 9),
  listEvents: (c, k) => bakes.listEvents(c, k, [ids.running, ids.over]),
  hasBake: (c, k) => bakes.hasBake(c, k, ids.running),
  listNewEvents: (c, k) => bakes.listNewEvents(c, k, ids.running, 0),
  findEventIds: (c, k) => bakes.findEventIds(c, k, [ids.event]),
  findForecast: (c, k) => forecasts.findForecast(c, k, ids.running),
  findAnswers: (c, k) => computedAnswers.findAnswers(c, k, ['absorption']),
  findFormulas: (c, k) => formulas.findFormulas(c, k, [ids.formula]),
  findFormulaName: (c, k) => formulas.findFormulaName(c, k, ids.formula),
  findHeadRevisions: (c, k) => formulas.findHeadRevisions(c, k, [ids.formula]),
  findFormula: (c, k) => formulas.findFormula(c, k, ids.formula),
  findFormulaJson: (c, k) => formulas.findFormulaJson(c, k, ids.formula),
  findRevision: (c, k) => formulas.findRevision(c, k, ids.formula, 1),
  revisionSavedAt: (c, k) => formulas.revisionSavedAt(c, k, ids.formula, 1),
  listRevisions: (c, k) => formulas.listRevisions(c, k, ids.formula, 9),
  findBranch: (c, k) => formulas.findBranch(c, k, ids.copy),
  listBranches: (c, k) => formulas.listBranches(c, k, ids.formula),
  findByRequest: (c, k) => formulas.findByRequest(c, k, ids.requests.formula, null),
  lockHead: (c, k) => formulas.lockHead(c, k, ids.formula),
  findPhoto: (c, k) => photos.findPhoto(c, k, ids.photo, DIGEST),
  photoBytes: (c, k) => photos.photoBytes(c, k, { bakeId: ids.running, photoId: ids.photo, small: false }),
  'photoBytes, small': (c, k) => photos.photoBytes(c, k, { bakeId: ids.running, photoId: ids.photo, small: true }),
  findBakesOfPhotos: (c, k) => photos.findBakesOfPhotos(c, k),
  photoIds: (c, k) => photos.photoIds(c, k),
  listDevices: (c, k) => devices.listDevices(c, k),
  countDevices: (c, k) => devices.countDevices(c, k, here.now()),
  listInstruments: (c, k) => instruments.listInstruments(c, k),
  countInstruments: (c, k) => instruments.countInstruments(c, k),
  holdInstrument: (c, k) => instruments.holdInstrument(c, k, ids.instrument),
  findInstrumentByRequest: (c, k) => instruments.findInstrumentByRequest(c, k, ids.requests.kit),
  findTelling: (c, k) => instruments.findTelling(c, k, ids.instrument, ids.telling),
  siftEntries: (c, k) => ingredients.siftEntries(c, k),
  listEntries: (c, k) => ingredients.listEntries(c, k),
  newestEntryVersion: (c, k) => ingredients.newestEntryVersion(c, k, ids.entry),
  findEntryByRequest: (c, k) => ingredients.findEntryByRequest(c, k, ids.requests.entry),
  newestVersion: (c, k) => ofEach((store) => versions.newestVersion(c, store, k)),
  findVersionByRequest: (c, k) => ofEach((store) => versions.findVersionByRequest(c, store, k, ids.requests.kit)),
  listShelf: (c, k) => shelf.listShelf(c, k, onShelf),
  'listShelf, found': (c, k) => shelf.listShelf(c, k, { ...onShelf, words: ['loaf'], after: { name: ' ', id: place.id, lastBakedAtMs: 0 } }),
  countShelf: (c, k) => shelf.countShelf(c, k),
}; // prettier-ignore

/** What writes: refused, or something of the stranger's own. */
const WRITES: Record<string, Ask> = {
  updateKitchen: (client, k) => kitchens.updateKitchen(client, k, { ...PLAIN_WAYS, name: 'Ours now', about: '', timeZone: 'UTC' }),
  removeKitchen: (client, k) => kitchens.removeKitchen(client, k),
  upsertCard: async (c, k) => {
    const bake = (await loadBake(here, ids.running))!;
    const card = { ...bakeCard(bake.sheet, stateOf(bake)), words: 'stolen' };
    return bakeCards.upsertCard(c, k, { bakeId: bake.id, formulaId: ids.formula, startedAtMs: 0, card, lastSeq: 0, rises: 9, feels: 9, cuts: 9 });
  },
  upsertUnderWay: (c, k) => bakeCards.upsertUnderWay(c, k, { bakeId: ids.running, startedAtMs: 0 }, null),
  deleteUnderWay: (c, k) => bakeCards.deleteUnderWay(c, k, ids.running),
  insertBake: async (c, k) => {
    const { sheet } = (await loadBake(here, ids.running))!;
    const bake = { id: randomUUID(), formulaId: ids.formula, revision: 1, requestId: randomUUID(), batch: eightRolls };
    return bakes.insertBake(c, { kitchenId: k, ...bake, sheet, startedAt: new Date(0) });
  },
  insertEvents: (c, k) =>
    bakes.insertEvents(c, k, ids.running, [{ eventId: randomUUID(), seq: 99, action: { type: 'noted', text: 'x' }, at: new Date(0), by: null }]),
  insertLink: (c, k) => tasteLinks.insertLink(c, k, { ...LINK, id: randomUUID(), bakeId: ids.running, tokenDigest: Buffer.alloc(32, 9) }),
  withdrawLink: (c, k) => tasteLinks.withdrawLink(c, k, LINK.id, new Date(0)),
  insertForecast: (c, k) => forecasts.insertForecast(c, k, ids.running, { ...FORECAST, madeAtMs: 2 }),
  insertPhoto: (c, k) => photos.insertPhoto(c, k, { bakeId: ids.running, photoId: randomUUID(), ...PICTURE }),
  insertCode: (c, k) => devices.insertCode(c, k, { id: randomUUID(), name: 'Stolen', may: 'all', codeDigest: Buffer.alloc(32), expiresAt: new Date(9e12) }),
  insertDevice: (c, k) => devices.insertDevice(c, k, { id: randomUUID(), name: 'Stolen', may: 'all', keyDigest: Buffer.alloc(32), pairedAt: new Date(0) }),
  withdrawDevice: (c, k) => devices.withdrawDevice(c, k, ids.device, new Date(0)),
  insertInstrument: (c, k) =>
    instruments.insertInstrument(c, k, { id: ids.instrument, requestId: randomUUID(), name: 'Stolen', kind: 'scale', stepG: null, keyDigest: Buffer.alloc(32), addedAt: new Date(0) }),
  withdrawInstrument: (c, k) => instruments.withdrawInstrument(c, k, ids.instrument, new Date(0)),
  insertTelling: (c, k) =>
    instruments.insertTelling(c, k, ids.instrument, { tellingId: randomUUID(), content: Buffer.alloc(32), receivedAt: new Date(0), taken: 1, refused: { malformed: 0, impossible: 0, late: 0 } }),
  forgetTellings: (c, k) => instruments.forgetTellings(c, k, ids.instrument, new Date(9e12)),
  addWindows: (c, k) => instruments.addWindows(c, k, ids.instrument, windowsOf([{ atMs: here.now().getTime(), value: 1, state: 'steady' }])),
  upsertAnswer: (c, k) => computedAnswers.upsertAnswer(c, k, 'absorption', 'b', [2]),
  setBranch: (c, k) => formulas.setBranch(c, k, ids.formula, ids.copy, 1),
  insertRevision: (c, k) =>
    formulas.insertRevision(c, { kitchenId: k, id: ids.formula, number: 2, requestId: randomUUID(), formula: { ...plainLoaf(), name: 'Stolen' }, savedAt: new Date(0) }),
  setArchived: (c, k) => formulas.setArchived(c, k, ids.formula, new Date(0)),
  insertEntry: async (c, k) => {
    const [own] = await ingredients.listEntries(here.pool, here.kitchen.id);
    return ingredients.insertEntry(c, { kitchenId: k, version: 2, requestId: ids.requests.entry, entry: own!.entry, away: true, savedAt: new Date(0) });
  },
  lockEntries: (c, k) => ingredients.lockEntries(c, k),
  insertVersion: (c, k) => ofEach((store) => versions.insertVersion(c, store, { kitchenId: k, version: 2, requestId: ids.requests.kit, value: { ...ORDINARY_KIT, roomC: 30 }, savedAt: new Date(0) })),
}; // prettier-ignore

/** Of no kitchen, or of all of them at once: for the host, never for a page. */
const OF_NO_KITCHEN = new Set([
  'hasBakeUnderWay', 'listWithoutCard', 'firstKitchen', 'insertKitchen', 'newestMoment', 'logbookQuery', 'pageOf', 'shelfQuery',
  // heard in every kitchen on purpose: tests/db/lists.test.ts
  'listTimers', 'listOvens',
  // its key says whose it is: tests/db/instruments.test.ts
  'instrumentByKey',
  // so does a taster's link: tests/db/tasteLinks.test.ts
  'linkByToken',
  // so does a device's, or its code: tests/db/devices.test.ts
  'deviceByKey', 'sawDevice', 'useCode', 'countWrongGuess',
  // of the kitchens themselves: tests/db/kitchens.test.ts
  'findKitchen', 'listKitchens', 'kitchenByRequest', 'addressesLike', 'lockKitchens', 'isDemoBrought', 'lockDemoBrought', 'markDemoBrought',
]); // prettier-ignore

const seesNothing = (value: unknown): boolean => {
  if (value instanceof Map) return value.size === 0;
  if (typeof value === 'object' && value !== null) return Object.values(value).every(seesNothing);
  return value === null || value === undefined || value === false || value === 0 || value === '';
};

/** Of each document a kitchen has in versions. */
const ofEach = <T>(ask: (store: versions.VersionStore<unknown>) => Promise<T>): Promise<T[]> =>
  Promise.all(
    [versions.KITS, versions.DAYS, versions.LIVES].map((store) =>
      ask(store as versions.VersionStore<unknown>),
    ),
  );

const TABLES = [
  'formula', 'formula_revision', 'bake', 'bake_event', 'bake_forecast', 'taste_link', 'bake_card', 'bake_under_way', 'kitchen_ingredient', 'kitchen_kit', 'kitchen_day', 'kitchen_life', 'kitchen_starters', 'kitchen_orders', 'computed_answer', 'instrument', 'instrument_telling', 'instrument_window', 'device', 'device_code',
]; // prettier-ignore
async function saved(client: pg.PoolClient): Promise<string> {
  const all: unknown[] = [];
  for (const table of TABLES) {
    const { rows } = await client.query(
      `select t::text as row from ${table} t where kitchen_id = $1 order by 1`,
      [here.kitchen.id],
    );
    all.push(rows);
  }
  all.push(
    (await client.query('select t::text as row from kitchen t where id = $1', [here.kitchen.id])).rows,
  );
  return JSON.stringify(all);
}

/** Does it and takes it back. */
async function rehearse<T>(work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  const client = await here.pool.connect();
  try {
    await client.query('begin');
    return await work(client);
  } finally {
    await client.query('rollback');
    client.release();
  }
}

test('no query is left out', () => {
  const all = [
    advice,
    bakeCards,
    rings,
    bakes,
    computedAnswers,
    devices,
    forecasts,
    formulas,
    ingredients,
    instruments,
    kitchens,
    photos,
    stock,
    tasteLinks,
    versions,
    shelf,
    whole,
  ].flatMap((module) =>
    Object.entries(module).flatMap(([name, value]) => (typeof value === 'function' ? [name] : [])),
  );
  const asked = [...Object.keys(READS), ...Object.keys(WRITES)].map((name) => name.split(',')[0]);
  expect(all.filter((name) => !asked.includes(name) && !OF_NO_KITCHEN.has(name))).toEqual([]);
});

test.each(Object.keys(READS))('%s shows its owner something, and a stranger nothing', async (name) => {
  const ask = READS[name]!;
  expect(seesNothing(await rehearse((client) => ask(client, here.kitchen.id)))).toBe(false);
  const seen = await rehearse((client) => ask(client, there.kitchen.id));
  expect({ seen, nothing: seesNothing(seen) }).toMatchObject({ nothing: true });
});

test.each(Object.keys(WRITES))('%s by a stranger changes nothing here', async (name) => {
  const before = await rehearse(saved);
  await rehearse(async (client) => {
    try {
      await WRITES[name]!(client, there.kitchen.id);
      await client.query('set constraints all immediate');
    } catch (error) {
      // a key that does not reach into another kitchen; nothing else may stand in its way
      expect((error as { code?: string }).code).toMatch(/^23503/);
      return;
    }
    expect(await saved(client)).toBe(before);
  });
});
