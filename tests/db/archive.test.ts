import { randomUUID } from 'node:crypto';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import yauzl from 'yauzl';
import yazl from 'yazl';
import { eightRolls } from '@/core/batch/testBatch';
import { plainLoaf } from '@/core/formula/testFormulas';
import { recordTaps, startBake } from '@/server/bakes';
import { contextIn, type Context } from '@/server/context';
import { createFormula } from '@/server/formulas';
import { importArchive } from '@/server/importArchive';
import { archiveKitchen, isArchive } from '@/server/kitchenArchive';
import { addPhoto } from '@/server/photos';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let elsewhere: TestDatabase;
let here: Context;
let archive: Buffer;
const LIMITS = { textBytes: 5_000_000, picturesBytes: 50_000_000 };

beforeAll(async () => {
  [db, elsewhere] = await Promise.all([testDatabase(), testDatabase()]);
  here = await db.kitchen();
  const formula = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!formula.ok) throw new Error('no formula');
  const start = { formulaId: formula.value.id, revision: 1, batch: eightRolls };
  for (const width of [700, 500]) {
    const bake = await startBake(here, { requestId: randomUUID(), ...start });
    if (!bake.ok) throw new Error('no bake');
    const tasting = { taster: 'Anna', occasion: 'fresh' as const, scores: { height: 4 }, words: '', rungId: null, blind: false };
    const tap = { eventId: randomUUID(), agoMs: 0, action: { type: 'tasted' as const, tastingId: randomUUID(), tasting } };
    await recordTaps(here, bake.value.id, [tap]);
    for (const shows of ['cut', 'whole'] as const) {
      const noise = { type: 'gaussian' as const, mean: 128, sigma: 30 };
      const bytes = await sharp({ create: { width, height: 400, channels: 3, background: '#c90', noise } }).jpeg().toBuffer();
      const added = await addPhoto(here, bake.value.id, { photoId: randomUUID(), of: shows, rungId: null, agoMs: 0, bytes });
      if (!added.ok) throw new Error(JSON.stringify(added.failure));
    }
  }
  archive = await buffer(await archiveKitchen(here));
}); // prettier-ignore
afterAll(() => Promise.all([db.drop(), elsewhere.drop()]));

const into = (pool = elsewhere.pool) => ({ pool, newId: randomUUID });
const counts = async () => {
  const { rows } = await elsewhere.admin.query<{ kitchens: number; photos: number }>(
    'select (select count(*)::int from kitchen) as kitchens, (select count(*)::int from bake_photo) as photos',
  );
  return rows[0]!;
};
/** An archive's entries by their name, in order. */
async function entriesOf(bytes: Buffer): Promise<Map<string, Buffer>> {
  const zip = await yauzl.fromBufferPromise(bytes, { lazyEntries: true });
  const found = new Map<string, Buffer>();
  for await (const entry of zip.eachEntry())
    found.set(entry.fileName, await buffer(await zip.openReadStreamPromise(entry)));
  return found;
}
const zipped = (entries: Iterable<readonly [string, Buffer]>): Promise<Buffer> => {
  const zip = new yazl.ZipFile();
  for (const [name, bytes] of entries) zip.addBuffer(bytes, name);
  zip.end();
  return buffer(zip.outputStream);
};
const refusal = async (bytes: Buffer, limits = LIMITS) => {
  const made = await importArchive(into(), bytes, limits);
  return made.ok ? null : `${made.problem.code} ${made.problem.path}`;
};

test('an archive moved elsewhere and written anew is the same, every picture byte for byte', async () => {
  expect(isArchive(archive)).toBe(true);
  const entries = await entriesOf(archive);
  expect([...entries.keys()].filter((name) => name.startsWith('photos/'))).toHaveLength(4);
  const request = randomUUID();
  const made = await importArchive(into(), archive, LIMITS, { requestId: request });
  if (!made.ok) throw new Error(JSON.stringify(made.problem));
  const there = contextIn(elsewhere.pool, made.value, { ...here });
  const again = await entriesOf(await buffer(await archiveKitchen(there)));
  // keys are made anew, and what began at one moment is listed by them; everything else is the same
  const plain = (text: Buffer) => {
    const file = JSON.parse(text.toString()) as { bakes: { events: unknown }[] };
    return { ...file, formulas: 0, bakes: file.bakes.map(({ events }) => JSON.stringify(events)).sort() };
  };
  const text = 'kitchen.crumb.json';
  expect(plain(again.get(text)!)).toEqual(plain(entries.get(text)!));
  entries.delete(text);
  again.delete(text);
  expect([...again].map(([name, bytes]) => [name, bytes.toString('base64').length, bytes.equals(entries.get(name)!)]))
    .toEqual([...entries].map(([name, bytes]) => [name, bytes.toString('base64').length, true]));
  // the same wish sent again is the same kitchen, with its pictures once
  const before = await counts();
  expect(await importArchive(into(), archive, LIMITS, { requestId: request })).toEqual(made);
  expect(await counts()).toEqual(before);
}); // prettier-ignore

test('from a file on the disk as well; without its pictures their places stay', async () => {
  const folder = await mkdtemp(path.join(tmpdir(), 'crumb-archive-'));
  try {
    await writeFile(path.join(folder, 'a.zip'), archive);
    const before = await counts();
    expect(await importArchive(into(), path.join(folder, 'a.zip'), LIMITS)).toMatchObject({ ok: true });
    const bare = await zipped([...(await entriesOf(archive))].filter(([name]) => name.endsWith('.json')));
    expect(await importArchive(into(), bare, LIMITS)).toMatchObject({ ok: true });
    const { kitchens, photos } = await counts();
    expect([kitchens - before.kitchens, photos - before.photos]).toEqual([2, 4]);
  } finally {
    await rm(folder, { recursive: true });
  }
});

test('hostile archives are refused and leave nothing: names, sizes, bombs, damage, pictures that are none', async () => {
  const entries = await entriesOf(archive);
  const name = [...entries.keys()].find((each) => each.startsWith('photos/'))!;
  const but = (changes: readonly (readonly [string, Buffer])[]) => zipped(new Map([...entries, ...changes]));
  const before = await counts();
  expect(await refusal(await but([['other.txt', Buffer.from('x')]]))).toBe('wrongFormat ');
  const climbs = (await but([['photos/XXXXXXXXXX.jpg', Buffer.from('x')]])).toString('latin1').replaceAll('XXXXXXXXXX', '../../../e');
  expect(await refusal(Buffer.from(climbs, 'latin1'))).toBe('wrongFormat ');
  expect(await refusal(await zipped([[name, entries.get(name)!]]))).toBe('wrongFormat ');
  expect(await refusal(archive.subarray(0, archive.length / 2))).toBe('wrongFormat ');
  expect(await refusal(Buffer.from('PK\u0003\u0004 and nothing else'))).toBe('wrongFormat ');
  expect(await refusal(await but([['kitchen.crumb.json', Buffer.from('{')]]))).toBe('wrongFormat ');
  expect(await refusal(await but([['kitchen.crumb.json', Buffer.from('{"format":"other"}')]]))).toMatch(/^wrongFormat/);
  // a text of zeros that unpacks to more than is taken
  expect(await refusal(await but([['kitchen.crumb.json', Buffer.alloc(6_000_000)]]))).toBe('tooLarge kitchen.crumb.json');
  expect(await refusal(archive, { ...LIMITS, picturesBytes: 1000 })).toBe('tooLarge photos');
  expect(await refusal(await but([[name, Buffer.alloc(20_000_001)]]))).toBe('tooLarge photos');
  const other = await sharp({ create: { width: 90, height: 90, channels: 3, background: '#999' } }).jpeg().toBuffer();
  const tagged = await sharp(entries.get(name)).withExif({ IFD0: { Make: 'x' } }).jpeg().toBuffer();
  for (const picture of [Buffer.from('no picture'), other, tagged, entries.get(name)!.subarray(0, 2000)])
    expect(await refusal(await but([[name, picture]]))).toBe(`noPhoto ${name.replace('.jpg', '')}`);
  expect(await counts()).toEqual(before);
}); // prettier-ignore

test('what an entry says of its size is not believed', async () => {
  const lies = Buffer.from(await zipped([['kitchen.crumb.json', Buffer.alloc(9_000_000)]]));
  // in the list at the end the size unpacked is called ten
  lies.writeUInt32LE(10, lies.lastIndexOf(Buffer.from('PK\u0001\u0002')) + 24);
  expect(await refusal(lies)).toBe('wrongFormat ');
});

/** Every connection is back, and whoever waited for that has heard of it. */
async function allBack(): Promise<void> {
  while (here.pool.idleCount < here.pool.totalCount) await new Promise((again) => setImmediate(again));
  await new Promise((again) => setImmediate(again));
}

test('whoever leaves, before a byte or in the middle, leaves no reader behind; a picture that cannot be had ends the answer alone', async () => {
  for (let round = 0; round < 4; round++) {
    const leaving = await archiveKitchen(here);
    if (round % 2 === 1) await new Promise((resolve) => leaving.once('data', resolve));
    leaving.destroy();
    await new Promise((resolve) => leaving.once('close', resolve));
    await allBack();
  }
  // two at once is all there is: had one of the four stayed, this would be refused
  const both = await Promise.all([archiveKitchen(here), archiveKitchen(here)]);
  for (const one of both) expect((await buffer(one)).length).toBe(archive.length);
  const broken = {
    ...here,
    pool: new Proxy(here.pool, {
      get: (pool, name) =>
        name === 'query'
          ? (statement: { name?: string }) =>
              statement.name === 'photo'
                ? Promise.reject(new Error('the disk'))
                : pool.query(statement as never)
          : name === 'connect'
            ? () => pool.connect()
            : (Reflect.get(pool, name) as unknown),
    }),
  };
  await expect(buffer(await archiveKitchen(broken))).rejects.toThrow('the disk');
});
