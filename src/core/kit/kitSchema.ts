import * as z from 'zod';
import { scaleRangesSchema } from '../batch/scaleSchema';
import { READING_LIMITS } from '../heat/heatLimits';
import { PLATE_KINDS, TIN_KINDS } from '../method/heating';
import { STANDS_LIMITS } from '../method/standingLimits';
import { plainText } from '../plainTextSchema';
import { KIT_LIMITS, OVEN_KINDS, PLACE_KINDS, VESSEL_KINDS } from './kitLimits';

const within = ({ min, max }: { min: number; max: number }) => z.number().min(min).max(max);
const id = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/);
const count = z.number().int().min(KIT_LIMITS.count.min).max(KIT_LIMITS.count.max);
const name = plainText(KIT_LIMITS.name).trim().min(1);

const ovenSchema = z.strictObject({
  id,
  name,
  kind: z.enum(OVEN_KINDS),
  /** The highest its dial goes; absent: as is usual for its kind. */
  hottestC: within(READING_LIMITS.dialC).nullable().optional(),
  litres: within(KIT_LIMITS.litres).nullable(),
  /** What stands or lies in it at once: its inner floor, and shelves that bake well together; absent or null: not measured. */
  floorLengthCm: within(KIT_LIMITS.lengthCm).nullable().optional(),
  floorWidthCm: within(KIT_LIMITS.lengthCm).nullable().optional(),
  shelves: count.nullable().optional(),
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
          /** What lies on it; a round one is as long as it is wide. Absent or null: not measured. */
          lengthCm: within(KIT_LIMITS.lengthCm).nullable().optional(),
          widthCm: within(KIT_LIMITS.lengthCm).nullable().optional(),
          round: z.literal(true).optional(),
          /** So many of it; absent: one. */
          count: count.optional(),
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
          /** So many of it; absent: not said, and no load is limited by it. */
          count: count.optional(),
        }),
      )
      .max(KIT_LIMITS.each),
    fryer: z
      .strictObject({
        oilLitres: within(KIT_LIMITS.oilLitres),
        powerW: within(KIT_LIMITS.powerW),
        acrossCm: within(KIT_LIMITS.lengthCm).nullable().optional(),
      })
      .nullable(),
    /** What is boiled, griddled and mixed in. */
    vessels: z
      .array(
        z.strictObject({
          id,
          name,
          kind: z.enum(VESSEL_KINDS),
          litres: within(KIT_LIMITS.vesselLitres).nullable(),
          acrossCm: within(KIT_LIMITS.lengthCm).nullable(),
          /** The most dough it is mixed in; null: by its litres. */
          mostDoughG: within(KIT_LIMITS.mostDoughG).nullable(),
        }),
      )
      .max(KIT_LIMITS.each),
    /** Where doughs stand and breads cool, with how much room there is. */
    places: z
      .array(
        z.strictObject({
          id,
          name,
          kind: z.enum(PLACE_KINDS),
          tempC: within(KIT_LIMITS.placeC).nullable(),
          humidityPercent: within(STANDS_LIMITS.humidityPercent).nullable(),
          lengthCm: within(KIT_LIMITS.lengthCm).nullable(),
          widthCm: within(KIT_LIMITS.lengthCm).nullable(),
          shelves: count.nullable(),
        }),
      )
      .max(KIT_LIMITS.each),
    /** The kitchen's own cup, scoop or spoon, weighed full: of one ingredient, or with water, for any. */
    measures: z
      .array(
        z.strictObject({
          id,
          measure: plainText(24).trim().min(1),
          ingredientId: z
            .string()
            .regex(/^[a-z0-9-]{1,60}$/)
            .nullable(),
          weighedG: z.array(within(KIT_LIMITS.weighedG)).min(1).max(20),
        }),
      )
      .max(KIT_LIMITS.measures),
    /** Mill, sieves, whatever else is good to know of this kitchen. */
    notes: plainText(KIT_LIMITS.notes, { lines: true }),
  })
  .superRefine((kit, context) => {
    if (!kit.ovens.some((oven) => oven.id === kit.ovenId))
      context.addIssue({ code: 'custom', path: ['ovenId'], params: { code: 'notAllowed' } });
    for (const list of ['ovens', 'plates', 'tins', 'vessels', 'places', 'measures'] as const) {
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
