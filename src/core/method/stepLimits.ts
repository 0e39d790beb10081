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
