import * as z from 'zod';
import { BANDS } from '../consistency/parameters';
import { EATER_LIMITS } from '../eaters/eater';
import { FORMULA_LIMITS } from '../formula/formula';
import { localIdSchema } from '../formula/formulaSchema';
import { STEP_LIMITS } from '../method/step';
import { KIT_LIMITS } from '../kit/kitLimits';
import { methodStepSchema } from '../method/stepSchema';
import { plainText } from '../plainTextSchema';
import { OWN_ID } from '../ingredients/ownId';
import {
  COURSES,
  LOOK_COLOURS,
  MENDS,
  READING_C,
  READING_OF,
  RIM_PERCENT,
  RISE_MARK_PERCENT,
} from './bakeLimits';
import { adviceSchema } from '../advice/adviceSchema';
import { EXPLANATIONS } from '../advice/ids';
import { crumbFiguresSchema, photoSchema } from '../photo/photoSchema';
import { tastingSchema } from '../tasting/tastingSchema';
import { outcomeSchema } from './outcomeSchema';

const massG = z.number().min(FORMULA_LIMITS.lineMassG.min).max(1_000_000);
const durationS = z.number().int().min(STEP_LIMITS.durationS.min).max(STEP_LIMITS.durationS.max);

/** Whoever does something, by the name that is used in the kitchen. */
export const whoSchema = plainText(EATER_LIMITS.nameLength).trim().min(1);

/**
 * Everything that can happen to a bake. The same shape is the command a screen sends and the event that is saved: what
 * was done is what is remembered. Saved ones are never changed; a correction is one more event.
 */
export const bakeActionSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('weighed'), lineId: localIdSchema, massG }),
  z.strictObject({ type: z.literal('unweighed'), lineId: localIdSchema }),
  /** Some of a line is in, the rest comes: parts add up. */
  z.strictObject({ type: z.literal('weighedPart'), lineId: localIdSchema, massG }),
  /** It stays out, and that is meant. */
  z.strictObject({ type: z.literal('leftOut'), lineId: localIdSchema }),
  /** What was weighed wrong is answered: so much of these lines is meant to be in from now on. */
  z.strictObject({
    type: z.literal('mended'),
    lineId: localIdSchema,
    by: z.enum(MENDS),
    targets: z
      .array(z.strictObject({ lineId: localIdSchema, massG }))
      .min(1)
      .max(FORMULA_LIMITS.linesPerStage * 2),
  }),
  /** Something went in that the sheet did not ask for: "two spoons of flour, it was too wet". */
  z.strictObject({
    type: z.literal('added'),
    ingredientId: z.string().regex(/^[a-z0-9-]{1,60}$/),
    massG,
    note: plainText(FORMULA_LIMITS.noteLength),
    /** Strewn on the board, or hands were dipped into it: only what the dough takes up of it is in. */
    bench: z.literal(true).optional(),
  }),
  /** It was another bag than the one that was open; null: none that is told apart. */
  z.strictObject({
    type: z.literal('lotUsed'),
    ingredientId: z.string().regex(/^[a-z0-9-]{1,60}$/),
    lotId: z.string().regex(OWN_ID).nullable(),
  }),
  /** Some of what was put by went: so many are left. */
  z.strictObject({
    type: z.literal('stockCounted'),
    wayId: localIdSchema,
    leftPieces: z.number().int().min(0).max(FORMULA_LIMITS.pieces.max),
  }),
  /** Some of what was left of a sauce or filling went: so much is left. */
  z.strictObject({
    type: z.literal('leftoverCounted'),
    stageId: localIdSchema,
    leftG: z.number().min(0).max(1_000_000),
  }),
  z.strictObject({ type: z.literal('stepDone'), stepId: localIdSchema }),
  z.strictObject({ type: z.literal('stepReopened'), stepId: localIdSchema }),
  /** It was not done, and will not be: that is not the same as done. */
  z.strictObject({ type: z.literal('stepSkipped'), stepId: localIdSchema }),
  /** Its time is up and it is not there yet: to be looked at again in so long. */
  z.strictObject({ type: z.literal('notYet'), stepId: localIdSchema, againS: durationS }),
  /** An oven was lit for what comes; null: the one there is. */
  z.strictObject({
    type: z.literal('lit'),
    ovenId: localIdSchema.nullable(),
    setC: z.number().min(READING_C.min).max(READING_C.max),
  }),
  /** The last oven that was said to be on is not. */
  z.strictObject({ type: z.literal('unlit') }),
  /** What a thermometer said; of the room or an oven it belongs to no step. */
  z.strictObject({
    type: z.literal('reading'),
    of: z.enum(READING_OF),
    tempC: z.number().min(READING_C.min).max(READING_C.max),
    stepId: localIdSchema.nullable(),
  }),
  /** In a kitchen that is shared with what must not get in, all was cleaned down before it began. */
  z.strictObject({ type: z.literal('cleanedDown') }),
  /** Some pieces of a load go first, to see: its clock runs for them, then it is still to be done. */
  z.strictObject({
    type: z.literal('trialBegun'),
    stepId: localIdSchema,
    pieces: z.number().int().min(1).max(FORMULA_LIMITS.pieces.max),
    durationS,
  }),
  /** What came out of a load, or of its trial, was like this. */
  z.strictObject({
    type: z.literal('looked'),
    stepId: localIdSchema,
    coreC: z.number().min(READING_C.min).max(READING_C.max).nullable(),
    colour: z.enum(LOOK_COLOURS).nullable(),
  }),
  /** These steps last so long from now on, and at this heat where it changes. */
  z.strictObject({
    type: z.literal('setAnew'),
    // sixty loads, of two sides, done again and again
    stepIds: z.array(localIdSchema).min(1).max(3000),
    durationS,
    tempC: z.number().min(READING_C.min).max(READING_C.max).nullable(),
  }),
  /** It goes on otherwise: steps that are put in, dropped, of another time; another amount of what is not in yet. */
  z.strictObject({
    type: z.literal('courseChanged'),
    by: z.enum(COURSES),
    puts: z
      .array(
        z.strictObject({
          atStepId: localIdSchema,
          where: z.enum(['before', 'after']),
          step: methodStepSchema,
        }),
      )
      .max(6),
    drops: z.array(localIdSchema).max(3000),
    sets: z.array(z.strictObject({ stepId: localIdSchema, durationS })).max(100),
    targets: z.array(z.strictObject({ lineId: localIdSchema, massG })).max(FORMULA_LIMITS.linesPerStage * 2),
    lostPieces: z.number().int().min(1).max(FORMULA_LIMITS.pieces.max).nullable(),
    /** The tin it goes into, and by how much it has grown when it is at the rim of that, %. */
    tin: z
      .strictObject({
        name: plainText(KIT_LIMITS.name).trim().min(1),
        rimPercent: z.number().min(RIM_PERCENT.min).max(RIM_PERCENT.max),
      })
      .optional(),
  }),
  /** The last change of course was none after all. */
  z.strictObject({ type: z.literal('courseTakenBack') }),
  /** It is somebody else's from now on, with what is to be known of it. */
  z.strictObject({ type: z.literal('handedOver'), to: whoSchema, words: plainText(400, { lines: true }) }),
  /** Everything stands still: clocks keep what they have left. */
  z.strictObject({ type: z.literal('paused') }),
  z.strictObject({ type: z.literal('resumed') }),
  z.strictObject({ type: z.literal('timerStarted'), stepId: localIdSchema, durationS }),
  z.strictObject({
    type: z.literal('timerChanged'),
    stepId: localIdSchema,
    deltaS: z.number().int().min(-STEP_LIMITS.durationS.max).max(STEP_LIMITS.durationS.max),
  }),
  z.strictObject({ type: z.literal('timerStopped'), stepId: localIdSchema }),
  /** The clock, or the trial, was begun by mistake: as if it had not been. */
  z.strictObject({ type: z.literal('timerCleared'), stepId: localIdSchema }),
  /**
   * How far it had risen, %: a straight jar of the dough against the end of mixing, or the dough itself against when this step
   * began.
   */
  z.strictObject({
    type: z.literal('rise'),
    stepId: localIdSchema,
    of: z.enum(['jar', 'dough']),
    grownPercent: z.number().min(RISE_MARK_PERCENT.min).max(RISE_MARK_PERCENT.max),
  }),
  /** The last mark of a step was a slip. */
  z.strictObject({ type: z.literal('riseTakenBack'), stepId: localIdSchema }),
  /** How the dough felt in this step; felt again it is a correction. */
  z.strictObject({ type: z.literal('felt'), stepId: localIdSchema, band: z.enum(BANDS) }),
  z.strictObject({ type: z.literal('noted'), text: plainText(1000, { lines: true }).trim().min(1) }),
  z.strictObject({ type: z.literal('closed'), outcome: outcomeSchema }),
  z.strictObject({ type: z.literal('outcomeCorrected'), outcome: outcomeSchema }),
  /** What a taster said of a slice; said again under its id it is a correction. */
  z.strictObject({ type: z.literal('tasted'), tastingId: z.uuid(), tasting: tastingSchema }),
  z.strictObject({ type: z.literal('tastingTakenBack'), tastingId: z.uuid() }),
  /** A picture came in: told by the server alone, in the transaction that saves the picture. */
  z.strictObject({ type: z.literal('photographed'), photo: photoSchema }),
  /** What was read from a picture of the cut; null: what was read does not hold. */
  z.strictObject({ type: z.literal('photoRead'), photoId: z.uuid(), crumb: crumbFiguresSchema.nullable() }),
  /** A picture is not to be shown any more, or is again. */
  z.strictObject({ type: z.literal('photoPutAway'), photoId: z.uuid(), away: z.boolean() }),
  /** What was advised after it, and taken. */
  z.strictObject({ type: z.literal('advised'), advice: adviceSchema }),
  /** What it was, by whoever baked it; null: that is not known after all. */
  z.strictObject({ type: z.literal('causeTold'), cause: z.enum(EXPLANATIONS).nullable() }),
  /** Models are to learn from it, or not: something was unlike any other day. */
  z.strictObject({ type: z.literal('teachingSet'), teaches: z.boolean() }),
  /** Closed or given up by mistake: it goes on. */
  z.strictObject({ type: z.literal('reopened') }),
  z.strictObject({ type: z.literal('abandoned'), reason: plainText(400, { lines: true }) }),
]);
export type BakeAction = z.infer<typeof bakeActionSchema>;

export interface BakeEvent {
  readonly seq: number;
  /** When it happened, ms since 1970 by the server's clock. */
  readonly atMs: number;
  readonly action: BakeAction;
  /** Who did it; absent: nobody said. */
  readonly by?: string;
}
