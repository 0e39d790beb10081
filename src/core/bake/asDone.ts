import type { BatchSheet } from '../batch/batchSheet';
import { isAskedFor } from '../batch/askedFor';
import { allLines, FORMULA_LIMITS, type Formula, type Line } from '../formula/formula';
import { purposeOf } from '../formula/parts';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { takenUpG } from './actualSheet';
import { inAlreadyG, type BakeState } from './bakeState';
import { toleranceG } from './weighTolerance';

/** What was done otherwise than the formula says, each by itself so that it can be chosen or not. Grams are those of the batch. */
export type Deviation =
  | {
      readonly kind: 'amount' | 'leftOut' | 'heldBackIn';
      readonly id: string;
      /** The formula's line. */
      readonly lineId: string;
      readonly ingredientId: string;
      readonly plannedG: number;
      readonly actualG: number;
      /** So far off that it was meant, or would have been put right: what a scale or a hand leaves is chance. */
      readonly meant: boolean;
    }
  | {
      readonly kind: 'added';
      readonly id: string;
      readonly ingredientId: string;
      /** What of it the dough took up. */
      readonly actualG: number;
      readonly note: string;
      readonly meant: true;
    };

/** A line of the formula in this batch: over its parts and mixes. */
interface InBatch {
  readonly ingredientId: string;
  readonly heldBack: boolean;
  exactG: number;
  plannedG: number;
  actualG: number;
  toleranceG: number;
}

function linesOf(sheet: BatchSheet, state: BakeState, book: IngredientBook): Map<string, InBatch> {
  const lines = new Map<string, InBatch>();
  for (const line of sheet.stages.flatMap((stage) => stage.lines)) {
    // what is for another day says nothing of this one
    if (line.later) continue;
    const key = line.of?.lineId ?? line.id;
    const { ingredientId } = line;
    const all = lines.get(key) ?? { ingredientId, heldBack: !isAskedFor(line), exactG: 0, plannedG: 0, actualG: 0, toleranceG: 0 };
    const weighedG = inAlreadyG(line.id, state);
    const isOut = state.leftOut.has(line.id) || all.heldBack;
    all.exactG += line.exactG;
    all.plannedG += line.massG;
    // what nobody weighed and nobody left out went in as it was written
    all.actualG += state.weighed.has(line.id) || weighedG > 0 ? weighedG : isOut ? 0 : line.massG;
    all.toleranceG += toleranceG(line, line.massG, book.get(ingredientId));
    lines.set(key, all);
  }
  return lines;
} // prettier-ignore

/** Everything in a bake that was not as its sheet said, in the order of the sheet; then what went in besides. */
export function deviationsOf(sheet: BatchSheet, state: BakeState, book: IngredientBook): Deviation[] {
  const lines = [...linesOf(sheet, state, book)].flatMap(([lineId, of]): Deviation[] => {
    const { ingredientId, heldBack, plannedG, actualG } = of;
    const own = { id: `line-${lineId}`, lineId, ingredientId, plannedG, actualG };
    if (heldBack) return actualG > 0 ? [{ kind: 'heldBackIn', ...own, meant: true }] : [];
    if (actualG === 0) return [{ kind: 'leftOut', ...own, meant: true }];
    const offG = Math.abs(actualG - plannedG);
    return offG < 0.05 ? [] : [{ kind: 'amount', ...own, meant: offG > of.toleranceG }];
  });
  const added = state.additions.map((addition, index): Deviation => ({
    kind: 'added',
    id: `added-${index}`,
    ingredientId: addition.ingredientId,
    actualG: takenUpG(addition),
    note: addition.note,
    meant: true,
  }));
  return [...lines, ...added];
}

/** Grams as a formula writes them: four figures are more than any scale tells. */
const written = (massG: number): number => Number(massG.toPrecision(4));

/**
 * The formula as this bake did it: amounts, what was left out, what was held back and went in, what was added, all in proportion to the formula. An
 * addition goes to the line of the same ingredient in the dough if there is one, else into its last part.
 *
 * @param formula the very revision that was baked
 * @param chosen of the deviations, those that are taken over
 * @param idOf for lines that come in
 */
export function withDeviations(
  formula: Formula,
  sheet: BatchSheet,
  chosen: readonly Deviation[],
  idOf: (addition: Deviation) => string,
): Formula {
  const exact = new Map<string, number>();
  for (const line of sheet.stages.flatMap((stage) => stage.lines))
    if (!line.later) exact.set(line.of?.lineId ?? line.id, (exact.get(line.of?.lineId ?? line.id) ?? 0) + line.exactG);
  const byLine = new Map(chosen.flatMap((each) => (each.kind === 'added' ? [] : [[each.lineId, each] as const])));
  const changed = (line: Line): Line[] => {
    const deviation = byLine.get(line.id);
    if (!deviation) return [line];
    if (deviation.kind === 'leftOut') return [];
    // how it was measured in cups says nothing of another weight
    const { heldBack: _, measured: __, ...plain } = line;
    const ofExact = deviation.actualG / (exact.get(line.id) ?? deviation.plannedG);
    return [{ ...plain, massG: written(line.massG * ofExact) }];
  };
  let stages = formula.stages.map((stage) => ({ ...stage, lines: stage.lines.flatMap(changed) }));
  for (const addition of chosen) {
    if (addition.kind !== 'added') continue;
    const massG = written(addition.actualG / sheet.factor);
    if (massG <= 0) continue;
    const dough = stages.filter((stage) => purposeOf(stage) === 'dough');
    const known = dough.flatMap(({ lines }) => lines).findLast((line) => line.ingredientId === addition.ingredientId && !line.heldBack);
    const last = dough.at(-1)?.id;
    stages = stages.map((stage) => ({
      ...stage,
      lines: known
        ? stage.lines.map(({ measured, ...line }) => line.id === known.id ? { ...line, massG: written(line.massG + massG) } : measured ? { ...line, measured } : line)
        : stage.id === last
          ? [...stage.lines, { id: idOf(addition), ingredientId: addition.ingredientId, massG, note: addition.note.slice(0, FORMULA_LIMITS.noteLength) }]
          : stage.lines,
    }));
  }
  const gone = new Set(allLines(formula).map(({ id }) => id));
  for (const { id } of stages.flatMap(({ lines }) => lines)) gone.delete(id);
  return { ...formula, stages, steps: formula.steps.map((step) => withoutLines(step, gone)), ...(formula.ways && { ways: formula.ways.map((way) => ({ ...way, steps: way.steps.map((step) => withoutLines(step, gone)) })) }) };
} // prettier-ignore

/** A step that asks for a line that is not there any more asks for the rest. */
function withoutLines<S extends Formula['steps'][number]>(step: S, gone: ReadonlySet<string>): S {
  if (!step.takes?.some((taking) => 'lineId' in taking && gone.has(taking.lineId))) return step;
  const takes = step.takes.filter((taking) => !('lineId' in taking && gone.has(taking.lineId)));
  const { takes: _, ...rest } = step;
  return (takes.length > 0 ? { ...rest, takes } : rest) as S;
}
