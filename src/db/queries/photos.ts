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

const photoOfBake = z.object({ photoId: z.uuid(), bakeId: z.uuid() });

/** Pictures that logs tell of and that are not here, with the bake whose log it is. */
export const findBakesOfPhotos = (db: Queryable, kitchenId: string) =>
  many(
    db,
    {
      text: `select (e.action -> 'photo' ->> 'photoId')::uuid as "photoId", e.bake_id as "bakeId" from bake_event e
             where e.kitchen_id = $1 and e.action ->> 'type' = 'photographed'
               and not exists (select 1 from bake_photo p where p.kitchen_id = e.kitchen_id
                 and p.photo_id = (e.action -> 'photo' ->> 'photoId')::uuid)`,
      row: photoOfBake,
    },
    [kitchenId],
  );

/** Every picture of a kitchen by its id, without the pictures themselves. */
export const photoIds = (db: Queryable, kitchenId: string) =>
  many(
    db,
    {
      text: `select photo_id as "photoId", bake_id as "bakeId" from bake_photo
             where kitchen_id = $1 order by photo_id`,
      row: photoOfBake,
    },
    [kitchenId],
  );
