import * as z from 'zod';
import { batchRequestSchema } from '../batch/batchRequest';
import { ALLERGENS } from '../ingredients/entryLimits';
import { FORMULA_LIMITS, PUT_BY } from '../formula/formulaLimits';
import { localIdSchema } from '../formula/formulaSchema';
import { PLATE_KINDS } from '../method/heating';
import { STEP_KINDS, STEP_LIMITS } from '../method/stepLimits';
import { plainText } from '../plainTextSchema';
import { FEED } from './blockKind';
import { DAY_LIMITS } from './dayLimits';
import { LEVER_KINDS } from './levers';
import { STARTER_LIMITS } from '../starter/starterLimits';

const feedG = z.number().min(0).max(STARTER_LIMITS.feedG.max);
const momentMs = z.number().int().min(0).max(8_640_000_000_000);
/** A block of a batch: named by the call it begins with, and by which load it is of. */
const blockIdSchema = z.string().min(1).max(120);

/** One batch of a day: what is to be made, when it has to be ready, how far it may be changed for that, and where all of it lies. */
const dayBatchSchema = z.strictObject({
  /** Also the wish its bake is started by: however often that is asked for, it is one bake. */
  id: z.uuid(),
  formulaId: z.uuid(),
  revision: z.number().int().min(1).max(1_000_000_000),
  /** The formula's name when it was put on the day, for whoever cannot read the formula. */
  name: plainText(120),
  batch: batchRequestSchema,
  /** Null: as soon as it can be. */
  ready: z.strictObject({ fromMs: momentMs, toMs: momentMs }).nullable(),
  /** So much sooner it is planned to be ready, to be surer. */
  spareMin: z.number().int().min(DAY_LIMITS.spareMin.min).max(DAY_LIMITS.spareMin.max).optional(),
  /** What may be changed of it so that it fits. */
  levers: z.array(z.enum(LEVER_KINDS)).max(LEVER_KINDS.length),
  /** Which ovens it may go in; empty: those of the kind it usually goes in. */
  ovenIds: z.array(localIdSchema).max(30),
  /** How it is made by the plan, as `leverId` writes it. */
  variantId: z.string().max(80),
  at: z.record(
    blockIdSchema,
    z.strictObject({
      startMs: momentMs,
      endMs: momentMs,
      ovenId: localIdSchema.nullable(),
      /** What it is, so that a list can tell it without the formula. */
      kind: z.enum([...STEP_KINDS, FEED]),
      title: plainText(STEP_LIMITS.titleLength),
      setC: z.number().nullable(),
      /** Somebody begins it with his hands; else it goes on by itself. */
      handsOn: z.boolean(),
      looksMs: z.array(momentMs).max(4),
      /** Of a feed: what the dough's starter is made of. */
      feed: z
        .strictObject({
          starterId: z.uuid(),
          name: plainText(STARTER_LIMITS.name),
          seedG: feedG,
          flourG: feedG,
          waterG: feedG,
        })
        .optional(),
    }),
  ),
  /** Blocks that may not move, with when they begin. */
  pins: z.record(blockIdSchema, momentMs),
  /** What the baker said of it by hand; the bench says it by itself. */
  progress: z.record(
    blockIdSchema,
    z.strictObject({
      startMs: momentMs,
      endMs: momentMs.nullable(),
      lastsS: z.number().int().min(0).max(604_800).nullable(),
    }),
  ),
  bakeId: z.uuid().nullable(),
  /** Butter that comes out of the fridge so that it is soft when it goes in. */
  softens: z
    .strictObject({
      atMs: momentMs,
      lines: z.array(z.strictObject({ name: plainText(120), massG: z.number().min(0) })).max(8),
    })
    .optional(),
  /** For whom it is made, as it was ordered. */
  orders: z
    .array(
      z.strictObject({
        orderId: z.uuid(),
        date: z.string().regex(/^\d{4}-\d\d-\d\d$/),
        who: plainText(60),
        pieces: z.number().int().min(1).max(100_000),
      }),
    )
    .max(200)
    .optional(),
  /** Of what a bake put by: taken out and finished, so many pieces of that way as the batch says. */
  takenOut: z
    .strictObject({
      bakeId: z.uuid(),
      wayId: localIdSchema,
      /** As it was when it was put on the day. */
      as: z.enum(PUT_BY),
      leftPieces: z.number().int().min(0).max(FORMULA_LIMITS.pieces.max),
      madeAtMs: momentMs,
      bestByMs: momentMs,
    })
    .optional(),
});

/** What a kitchen is going to make, on one clock; kept in versions. */
export const dayDocumentSchema = z
  .strictObject({
    batches: z.array(dayBatchSchema).max(DAY_LIMITS.most),
    /** When ovens are lit, and for what. */
    lit: z
      .array(z.strictObject({ ovenId: localIdSchema, atMs: momentMs, setC: z.number(), plate: z.enum(PLATE_KINDS).nullable() }))
      .max(30),
    /** When all is cleaned down: after wheat, or before a batch that is without something. */
    cleans: z
      .array(z.strictObject({ atMs: momentMs, untilMs: momentMs, allergens: z.array(z.enum(ALLERGENS)).max(ALLERGENS.length), beforeId: z.uuid().nullable() }))
      .max(60)
      .optional(),
    /** How much there is of what the day needs, where somebody looked. */
    have: z
      .array(z.strictObject({ ingredientId: z.string().regex(/^[a-z0-9-]{1,60}$/), massG: z.number().min(0).max(DAY_LIMITS.haveG.max) }))
      .max(DAY_LIMITS.have)
      .optional(),
    /** Ovens that are not as hot as they should be by now: hot then, as far as anybody knows. */
    notHot: z
      .array(z.strictObject({ ovenId: localIdSchema, untilMs: momentMs, setC: z.number(), plate: z.enum(PLATE_KINDS).nullable() }))
      .max(30)
      .optional(),
  })
  .superRefine(({ batches }, context) => {
    const seen = new Set<string>();
    for (const [at, { id, ready }] of batches.entries()) {
      if (seen.has(id)) context.addIssue({ code: 'custom', path: ['batches', at, 'id'], params: { code: 'duplicateId' } });
      seen.add(id);
      if (ready && ready.toMs < ready.fromMs)
        context.addIssue({ code: 'custom', path: ['batches', at, 'ready', 'toMs'], params: { code: 'rangeReversed' } });
    }
  }); // prettier-ignore
export type DayDocument = z.infer<typeof dayDocumentSchema>;
export type DayBatchDocument = DayDocument['batches'][number];

export const EMPTY_DAY: DayDocument = { batches: [], lit: [] };
