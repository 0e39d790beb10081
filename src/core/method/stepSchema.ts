import * as z from 'zod';
import { plainText } from '../plainTextSchema';
import { MOISTURES, PLATE_KINDS } from './heating';
import { cueSchema, standsSchema } from './standing';
import { STEP_KINDS, STEP_LIMITS, stepTempRangeC } from './stepLimits';

const id = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/);
const within = ({ min, max }: { readonly min: number; readonly max: number }) =>
  z.number().int().min(min).max(max);

/** What goes in in a step: a line, or all of a part; the whole of it or a share. */
const takingSchema = z.union([
  z.strictObject({ lineId: id, share: z.number().gt(0).max(1) }),
  z.strictObject({ stageId: id, share: z.number().gt(0).max(1) }),
]);

/**
 * One step of the method. A step has a time (a single one or a range), or a cue to wait for ("until"), or both, or
 * neither (scoring takes as long as it takes). `handsOn`: the baker is busy with it, so two such cannot overlap.
 */
export const methodStepSchema = z
  .strictObject({
    id,
    kind: z.enum(STEP_KINDS),
    title: plainText(STEP_LIMITS.titleLength),
    minS: z.number().int().min(STEP_LIMITS.durationS.min).max(STEP_LIMITS.durationS.max).nullable(),
    maxS: z.number().int().min(STEP_LIMITS.durationS.min).max(STEP_LIMITS.durationS.max).nullable(),
    until: plainText(STEP_LIMITS.cueLength),
    tempC: z.number().min(STEP_LIMITS.tempC.min).max(STEP_LIMITS.tempC.max).nullable(),
    handsOn: z.boolean(),
    note: plainText(STEP_LIMITS.cueLength),
    /** What goes in now. Lines no step takes go in where they usually do (core/process/takings.ts). */
    takes: z.array(takingSchema).max(STEP_LIMITS.takes).optional(),
    /** Where it stands meanwhile, and under what. */
    stands: standsSchema.optional(),
    /** What is waited for, beside the words of `until`. */
    cue: cueSchema.optional(),
    /** Its time is for one side of so many; what is turned in between. */
    sides: within(STEP_LIMITS.sides).optional(),
    /** Done so many times, one every so often: three folds, one every half hour. */
    again: z
      .strictObject({
        times: within(STEP_LIMITS.times),
        everyS: z.number().int().min(STEP_LIMITS.durationS.min).max(STEP_LIMITS.durationS.max).nullable(),
      })
      .optional(),
    /** So many pieces go in together; absent: as many as fit. */
    atATime: within(STEP_LIMITS.atATime).optional(),
    /** How a step heats; what is not said is as in the heating before it. */
    heat: z
      .strictObject({
        moist: z.enum(MOISTURES).optional(),
        /** What it lies on; null: a rack, or its own tin. */
        on: z.enum(PLATE_KINDS).nullable().optional(),
        inTin: z.boolean().optional(),
        topped: z.boolean().optional(),
        /** Paper between it and what it lies on. */
        paper: z.boolean().optional(),
        /** An oven of the kit other than the one it is usually baked in. */
        ovenId: id.optional(),
      })
      .optional(),
  })
  .superRefine((step, context) => {
    if (step.maxS !== null && (step.minS === null || step.maxS < step.minS)) {
      context.addIssue({ code: 'custom', path: ['maxS'], params: { code: 'rangeReversed' } });
    }
    if (step.tempC !== null) {
      const range = stepTempRangeC(step.kind);
      if (step.tempC < range.min) {
        context.addIssue({ code: 'custom', path: ['tempC'], params: { code: 'tooSmall', min: range.min } });
      } else if (step.tempC > range.max) {
        context.addIssue({ code: 'custom', path: ['tempC'], params: { code: 'tooLarge', max: range.max } });
      }
    }
  });
export type MethodStep = z.infer<typeof methodStepSchema>;
