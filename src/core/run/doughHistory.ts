import { actualStages, endOfMixing, lotsOf, sheetNow, stateOf, type BakeRecord } from '../bake';
import type { Formula } from '../formula/formula';
import { asOneBread, asWay } from '../formula/ways';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { withLots } from '../ingredients/lots';
import type { MethodStep } from '../method/step';
import { formulaAnswers } from '../notices/formulaAnswers';
import type { RiseQuestion } from '../fermentation/riseSimulation';
import type { RunKitchen } from './ordinaryKitchen';
import { runOf } from './runOf';
import { BESIDE, HEATS, stepS } from './stepTimes';

/** A jar takes the room's warmth at once: some 80 g in a glass. */
const JAR = { pieceG: 80, standing: 'bowl', pressedOut: 0 } as const;

/** The same history as a spoonful of it in a glass goes through. */
export const inJar = (question: RiseQuestion): RiseQuestion => ({
  ...question,
  stays: question.stays.map((stay) => ({ ...stay, ...JAR })),
});

/** One bread of a bake: what of the dough goes its way, through its own steps. */
export interface Bread {
  readonly bake: BakeRecord;
  readonly state: ReturnType<typeof stateOf>;
  readonly mixedAtMs: number;
  readonly steps: readonly MethodStep[];
  /** One piece of it, g, and what that is shaped into. */
  readonly doughG: number;
  readonly as: Formula['bakedAs'];
}

/** @param wayId null: all of it is one bread, or the dough before it parts */
export function breadOf(
  bake: BakeRecord,
  state: ReturnType<typeof stateOf>,
  mixedAtMs: number,
  wayId: string | null,
  formula: Formula,
): Bread {
  const sheet = sheetNow(bake.sheet, state);
  const wayOf = new Map(sheet.activities?.map((activity) => [activity.id, activity.wayId]));
  return {
    bake,
    state,
    mixedAtMs,
    steps: sheet.steps.filter(({ id }) => [null, wayId].includes(wayOf.get(id) ?? null)),
    doughG: sheet.ways?.find((way) => way.wayId === wayId)?.doughG ?? sheet.pieces.doughG,
    as: asWay(formula, wayId).bakedAs,
  };
}

export interface DoughHistory {
  /** From the end of mixing until it was asked for, and what follows in the last step. */
  readonly question: RiseQuestion;
  /** When each step began, s from the end of mixing. */
  readonly beganS: ReadonlyMap<string, number>;
  /** The dough as it was weighed, and what was in its bags. */
  readonly made: Formula;
  readonly book: IngredientBook;
  readonly lots: ReadonlyMap<string, string>;
}

/**
 * What a dough went through from the end of mixing, as it was really weighed and by the times its steps really took. Steps that were never ticked took
 * as long as planned.
 *
 * @param untilMs as far as it is known
 * @param inStep steps it is known to have stood in until then: they last as long
 * @param leastS such a step lasts no shorter than this, s: as long as is planned, whatever of it has gone by
 * @returns null where nothing stands between mixing and the heat, or no run can be made
 */
export function doughHistory(
  { bake, state, mixedAtMs, steps: all, doughG, as }: Bread,
  { untilMs, inStep, leastS = 0 }: { readonly untilMs: number; readonly inStep: ReadonlySet<string>; readonly leastS?: number },
  formula: Formula,
  larder: IngredientBook,
  kitchen: RunKitchen,
): DoughHistory | null {
  const { sheet } = bake;
  const lots = lotsOf(sheet, state);
  const book = withLots(larder, lots);
  const lastMix = all.findLastIndex(({ id }) => id === sheet.steps[endOfMixing(sheet, state).lastMix]?.id);
  const steps: MethodStep[] = [];
  const beganS = new Map<string, number>();
  const lastS = (untilMs - mixedAtMs) / 1000;
  let atS = 0;
  for (const step of all.slice(lastMix + 1)) {
    if (HEATS.has(step.kind) || atS >= lastS) break;
    if (BESIDE.has(step.kind)) continue;
    const { doneAtMs = null, skippedAtMs = null } = state.steps.get(step.id) ?? {};
    if (skippedAtMs !== null && doneAtMs === null) continue;
    beganS.set(step.id, atS);
    const isDone = doneAtMs !== null && doneAtMs >= mixedAtMs;
    const untilS = isDone
      ? (doneAtMs - mixedAtMs) / 1000
      : inStep.has(step.id)
        ? Math.max(lastS, atS + leastS)
        : atS + stepS(step);
    const tookS = Math.max(1, Math.round(untilS - atS));
    steps.push({ ...step, minS: tookS, maxS: null });
    atS += tookS;
  }
  if (steps.length === 0) return null;
  const made: Formula = {
    ...asOneBread(formula),
    ...(as && { bakedAs: as }),
    stages: actualStages(sheet, state),
    steps: [...all.slice(0, lastMix + 1), ...steps],
    usualYield: { ...formula.usualYield, pieceMassG: doughG },
  };
  const { totals, consistency } = formulaAnswers(made, book);
  const run = runOf(made, book, totals, consistency, kitchen);
  if (!run.ok) return null;
  // left standing in its last place until then
  return { question: { ...run.value.rise, beyondS: Math.max(0, lastS - atS) + 60 }, beganS, made, book, lots };
} // prettier-ignore
