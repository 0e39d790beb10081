import * as z from 'zod';
import { many, maybeOne, type Queryable } from '../rows';

const bytes = z.instanceof(Buffer);

export interface NewPhoto {
  readonly bakeId: string;
  readonly photoId: string;
  readonly cameDigest: Buffer;
  readonly picture: Buffer;
  readonly small: Buffer;
}

export async function insertPhoto(db: Queryable, kitchenId: string, photo: NewPhoto): Promise<void> {
  const { bakeId, photoId, cameDigest, picture, small } = photo;
  await db.query({
    name: 'photo-in',
    text: `insert into bake_photo (kitchen_id, bake_id, photo_id, came_digest, picture, small)
           values ($1, $2, $3, $4, $5, $6)`,
    values: [kitchenId, bakeId, photoId, cameDigest, picture, small],
  });
}

/** Which bake a picture belongs to, and whether it came of this very file. */
export const findPhoto = (db: Queryable, kitchenId: string, photoId: string, cameDigest: Buffer) =>
  maybeOne(
    db,
    {
      name: 'photo-known',
      text: `select bake_id as "bakeId", came_digest = $3 as same from bake_photo
             where kitchen_id = $1 and photo_id = $2`,
      row: z.object({ bakeId: z.uuid(), same: z.boolean() }),
    },
    [kitchenId, photoId, cameDigest],
  );

/** A picture, or the small one; of another bake it is not there. */
export async function photoBytes(
  db: Queryable,
  kitchenId: string,
  { bakeId, photoId, small }: { bakeId: string; photoId: string; small: boolean },
): Promise<Buffer | null> {
  const found = await maybeOne(
    db,
    {
      name: small ? 'photo-small' : 'photo',
      text: `select ${small ? 'small' : 'picture'} as bytes from bake_photo
             where kitchen_id = $1 and bake_id = $2 and photo_id = $3`,
      row: z.object({ bytes }),
    },
    [kitchenId, bakeId, photoId],
  );
  return found?.bytes ?? null;
}

/** Every picture of a kitchen by its id, oldest first, without the pictures themselves. */
export const photoIds = (db: Queryable, kitchenId: string) =>
  many(
    db,
    {
      text: `select photo_id as "photoId", bake_id as "bakeId", came_digest as "cameDigest" from bake_photo
             where kitchen_id = $1 order by added_at, photo_id`,
      row: z.object({ photoId: z.uuid(), bakeId: z.uuid(), cameDigest: bytes }),
    },
    [kitchenId],
  );
