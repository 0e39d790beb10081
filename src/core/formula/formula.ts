import type { Formula, Line, Stage } from './formulaSchema';
import { purposeOf } from './parts';

export {
  FORMULA_LIMITS,
  KEPT_IN,
  PUT_BY,
  STAGE_KINDS,
  STYLES,
  type StageKind,
  type Style,
} from './formulaLimits';
export type { Formula, Line, Stage };

/** Only what goes into the dough is part of the flour base, the water and the dough mass. */
export const isDoughStage = (stage: Pick<Stage, 'kind'>): boolean => purposeOf(stage) === 'dough';

/** What goes into the dough for certain. */
export const doughLines = <T extends Pick<Line, 'massG' | 'heldBack'>>(formula: {
  readonly stages: readonly { readonly kind: Stage['kind']; readonly lines: readonly T[] }[];
}): T[] =>
  formula.stages.filter(isDoughStage).flatMap((stage) => stage.lines.filter((line) => !line.heldBack));

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
  { id, ingredientId, note, heldBack }: Line,
  massG: number,
  measured?: Line['measured'],
): Line => ({
  id,
  ingredientId,
  massG,
  note,
  ...(heldBack && { heldBack }),
  ...(measured && { measured }),
});

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
