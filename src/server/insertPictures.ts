import { createHash } from 'node:crypto';
import sharp from 'sharp';
import type { KitchenFile } from '@/core/formats';
import type { Photo } from '@/core/photo';
import { findBakesOfPhotos, insertPhoto } from '@/db/queries/photos';
import type { Queryable } from '@/db/rows';
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
 * A picture that came with a file: a JPEG of the size its log says, that can be drawn whole, and carries nothing a camera wrote. It is taken
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
 * The pictures of a file's kitchen, into the kitchen that was made of it, in its transaction.
 *
 * @param ids of those that are there; what the text tells of beside them stays told of
 * @returns the id of the first that does not hold: then the transaction has to be left
 */
export async function insertPictures(
  db: Queryable,
  kitchenId: string,
  file: KitchenFile,
  ids: ReadonlySet<string>,
  picture: (photoId: string) => Promise<Buffer>,
): Promise<string | null> {
  const bakes = new Map(
    (await findBakesOfPhotos(db, kitchenId)).map(({ photoId, bakeId }) => [photoId, bakeId]),
  );
  for (const [photoId, photo] of photosOf(file)) {
    const bakeId = bakes.get(photoId);
    // the same wish sent again: its pictures are here
    if (!ids.has(photoId) || !bakeId) continue;
    // an entry that says one thing and is another cannot be read to its end
    const bytes = await picture(photoId).catch(() => null);
    const small = bytes && (await checked(bytes, photo));
    if (!bytes || !small) return photoId;
    const cameDigest = createHash('sha256').update(bytes).digest();
    await insertPhoto(db, kitchenId, { bakeId, photoId, cameDigest, picture: bytes, small });
  }
  return null;
}
