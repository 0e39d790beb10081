import { actualStages, endOfMixing, lotsOf, stateOf, type BakeRecord } from '../bake';
import type { RiseObservation } from '../fermentation/learnRise';
import { allLines, type Formula } from '../formula/formula';
import { asOneBread, asWay } from '../formula/ways';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { withLots } from '../ingredients/lots';
import type { MethodStep } from '../method/step';
import { formulaAnswers } from '../notices/formulaAnswers';
import type { RunKitchen } from './ordinaryKitchen';
import { runOf } from './runOf';
import { BESIDE, HEATS, stepS } from './stepTimes';

/** A jar takes the room's warmth at once: some 80 g in a glass. */
const JAR = { pieceG: 80, standing: 'bowl', pressedOut: 0 } as const;

/**
 * What the marks of a bake say, for {@link learnRise}: the dough as it was really weighed, through the times its steps really
 * took until the last mark. Steps that were never ticked took as long as planned.
 *
 * @param formula the revision that was baked
 * @param kitchen as it was that day: its room and fridge
 * @returns none without marks, where the end of mixing was not ticked, or where no run can be made
 */
export function riseObservations(
  bake: BakeRecord,
  formula: Formula,
  book: IngredientBook,
  kitchen: RunKitchen,
): RiseObservation[] {
  const state = stateOf(bake);
  const { sheet } = bake;
  const { mixedAtMs } = endOfMixing(sheet, state);
  if (mixedAtMs === null) return [];
  const marks = state.rises.filter(({ atMs }) => atMs > mixedAtMs);
  const wayOf = new Map(sheet.activities?.map(({ id, wayId }) => [id, wayId]));
  const ways = [...new Set(marks.flatMap(({ stepId }) => wayOf.get(stepId) ?? []))];
  // what was marked before the dough parted counts once, with the first of its breads
  return (ways.length > 0 ? ways : [null]).flatMap((wayId, index) => {
    const mine = marks.filter(({ stepId }) => {
      const way = wayOf.get(stepId) ?? null;
      return way === wayId || (way === null && index === 0);
    });
    const steps = sheet.steps.filter(({ id }) => [null, wayId].includes(wayOf.get(id) ?? null));
    const doughG = sheet.ways?.find((way) => way.wayId === wayId)?.doughG ?? sheet.pieces.doughG;
    const as = asWay(formula, wayId).bakedAs;
    return observed({ bake, state, marks: mine, steps, mixedAtMs, doughG, as }, formula, book, kitchen);
  });
}

interface Marked {
  readonly bake: BakeRecord;
  readonly state: ReturnType<typeof stateOf>;
  readonly marks: ReturnType<typeof stateOf>['rises'];
  /** The steps that what was marked went through. */
  readonly steps: readonly MethodStep[];
  readonly mixedAtMs: number;
  /** One piece of it, g, and what that is shaped into. */
  readonly doughG: number;
  readonly as: Formula['bakedAs'];
}

/** What the marks of one bread of a bake say. */
function observed(
  { bake, state, marks, steps: all, mixedAtMs, doughG, as }: Marked,
  formula: Formula,
  book: IngredientBook,
  kitchen: RunKitchen,
): RiseObservation[] {
  const { sheet } = bake;
  const lots = lotsOf(sheet, state);
  const then = withLots(book, lots);
  const lastMix = all.findLastIndex(({ id }) => id === sheet.steps[endOfMixing(sheet, state).lastMix]?.id);
  const lastMs = Math.max(...marks.map(({ atMs }) => atMs));
  if (marks.length === 0) return [];

  const steps: MethodStep[] = [];
  const beganS = new Map<string, number>();
  let atS = 0;
  const markedS = (lastMs - mixedAtMs) / 1000;
  for (const step of all.slice(lastMix + 1)) {
    if (HEATS.has(step.kind) || atS >= markedS) break;
    if (BESIDE.has(step.kind)) continue;
    beganS.set(step.id, atS);
    const doneAtMs = state.steps.get(step.id)?.doneAtMs ?? null;
    const untilS =
      doneAtMs !== null && doneAtMs >= mixedAtMs + atS * 1000
        ? (doneAtMs - mixedAtMs) / 1000
        : marks.some(({ stepId }) => stepId === step.id)
          ? markedS
          : atS + stepS(step);
    steps.push({ ...step, minS: Math.max(1, Math.round(untilS - atS)), maxS: null });
    atS += Math.max(1, Math.round(untilS - atS));
  }
  if (steps.length === 0) return [];
  const made: Formula = {
    ...asOneBread(formula),
    ...(as && { bakedAs: as }),
    stages: actualStages(sheet, state),
    steps: [...all.slice(0, lastMix + 1), ...steps],
    usualYield: { ...formula.usualYield, pieceMassG: doughG },
  };
  const { totals, consistency } = formulaAnswers(made, then);
  const run = runOf(made, then, totals, consistency, kitchen);
  if (!run.ok) return [];
  // left standing in its last place until the last mark
  const question = { ...run.value.rise, beyondS: Math.max(0, markedS - atS) + 60 };
  return (['jar', 'dough'] as const).flatMap((of) => {
    const points = marks
      .filter((mark) => mark.of === of)
      .map(({ stepId, atMs, grownPercent }) => ({
        atS: (atMs - mixedAtMs) / 1000,
        // just after it was knocked back
        sinceS: of === 'jar' ? 0 : (beganS.get(stepId) ?? 0) + 1,
        grown: 1 + grownPercent / 100,
      }));
    if (points.length === 0) return [];
    const stays = of === 'jar' ? question.stays.map((stay) => ({ ...stay, ...JAR })) : question.stays;
    return [
      {
        question: { ...question, stays },
        points,
        leavenOf: leavenLot(made, then, lots),
        doughOf: bake.formulaId,
      },
    ];
  });
}

/** The jar of yeast or starter in a formula that is told apart; '': none is. */
export function leavenLot(formula: Formula, book: IngredientBook, lots: ReadonlyMap<string, string>): string {
  const line = allLines(formula).find(({ ingredientId }) => {
    const roles = book.get(ingredientId)?.roles;
    return lots.has(ingredientId) && (roles?.includes('leaven') || roles?.includes('starter'));
  });
  return line ? lots.get(line.ingredientId)! : '';
}
