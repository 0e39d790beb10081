import { Readable } from 'node:stream';
import yauzl from 'yauzl';
import yazl from 'yazl';
import { PHOTO_LIMITS } from '@/core/photo';
import { ok, refuse, type Result } from '@/core/result';
import { photoBytes, photoIds } from '@/db/queries/photos';
import type { Context } from './context';
import { exportKitchen } from './exportKitchen';

/** The open format in an archive: the kitchen as it is written down, and every picture its bakes tell of. */
const KITCHEN_IN = 'kitchen.crumb.json';
const PICTURE_IN = /^photos\/([0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12})\.jpg$/;

/** So much is taken in of one archive, unpacked; a text and all pictures. */
export interface ArchiveLimits {
  readonly textBytes: number;
  readonly picturesBytes: number;
}

/** Whether a file is an archive, by its first bytes; else it is the text alone, as before there were pictures. */
export const isArchive = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;

/**
 * A whole kitchen as an archive, piece by piece: the text as it was at one moment, then the pictures, of which none is ever changed, one
 * after the other. A picture that came while it was being written may be in it without the text knowing of it: it is left where it is read.
 * @throws Busy where two are being written already
 */
export async function archiveKitchen(context: Pick<Context, 'pool' | 'kitchen'>): Promise<Readable> {
  const pieces = exportKitchen(context);
  // the first piece is fetched before the answer begins: a database that is away is still told as such
  const first = await pieces.next();
  const zip = new yazl.ZipFile();
  const out = zip.outputStream as Readable;
  const text = Readable.from(
    (async function* () {
      if (!first.done) yield first.value;
      yield* pieces;
      await addPictures(zip, context);
    })(),
    { objectMode: false },
  );
  // what goes wrong on the way ends the answer, and nothing else
  const fail = (error: unknown): void =>
    void out.destroy(error instanceof Error ? error : new Error('broken'));
  text.on('error', fail);
  zip.on('error', fail);
  // also of whoever leaves before anything was read: else the reader's place stays taken
  out.on('close', () => {
    text.destroy();
    void pieces.return(undefined);
  });
  zip.addReadStream(text, KITCHEN_IN, { mtime: NO_TIME });
  return out;
}

/** Two archives of the same are the same: when it was written says nothing of a kitchen. */
const NO_TIME = new Date('2000-01-01T00:00:00Z');

/** Once the text is written: all that it tells of is there. */
async function addPictures(zip: yazl.ZipFile, { pool, kitchen }: Pick<Context, 'pool' | 'kitchen'>): Promise<void> {
  for (const { photoId, bakeId } of await photoIds(pool, kitchen.id))
    zip.addReadStreamLazy(`photos/${photoId}.jpg`, { compress: false, mtime: NO_TIME }, (got) => {
      photoBytes(pool, kitchen.id, { bakeId, photoId, small: false }).then(
        (bytes) => got(bytes ? null : new Error('A picture is gone'), Readable.from(bytes ? [bytes] : [])),
        (error: unknown) => got(error, Readable.from([])),
      );
    });
  zip.end();
} // prettier-ignore

/** An archive as it was read: its text, and its pictures by their id, each fetched when it is its turn. */
export interface ReadArchive {
  readonly data: unknown;
  readonly pictureIds: ReadonlySet<string>;
  readonly picture: (photoId: string) => Promise<Buffer>;
  readonly close: () => void;
}

const noArchive = (why: string) => refuse('wrongFormat', '', { why });

/**
 * Opens an archive. Nothing is unpacked to a disk, names are of two kinds or refused, and what an entry says of its size is believed only as
 * far as the limits; more than it said is never read.
 *
 * @param from its bytes, or the name of a file
 * @returns wrongFormat: no archive of a kitchen; tooLarge with the limit
 */
export async function readArchive(from: Buffer | string, limits: ArchiveLimits): Promise<Result<ReadArchive>> {
  let zip: yauzl.ZipFile;
  const entries = new Map<string, yauzl.Entry>();
  try {
    const options = { lazyEntries: true, autoClose: false, validateEntrySizes: true, strictFileNames: true };
    zip = typeof from === 'string' ? await yauzl.openPromise(from, options) : await yauzl.fromBufferPromise(from, options);
    for await (const entry of zip.eachEntry()) {
      if (entry.fileName.endsWith('/')) continue;
      const isKnown = entry.fileName === KITCHEN_IN || PICTURE_IN.test(entry.fileName);
      if (!isKnown || entries.has(entry.fileName) || entries.size > 500_000) return noArchive('entries');
      entries.set(entry.fileName, entry);
    }
  } catch {
    return noArchive('broken');
  }
  const text = entries.get(KITCHEN_IN);
  if (!text) return noArchive('entries');
  const pictures = [...entries.values()].filter((entry) => entry !== text);
  const most = Math.max(0, ...pictures.map(({ uncompressedSize }) => uncompressedSize));
  const together = pictures.reduce((sum, { uncompressedSize }) => sum + uncompressedSize, 0);
  if (text.uncompressedSize > limits.textBytes) return refuse('tooLarge', KITCHEN_IN, { max: limits.textBytes });
  if (most > PHOTO_LIMITS.bytes) return refuse('tooLarge', 'photos', { max: PHOTO_LIMITS.bytes });
  if (together > limits.picturesBytes) return refuse('tooLarge', 'photos', { max: limits.picturesBytes });
  const bytesOf = async (entry: yauzl.Entry): Promise<Buffer> => {
    const parts: Buffer[] = [];
    for await (const part of await zip.openReadStreamPromise(entry)) parts.push(part as Buffer);
    return Buffer.concat(parts);
  };
  try {
    const data: unknown = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(await bytesOf(text)));
    return ok({
      data,
      pictureIds: new Set(pictures.map(({ fileName }) => PICTURE_IN.exec(fileName)?.[1] ?? '')),
      picture: (photoId) => bytesOf(entries.get(`photos/${photoId}.jpg`)!),
      close: () => zip.close(),
    });
  } catch {
    zip.close();
    return noArchive('broken');
  }
} // prettier-ignore
