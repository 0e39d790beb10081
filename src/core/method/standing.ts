import * as z from 'zod';
import { BANDS } from '../bands';
import { COLOURS } from '../colours';

/** Where a dough or a bread stands while nothing is done to it. */
export const PLACES = ['room', 'warm', 'prover', 'ovenLight', 'fridge', 'freezer', 'oven'] as const;
export type Place = (typeof PLACES)[number];

/** What keeps it from drying. */
export const COVERS = ['open', 'cloth', 'damp', 'film', 'lid', 'bag'] as const;
export type Cover = (typeof COVERS)[number];

export const STANDS_LIMITS = { humidityPercent: { min: 10, max: 100 } } as const;

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

export const CUE_LIMITS = {
  /** A dough that barely moves, to one that is five times as big. */
  grownPercent: { min: 5, max: 400 },
  coreC: { min: -5, max: 130 },
} as const;

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
export const CUE_KINDS = [
  'grown',
  'feel',
  'core',
  'colour',
  'foam',
  'floats',
  'springsBack',
  'cold',
] as const;
