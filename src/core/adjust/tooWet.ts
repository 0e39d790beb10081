import { consistencyOf, liquidOverDemand, looseningG, type Consistency } from '../consistency/consistency';
import { BAND_AIMS, type Band } from '../consistency/parameters';
import { takenShare } from '../consistency/waterBalance';
import { allLines, type Formula } from '../formula/formula';
import { takeApart } from '../formula/takeApart';
import { formulaTotals } from '../formula/totals';
import { isFlourBase } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { Z80 } from '../numeric/normal';
import { ok, refuse, type Result } from '../result';

export interface TooWet {
  readonly ingredientId: string;
  /** How much of it to work in, g. */
  readonly addG: number;
  /** Between which amounts it most likely lies (80 %): bags of a powder absorb differently. */
  readonly lowG: number;
  readonly highG: number;
  readonly saltPercent: { readonly from: number | null; readonly to: number | null };
  readonly hydration: { readonly from: number | null; readonly to: number | null };
  /** Salt and leaven that would keep their share, g. */
  readonly saltG: number;
  readonly leavenG: readonly { readonly ingredientId: string; readonly addG: number }[];
}

const plus = (formula: Formula, ingredientId: string, massG: number): Formula => ({
  ...formula,
  stages: [
    ...formula.stages,
    { id: 'added', kind: 'late', name: '', lines: [{ id: 'added', ingredientId, massG, note: '' }] },
  ],
});

/**
 * How unsure it is what a powder absorbs, relative sd: its own spread; of a bag as bought that of its parts, and of how well its shares, or the bag as a whole, are known. Null
 * for what is no powder of the flour base.
 */
export function absorptionCv(ingredientId: string, book: IngredientBook): number | null {
  const ingredient = book.get(ingredientId);
  if (!ingredient) return null;
  const { absorption, madeOf, absorbs } = ingredient;
  if (absorption && absorption.gPerG.value > 0) return absorption.gPerG.sd / absorption.gPerG.value;
  if (!madeOf || !isFlourBase(ingredient)) return null;
  const apart = takeApart(book, ingredientId, 1);
  if (!apart.ok) return null;
  let mean = 0;
  let variance = 0;
  for (const { ingredient: part, massG } of apart.value) {
    mean += massG * (part.absorption?.gPerG.value ?? 0);
    variance += (massG * (part.absorption?.gPerG.sd ?? 0)) ** 2;
  }
  if (mean <= 0) return null;
  // known as a whole it is known better than by its parts
  if (absorbs) return absorbs.sd / absorbs.value;
  return Math.hypot(Math.sqrt(variance) / mean, ingredient.thirstCv ?? 0);
}

/** What all powders of a dough have taken up after its rest, g. */
const demandRestedG = ({ balance }: Consistency): number =>
  balance.demands.reduce(
    (sum, demand) => sum + demand.demandG * takenShare(demand, balance, balance.restMin),
    0,
  );

/**
 * "Too wet today": how much of which powder brings a dough that feels like `felt` to `wanted`. What the hand feels is taken as
 * the truth of the day: whatever the reason (humid flour, big eggs), the excess counts as water.
 *
 * m = (L / r_wanted - L / r_felt) / a: L the liquid there is, r the liquid over demand that feels so, L / r_felt the demand that makes it feel so, a what a gram of the
 * powder holds after the rest.
 *
 * @param powders the candidates; those on the sheet come first if the caller puts them so
 * @returns one answer per powder that can do it with at most half of the flour base; `rangeReversed` when `wanted` is not drier
 */
export function tooWet(
  formula: Formula,
  felt: Band,
  wanted: Band,
  powders: readonly string[],
  book: IngredientBook,
): Result<readonly TooWet[]> {
  if (BAND_AIMS[wanted] >= BAND_AIMS[felt]) return refuse('rangeReversed', 'wanted');
  const consistency = consistencyOf(formula, book);
  const totals = formulaTotals(formula, book);
  if (!consistency || totals.floursG <= 0) return refuse('noFlour');
  const liquidNowG = looseningG(consistency.balance);
  // the demand of the day is what makes the present liquid feel as it does
  const demandG = liquidNowG / liquidOverDemand(consistency, BAND_AIMS[felt]);
  const neededG = liquidNowG / liquidOverDemand(consistency, BAND_AIMS[wanted]) - demandG;
  const leavens = allLines(formula).filter((line) => book.get(line.ingredientId)?.roles[0] === 'leaven');
  const restedG = demandRestedG(consistency);
  const answers = powders.flatMap((ingredientId): TooWet[] => {
    const cv = absorptionCv(ingredientId, book);
    if (cv === null) return [];
    // what a gram of it takes in this very dough, beside all that compete with it, after the rest
    const trialG = 0.02 * totals.floursG;
    const tried = consistencyOf(plus(formula, ingredientId, trialG), book);
    const perG = tried ? (demandRestedG(tried) - restedG) / trialG : 0;
    const addG = neededG / Math.max(0.02, perG);
    if (!(perG > 0) || addG > totals.floursG / 2) return [];
    const after = formulaTotals(plus(formula, ingredientId, addG), book);
    const doubt = Z80 * cv;
    const grown = after.floursG / totals.floursG - 1;
    return [
      {
        ingredientId,
        addG,
        lowG: addG / (1 + doubt),
        highG: addG / Math.max(0.2, 1 - doubt),
        saltPercent: { from: totals.saltPercent, to: after.saltPercent },
        hydration: { from: totals.hydrationAll, to: after.hydrationAll },
        saltG: totals.saltG * grown,
        leavenG: leavens.map((line) => ({ ingredientId: line.ingredientId, addG: line.massG * grown })),
      },
    ];
  });
  return answers.length > 0 ? ok(answers) : refuse('notSolvable', 'wanted');
}
