import * as z from 'zod';
import { plainText } from '../plainTextSchema';
import { MOISTURES, PLATE_KINDS } from './heating';
import { STEP_KINDS, STEP_LIMITS, stepTempRangeC } from './stepLimits';

/**
 * One step of the method. A step has a time (a single one or a range), or a cue to wait for ("until"), or both, or
 * neither (scoring takes as long as it takes). `handsOn`: the baker is busy with it, so two such cannot overlap.
 */
export const methodStepSchema = z
  .strictObject({
    id: z.string().regex(/^[A-Za-z0-9_-]{1,40}$/),
    kind: z.enum(STEP_KINDS),
    title: plainText(STEP_LIMITS.titleLength),
    minS: z.number().int().min(STEP_LIMITS.durationS.min).max(STEP_LIMITS.durationS.max).nullable(),
    maxS: z.number().int().min(STEP_LIMITS.durationS.min).max(STEP_LIMITS.durationS.max).nullable(),
    until: plainText(STEP_LIMITS.cueLength),
    tempC: z.number().min(STEP_LIMITS.tempC.min).max(STEP_LIMITS.tempC.max).nullable(),
    handsOn: z.boolean(),
    note: plainText(STEP_LIMITS.cueLength),
    /** How a step heats; what is not said is read from its words (core/run/stepHeat.ts). */
    heat: z
      .strictObject({
        moist: z.enum(MOISTURES).optional(),
        /** What it lies on; null: a rack, or its own tin. */
        on: z.enum(PLATE_KINDS).nullable().optional(),
        inTin: z.boolean().optional(),
        topped: z.boolean().optional(),
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
