import { createHash } from 'node:crypto';
import type { PhotoOf } from '@/core/photo';
import { databaseFailure } from '@/db/errors';
import { findPhoto, insertPhoto, photoBytes } from '@/db/queries/photos';
import { transaction } from '@/db/transaction';
import { takeTaps } from './bakes';
import type { Context } from './context';
import { Busy, done, failed, invalid, type Done } from './failure';
import { reencode } from './reencode';

/** A photograph as it comes in. */
export interface PhotoIn {
  readonly photoId: string;
  readonly of: PhotoOf;
  readonly rungId: string | null;
  readonly agoMs: number;
  readonly by?: string | undefined;
  readonly bytes: Buffer;
}

/** So many are drawn anew at once: each holds some hundred megabytes for a moment. */
const MOST_AT_ONCE = 2;
let drawing = 0;

/**
 * Takes in a picture of a bake: the picture and the word of it in the log in one transaction, once however often it is sent.
 * @throws Busy while others are being drawn
 */
export async function addPhoto(
  context: Context,
  bakeId: string,
  { photoId, of, rungId, agoMs, by, bytes }: PhotoIn,
): Promise<Done<{ photoId: string }>> {
  const { pool, kitchen, book, now } = context;
  const cameDigest = createHash('sha256').update(bytes).digest();
  const again = async (): Promise<Done<{ photoId: string }> | null> => {
    const known = await findPhoto(pool, kitchen.id, photoId, cameDigest);
    if (!known) return null;
    return known.same && known.bakeId === bakeId ? done({ photoId }) : failed({ kind: 'otherContent' });
  };
  const earlier = await again();
  if (earlier) return earlier;
  if (drawing >= MOST_AT_ONCE) throw new Busy();
  drawing += 1;
  const drawn = await reencode(bytes).finally(() => (drawing -= 1));
  if (!drawn.ok) return invalid(drawn.problem);
  const { picture, small, widthPx, heightPx } = drawn.value;
  const ingredients = await book();
  const action = { type: 'photographed' as const, photo: { photoId, of, widthPx, heightPx, rungId } };
  try {
    return await transaction(pool, async (client) => {
      const tap = { eventId: photoId, agoMs, action, ...(by !== undefined && { by }) };
      const taken = await takeTaps(client, kitchen.id, bakeId, [tap], ingredients, now());
      if (!taken.ok) return taken;
      const problem = taken.value.results[0]?.problem;
      if (problem)
        return problem.code === 'otherContent' ? failed({ kind: 'otherContent' }) : invalid(problem);
      await insertPhoto(client, kitchen.id, { bakeId, photoId, cameDigest, picture, small });
      return done({ photoId });
    });
  } catch (error) {
    const first = databaseFailure(error) === 'duplicate' ? await again() : null;
    if (first) return first;
    throw error;
  }
}

/** @returns a JPEG; null: this bake has no such picture */
export const photo = (
  { pool, kitchen }: Context,
  asked: { bakeId: string; photoId: string; small: boolean },
): Promise<Buffer | null> => photoBytes(pool, kitchen.id, asked);
