import { formulaTotals, type FormulaTotals } from '../formula/totals';
import type { Formula } from '../formula/formula';
import { allLines } from '../formula/formula';
import { allSteps } from '../formula/ways';
import type { Shape } from '../method/heating';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { consistencyOf } from '../consistency/consistency';
import type { Band } from '../consistency/parameters';

/** One change in the figures bakers speak in; percentages of the flour base, null where there was no base. */
export type Turn =
  | { readonly kind: 'share'; readonly ingredientId: string; readonly from: number; readonly to: number }
  | {
      readonly kind: 'came';
      readonly ingredientId: string;
      readonly percent: number | null;
      readonly massG: number;
    }
  | {
      readonly kind: 'went';
      readonly ingredientId: string;
      readonly percent: number | null;
      readonly massG: number;
    }
  | { readonly kind: 'hydration'; readonly from: number; readonly to: number }
  | { readonly kind: 'size'; readonly factor: number }
  | { readonly kind: 'band'; readonly from: Band; readonly to: Band }
  | { readonly kind: 'style'; readonly from: Formula['style']; readonly to: Formula['style'] }
  | { readonly kind: 'name'; readonly from: string; readonly to: string }
  | { readonly kind: 'yield' }
  | { readonly kind: 'ways'; readonly ways: number }
  | { readonly kind: 'bakedAs'; readonly shape: Shape | null }
  | {
      readonly kind: 'step';
      readonly change: 'new' | 'gone' | 'time' | 'heat' | 'around' | 'words';
      readonly step: Formula['steps'][number];
      readonly before: Formula['steps'][number] | null;
    }
  | { readonly kind: 'words' };

const shares = (
  formula: Formula,
  totals: FormulaTotals,
): Map<string, { massG: number; percent: number | null }> => {
  const byId = new Map<string, { massG: number; percent: number | null }>();
  for (const line of allLines(formula)) {
    const massG = (byId.get(line.ingredientId)?.massG ?? 0) + line.massG;
    byId.set(line.ingredientId, { massG, percent: totals.baseG > 0 ? (100 * massG) / totals.baseG : null });
  }
  return byId;
};

const moved = (from: number, to: number): boolean =>
  Math.abs(to - from) > Math.max(0.02, 0.002 * Math.max(from, to));

/** How a dough parts, its steps apart. */
const waysApart = ({ ways }: Formula) => ways?.map(({ steps: _, ...way }) => way);

/** What a step says beyond its words, its time and its temperature. */
const around = ({ heat, stands, cue, sides, again, atATime, takes }: Formula['steps'][number]): string =>
  JSON.stringify([heat, stands, cue, sides, again, atATime, takes]);

function stepTurns(from: Formula, to: Formula): Turn[] {
  const before = new Map(allSteps(from).map((step) => [step.id, step]));
  const after = new Set(allSteps(to).map((step) => step.id));
  const turns = allSteps(to).flatMap((step): Turn[] => {
    const old = before.get(step.id);
    if (!old) return [{ kind: 'step', change: 'new', step, before: null }];
    if (old.minS !== step.minS || old.maxS !== step.maxS)
      return [{ kind: 'step', change: 'time', step, before: old }];
    if (old.tempC !== step.tempC) return [{ kind: 'step', change: 'heat', step, before: old }];
    if (around(old) !== around(step)) return [{ kind: 'step', change: 'around', step, before: old }];
    return JSON.stringify(old) === JSON.stringify(step)
      ? []
      : [{ kind: 'step', change: 'words', step, before: old }];
  });
  const gone = allSteps(from)
    .filter((step) => !after.has(step.id))
    .map((step): Turn => ({ kind: 'step', change: 'gone', step, before: step }));
  return [...turns, ...gone];
}

/** A share that moved further than by a factor of a thousand million weighs no more; what came or went weighs more than any share. */
const MOST = 1e12;

/**
 * What changed from one state of a formula to another, as a baker would tell it: shares of the flours, not lines; one word for
 * a sheet that was only made larger. Ingredients are put together wherever they stand, largest change first.
 */
export function storyOf(from: Formula, to: Formula, book: IngredientBook): Turn[] {
  const was = formulaTotals(from, book);
  const is = formulaTotals(to, book);
  const before = shares(from, was);
  const after = shares(to, is);
  const turns: Turn[] = [];
  if (from.name !== to.name) turns.push({ kind: 'name', from: from.name, to: to.name });
  if (from.style !== to.style) turns.push({ kind: 'style', from: from.style, to: to.style });
  const changes: { turn: Turn; weight: number }[] = [];
  for (const id of new Set([...before.keys(), ...after.keys()])) {
    const old = before.get(id);
    const now = after.get(id);
    if (!old && now) changes.push({ turn: { kind: 'came', ingredientId: id, ...now }, weight: 2 * MOST });
    else if (old && !now)
      changes.push({ turn: { kind: 'went', ingredientId: id, ...old }, weight: 1.5 * MOST });
    else if (old?.percent != null && now?.percent != null && moved(old.percent, now.percent)) {
      // the same grams on a little more or less flour: nobody touched it, and the size says it for all of them
      if (old.massG === now.massG && Math.abs(now.percent / old.percent - 1) < 0.15) continue;
      // in whole steps of a thousandth, without a logarithm: two engines must put changes of one size in one order
      const ratio = now.percent / old.percent;
      const weight = Math.min(MOST, Math.round(1000 * Math.max(ratio, 1 / ratio)));
      changes.push({ turn: { kind: 'share', ingredientId: id, from: old.percent, to: now.percent }, weight });
    } else if (old && now && (old.percent === null || now.percent === null) && moved(old.massG, now.massG)) {
      changes.push({ turn: { kind: 'words' }, weight: 0 });
    }
  }
  turns.push(...changes.sort((a, b) => b.weight - a.weight).map(({ turn }) => turn));
  if (
    was.hydrationAll !== null &&
    is.hydrationAll !== null &&
    Math.abs(was.hydrationAll - is.hydrationAll) >= 0.5
  ) {
    turns.push({ kind: 'hydration', from: was.hydrationAll, to: is.hydrationAll });
  }
  const bandWas = consistencyOf(from, book, was)?.rested.band;
  const bandIs = consistencyOf(to, book, is)?.rested.band;
  if (bandWas && bandIs && bandWas !== bandIs) turns.push({ kind: 'band', from: bandWas, to: bandIs });
  // the same shares and another size: that is the whole story of it
  if (was.baseG > 0 && is.baseG > 0 && moved(100, (100 * is.baseG) / was.baseG)) {
    turns.push({ kind: 'size', factor: is.baseG / was.baseG });
  }
  turns.push(...stepTurns(from, to));
  if (JSON.stringify(from.usualYield) !== JSON.stringify(to.usualYield)) turns.push({ kind: 'yield' });
  if (JSON.stringify(waysApart(from)) !== JSON.stringify(waysApart(to)))
    turns.push({ kind: 'ways', ways: to.ways?.length ?? 1 });
  if (JSON.stringify(from.bakedAs) !== JSON.stringify(to.bakedAs)) {
    const shape = to.bakedAs?.shape ?? null;
    turns.push({ kind: 'bakedAs', shape: shape === from.bakedAs?.shape ? null : shape });
  }
  if (turns.length === 0 && JSON.stringify(from) !== JSON.stringify(to)) turns.push({ kind: 'words' });
  return turns;
}
