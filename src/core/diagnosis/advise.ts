import type { CauseId } from '../advice/ids';
import { lotsOf, stateOf, type BakeRecord, type BakeState } from '../bake';
import { withLots } from '../ingredients/lots';
import type { Formula } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { RunKitchen } from '../run/ordinaryKitchen';
import { pooled } from '../tasting/pooled';
import type { Axes } from './axes';
import type { BakeAsked } from './factors';
import { circumstancesOf, type EarlierBake } from './circumstances';
import { diagnose, type Likely } from './diagnose';
import { evidenceOf, marksOf } from './evidence';
import { nextChange, type Advice } from './nextChange';
import { expectedOf, type SignId } from './signs';
import { tellApart, type TellApart } from './tellApart';

/** All that is asked for advice after a bake: plain data, as it goes to a thread. */
export interface AdviceQuestion {
  readonly bake: BakeRecord;
  /** The revision it was made of. */
  readonly formula: Formula;
  readonly book: IngredientBook;
  readonly kitchen: RunKitchen;
  /** Bakes of that formula before it, newest first. */
  readonly earlier: readonly BakeRecord[];
  readonly leavenPastDays: number | null;
  readonly confirmed: Readonly<Partial<Record<CauseId, number>>>;
}

/** Signs as a screen shows them: what was seen, and what the models had led to expect. */
interface SeenSign {
  readonly sign: SignId;
  readonly value: number;
  readonly expected: number;
}

export interface Advised {
  /** Most likely first, those of 2 % at the least. */
  readonly likely: readonly Likely[];
  readonly enough: boolean;
  /** It was liked: there is nothing to explain. */
  readonly wasGood: boolean;
  readonly tell: TellApart | null;
  readonly advice: Advice | null;
  /** When it may be cut, s after it comes out; and the dough's warmth as it was planned: what a change is made with. */
  readonly firmAfterS: number;
  readonly doughC: number;
  readonly seen: readonly SeenSign[];
}

/** Nobody disliked anything of it. */
function wasGood({ outcome, tastings, abandoned }: BakeState): boolean {
  if (abandoned) return false;
  const verdict = pooled(tastings.values(), { occasion: 'fresh' }).get('verdict')?.mean;
  const scores = Object.values(outcome?.scores ?? {}).filter((score) => score !== null);
  if (verdict !== undefined) return verdict >= 4;
  return outcome?.again === 'yes' || (scores.length > 1 && scores.every((score) => score >= 4));
}

const LEAST_SHOWN = 0.02;

/** What {@link advise} goes by is asked about first, since it takes longest and is the same until the formula or the marks change. Null: {@link advise} could say nothing. */
export function adviceAsks({
  bake,
  formula,
  book,
  kitchen,
}: Pick<AdviceQuestion, 'bake' | 'formula' | 'book' | 'kitchen'>): BakeAsked | null {
  const state = stateOf(bake);
  // several breads at once, or none
  if (state.endedAtMs === null || state.abandoned || formula.ways || bake.sheet.ladder) return null;
  const lots = lotsOf(bake.sheet, state);
  const { count, doughG } = bake.sheet.pieces;
  const pieces = { pieces: Math.max(1, count), pieceMassG: doughG };
  return {
    formula: { ...formula, usualYield: { ...formula.usualYield, ...pieces } },
    book: withLots(book, lots),
    kitchen,
    marksAtS: marksOf(bake, state).map(({ atS }) => atS),
  };
}

/**
 * What most likely happened, and the one change that would most likely help: from this bake's log and the earlier ones of its formula.
 *
 * @param axes of what {@link adviceAsks} asks
 */
export function advise({ axes, bake, formula, book: larder, kitchen, earlier, leavenPastDays, confirmed }: AdviceQuestion & { readonly axes: Axes }): Advised {
  const state = stateOf(bake);
  const lots = lotsOf(bake.sheet, state);
  const book = withLots(larder, lots);
  const around = { book, ovenOffsetC: kitchen.oven.offsetC, firmAfterS: axes.written.firmAfterS };
  const before = earlier.filter(({ sheet }) => !sheet.ladder).map((each) => ({ bake: each, state: stateOf(each) }));
  const seen = evidenceOf(bake, state, around);
  const known = circumstancesOf(axes, {
    formula,
    book,
    lots,
    lotsBefore: before[0] ? lotsOf(before[0].bake.sheet, before[0].state) : null,
    leavenPastDays,
    earlier: before.map(({ bake: each, state: then }): EarlierBake => ({ seen: evidenceOf(each, then, around), isGood: wasGood(then) && then.teaches })),
    confirmed,
  });
  const found = diagnose(axes, seen, known);
  return {
    likely: found.likely.filter(({ probability }) => probability >= LEAST_SHOWN),
    enough: found.enough,
    wasGood: wasGood(state),
    tell: tellApart(axes, found, seen),
    advice: found.enough ? nextChange(axes, found, seen, known, { formula, book }) : null,
    firmAfterS: axes.written.firmAfterS,
    doughC: axes.written.doughC,
    seen: seen.flatMap(({ sign, value }) => {
      const expected = expectedOf(sign, axes.written, axes.written, {}, { cut: 0 });
      return expected === null ? [] : [{ sign, value, expected }];
    }),
  };
} // prettier-ignore
