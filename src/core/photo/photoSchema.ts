import * as z from 'zod';
import { localIdSchema } from '../formula/formulaSchema';
import { PHOTO_LIMITS, PHOTO_OF } from './photoLimits';

const side = z.number().int().min(1).max(PHOTO_LIMITS.sidePx.max);
const share = z.number().min(0).max(1);
/** A place in a picture, as shares of its width and of its height. */
const place = z.strictObject({ x: share, y: share });

export const photoSchema = z.strictObject({
  photoId: z.uuid(),
  of: z.enum(PHOTO_OF),
  widthPx: side,
  heightPx: side,
  /** The rung of a ladder it shows; null: the bake is one bread. */
  rungId: localIdSchema.nullable(),
});

/** What is put right by hand: within this circle all is a hole, or none. The radius is a share of the picture's width. */
const markSchema = z.strictObject({
  x: share,
  y: share,
  r: z.number().min(0.001).max(0.5),
  as: z.enum(['hole', 'crumb']),
});
export type Mark = z.infer<typeof markSchema>;

/** What a picture of a cut face says of its crumb. */
export const crumbFiguresSchema = z.strictObject({
  /** Which reader said it. */
  reader: z.number().int().min(1).max(1000),
  /** Share of the cut face that is hole, %. */
  porosityPercent: z.number().min(0).max(100),
  holes: z.number().int().min(0).max(20_000),
  /** Diameter of a hole of middling size, by area: half of all hole area is in larger ones. In % of the slice's height. */
  middleHolePercent: z.number().min(0).max(100),
  /** 1: holes are spread evenly over the face; towards 0: they lie together. */
  evenness: share,
  /** The longest hole, in % of the slice's width. */
  tunnelPercent: z.number().min(0).max(100),
  /** Height of what is without holes along the base, in % of the slice's height. */
  denseLinePercent: z.number().min(0).max(100),
  heightToWidth: z.number().min(0.01).max(20),
  /** The slice's edge, around. */
  outline: z.array(place).min(3).max(PHOTO_LIMITS.outlinePoints),
  marks: z.array(markSchema).max(PHOTO_LIMITS.marks),
});
export type CrumbFigures = z.infer<typeof crumbFiguresSchema>;
export type Photo = z.infer<typeof photoSchema>;
