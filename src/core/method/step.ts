import { z } from 'zod';
import { plainText } from '../plainText';

export const STEP_KINDS = [
  'weigh',
  'bloom',
  'mix',
  'rest',
  'bulk',
  'fold',
  'divide',
  'shape',
  'proof',
  'chill',
  'preheat',
  'score',
  'boil',
  'griddle',
  'fry',
  'bake',
  'rotate',
  'coast',
  'cool',
  'free',
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

export const STEP_LIMITS = {
  titleLength: 60,
  cueLength: 240,
  /** A step is never longer than a week: 7 · 24 h */
  durationS: { min: 1, max: 604_800 },
  /** From a deep freezer to a pizza stone under its burner, °C. */
  tempC: { min: -30, max: 550 },
} as const;

/** Warm ranges that still make sense for a kind of step, °C; whatever is not named may use the whole range. */
const TEMP_RANGE_C: Partial<Record<StepKind, { min: number; max: number }>> = {
  bloom: { min: 0, max: 100 },
  mix: { min: 0, max: 100 },
  rest: { min: -25, max: 60 },
  bulk: { min: 0, max: 50 },
  proof: { min: 0, max: 50 },
  chill: { min: -30, max: 20 },
  boil: { min: 80, max: 110 },
  fry: { min: 120, max: 200 },
  griddle: { min: 100, max: 350 },
  cool: { min: -30, max: 60 },
};

export const stepTempRangeC = (kind: StepKind): { min: number; max: number } =>
  TEMP_RANGE_C[kind] ?? STEP_LIMITS.tempC;

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

/** Kinds during which the baker's hands are usually busy; a new step starts with this. */
const HANDS_ON: ReadonlySet<StepKind> = new Set([
  'weigh', 'mix', 'fold', 'divide', 'shape', 'score', 'boil', 'griddle', 'fry', 'rotate',
]); // prettier-ignore

export function newStep(kind: StepKind, id: string): MethodStep {
  return {
    id,
    kind,
    title: '',
    minS: null,
    maxS: null,
    until: '',
    tempC: null,
    handsOn: HANDS_ON.has(kind),
    note: '',
  };
}

/** The time a timer starts with: the short end, because a baker looks early rather than late. */
export const timerS = (step: Pick<MethodStep, 'minS'>): number | null => step.minS;
