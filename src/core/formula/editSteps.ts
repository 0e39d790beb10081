import type { MethodStep, StepKind } from '../method/step';
import { newStep, stepTempRangeC, STEP_LIMITS } from '../method/step';
import { checkText } from '../plainText';
import { never, ok, refuse, type Result } from '../result';
import { within } from '../units/decimal';
import { allLines, FORMULA_LIMITS, type Formula } from './formula';
import type { Way } from './formulaSchema';
import { allSteps, asWay, divideDough, usableG } from './ways';

/** What may be done to a method. A step lies in the dough's own steps (`wayId` null) or in those of one way. */
export type StepEdit =
  | {
      readonly type: 'addStep';
      readonly kind: StepKind;
      readonly id: string;
      readonly atIndex: number;
      readonly wayId?: string | null;
    }
  | { readonly type: 'setStep'; readonly step: MethodStep }
  | { readonly type: 'removeStep'; readonly stepId: string }
  /** Within its stretch, or into another. */
  | {
      readonly type: 'moveStep';
      readonly stepId: string;
      readonly toIndex: number;
      readonly toWayId?: string | null;
    };

export type WayEdit =
  /** From this step on the dough goes two ways: what follows becomes the first way's, the second begins without steps. */
  | {
      readonly type: 'partDough';
      readonly afterStepId: string;
      readonly ways: readonly [
        { readonly id: string; readonly name: string },
        { readonly id: string; readonly name: string },
      ];
    }
  | { readonly type: 'addWay'; readonly id: string; readonly name: string }
  | { readonly type: 'setWay'; readonly way: Omit<Way, 'steps'> }
  /** Of two the other one's steps follow the dough's again. */
  | { readonly type: 'removeWay'; readonly wayId: string };

function checkStep(step: MethodStep): Result<MethodStep> {
  for (const [path, text, max] of [
    ['title', step.title, STEP_LIMITS.titleLength],
    ['until', step.until, STEP_LIMITS.cueLength],
    ['note', step.note, STEP_LIMITS.cueLength],
  ] as const) {
    const checked = checkText(text, max, path);
    if (!checked.ok) return checked;
  }
  for (const [path, seconds] of [
    ['minS', step.minS],
    ['maxS', step.maxS],
    ['everyS', step.again?.everyS ?? null],
  ] as const) {
    if (seconds === null) continue;
    const checked = within(seconds, STEP_LIMITS.durationS, path);
    if (!checked.ok) return checked;
  }
  for (const [path, count, bounds] of [
    ['sides', step.sides, STEP_LIMITS.sides],
    ['times', step.again?.times, STEP_LIMITS.times],
    ['atATime', step.atATime, STEP_LIMITS.atATime],
  ] as const) {
    if (count === undefined) continue;
    if (!Number.isInteger(count)) return refuse('notWhole', path);
    const checked = within(count, bounds, path);
    if (!checked.ok) return checked;
  }
  if (step.maxS !== null && (step.minS === null || step.maxS < step.minS))
    return refuse('rangeReversed', 'maxS');
  if (step.tempC !== null) {
    const checked = within(step.tempC, stepTempRangeC(step.kind), 'tempC');
    if (!checked.ok) return checked;
  }
  return ok(step);
}

export function insertAt<T>(list: readonly T[], index: number, entry: T): T[] {
  const at = Math.min(Math.max(0, index), list.length);
  return [...list.slice(0, at), entry, ...list.slice(at)];
}

type Steps = Formula['steps'];
/** Changes every stretch of steps: the dough's own (null) and each way's. */
const mapStretches = (formula: Formula, change: (steps: Steps, wayId: string | null) => Steps): Formula => ({
  ...formula,
  steps: change(formula.steps, null),
  ...(formula.ways && {
    ways: formula.ways.map((way) => ({ ...way, steps: change(way.steps, way.id) })),
  }),
});
const stretchOf = (formula: Formula, stepId: string): string | null =>
  formula.ways?.find((way) => way.steps.some(({ id }) => id === stepId))?.id ?? null;
const has = (formula: Formula, wayId: string | null): boolean =>
  wayId === null || (formula.ways?.some(({ id }) => id === wayId) ?? false);

/** A line or a part that is gone is taken by no step. */
export function takingWhatIsThere(formula: Formula): Formula {
  const there = new Set([...formula.stages.map(({ id }) => id), ...allLines(formula).map(({ id }) => id)]);
  return mapStretches(formula, (steps) =>
    steps.map((step) => {
      const takes = step.takes?.filter((each) => there.has('lineId' in each ? each.lineId : each.stageId));
      if (takes?.length === step.takes?.length) return step;
      const { takes: _, ...rest } = step;
      return takes && takes.length > 0 ? { ...rest, takes } : rest;
    }),
  );
}

export function editStep(formula: Formula, edit: StepEdit): Result<Formula> {
  switch (edit.type) {
    case 'addStep': {
      if (allSteps(formula).length >= FORMULA_LIMITS.steps)
        return refuse('tooMany', 'steps', { max: FORMULA_LIMITS.steps });
      const to = edit.wayId ?? null;
      if (!has(formula, to)) return refuse('unknownWay', 'wayId');
      return ok(
        mapStretches(formula, (steps, wayId) =>
          wayId === to ? insertAt(steps, edit.atIndex, newStep(edit.kind, edit.id)) : steps,
        ),
      );
    }
    case 'setStep': {
      const step = checkStep(edit.step);
      if (!step.ok) return step;
      return ok(
        mapStretches(formula, (steps) => steps.map((old) => (old.id === edit.step.id ? edit.step : old))),
      );
    }
    case 'removeStep':
      return ok(mapStretches(formula, (steps) => steps.filter(({ id }) => id !== edit.stepId)));
    case 'moveStep': {
      const step = allSteps(formula).find(({ id }) => id === edit.stepId);
      if (!step) return refuse('unknownStep', 'stepId');
      const to = edit.toWayId === undefined ? stretchOf(formula, edit.stepId) : edit.toWayId;
      if (!has(formula, to)) return refuse('unknownWay', 'toWayId');
      return ok(
        mapStretches(formula, (steps, wayId) => {
          const rest = steps.filter(({ id }) => id !== edit.stepId);
          return wayId === to ? insertAt(rest, edit.toIndex, step) : rest;
        }),
      );
    }
    default:
      return never(edit);
  }
}

function checkWay({ name, amount, putBy }: Omit<Way, 'steps'>): Result<null> {
  const checks = [
    checkText(name, FORMULA_LIMITS.wayNameLength, 'name'),
    within(amount.pieceMassG, FORMULA_LIMITS.pieceMassG, 'pieceMassG'),
    ...(amount.kind === 'pieces'
      ? [
          within(amount.pieces, FORMULA_LIMITS.pieces, 'pieces'),
          Number.isInteger(amount.pieces) ? ok(amount.pieces) : refuse('notWhole', 'pieces'),
        ]
      : []),
    ...(amount.kind === 'share' ? [within(amount.share, FORMULA_LIMITS.wayShare, 'share')] : []),
    ...(putBy
      ? [
          within(putBy.days, FORMULA_LIMITS.keepsDays, 'days'),
          Number.isInteger(putBy.days) ? ok(putBy.days) : refuse('notWhole', 'days'),
        ]
      : []),
  ];
  const refused = checks.find((check) => !check.ok);
  return refused && !refused.ok ? refused : ok(null);
}

export function editWays(formula: Formula, edit: WayEdit): Result<Formula> {
  switch (edit.type) {
    case 'partDough': {
      if (formula.ways) return refuse('alreadyDone', 'ways');
      const at = formula.steps.findIndex(({ id }) => id === edit.afterStepId);
      if (at < 0) return refuse('unknownStep', 'afterStepId');
      const { pieces, pieceMassG } = formula.usualYield;
      const [first, second] = edit.ways;
      // the first keeps half of its pieces, so that there is something for the second
      const mine = Math.max(1, Math.floor(pieces / 2));
      const ways: Way[] = [
        {
          ...first,
          amount: pieces > 1 ? { kind: 'pieces', pieces: mine, pieceMassG } : { kind: 'share', share: 0.5, pieceMassG: halfPiece(pieceMassG) },
          ...(formula.bakedAs && { bakedAs: formula.bakedAs }),
          steps: formula.steps.slice(at + 1),
        },
        { ...second, amount: { kind: 'rest', pieceMassG: pieces > 1 ? pieceMassG : halfPiece(pieceMassG) }, steps: [] },
      ]; // prettier-ignore
      return ok({ ...formula, steps: formula.steps.slice(0, at + 1), ways });
    }
    case 'addWay': {
      const ways = formula.ways ?? [];
      if (ways.length === 0) return refuse('unknownWay', 'ways');
      if (ways.length >= FORMULA_LIMITS.ways) return refuse('tooMany', 'ways', { max: FORMULA_LIMITS.ways });
      const { leftG } = divideDough(ways, usableG(formula));
      const pieceMassG = Math.max(1, Math.min(leftG, ways.at(-1)!.amount.pieceMassG));
      const way: Way = { id: edit.id, name: edit.name, amount: { kind: 'rest', pieceMassG }, steps: [] };
      return ok({ ...formula, ways: [...ways, way] });
    }
    case 'setWay': {
      if (!has(formula, edit.way.id)) return refuse('unknownWay', 'ways');
      const checked = checkWay(edit.way);
      if (!checked.ok) return checked;
      return ok({
        ...formula,
        ways: formula.ways!.map((way) => (way.id === edit.way.id ? { ...edit.way, steps: way.steps } : way)),
      });
    }
    case 'removeWay': {
      const ways = formula.ways ?? [];
      const left = ways.filter(({ id }) => id !== edit.wayId);
      if (left.length === ways.length) return refuse('unknownWay', 'ways');
      if (left.length > 1) return ok({ ...formula, ways: left });
      return ok(asWay({ ...formula, ways }, left[0]!.id));
    }
    default:
      return never(edit);
  }
}

const halfPiece = (massG: number): number => Math.max(FORMULA_LIMITS.pieceMassG.min, Math.round(massG / 2));
