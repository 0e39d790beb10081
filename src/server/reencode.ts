import sharp from 'sharp';
import { isPicture, PHOTO_LIMITS, sniff, SNIFF_BYTES } from '@/core/photo';
import { ok, refuse, type Result } from '@/core/result';

/** One picture at a time takes one processor; nothing of one is kept for the next. */
sharp.concurrency(1);
sharp.cache(false);

/** For lists, the longer side, px. */
const SMALL_PX = 480;
/** Work on one picture is given up after so long, s. */
const MOST_S = 20;

export interface Reencoded {
  readonly picture: Buffer;
  readonly small: Buffer;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** A saved picture for lists; drawn whole on the way, so that one that is damaged throws. */
export const smallOf = (picture: Buffer): Promise<Buffer> =>
  sharp(picture, { failOn: 'error' })
    .timeout({ seconds: MOST_S })
    .resize(SMALL_PX, SMALL_PX, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 76 })
    .toBuffer();

/**
 * A photograph as it is saved: drawn anew, upright, at most 2,400 px on its longer side, in plain colours, with nothing of what a camera
 * wrote into it (place, time, owner). What cannot be drawn whole is refused.
 *
 * @returns noPhoto at '' with why: heic, large, pixels, broken, other
 */
export async function reencode(came: Buffer): Promise<Result<Reencoded>> {
  const no = (why: string): Result<never> => refuse('noPhoto', '', { why });
  if (came.length > PHOTO_LIMITS.bytes) return no('large');
  const kind = sniff(came.subarray(0, SNIFF_BYTES));
  if (!isPicture(kind)) return no(kind);
  try {
    // the header first: a bomb is known by its size before a pixel is drawn
    const head = await sharp(came, { failOn: 'truncated', limitInputPixels: false }).metadata();
    if (head.format !== kind) return no('other');
    if (head.width * head.height > PHOTO_LIMITS.pixels || (head.pages ?? 1) > 1) return no('pixels');
    const { data, info } = await sharp(came, { failOn: 'error', limitInputPixels: PHOTO_LIMITS.pixels })
      .timeout({ seconds: MOST_S })
      .autoOrient()
      .resize(PHOTO_LIMITS.sidePx.max, PHOTO_LIMITS.sidePx.max, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .toColourspace('srgb')
      .jpeg({ quality: 84 })
      .toBuffer({ resolveWithObject: true });
    if (Math.min(info.width, info.height) < PHOTO_LIMITS.sidePx.min) return no('other');
    const small = await smallOf(data);
    return ok({ picture: data, small, widthPx: info.width, heightPx: info.height });
  } catch {
    return no('broken');
  }
}
