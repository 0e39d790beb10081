import type { Formula, Line, Stage } from './formula';
import { FORMULA_LIMITS } from './formulaLimits';
import { partMassG, purposeOf } from './parts';

/** What of a formula goes where it is a part of another: everything that is eaten of it. */
const partsOf = ({ stages }: Formula): Stage[] =>
  stages.filter((stage) => !['bath', 'dusting'].includes(purposeOf(stage)));

/**
 * The lines of a formula as a part of another: so much of it as asked, in its proportions. A line of an ingredient that the part has already keeps its id, so
 * that a story of changes says "more of it", not "another of it".
 *
 * 600 g of a sauce of 400 g tomatoes and 100 g oil: 480 g and 120 g.
 *
 * @param massG how much of it is made; null: as much as it says itself
 * @returns no line where the formula has none, or one would weigh less or more than a line may
 */
export function linesOf(
  source: Formula,
  massG: number | null,
  before: readonly Line[],
  newId: () => string,
): Line[] {
  const parts = partsOf(source);
  const madeG = parts.reduce((sum, stage) => sum + partMassG(stage), 0);
  if (madeG <= 0) return [];
  const times = (massG ?? madeG) / madeG;
  const free = [...before];
  const lines = parts.flatMap((stage) =>
    stage.lines.map((line): Line => {
      const at = free.findIndex(({ ingredientId }) => ingredientId === line.ingredientId);
      const [mine] = at === -1 ? [] : free.splice(at, 1);
      const { ingredientId, note, heldBack, measured } = line;
      return {
        id: mine?.id ?? newId(), ingredientId, massG: line.massG * times, note,
        ...(heldBack && { heldBack }),
        ...(measured && times === 1 && { measured }),
      };
    }),
  ); // prettier-ignore
  const { min, max } = FORMULA_LIMITS.lineMassG;
  return lines.every((line) => line.massG >= min && line.massG <= max) ? lines : [];
}

/** Closer than that nobody weighs. */
const SAME = 0.005;

/** Whether a part is still what its formula says, however much of it is made. */
export function isAsItsFormula(part: Pick<Stage, 'lines'>, source: Formula): boolean {
  const wanted = linesOf(source, partMassG({ kind: 'main', ...part }) || null, part.lines, () => '');
  return (
    wanted.length === part.lines.length &&
    wanted.every(({ ingredientId, massG, heldBack }, at) => {
      const mine = part.lines[at]!;
      return (
        mine.ingredientId === ingredientId &&
        mine.heldBack === heldBack &&
        Math.abs(mine.massG - massG) <= SAME * massG
      );
    })
  );
}

/** A part as a formula of its own: its lines, and the steps that nothing but it goes into. */
export function partAsFormula(formula: Formula, stageId: string): Formula | null {
  const stage = formula.stages.find(({ id }) => id === stageId);
  const { min, max } = FORMULA_LIMITS.pieceMassG;
  const massG = stage ? partMassG(stage) : 0;
  if (!stage || massG < min || massG > max) return null;
  const own = new Set([stage.id, ...stage.lines.map(({ id }) => id)]);
  const { formulaId: _, perPieceG: __, takenUp: ___, ...alone } = stage;
  return {
    name: stage.name.trim() || formula.name,
    style: formula.style,
    about: '',
    percentBase: formula.percentBase,
    stages: [alone],
    steps: formula.steps.filter(
      ({ takes = [] }) =>
        takes.length > 0 && takes.every((each) => own.has('lineId' in each ? each.lineId : each.stageId)),
    ),
    usualYield: { pieces: 1, pieceMassG: massG, bakeLossPercent: 0, bowlLossPercent: 0 },
  };
}
