import { doughLines, type Formula } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { CauseId } from '../advice/ids';
import type { Axes } from './axes';
import { NOTHING_KNOWN, type Circumstances, type Seen } from './diagnose';
import { factorOf } from './factors';
import { expectedOf, isMade, type SignId } from './signs';

/** What an earlier bake of this formula says of how this kitchen sees things. */
export interface EarlierBake {
  readonly seen: readonly Seen[];
  /** Nobody disliked anything of it: what it shows is how right looks here. */
  readonly isGood: boolean;
}

export interface KnownOfBake {
  readonly formula: Formula;
  readonly book: IngredientBook;
  /** The bags that went in, and those of the bake before: null where none is told apart, or there was none. */
  readonly lots: ReadonlyMap<string, string>;
  readonly lotsBefore: ReadonlyMap<string, string> | null;
  /** Of what lifts it: days it is past its date (below 0: not yet); null: nobody knows. */
  readonly leavenPastDays: number | null;
  /** Of this formula, newest first; their signs are held against it as it is written now. */
  readonly earlier: readonly EarlierBake[];
  /** How often each cause was confirmed in this kitchen, whatever was baked. */
  readonly confirmed: Readonly<Partial<Record<CauseId, number>>>;
}

const PLATES: ReadonlySet<string> = new Set(['stone', 'steel', 'castIron', 'griddle']);
const DRINKS: ReadonlySet<string> = new Set(['flour', 'starch', 'seedMeal', 'binder']);

/** What a kitchen knows before anything was seen of a bake: what cannot be, what is likelier than usual, and how it sees things. */
export function circumstancesOf(
  axes: Axes,
  { formula, book, lots, lotsBefore, leavenPastDays, earlier, confirmed }: KnownOfBake,
): Circumstances {
  const out = new Set<CauseId>();
  const has = new Set(doughLines(formula).flatMap(({ ingredientId }) => factorOf(ingredientId, book) ?? []));
  if (!has.has('salt')) (['saltForgotten', 'saltDoubled'] as const).forEach((cause) => out.add(cause));
  if (!has.has('binder')) (['binderForgotten', 'binderDoubled'] as const).forEach((cause) => out.add(cause));
  if (!has.has('leaven')) (['yeastForgotten', 'yeastDoubled', 'weakYeast'] as const).forEach((cause) => out.add(cause));
  if (!formula.steps.some(({ heat }) => heat?.on && PLATES.has(heat.on))) out.add('coolPlate');
  const other = lotsBefore === null
    ? null
    : [...lots].some(([id, lot]) => lotsBefore.has(id) && lotsBefore.get(id) !== lot && book.get(id)?.roles.some((role) => DRINKS.has(role)));
  return {
    ...NOTHING_KNOWN,
    out,
    confirmed,
    times: {
      // bags that are told apart and are the same as before are none
      ...(other !== null && { otherBag: other ? 4 : lots.size > 0 ? 0.15 : 1 }),
      ...(leavenPastDays !== null && { weakYeast: leavenPastDays > 0 ? 3 : leavenPastDays > -60 ? 1.3 : 0.6 }),
    },
    earlier: residualsOf(axes, earlier),
  };
} // prettier-ignore

function residualsOf(axes: Axes, earlier: readonly EarlierBake[]): Map<SignId, number[]> {
  const residuals = new Map<SignId, number[]>();
  for (const { seen, isGood } of earlier) {
    if (!isGood) continue;
    for (const { sign, value } of seen) {
      // its marks were made at other times
      if (isMade(sign) || sign.startsWith('mark.')) continue;
      const expected = expectedOf(sign, axes.written, axes.written, {}, { cut: 0 });
      if (expected !== null) residuals.set(sign, [...(residuals.get(sign) ?? []), value - expected]);
    }
  }
  return residuals;
}
