import * as z from 'zod';
import { OWN_ID } from './ownId';
import { BANDS } from '../bands';
import { plainText } from '../plainTextSchema';
import { ALLERGENS, ENTRY_LIMITS, FAMILIES, GLUTEN_RISKS, PARTS, ROLES } from './entryLimits';

const number = ({ min, max }: { min: number; max: number }) => z.number().min(min).max(max);
const ingredientId = z.string().regex(/^[a-z0-9-]{1,60}$/);
const ownId = z.string().regex(OWN_ID);
const estimate = (limits: { min: number; max: number }) =>
  z.strictObject({ value: number(limits), sd: z.number().min(0).max(limits.max) });

/** Taken over from what hands felt, so many times: what is learnt next begins without it. */
const learnt = z.number().int().min(1).max(100_000);

const part = estimate(ENTRY_LIMITS.gPer100g);
const composition = z
  .strictObject({
    water: part,
    protein: part,
    fat: part,
    starch: part,
    sugars: part,
    fibre: part,
    ash: part,
    other: part,
  }) // prettier-ignore
  .superRefine((parts, context) => {
    const sum = PARTS.reduce((total, name) => total + parts[name].value, 0);
    if (sum < 98 || sum > 102) {
      context.addIssue({
        code: 'custom',
        path: [],
        params: { code: 'sumNot100', sum: Math.round(sum * 10) / 10 },
      });
    }
  });
const absorption = z
  .strictObject({ gPerG: estimate(ENTRY_LIMITS.absorptionGPerG), tauMin: number(ENTRY_LIMITS.tauMin) })
  .nullable();
const gelatinisation = z
  .strictObject({ onset: number(ENTRY_LIMITS.gelatinisationC), peak: number(ENTRY_LIMITS.gelatinisationC) })
  .refine(({ onset, peak }) => onset <= peak, { params: { code: 'rangeReversed' } })
  .nullable();
const usualShare = z
  .strictObject({ from: number(ENTRY_LIMITS.sharePercent), to: number(ENTRY_LIMITS.sharePercent) })
  .refine(({ from, to }) => from <= to, { params: { code: 'rangeReversed' } })
  .nullable();
const alsoCalled = z.array(plainText(ENTRY_LIMITS.nameLength).trim().min(1)).max(ENTRY_LIMITS.otherNames);
const allergens = z.array(z.enum(ALLERGENS)).max(ALLERGENS.length);
/** A day as written on a pack. */
const day = z.iso.date().nullable();

/** A recipe that works with a bag, and how its dough feels: what the bag absorbs as a whole follows from it. */
const worksSchema = z.strictObject({
  bagG: number(ENTRY_LIMITS.worksG),
  waterG: number(ENTRY_LIMITS.worksG),
  oilG: z.number().min(0).max(ENTRY_LIMITS.worksG.max),
  eggG: z.number().min(0).max(ENTRY_LIMITS.worksG.max),
  /** Just mixed, or after standing for so long. */
  standMin: z
    .number()
    .min(0)
    .max(24 * 60),
  band: z.enum(BANDS),
});
export type WorkingRecipe = z.infer<typeof worksSchema>;

const density = number(ENTRY_LIMITS.densityGPerMl);

const ownFields = {
  name: plainText(ENTRY_LIMITS.nameLength).trim().min(1),
  alsoCalled,
  source: plainText(ENTRY_LIMITS.sourceLength, { lines: true }),
};

/** An ingredient the baker describes: every figure the library holds of its own. */
const ownEntrySchema = z.strictObject({
  kind: z.literal('own'),
  id: ownId,
  ...ownFields,
  family: z.enum(FAMILIES),
  roles: z.tuple([z.enum(ROLES)], z.enum(ROLES)).refine((roles) => roles.length <= 4),
  per100g: composition,
  saltPer100g: number(ENTRY_LIMITS.gPer100g),
  densitySpooned: density,
  densityScooped: density,
  absorption,
  gelatinisationC: gelatinisation,
  usualShare,
  mostShare: number(ENTRY_LIMITS.sharePercent).nullable(),
  allergens,
  gluten: z.enum(GLUTEN_RISKS),
  smokePointC: number(ENTRY_LIMITS.smokePointC).nullable(),
});

/** A mixture of other ingredients: a jar blend, a starter, a gel kept ready. Its figures follow from its parts. */
const blendEntrySchema = z.strictObject({
  kind: z.literal('blend'),
  id: ownId,
  ...ownFields,
  /** How it is used on a sheet: a jar of flours is flour, a fed culture is a starter, flour in boiling water a scald. */
  role: z.enum(['flour', 'starter', 'binder', 'scald', 'inclusion', 'flavour']),
  parts: z
    .array(z.strictObject({ ingredientId, massG: z.number().min(0.001).max(100_000) }))
    .min(1)
    .max(ENTRY_LIMITS.blendParts),
  /** Weighed out as grams; the density of the jar, where the baker has measured it. */
  densityGPerMl: density.nullable(),
  /** Estimated from a label: how unsure its shares leave the water it absorbs, relative sd. */
  thirstCv: z.number().min(0).max(1).optional(),
  /** What it absorbs as a whole against its parts, where that is known better: from a recipe that works, or from hands. */
  absorbs: estimate(ENTRY_LIMITS.absorbs).optional(),
  works: worksSchema.optional(),
  learntFrom: learnt.optional(),
});

/** The bag at hand of something the library knows: only what differs from the library is saved. */
const bagEntrySchema = z.strictObject({
  kind: z.literal('bag'),
  id: ingredientId,
  /** Which bag: mill, lot, date opened. */
  bag: plainText(ENTRY_LIMITS.nameLength).trim().min(1),
  source: ownFields.source,
  learntFrom: learnt.optional(),
  works: worksSchema.optional(),
  changes: z.strictObject({
    per100g: composition.optional(),
    saltPer100g: number(ENTRY_LIMITS.gPer100g).optional(),
    densitySpooned: density.optional(),
    densityScooped: density.optional(),
    absorption: absorption.optional(),
    gelatinisationC: gelatinisation.optional(),
    usualShare: usualShare.optional(),
    mostShare: number(ENTRY_LIMITS.sharePercent).nullable().optional(),
    allergens: allergens.optional(),
    gluten: z.enum(GLUTEN_RISKS).optional(),
    smokePointC: number(ENTRY_LIMITS.smokePointC).nullable().optional(),
    /** Of yeast: how lively this jar is against new. */
    vigour: estimate(ENTRY_LIMITS.vigour).optional(),
    /** Of a bought mixture: what it absorbs as a whole against its parts. */
    absorbs: estimate(ENTRY_LIMITS.absorbs).optional(),
  }),
});

/** One bag, jar or tin of something: which of it is in the dough. What it absorbs and its vigour are its own; its kind's figures are the ingredient's. */
const lotEntrySchema = z.strictObject({
  kind: z.literal('lot'),
  id: ownId,
  /** What is in it. */
  of: ingredientId,
  /** What it is called here or what its pack says. */
  code: plainText(ENTRY_LIMITS.nameLength).trim().min(1),
  openedOn: day,
  bestBefore: day,
  /** In use; of several the one opened last. */
  open: z.boolean(),
  /** What it absorbs against its kind; how lively it is against new. */
  absorbs: estimate(ENTRY_LIMITS.absorbs).optional(),
  vigour: estimate(ENTRY_LIMITS.vigour).optional(),
  learntFrom: learnt.optional(),
});

/** What a kitchen adds to the library or says otherwise about it. */
export const kitchenEntrySchema = z.discriminatedUnion('kind', [
  ownEntrySchema,
  blendEntrySchema,
  bagEntrySchema,
  lotEntrySchema,
]);
export type KitchenEntry = z.infer<typeof kitchenEntrySchema>;
export type OwnEntry = z.infer<typeof ownEntrySchema>;
export type BlendEntry = z.infer<typeof blendEntrySchema>;
export type BagEntry = z.infer<typeof bagEntrySchema>;
export type LotEntry = z.infer<typeof lotEntrySchema>;
