import { allLines, doughLines, FORMULA_LIMITS, type Formula, type Line } from '../formula/formula';
import type { Way } from '../formula/formulaSchema';
import { formulaTotals } from '../formula/totals';
import { YEAST_KINDS } from '../formula/yeast';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { STEP_LIMITS, stepTempRangeC } from '../method/stepLimits';
import type { MethodStep } from '../method/step';
import { mixingOf } from '../process/activities';
import { ok, refuse, type Result } from '../result';
import { LADDER_AXES, LADDER_LIMITS, type Ladder, type LadderAxis, type LadderWish } from './ladderSchema';

const isHeated = ({ kind }: MethodStep): boolean => kind === 'preheat' || kind === 'bake' || kind === 'fry' || kind === 'griddle'; // prettier-ignore
const SHARES_OF: readonly LadderAxis[] = ['binder', 'yeast', 'proof'];

/** The line a ladder varies: the largest of its kind in the dough. */
function variedLine(formula: Formula, axis: LadderAxis, book: IngredientBook): Line | null {
  const is = ({ ingredientId }: Line): boolean => {
    const ingredient = book.get(ingredientId);
    if (axis === 'water') return ingredientId === 'water' || ingredient?.roles[0] === 'liquid';
    if (axis === 'binder') return ingredient?.roles[0] === 'binder';
    return YEAST_KINDS.some((kind) => kind === ingredientId);
  };
  const lines = doughLines(formula).filter((line) => !line.heldBack && is(line));
  const own = axis === 'water' ? lines.filter(({ ingredientId }) => ingredientId === 'water') : [];
  return (own.length > 0 ? own : lines).reduce<Line | null>((most, line) => (!most || line.massG > most.massG ? line : most), null);
} // prettier-ignore

/** Where the dough parts: what comes before is done to all of it. −1: there is nothing to part at, or the step has no time or heat of its own. */
function partsAt({ steps }: Formula, axis: LadderAxis): number {
  if (axis === 'oven') return steps.some((step) => isHeated(step) && step.tempC !== null) ? steps.findIndex(isHeated) : -1;
  if (axis === 'proof') {
    const timed = (wanted: MethodStep['kind']) => steps.findIndex(({ kind, minS }) => kind === wanted && minS !== null);
    return timed('proof') === -1 ? timed('bulk') : timed('proof');
  }
  const { from, to } = mixingOf(steps);
  return to > from ? to : -1;
} // prettier-ignore

/** What a formula can be laddered in: what it has, and has a step for. A dough that parts already is not parted again. */
export const ladderAxes = (formula: Formula, book: IngredientBook): LadderAxis[] =>
  formula.ways
    ? []
    : LADDER_AXES.filter(
        (axis) =>
          partsAt(formula, axis) !== -1 &&
          (axis === 'proof' || axis === 'oven' || variedLine(formula, axis, book) !== null),
      );

/**
 * A formula as a ladder: one base dough with the least of what varies, parted into rungs, each with its own addition weighed out, or its own time or
 * heat. Everything else is the same on every rung.
 *
 * @param codes one for each rung, in the order of the values
 * @returns notAllowed at 'axis', tooSmall/tooLarge/notAllowed at 'values' or 'pieces'
 */
export function ladderFormula(
  formula: Formula,
  wish: LadderWish,
  codes: readonly string[],
  book: IngredientBook,
): Result<{ readonly formula: Formula; readonly ladder: Ladder }> {
  const { axis, values, pieces, pieceMassG } = wish;
  const { rungs: count, pieces: most } = LADDER_LIMITS;
  if (!ladderAxes(formula, book).includes(axis)) return refuse('notAllowed', 'axis');
  if (values.length < count.min) return refuse('tooSmall', 'values', { min: count.min });
  if (values.length > count.max) return refuse('tooLarge', 'values', { max: count.max });
  if (values.some((value, index) => index > 0 && !(value > values[index - 1]!))) return refuse('notAllowed', 'values');
  if (SHARES_OF.includes(axis) && values[0]! < 1) return refuse('tooSmall', 'values.0', { min: 1 });
  if (pieces < most.min || pieces > most.max) return refuse('tooLarge', 'pieces', { max: most.max });
  const line = variedLine(formula, axis, book);
  const totals = formulaTotals(formula, book);
  // of one formula's measure: how much of the varied line a rung has
  // of one formula's measure: how much of the varied line a rung has; milk is not all water
  const waterShare = line ? (book.get(line.ingredientId)?.per100g.water.value ?? 100) / 100 : 1;
  const amounts = values.map((value) =>
    !line ? 0 : axis === 'water' ? line.massG + ((value / 100) * totals.baseG) / waterShare : line.massG * (value / 100),
  );
  const varies = axis === 'water' || axis === 'binder' || axis === 'yeast';
  if (varies && amounts[0]! < FORMULA_LIMITS.lineMassG.min) return refuse('tooSmall', 'values.0');
  const leastG = totals.doughG + (varies ? amounts[0]! - line!.massG : 0);
  // the batch: as many rungs of as many pieces of the dough that has least
  const factor = (values.length * pieces * pieceMassG) / leastG;
  const scaled = (stages: Formula['stages']) =>
    stages.map((stage) => ({
      ...stage,
      lines: stage.lines.map(({ measured: _, ...each }) => ({ ...each, massG: factor * (varies && each.id === line!.id ? amounts[0]! : each.massG) })),
    }));
  const at = partsAt(formula, axis);
  const [common, rest] = [formula.steps.slice(0, at), formula.steps.slice(at)];
  const ids = new Set([...allLines(formula), ...formula.steps, ...formula.stages].map(({ id }) => id));
  const own = (wish: string): string => {
    let id = wish.slice(0, 36);
    for (let at = 2; ids.has(id); at++) id = `${wish.slice(0, 36)}-${at}`;
    ids.add(id);
    return id;
  };
  const additions = amounts.map((amountG) => (varies ? (factor * (amountG - amounts[0]!)) / values.length : 0));
  const rungs = values.map((value, index): Ladder['rungs'][number] => ({
    id: own(`rung-${index + 1}`), code: codes[index] ?? String(index + 1), value, lineId: additions[index]! > 0 ? own(`rung-line-${index + 1}`) : null,
  }));
  // the note is for whoever weighs: what is whose follows from the ids
  const extra = {
    id: own('ladder'), kind: 'late' as const, name: '',
    lines: rungs.flatMap(({ lineId, code }, index) => lineId === null ? [] : [{ id: lineId, ingredientId: line!.ingredientId, massG: additions[index]!, note: code }]),
  };
  const wayOf = (rung: Ladder['rungs'][number], index: number): Result<Way> => {
    const steps: MethodStep[] = [];
    for (const step of rest) {
      const changed = onRung(step, axis, rung.value);
      if (!changed.ok) return refuse(changed.problem.code, `values.${index}`, changed.problem.params);
      steps.push({ ...changed.value, id: own(`${step.id}-${index + 1}`) });
    }
    const add: MethodStep[] = rung.lineId !== null
      ? [{ id: own(`rung-mix-${index + 1}`), kind: 'mix', title: '', minS: 60, maxS: 180, until: '', tempC: null, handsOn: true, note: '', takes: [{ lineId: rung.lineId, share: 1 }] }]
      : [];
    const amount = { kind: 'pieces' as const, pieces, pieceMassG: pieceMassG + additions[index]! / pieces };
    return ok({ id: rung.id, name: rung.code, amount, ...(formula.bakedAs && { bakedAs: formula.bakedAs }), steps: [...add, ...steps] });
  };
  const ways: Way[] = [];
  for (const [index, rung] of rungs.entries()) {
    const way = wayOf(rung, index);
    if (!way.ok) return way;
    ways.push(way.value);
  }
  const stages = extra.lines.length > 0 ? [...scaled(formula.stages), extra] : scaled(formula.stages);
  return ok({ formula: { ...formula, stages, steps: common, ways }, ladder: { axis, rungs } });
} // prettier-ignore

/** A step as it is on one rung. */
function onRung(step: MethodStep, axis: LadderAxis, value: number): Result<MethodStep> {
  if (axis === 'proof' && (step.kind === 'proof' || step.kind === 'bulk')) {
    const part = (s: number | null) => (s === null ? null : Math.round((s * value) / 100));
    const [minS, maxS] = [part(step.minS), part(step.maxS)];
    if ((maxS ?? minS ?? 1) > STEP_LIMITS.durationS.max)
      return refuse('tooLarge', '', { max: STEP_LIMITS.durationS.max });
    return ok({ ...step, minS, maxS });
  }
  if (axis === 'oven' && isHeated(step) && step.tempC !== null) {
    const { min, max } = stepTempRangeC(step.kind);
    const tempC = step.tempC + value;
    if (tempC < min) return refuse('tooSmall', '', { min });
    return tempC > max ? refuse('tooLarge', '', { max }) : ok({ ...step, tempC });
  }
  return ok(step);
}
