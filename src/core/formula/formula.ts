import type { Formula, Line, Stage } from './formulaSchema';

export type { Formula, Line, Stage };

/** What can be said of any formula before its ingredients are looked up: sizes that no home or small bakery passes. */
export const FORMULA_LIMITS = {
  nameLength: 80,
  noteLength: 160,
  aboutLength: 4000,
  stages: 12,
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

export const STAGE_KINDS = ['starter', 'soaker', 'scald', 'gel', 'bloom', 'main', 'late', 'topping'] as const;
export type StageKind = (typeof STAGE_KINDS)[number];

/** Toppings and washes go on the dough, not into it: they are no part of the flour base, the water or the dough mass. */
export const isDoughStage = (stage: Pick<Stage, 'kind'>): boolean => stage.kind !== 'topping';

export const allLines = (formula: Pick<Formula, 'stages'>): Line[] =>
  formula.stages.flatMap((stage) => stage.lines);

/** What there is of each ingredient on the sheet, g, wherever it stands. */
export function massByIngredient(formula: Pick<Formula, 'stages'>): Map<string, number> {
  const byId = new Map<string, number>();
  for (const { ingredientId, massG } of allLines(formula)) {
    byId.set(ingredientId, (byId.get(ingredientId) ?? 0) + massG);
  }
  return byId;
}

/** A line at another weight. How the old one was measured ("a cup") says nothing of the new one. */
export const atWeight = (
  { id, ingredientId, note }: Line,
  massG: number,
  measured?: Line['measured'],
): Line => ({ id, ingredientId, massG, note, ...(measured && { measured }) });

/** A sheet with nothing on it yet. */
export function emptyFormula(name: string, stageId: string): Formula {
  return {
    name,
    style: 'tinLoaf',
    about: '',
    percentBase: 'flours',
    stages: [{ id: stageId, kind: 'main', name: 'Dough', lines: [] }],
    steps: [],
    usualYield: { pieces: 1, pieceMassG: 900, bakeLossPercent: 12, bowlLossPercent: 1 },
  };
}
