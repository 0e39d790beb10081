import { consistencyOf } from '../consistency/consistency';
import { allLines, atWeight, FORMULA_LIMITS, type Formula, type Line } from '../formula/formula';
import { takeApart } from '../formula/takeApart';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { refuse, type Result } from '../result';
import { proposalOf, type Proposal } from './proposal';
import { AVOIDED, fallsUnder, type Avoided } from './avoided';
import { REPLACEMENTS, type StandIn } from './replacements';
import { tidy, withWaterFor } from './solveWater';

/** Replaces lines by what stands in for their ingredient; equal ingredients of a part are put together. */
function exchange(
  formula: Formula,
  standIns: ReadonlyMap<string, readonly StandIn[]>,
  newId: () => string,
): Formula {
  const putInto = (lines: readonly Line[], { ingredientId, gPerG }: StandIn, forG: number): Line[] => {
    const massG = tidy(forG * gPerG);
    if (massG < FORMULA_LIMITS.lineMassG.min) return [...lines];
    return lines.some((line) => line.ingredientId === ingredientId)
      ? lines.map((line) =>
          line.ingredientId === ingredientId ? atWeight(line, tidy(line.massG + massG)) : line,
        )
      : [...lines, { id: newId(), ingredientId, massG, note: '' }];
  };
  return {
    ...formula,
    stages: formula.stages.map((stage) => {
      let lines: Line[] = [];
      for (const line of stage.lines) {
        const instead = standIns.get(line.ingredientId);
        if (!instead) lines.push(line);
        else for (const standIn of instead) lines = putInto(lines, standIn, line.massG);
      }
      return { ...stage, lines };
    }),
  };
}

/** The exchanged sheet with its water solved so that the rested dough feels as it did before. */
function keepFeel(
  from: Formula,
  to: Formula,
  book: IngredientBook,
  newId: () => string,
  without: readonly string[],
): Result<Proposal> {
  const before = consistencyOf(from, book);
  if (!before) return refuse('noFlour');
  const solved = withWaterFor(to, before.rested.s, book, newId);
  return solved.ok ? proposalOf(from, solved.value, book, without) : solved;
}

/** Does an ingredient, or anything it is made of, fall under what is avoided? */
function holds(avoided: Avoided, ingredientId: string, book: IngredientBook): boolean {
  const apart = takeApart(book, ingredientId, 1);
  const whole = book.get(ingredientId);
  return (
    (whole !== undefined && fallsUnder(avoided, whole)) ||
    (apart.ok && apart.value.some(({ ingredient }) => fallsUnder(avoided, ingredient)))
  );
}

/** What on this sheet somebody may want to do without, in the order of AVOIDED. */
export const avoidableIn = (formula: Pick<Formula, 'stages'>, book: IngredientBook): Avoided[] =>
  AVOIDED.filter((avoided) => allLines(formula).some((line) => holds(avoided, line.ingredientId, book)));

/**
 * What stands in for an ingredient, null where nothing is known. A blend is taken apart: what is innocent in it stays, gram for
 * gram, and only the rest is replaced; of a part nothing stands in for, `without` says so.
 */
function standInsFor(
  avoided: Avoided,
  ingredientId: string,
  book: IngredientBook,
  without: Set<string>,
): readonly StandIn[] {
  const simple = (id: string): readonly StandIn[] => {
    const usable = (REPLACEMENTS[id] ?? []).find((choice) =>
      choice.every(
        (standIn) => book.has(standIn.ingredientId) && !holds(avoided, standIn.ingredientId, book),
      ),
    );
    if (!usable) without.add(id);
    return usable ?? [];
  };
  const known = REPLACEMENTS[ingredientId] !== undefined;
  const apart = takeApart(book, ingredientId, 1);
  if (known || !apart.ok || apart.value.length < 2) return simple(ingredientId);
  return apart.value.flatMap(({ ingredient, massG: share }) =>
    holds(avoided, ingredient.id, book)
      ? simple(ingredient.id).map((standIn) => ({ ...standIn, gPerG: standIn.gPerG * share }))
      : [{ ingredientId: ingredient.id, gPerG: share }],
  );
}

/**
 * "Leave out the egg", "no maize": every line that falls under it goes, what is known to do its work comes in (water, bind,
 * protein, fat), and the water is solved once more. Toppings are exchanged too, but not computed.
 *
 * @returns `unknownLine` when nothing on the sheet falls under it
 */
export function leaveOut(
  formula: Formula,
  avoided: Avoided,
  book: IngredientBook,
  newId: () => string,
): Result<Proposal> {
  const hits = new Set(
    allLines(formula)
      .map((line) => line.ingredientId)
      .filter((id) => holds(avoided, id, book)),
  );
  if (hits.size === 0) return refuse('unknownLine', 'avoided');
  const without = new Set<string>();
  const standIns = new Map([...hits].map((id) => [id, standInsFor(avoided, id, book, without)]));
  return keepFeel(formula, exchange(formula, standIns, newId), book, newId, [...without]);
}

/**
 * Swaps one ingredient for another and keeps the feel: a binder by the middle of its usual dose against the other's, anything
 * else weight for weight, then the water anew.
 */
export function swapIngredient(
  formula: Formula,
  fromId: string,
  toId: string,
  book: IngredientBook,
  newId: () => string,
): Result<Proposal> {
  const from = book.get(fromId);
  const to = book.get(toId);
  if (!from || !to) return refuse('unknownIngredient', 'toId');
  if (fromId === toId || !allLines(formula).some((line) => line.ingredientId === fromId))
    return refuse('unknownLine', 'fromId');
  const known = (REPLACEMENTS[fromId] ?? []).find(
    (choice) => choice.length === 1 && choice[0]?.ingredientId === toId,
  )?.[0];
  const middle = (share: { from: number; to: number } | null) => (share ? (share.from + share.to) / 2 : null);
  const bothBind = from.roles[0] === 'binder' && to.roles[0] === 'binder';
  const byDose = bothBind ? (middle(to.usualShare) ?? 1) / (middle(from.usualShare) ?? 1) : 1;
  const standIns = new Map([[fromId, [{ ingredientId: toId, gPerG: known?.gPerG ?? byDose }]]]);
  return keepFeel(formula, exchange(formula, standIns, newId), book, newId, []);
}
