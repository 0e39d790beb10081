import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { stateOf } from '@/core/bake';
import { eightRolls } from '@/core/batch/testBatch';
import { plainLoaf } from '@/core/formula/testFormulas';
import { loadBake } from '@/server/bakeRecords';
import { startBake } from '@/server/bakes';
import type { Context } from '@/server/context';
import { createFormula } from '@/server/formulas';
import { addPhoto, photo, type PhotoIn } from '@/server/photos';
import { reencode } from '@/server/reencode';
import { testDatabase, type TestDatabase } from './testDatabase';

let db: TestDatabase;
let here: Context;
let bakeId: string;

const flat = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: { r: 190, g: 150, b: 100 } } });

beforeAll(async () => {
  db = await testDatabase();
  here = await db.kitchen();
  const formula = await createFormula(here, { requestId: randomUUID(), formula: plainLoaf() });
  if (!formula.ok) throw new Error('no formula');
  const started = await startBake(here, {
    requestId: randomUUID(),
    formulaId: formula.value.id,
    revision: 1,
    batch: eightRolls,
  });
  if (!started.ok) throw new Error('no bake');
  bakeId = started.value.id;
});
afterAll(() => db.drop());

const sent = async (part: Partial<PhotoIn> = {}): Promise<PhotoIn> => ({
  photoId: randomUUID(),
  of: 'cut',
  rungId: null,
  agoMs: 0,
  bytes: await flat(900, 600).jpeg().toBuffer(),
  ...part,
});
const counts = async () => {
  const { rows } = await db.admin.query<{ photos: number; events: number }>(
    `select (select count(*)::int from bake_photo) as photos, (select count(*)::int from bake_event) as events`,
  );
  return [rows[0]!.photos, rows[0]!.events];
};
const whyOf = async (bytes: Buffer): Promise<unknown> => {
  const drawn = await reencode(bytes);
  return drawn.ok ? 'taken' : drawn.problem.params?.why;
};

test('a picture and its word in the log come together, once, upright, small enough, and without what the camera wrote', async () => {
  const bytes = await flat(3000, 1500)
    .jpeg()
    .withExif({ IFD0: { Make: 'A camera', Orientation: '6' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
    .withMetadata({ orientation: 6 })
    .toBuffer();
  expect((await sharp(bytes).metadata()).orientation).toBe(6);
  const one = await sent({ bytes, of: 'whole', by: 'Imke', agoMs: 60_000 });
  expect(await addPhoto(here, bakeId, one)).toEqual({ ok: true, value: { photoId: one.photoId } });
  expect(await addPhoto(here, bakeId, one)).toEqual({ ok: true, value: { photoId: one.photoId } });
  expect(await counts()).toEqual([1, 1]);
  const bake = await loadBake(here, bakeId);
  if (!bake) throw new Error('no bake');
  const shown = stateOf(bake).photos.get(one.photoId);
  expect(shown).toMatchObject({ of: 'whole', widthPx: 1200, heightPx: 2400, crumb: null, away: false });
  const picture = await photo(here, { bakeId, photoId: one.photoId, small: false });
  const head = await sharp(picture!).metadata();
  expect([head.format, head.width, head.height, head.orientation, head.exif, head.icc]).toEqual([
    'jpeg', 1200, 2400, undefined, undefined, undefined,
  ]); // prettier-ignore
  const small = await sharp((await photo(here, { bakeId, photoId: one.photoId, small: true }))!).metadata();
  expect([small.width, small.height]).toEqual([240, 480]);
});

test('the same id with another picture, or in another bake, is refused; a bake that is not there takes none', async () => {
  const one = await sent();
  await addPhoto(here, bakeId, one);
  const before = await counts();
  const other = await flat(500, 500).png().toBuffer();
  const clash = { ok: false, failure: { kind: 'otherContent' } };
  expect(await addPhoto(here, bakeId, { ...one, bytes: other })).toEqual(clash);
  expect(await addPhoto(here, randomUUID(), one)).toEqual(clash);
  expect(await addPhoto(here, randomUUID(), await sent())).toEqual({
    ok: false,
    failure: { kind: 'notFound' },
  });
  expect(await addPhoto(here, bakeId, await sent({ rungId: 'a' }))).toMatchObject({
    failure: { problems: [{ code: 'unknownRung', path: 'photo.rungId' }] },
  });
  expect(await photo(here, { bakeId: randomUUID(), photoId: one.photoId, small: true })).toBeNull();
  expect(await counts()).toEqual(before);
});

test('what is no photograph leaves nothing behind: other files, HEIC, cut off, a bomb, an animation', async () => {
  const jpeg = await flat(800, 600).jpeg().toBuffer();
  const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(200)]);
  // a small file that says it is 20,000 pixels wide and high
  const bomb = Buffer.from(jpeg);
  const frame = bomb.indexOf(Buffer.from([0xff, 0xc0]));
  bomb.writeUInt16BE(20_000, frame + 5);
  bomb.writeUInt16BE(20_000, frame + 7);
  const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><image href="file:///etc/passwd"/></svg>');
  const dressedUp = Buffer.concat([jpeg.subarray(0, 20), Buffer.from('<?php system("id") ?>'.repeat(40))]);
  for (const [bytes, why] of [
    [Buffer.from('%PDF-1.7 and so on and on'), 'other'],
    [Buffer.alloc(0), 'other'],
    [svg, 'other'],
    [heic, 'heic'],
    [jpeg.subarray(0, jpeg.length / 2), 'broken'],
    [dressedUp, 'broken'],
    [bomb, 'pixels'],
    [Buffer.alloc(20_000_001), 'large'],
    [await flat(30, 30).jpeg().toBuffer(), 'other'],
  ] as const) {
    const before = await counts();
    expect([why, await addPhoto(here, bakeId, await sent({ bytes }))]).toMatchObject([
      why,
      { ok: false, failure: { kind: 'invalid', problems: [{ code: 'noPhoto', params: { why } }] } },
    ]);
    expect(await counts()).toEqual(before);
  }
  for (const good of [await flat(64, 64).png().toBuffer(), await flat(64, 64).webp().toBuffer(), jpeg])
    expect(await whyOf(good)).toBe('taken');
});

test('a disk that fails in between keeps neither picture nor word', async () => {
  const [before, one] = [await counts(), await sent()];
  await db.admin.query(`create function no_room() returns trigger language plpgsql as
    $$ begin raise exception 'no room' using errcode = 'disk_full'; end $$`);
  await db.admin.query(
    `create trigger no_room before insert on bake_photo for each row execute function no_room()`,
  );
  await expect(addPhoto(here, bakeId, one)).rejects.toThrow('no room');
  expect(await counts()).toEqual(before);
  await db.admin.query('drop trigger no_room on bake_photo');
  expect(await addPhoto(here, bakeId, one)).toMatchObject({ ok: true });
});

test('pictures are not rewritten', async () => {
  for (const sql of ['update bake_photo set small = picture', 'delete from bake_photo'])
    await expect(db.admin.query(sql)).rejects.toThrow(/append-only/);
});
