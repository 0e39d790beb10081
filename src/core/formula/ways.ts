import { doughLines, type Formula } from './formula';
import type { MethodStep } from '../method/step';
import type { Way } from './formulaSchema';
import type { Yield } from './parts';

/** What of a dough goes one way. */
interface WayShare {
  readonly way: Way;
  readonly pieces: number;
  readonly pieceG: number;
  /** What of a share or a rest is too little for one more piece, g; 0 where pieces were counted out. */
  readonly overG: number;
}

export interface Divided {
  readonly shares: readonly WayShare[];
  /** What no way takes, g. */
  readonly leftG: number;
  /** What the ways ask for beyond what there is, g. */
  readonly shortG: number;
}

/** Every step of a formula: those of all the dough, then each way's. */
export const allSteps = ({ steps, ways }: Pick<Formula, 'steps' | 'ways'>): readonly MethodStep[] =>
  ways ? [...steps, ...ways.flatMap((way) => way.steps)] : steps;

/**
 * Divides a dough among ways, in their order. What was asked in pieces comes first of each way's turn; a share is of all the dough; the rest is what
 * those before leave. Nothing is made of less than a piece: it is left over, and said.
 *
 * 2,000 g: one piece of 1,100 g, the rest in pieces of 70 g: 12 of them, 60 g left.
 *
 * @param times what batches multiply counts by: 2 makes two loaves of one
 */
export function divideDough(ways: readonly Way[], doughG: number, times = 1): Divided {
  let leftG = doughG;
  let shortG = 0;
  const shares = ways.map((way): WayShare => {
    const { amount } = way;
    const pieceG = amount.pieceMassG;
    if (amount.kind === 'pieces') {
      const pieces = Math.max(1, Math.round(amount.pieces * times));
      const wantG = pieces * pieceG;
      // a gram that rounding took is not a loaf
      const missing = wantG - leftG;
      if (missing > 0.005 * wantG) shortG += missing;
      leftG = Math.max(0, leftG - wantG);
      return { way, pieces, pieceG, overG: 0 };
    }
    const mineG = Math.min(leftG, amount.kind === 'share' ? amount.share * doughG : leftG);
    const pieces = Math.floor((mineG / pieceG) * 1.005 + 1e-9);
    const usedG = Math.min(mineG, pieces * pieceG);
    if (pieces === 0) shortG += pieceG - mineG;
    leftG = Math.max(0, leftG - (amount.kind === 'share' ? mineG : usedG));
    return { way, pieces, pieceG, overG: amount.kind === 'share' ? mineG - usedG : 0 };
  });
  return { shares, leftG, shortG };
}

/**
 * The formula as if all of it went one way: what the models of one bread are asked. Its steps are those of the dough and then the way's;
 * its pieces are the way's.
 * @param wayId which; absent or unknown: the first
 */
export function asWay(formula: Formula, wayId?: string | null): Formula {
  const { ways, ...rest } = formula;
  const way = ways?.find(({ id }) => id === wayId) ?? ways?.[0];
  if (!ways || !way) return formula;
  const { pieces, pieceG } = divideDough(ways, usableG(formula)).shares[ways.indexOf(way)]!;
  const { bakedAs: _, ...plain } = rest;
  return {
    ...plain,
    steps: [...formula.steps, ...way.steps],
    usualYield: { ...formula.usualYield, pieces: Math.max(1, pieces), pieceMassG: pieceG },
    ...((way.bakedAs ?? formula.bakedAs) && { bakedAs: way.bakedAs ?? formula.bakedAs }),
  };
}

/** Without its ways: for whoever has the steps of one bread from elsewhere. */
export function asOneBread(formula: Formula): Formula {
  const { ways: _, ...one } = formula;
  return one;
}

type Yielding = Pick<Formula, 'stages' | 'usualYield' | 'ways'>;
const doughOf = (formula: Pick<Formula, 'stages'>): number =>
  doughLines(formula).reduce((sum, { massG }) => sum + massG, 0);

/** What reaches the table once the bowl has kept its share, g. */
export const usableG = (formula: Pick<Formula, 'stages' | 'usualYield'>): number =>
  doughOf(formula) * (1 - formula.usualYield.bowlLossPercent / 100);

/** All pieces a formula usually makes, of whichever breads, and their dough: what sauces, toppings and baths are shared by. */
export function yieldOf(formula: Yielding): Yield {
  const { ways, usualYield } = formula;
  const pieces = ways
    ? divideDough(ways, usableG(formula)).shares.reduce((sum, share) => sum + share.pieces, 0)
    : usualYield.pieces;
  return { pieces: Math.max(1, pieces), doughG: doughOf(formula) };
}
