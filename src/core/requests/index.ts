import * as z from 'zod';
import { kitchenDetailsSchema } from '../kit/kitchenDetails';
import { kitSchema } from '../kit/kitSchema';
import { bakeActionSchema, whoSchema } from '../bake/bakeEvent';
import { BAKINGS, type Baking } from './bakings';
import { PHOTO_OF } from '../photo/photoLimits';
import { ladderWishSchema } from '../trial/ladderSchema';
import { LAST_SEQ } from '../bake/lastSeq';
import { dayDocumentSchema } from '../day/dayDocument';
import { ordersDocumentSchema } from '../orders/orderDocument';
import { startersDocumentSchema } from '../starter/starterDocument';
import { lifeDocumentSchema } from '../day/lifeDocument';
import { batchRequestSchema } from '../batch/batchRequest';
import { formulaSchema, localIdSchema } from '../formula/formulaSchema';
import { kitchenEntrySchema } from '../ingredients/kitchenEntrySchema';

/** What a screen may ask of the server. One schema each, used where it is made and where it is received. */

/** Made by the sender once per wish; the server grants the same wish once however often it arrives. */
const requestId = z.uuid();
/** The version the writer had before its eyes; 0 when nothing was saved yet. */
const version = z.number().int().min(0).max(1_000_000_000);

export const createFormulaSchema = z.union([
  z.strictObject({ requestId, formula: formulaSchema }),
  /** A copy of a formula as it is now, or as an earlier revision had it: a branch that remembers where it came from. */
  z.strictObject({
    requestId,
    copyOf: z.uuid(),
    revision: z.number().int().min(1).max(1_000_000_000).optional(),
    name: formulaSchema.shape.name.optional(),
  }),
]);

/** A formula file as its text: the server reads it, so that what is refused is refused in one place. */
export const importFormulaSchema = z.strictObject({ requestId, file: z.string().max(480_000) });

export const saveFormulaSchema = z.strictObject({
  requestId,
  /** The revision the writer had before its eyes. */
  seen: z.number().int().min(1).max(1_000_000_000),
  formula: formulaSchema,
});
export type SaveFormula = z.infer<typeof saveFormulaSchema>;

export const saveIngredientSchema = z.strictObject({
  requestId,
  /** The version the writer had before its eyes; 0 for a new entry. */
  seen: z.number().int().min(0).max(1_000_000_000),
  entry: kitchenEntrySchema,
  away: z.boolean(),
});
export type SaveIngredient = z.infer<typeof saveIngredientSchema>;

export const saveKitSchema = z.strictObject({
  requestId,
  seen: version,
  kit: kitSchema,
});
export type SaveKit = z.infer<typeof saveKitSchema>;

export const saveDaySchema = z.strictObject({ requestId, seen: version, day: dayDocumentSchema });
export type SaveDay = z.infer<typeof saveDaySchema>;

export const saveLifeSchema = z.strictObject({ requestId, seen: version, life: lifeDocumentSchema });
export type SaveLife = z.infer<typeof saveLifeSchema>;

export const saveStartersSchema = z.strictObject({
  requestId,
  seen: version,
  starters: startersDocumentSchema,
});
export type SaveStarters = z.infer<typeof saveStartersSchema>;

export const saveOrdersSchema = z.strictObject({ requestId, seen: version, orders: ordersDocumentSchema });
export type SaveOrders = z.infer<typeof saveOrdersSchema>;

export const archiveFormulaSchema = z.strictObject({ archived: z.boolean() });

export const startBakeSchema = z.strictObject({
  requestId,
  formulaId: z.uuid(),
  revision: z.number().int().min(1).max(1_000_000_000),
  /** Made otherwise than written so that it fits its day, as `leverId` writes it. */
  lever: z.string().max(80).optional(),
  batch: batchRequestSchema,
  /** As a ladder, of which the batch is the scale. */
  ladder: ladderWishSchema.optional(),
});

const tapSchema = z.strictObject({
  eventId: z.uuid(),
  /** How long the tap waited to be sent: also over a holiday; beyond some years a clock is wrong. */
  agoMs: z.number().min(0).max(157_680_000_000),
  /** A picture comes with its word in one request of its own, or it would be told of and not be there. */
  action: bakeActionSchema.refine(({ type }) => type !== 'photographed', { params: { code: 'notAllowed' } }),
  /** Who did it, where somebody said who is at that bench. */
  by: whoSchema.optional(),
});
export type Tap = z.infer<typeof tapSchema>;

export const tapsSchema = z.strictObject({
  taps: z.array(tapSchema).min(1).max(100),
  /** Number of the newest event the sender knows: the answer holds those after it. */
  after: z.number().int().min(0).max(LAST_SEQ).default(0),
});

/** What an address says of the photograph in its body. */
export const askedPhotoSchema = z
  .strictObject({
    photoId: z.uuid(),
    of: z.enum(PHOTO_OF),
    rung: localIdSchema.optional(),
    ago: z.coerce.number().pipe(tapSchema.shape.agoMs),
    by: whoSchema.optional(),
  })
  .transform(({ photoId, of, rung, ago, by }) => ({ photoId, of, rungId: rung ?? null, agoMs: ago, by }));

/** A kitchen of one's own. Units are the reader's, not the kitchen's, and go with no request. */
export const setUpKitchenSchema = z.strictObject({
  requestId,
  name: kitchenDetailsSchema.shape.name,
  timeZone: kitchenDetailsSchema.shape.timeZone,
  clockFace: kitchenDetailsSchema.shape.clockFace.optional(),
  decimalMark: kitchenDetailsSchema.shape.decimalMark.optional(),
  weekStart: kitchenDetailsSchema.shape.weekStart.optional(),
  baking: z.enum(BAKINGS),
  ovenKind: kitSchema.shape.ovens.element.shape.kind,
  altitudeM: kitSchema.shape.altitudeM,
});
export type SetUpKitchen = z.infer<typeof setUpKitchenSchema>;

export { kitchenDetailsSchema, type Baking };
