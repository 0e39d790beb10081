import type { Ingredient } from '../ingredients/ingredient';
import { ok, refuse, type Result } from '../result';
import { FILLS, type MeasureSystem } from './measures';
import { pieceWeight } from './pieces';
import { ownFilling, type OwnMeasure } from './ownMeasures';
import type { Phrase, Term } from './phrase';

/** What a quantity weighs, with the 80 % range that comes from how it was measured. */
export interface Weighed {
  readonly massG: number;
  readonly lowG: number;
  readonly highG: number;
  /** By what: the weakest of its terms. */
  readonly by: 'mass' | 'volume' | 'count' | 'percent';
  /** The same as counts of measures, where each of its terms is one: what scales with a batch. */
  readonly counts?: readonly Count[];
}

/** So many cups, spoons, eggs of a size, packets; what is taken off again is less than none. `measure` is a word of the reader's. */
export interface Count {
  readonly count: number;
  readonly measure: string;
}

/** A term as a count, null where it is a weight, a share or a heaped something. */
function countOf({ amount, unit, size, fill, each, less }: Term): Count | null {
  if (each || fill || unit?.kind === 'mass' || unit?.kind === 'percent') return null;
  const measure = unit?.word ?? size;
  if (!measure) return null;
  const count = (amount.low + amount.high) / 2;
  return { count: less ? -count : count, measure: size && unit ? `${size} ${unit.word}` : measure };
}

export interface WeighingContext {
  readonly system: MeasureSystem;
  /** What a number without a unit means; null: nothing. */
  readonly bareUnitG: number | null;
  /** The flour base a percentage is of; null where there is none. */
  readonly baseG: number | null;
  /** The kitchen's own cups and scoops, where it has weighed any. */
  readonly own?: readonly OwnMeasure[];
}

const exact = (low: number, high: number, by: Weighed['by']): Weighed => ({
  massG: (low + high) / 2,
  lowG: low,
  highG: high,
  by,
});

function weighTerm(term: Term, ingredient: Ingredient | null, context: WeighingContext): Result<Weighed> {
  const { amount, unit } = term;
  if (term.each && term.each.unit.kind === 'mass') {
    const g = term.each.unit.g;
    return ok(exact(amount.low * term.each.amount.low * g, amount.high * term.each.amount.high * g, 'mass'));
  }
  if (term.each) return weighTerm({ ...term, amount: { low: amount.low * term.each.amount.low, high: amount.high * term.each.amount.high }, unit: term.each.unit, each: null }, ingredient, context); // prettier-ignore
  if (unit?.kind === 'mass') return ok(exact(amount.low * unit.g, amount.high * unit.g, 'mass'));
  if (unit?.kind === 'percent') {
    if (context.baseG === null || context.baseG <= 0) return refuse('noShareWithoutFlour', 'massG');
    return ok(exact((amount.low * context.baseG) / 100, (amount.high * context.baseG) / 100, 'percent'));
  }
  const own = unit && ingredient && context.own ? ownFilling(context.own, unit.word, ingredient.id) : null;
  if (own && ingredient) {
    const { factor, doubt } = FILLS[term.fill ?? ''] ?? { factor: 1, doubt: 0 };
    // filled with water it is so many ml; how loose a powder lies in it stays as unsure as in any cup
    const [loose, packed] =
      own.of === 'ingredient' ? [1, 1] : [ingredient.densitySpooned, ingredient.densityScooped];
    const each = own.g * factor;
    const unsure = Math.max(0.005, own.doubt + doubt);
    return ok({
      massG: ((amount.low + amount.high) / 2) * each * Math.sqrt(loose * packed),
      lowG: amount.low * each * loose * (1 - unsure),
      highG: amount.high * each * packed * (1 + unsure),
      by: 'volume',
    });
  }
  if (unit?.kind === 'volume') {
    if (!ingredient) return refuse('unknownIngredient', 'massG');
    const fill = FILLS[term.fill ?? ''] ?? { factor: 1, doubt: 0 };
    const ml = unit.ml[context.system] * fill.factor;
    const doubt = Math.max(0.005, unit.fill + fill.doubt);
    // spooned or scooped: nobody says which, so the weight lies between, and most likely near their geometric mean
    const { densitySpooned: loose, densityScooped: packed } = ingredient;
    return ok({
      massG: ((amount.low + amount.high) / 2) * ml * Math.sqrt(loose * packed),
      lowG: amount.low * ml * loose * (1 - doubt),
      highG: amount.high * ml * packed * (1 + doubt),
      by: 'volume',
    });
  }
  if (!ingredient) {
    if (unit || term.size || context.bareUnitG === null) return refuse('unknownIngredient', 'massG');
    return ok(exact(amount.low * context.bareUnitG, amount.high * context.bareUnitG, 'mass'));
  }
  const piece = pieceWeight(ingredient.id, unit?.word ?? null, term.size, context.system);
  if (piece) {
    return ok({
      massG: ((amount.low + amount.high) / 2) * piece.g,
      lowG: amount.low * piece.lowG,
      highG: amount.high * piece.highG,
      by: 'count',
    });
  }
  if (unit) return refuse('unknownUnit', 'massG', { unit: unit.word });
  if (context.bareUnitG === null || term.size)
    return refuse('unknownUnit', 'massG', { unit: term.size ?? '' });
  return ok(exact(amount.low * context.bareUnitG, amount.high * context.bareUnitG, 'mass'));
}

const RANK: readonly Weighed['by'][] = ['mass', 'percent', 'volume', 'count'];

/** The grams of a quantity of an ingredient. Terms add up; so do the ends of their ranges. */
export function weigh(
  phrase: Phrase,
  ingredient: Ingredient | null,
  context: WeighingContext,
): Result<Weighed> {
  let sum: Weighed | null = null;
  for (const term of phrase.terms) {
    const weighed = weighTerm(term, ingredient, context);
    if (!weighed.ok) return weighed;
    const { massG, lowG, highG, by } = weighed.value;
    // what is taken off is least where most of it was taken
    const one: Weighed = term.less ? { massG: -massG, lowG: -highG, highG: -lowG, by } : weighed.value;
    sum = sum
      ? {
          massG: sum.massG + one.massG,
          lowG: sum.lowG + one.lowG,
          highG: sum.highG + one.highG,
          by: RANK.indexOf(one.by) > RANK.indexOf(sum.by) ? one.by : sum.by,
        }
      : one;
  }
  if (!sum || !Number.isFinite(sum.massG) || sum.massG <= 0) return refuse('noReading', 'massG');
  const counts = phrase.terms.map(countOf);
  const whole = counts.every((each): each is Count => each !== null) ? counts : null;
  return ok({ ...sum, lowG: Math.max(0, sum.lowG), ...(whole && { counts: whole }) });
}
