import * as z from 'zod';
import { BANDS } from '../bands';
import { COLOURS } from '../colours';
import { COVERS, CUE_LIMITS, PLACES, STANDS_LIMITS } from './standingLimits';

export const standsSchema = z.strictObject({
  place: z.enum(PLACES),
  cover: z.enum(COVERS).optional(),
  humidityPercent: z
    .number()
    .min(STANDS_LIMITS.humidityPercent.min)
    .max(STANDS_LIMITS.humidityPercent.max)
    .optional(),
});
export type Stands = z.infer<typeof standsSchema>;

/** What is waited for, as data; what else there is to see or hear stands in the step's own words. */
export const cueSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('grown'),
    percent: z.number().min(CUE_LIMITS.grownPercent.min).max(CUE_LIMITS.grownPercent.max),
  }),
  z.strictObject({ kind: z.literal('feel'), band: z.enum(BANDS) }),
  z.strictObject({
    kind: z.literal('core'),
    tempC: z.number().min(CUE_LIMITS.coreC.min).max(CUE_LIMITS.coreC.max),
  }),
  z.strictObject({ kind: z.literal('colour'), colour: z.enum(COLOURS) }),
  /** The yeast foams. */
  z.strictObject({ kind: z.literal('foam') }),
  /** It floats, or comes up by itself. */
  z.strictObject({ kind: z.literal('floats') }),
  /** A finger's dent comes back slowly. */
  z.strictObject({ kind: z.literal('springsBack') }),
  z.strictObject({ kind: z.literal('cold') }),
]);
export type Cue = z.infer<typeof cueSchema>;
