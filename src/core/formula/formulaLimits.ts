/** What can be said of any formula before its ingredients are looked up: sizes that no home or small bakery passes. */
export const FORMULA_LIMITS = {
  nameLength: 80,
  noteLength: 160,
  aboutLength: 4000,
  stages: 16,
  ways: 6,
  wayNameLength: 40,
  wayShare: { min: 0.01, max: 0.99 },
  linesPerStage: 60,
  steps: 60,
  /** g of one line: a tenth of what a fine scale shows, to a 100 kg sack */
  lineMassG: { min: 0.01, max: 100_000 },
  /** One line against the flour base, %. */
  linePercent: { min: 0.001, max: 400 },
  /** All water against the flour base, %. The thinnest yeasted pouring batter is near 200. */
  hydrationPercent: 400,
  pieces: { min: 1, max: 5000 },
  pieceMassG: { min: 1, max: 20_000 },
  keepsDays: { min: 1, max: 730 },
  lossPercent: { min: 0, max: 60 },
} as const;

export const STYLES = [
  'tinLoaf',
  'hearthLoaf',
  'baguette',
  'rolls',
  'pizza',
  'flatbread',
  'boiledRing',
  'friedDough',
  'cheeseBuns',
  'crackers',
] as const;
export type Style = (typeof STYLES)[number];

/** In the order of the work; what each is for: core/formula/parts.ts. */
export const STAGE_KINDS = [
  'starter', 'preDough', 'soaker', 'scald', 'gel', 'bloom', 'main', 'late',
  'wash', 'topping', 'filling', 'sauce', 'glaze', 'dip',
  'kettle', 'oil', 'steam', 'dusting', 'grease',
] as const; // prettier-ignore
export type StageKind = (typeof STAGE_KINDS)[number];

/** What counts as 100 %. */
/** What becomes of pieces that are not eaten the day they are made. */
export const PUT_BY = ['frozenRaw', 'frozen', 'parBaked', 'kept'] as const;
/** Where what is left over is kept. */
export const KEPT_IN = ['room', 'fridge', 'freezer'] as const;
export const PERCENT_BASES = ['flours', 'floursAndBinders', 'bagAsBought'] as const;
