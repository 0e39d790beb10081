import * as z from 'zod';
import { scaleRangesSchema } from '../batch/scaleSchema';
import { READING_LIMITS } from '../heat/heatLimits';
import { PLATE_KINDS, TIN_KINDS } from '../method/heating';
import { plainText } from '../plainTextSchema';
import { KIT_LIMITS, OVEN_KINDS } from './kitLimits';

const within = ({ min, max }: { min: number; max: number }) => z.number().min(min).max(max);
const id = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/);
const name = plainText(KIT_LIMITS.name).trim().min(1);

const ovenSchema = z.strictObject({
  id,
  name,
  kind: z.enum(OVEN_KINDS),
  /** The highest its dial goes; absent: as is usual for its kind. */
  hottestC: within(READING_LIMITS.dialC).nullable().optional(),
  litres: within(KIT_LIMITS.litres).nullable(),
  /** From cold to 220 °C on the dial, as its lamp or a thermometer says. */
  heatUpMin: within(KIT_LIMITS.heatUpMin).nullable(),
  readings: z
    .array(z.strictObject({ dialC: within(READING_LIMITS.dialC), trueC: within(READING_LIMITS.trueC) }))
    .max(READING_LIMITS.count),
  /** From a probe left in a bake: what was fitted, and from how many traces. */
  fitted: z
    .strictObject({
      offsetC: within(KIT_LIMITS.offsetC),
      offsetSdC: z.number().min(0).max(40),
      transfer: within(KIT_LIMITS.transfer),
      transferCv: z.number().min(0).max(1),
      traces: z.number().int().min(1).max(1000),
      missC: z.number().min(0).max(20),
    })
    .nullable(),
});

/**
 * What a kitchen has and how it is: read by the models wherever a bake is computed. Figures nobody has measured are null and
 * ordinary ones are taken.
 */
export const kitSchema = z
  .strictObject({
    roomC: within(KIT_LIMITS.roomC),
    warmC: within(KIT_LIMITS.warmC),
    fridgeC: within(KIT_LIMITS.fridgeC),
    altitudeM: within(KIT_LIMITS.altitudeM),
    /** What the balances show: batches are rounded to it. */
    scales: scaleRangesSchema,
    mixer: z.strictObject({
      kind: z.enum(['hand', 'machine']),
      frictionCPerMin: within(KIT_LIMITS.frictionCPerMin).nullable(),
    }),
    ovens: z.array(ovenSchema).min(1).max(KIT_LIMITS.each),
    /** The oven that is used where nothing else is said. */
    ovenId: id,
    plates: z
      .array(
        z.strictObject({
          id,
          name,
          kind: z.enum(PLATE_KINDS),
          thickMm: within(KIT_LIMITS.thickMm).nullable(),
        }),
      )
      .max(KIT_LIMITS.each),
    tins: z
      .array(
        z.strictObject({
          id,
          name,
          kind: z.enum(TIN_KINDS),
          lengthCm: within(KIT_LIMITS.lengthCm),
          widthCm: within(KIT_LIMITS.lengthCm),
          heightCm: within(KIT_LIMITS.lengthCm),
        }),
      )
      .max(KIT_LIMITS.each),
    fryer: z
      .strictObject({ oilLitres: within(KIT_LIMITS.oilLitres), powerW: within(KIT_LIMITS.powerW) })
      .nullable(),
  })
  .superRefine((kit, context) => {
    if (!kit.ovens.some((oven) => oven.id === kit.ovenId))
      context.addIssue({ code: 'custom', path: ['ovenId'], params: { code: 'notAllowed' } });
    for (const list of ['ovens', 'plates', 'tins'] as const) {
      const seen = new Set<string>();
      kit[list].forEach((each, index) => {
        if (seen.has(each.id))
          context.addIssue({ code: 'custom', path: [list, index, 'id'], params: { code: 'duplicateId' } });
        seen.add(each.id);
      });
    }
  });
export type Kit = z.infer<typeof kitSchema>;
export type KitOven = Kit['ovens'][number];
