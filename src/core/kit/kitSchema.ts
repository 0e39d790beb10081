import * as z from 'zod';
import { VESSEL_LIMITS } from '../vessel/vessel';
import { PHASE_LIMITS } from '../heat/programme';
import { READING_LIMITS } from '../heat/fitOven';
import { PLATE_KINDS, TIN_KINDS } from '../method/heating';
import { plainText } from '../plainTextSchema';

/** Sizes of what stands in a kitchen; wide enough for a small bakery. */
export const KIT_LIMITS = {
  name: 40,
  each: 24,
  roomC: { min: 5, max: 40 },
  warmC: { min: 20, max: 45 },
  fridgeC: { min: -2, max: 15 },
  altitudeM: PHASE_LIMITS.altitudeM,
  scaleG: { min: 0.01, max: 50 },
  frictionCPerMin: { min: 0, max: 3 },
  litres: { min: 5, max: 1000 },
  powerW: { min: 200, max: 40_000 },
  heatUpMin: { min: 2, max: 180 },
  oilLitres: { min: 0.3, max: 60 },
  thickMm: { min: 1, max: 60 },
  offsetC: PHASE_LIMITS.offsetC,
  transfer: { min: 0.3, max: 3 },
  lengthCm: VESSEL_LIMITS.lengthCm,
} as const;

const within = ({ min, max }: { min: number; max: number }) => z.number().min(min).max(max);
const id = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/);
const name = plainText(KIT_LIMITS.name).trim().min(1);

const ovenSchema = z.strictObject({
  id,
  name,
  kind: z.enum(['static', 'fan', 'deck']),
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
 * What a kitchen has and how it is: read by the models wherever a bake is reckoned. Figures nobody has measured are null and
 * ordinary ones are taken.
 */
export const kitSchema = z
  .strictObject({
    roomC: within(KIT_LIMITS.roomC),
    warmC: within(KIT_LIMITS.warmC),
    fridgeC: within(KIT_LIMITS.fridgeC),
    altitudeM: within(KIT_LIMITS.altitudeM),
    scaleG: within(KIT_LIMITS.scaleG),
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

/** A kitchen of which nothing is known yet. */
export const ORDINARY_KIT: Kit = {
  roomC: 21,
  warmC: 28,
  fridgeC: 5,
  altitudeM: 0,
  scaleG: 1,
  mixer: { kind: 'machine', frictionCPerMin: null },
  ovens: [
    { id: 'oven', name: 'Oven', kind: 'static', litres: null, heatUpMin: null, readings: [], fitted: null },
  ],
  ovenId: 'oven',
  plates: [],
  tins: [],
  fryer: null,
};
