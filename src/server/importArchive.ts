import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { libraryBook } from '@/core/ingredients';
import { readKitchenFile, type KitchenFile } from '@/core/formats';
import type { Photo } from '@/core/photo';
import { ok, refuse, type Result } from '@/core/result';
import { findBakesOfPhotos, insertPhoto } from '@/db/queries/photos';
import type { KitchenRow } from '@/db/queries/kitchens';
import { transaction } from '@/db/transaction';
import { insertKitchenFile, type ImportAs, type Importer } from './importKitchen';
import { readArchive, type ArchiveLimits } from './kitchenArchive';
import { smallOf } from './reencode';

/** Every picture the logs of a file tell of, by its id. */
const photosOf = (file: KitchenFile): Map<string, Photo> =>
  new Map(
    file.bakes.flatMap(({ events }) =>
      events.flatMap(({ action }) =>
        action.type === 'photographed' ? [[action.photo.photoId, action.photo] as const] : [],
      ),
    ),
  );

/**
 * A picture out of an archive: a JPEG of the size its log says, that can be drawn whole, and carries nothing a camera wrote. It is taken
 * over as it is, byte for byte.
 */
async function checked(bytes: Buffer, { widthPx, heightPx }: Photo): Promise<Buffer | null> {
  try {
    const { format, width, height, exif, iptc, xmp } = await sharp(bytes, { failOn: 'error' }).metadata();
    if (format !== 'jpeg' || width !== widthPx || height !== heightPx || exif || iptc || xmp) return null;
    return await smallOf(bytes);
  } catch {
    return null;
  }
}

/**
 * Makes a kitchen out of an archive, pictures included, whole or not at all. A picture that the text tells of and that is not in the archive
 * stays told of: its place says that it is not here.
 *
 * @param from its bytes, or the name of a file
 */
export async function importArchive(
  { pool, newId }: Importer,
  from: Buffer | string,
  limits: ArchiveLimits,
  as: ImportAs = {},
): Promise<Result<KitchenRow>> {
  const archive = await readArchive(from, limits);
  if (!archive.ok) return archive;
  const { data, pictureIds, picture, close } = archive.value;
  try {
    const read = readKitchenFile(data, libraryBook);
    if (!read.ok) return read;
    const photos = [...photosOf(read.value)].filter(([photoId]) => pictureIds.has(photoId));
    let bad: Result<never> | null = null;
    const made = await transaction(pool, async (client) => {
      const kitchen = await insertKitchenFile(client, read.value, newId, as);
      const bakes = new Map(
        (await findBakesOfPhotos(client, kitchen.id)).map(({ photoId, bakeId }) => [photoId, bakeId]),
      );
      for (const [photoId, photo] of photos) {
        const bakeId = bakes.get(photoId);
        // the same wish sent again: its pictures are here
        if (!bakeId) continue;
        // an entry that says one thing and is another cannot be read to its end
        const bytes = await picture(photoId).catch(() => null);
        const small = bytes && (await checked(bytes, photo));
        if (!bytes || !small) {
          bad = refuse('noPhoto', `photos/${photoId}`, { why: 'broken' });
          throw new NotTaken();
        }
        const cameDigest = createHash('sha256').update(bytes).digest();
        await insertPhoto(client, kitchen.id, { bakeId, photoId, cameDigest, picture: bytes, small });
      }
      return kitchen;
    }).catch((error: unknown) => {
      if (error instanceof NotTaken && bad) return bad;
      throw error;
    });
    return 'ok' in made ? made : ok(made);
  } finally {
    close();
  }
}

/** Leaves the transaction: nothing of it is saved. */
class NotTaken extends Error {}
