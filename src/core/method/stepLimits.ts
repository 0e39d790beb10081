/** In the order of the work. */
export const STEP_KINDS = [
  'weigh', 'bloom', 'soak', 'preDough', 'mix', 'kneadAgain', 'rest', 'bulk', 'fold', 'knockBack', 'divide', 'shape', 'fill', 'proof', 'chill',
  'freeze', 'thaw', 'grease', 'preheat', 'score', 'top', 'boil', 'griddle', 'fry', 'bake', 'turn', 'rotate', 'coast', 'cool', 'wrap', 'hold',
  'reheat', 'refresh', 'free',
] as const; // prettier-ignore
export type StepKind = (typeof STEP_KINDS)[number];

export const STEP_LIMITS = {
  titleLength: 60,
  cueLength: 240,
  /** A step is never longer than a week: 7 · 24 h */
  durationS: { min: 1, max: 604_800 },
  /** From a deep freezer to a pizza stone under its burner, °C. */
  tempC: { min: -30, max: 550 },
  takes: 80,
  /** Sides of a ring or a flat, folds of an afternoon, pieces that go in together. */
  sides: { min: 2, max: 4 },
  times: { min: 2, max: 24 },
  atATime: { min: 1, max: 500 },
} as const;

/** Warm ranges that still make sense for a kind of step, °C; whatever is not named may use the whole range. */
const TEMP_RANGE_C: Partial<Record<StepKind, { min: number; max: number }>> = {
  bloom: { min: 0, max: 100 },
  soak: { min: 0, max: 100 },
  preDough: { min: 0, max: 100 },
  kneadAgain: { min: 0, max: 100 },
  freeze: { min: -40, max: 0 },
  thaw: { min: 0, max: 60 },
  reheat: { min: 40, max: 300 },
  refresh: { min: 40, max: 350 },
  hold: { min: -30, max: 120 },
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
