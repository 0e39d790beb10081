import { doughLines, type Formula } from '../formula/formula';
import { normalBelow, Z80 } from '../numeric/normal';
import { formulaTotals, type FormulaTotals } from '../formula/totals';
import type { IngredientBook } from '../ingredients/ingredientBook';
import {
  BANDS,
  BAND_ENDS,
  BARE_SHIFT,
  BINDING,
  CONSISTENCY,
  EGG_HOLDS,
  UNKNOWN_BINDING,
  type Band,
} from './parameters';
import { FIGURES, type Figures } from '../calibrated';
import { takenShare, waterBalance, wetMin, type WaterBalance } from './waterBalance';

/** How a dough feels at one moment. */
export interface Feel {
  /** Saturation as the hand reads it: binder's shift included; central value and the 80 % interval. */
  readonly s: number;
  readonly low: number;
  readonly high: number;
  readonly band: Band;
  /** Bands that the interval touches, from dry to wet. */
  readonly likely: readonly Band[];
  /** How likely each band is, in the order of BANDS; sums to 1. */
  readonly chance: readonly number[];
}

export interface Consistency {
  readonly balance: WaterBalance;
  /** At the end of mixing. */
  readonly now: Feel;
  /** When it has stood as long as the method says. */
  readonly rested: Feel;
  /** How well it holds together, and how much it clings; 0 ... 1. */
  readonly holds: number;
  readonly clings: number;
  /** What binders add to the edges of the bands, in saturation. */
  readonly shift: number;
  /** Saturation is liquid over demand to this power, less the shift. */
  readonly power: number;
}

export const bandOf = (s: number): Band => BANDS.find((band) => s < BAND_ENDS[band]) ?? 'pourable';

/**
 * What binders and egg do, by their weight on the flours alone: a dough does not feel how its baker counts the 100 %, and more of
 * one binder does not dilute another.
 */
function binding(
  { binders, floursG }: FormulaTotals,
  eggG: number,
): Pick<Consistency, 'holds' | 'clings' | 'shift'> {
  let shift = BARE_SHIFT;
  let holds = (EGG_HOLDS * 100 * eggG) / floursG;
  let clings = 0;
  for (const { ingredientId, massG } of binders) {
    const percent = (100 * massG) / floursG;
    const binds = BINDING[ingredientId] ?? UNKNOWN_BINDING;
    shift += binds.carries * (1 - 2 ** (-percent / binds.halfAtPercent));
    holds += binds.holds * percent;
    clings += binds.clings * percent;
  }
  return { shift, holds: 1 - Math.exp(-holds), clings: 1 - Math.exp(-clings) };
}

/** D(t) and its sd: each ingredient's own spread, its time constant's, and what is common to all. */
function demandAt(balance: WaterBalance, standMin: number): { valueG: number; sdG: number } {
  let valueG = 0;
  let variance = 0;
  for (const demand of balance.demands) {
    const share = takenShare(demand, balance, standMin);
    const x = (demand.headStartMin + wetMin(balance, standMin)) / demand.tauMin;
    const toSwell = Math.exp(-x);
    valueG += demand.demandG * share;
    // through the competition a powder that absorbs more moves the whole by its pull, not by its own demand
    const pulls = demand.demandG > 0 ? demand.pullG / demand.demandG : 1;
    variance += (demand.sdG * pulls * share) ** 2;
    variance += (demand.demandG * (1 - demand.fast) * toSwell * x * CONSISTENCY.tauSd) ** 2 || 0;
    variance += (demand.demandG * toSwell * CONSISTENCY.fastSd) ** 2;
  }
  const taken = balance.demandG > 0 ? valueG / balance.demandG : 0;
  variance += (balance.mixturesSdG * taken) ** 2;
  return { valueG, sdG: Math.sqrt(variance + (CONSISTENCY.commonSd * valueG) ** 2) };
}

/** What loosens the dough: water that is not bound, oil and sugar, g of water's worth. */
export const looseningG = ({ waterG, boundG, softeningG }: WaterBalance): number =>
  waterG - boundG + softeningG;

/** A factor of seven either way: who is less sure than that of what the powders absorb knows nothing of the dough. */
const MOST_CV = 1.5;

/** Liquid over demand that the hand reads as a saturation: the inverse of what {@link consistencyOf} does. */
export const liquidOverDemand = ({ shift, power }: Pick<Consistency, 'shift' | 'power'>, s: number): number =>
  Math.max(0, s + shift) ** (1 / power);

function feelAt(balance: WaterBalance, shift: number, power: number, standMin: number): Feel {
  const demand = demandAt(balance, standMin);
  const liquidG = looseningG(balance);
  // nothing that drinks: a liquid with things in it
  if (demand.valueG <= 0) {
    const chance = BANDS.map((band) => (band === 'pourable' ? 1 : 0));
    return { s: 9.99, low: 9.99, high: 9.99, band: 'pourable', likely: ['pourable'], chance };
  }
  const raw = Math.max(0, liquidG / demand.valueG) ** power;
  // spread of a ratio by the delta method on its logarithm
  const cv = Math.min(
    MOST_CV,
    power *
      Math.hypot(
        demand.sdG / demand.valueG,
        liquidG > 0 ? Math.hypot(balance.softeningSdG, balance.measuredSdG, balance.boundSdG) / liquidG : 0,
      ),
  );
  const s = raw - shift;
  const low = raw * Math.exp(-Z80 * cv) - shift;
  const high = raw * Math.exp(Z80 * cv) - shift;
  const sd = Math.hypot(raw * cv, CONSISTENCY.edgeSd);
  const below = BANDS.map((band) =>
    BAND_ENDS[band] === Infinity ? 1 : normalBelow((BAND_ENDS[band] - s) / sd),
  );
  const chance = below.map((end, index) => end - (index > 0 ? (below[index - 1] ?? 0) : 0));
  const from = BANDS.indexOf(bandOf(low));
  const to = BANDS.indexOf(bandOf(high));
  return { s, low, high, band: bandOf(s), likely: BANDS.slice(from, to + 1), chance };
}

/**
 * What kind of dough a formula makes, at the end of mixing and after its rest.
 *
 * Saturation S = ((water that is not bound + softening liquid) / D)^p, against bands with soft edges; what the binders carry shifts the edges. The
 * interval is the central 80 % from the spread of every absorption, of the time constants and of what a day has in common.
 *
 * The loaf of {@link formulaTotals} takes up 516 g in the end: sticky from the bowl, it is soft once it has rested.
 *
 * @returns null where there is no flour, starch or seed meal
 */
export function consistencyOf(
  formula: Pick<Formula, 'stages' | 'steps' | 'percentBase'>,
  book: IngredientBook,
  totals: FormulaTotals = formulaTotals(formula, book),
  figures: Figures = FIGURES,
): Consistency | null {
  if (totals.floursG <= 0) return null;
  const balance = waterBalance(formula, book, figures);
  const eggG = doughLines(formula).reduce(
    (sum, line) => sum + (book.get(line.ingredientId)?.roles.includes('egg') ? line.massG : 0),
    0,
  );
  const bound = binding(totals, eggG);
  return {
    balance,
    now: feelAt(balance, bound.shift, figures.feelPower, 0),
    rested: feelAt(balance, bound.shift, figures.feelPower, balance.restMin),
    ...bound,
    power: figures.feelPower,
  };
}

/**
 * The water's worth of liquid that brings a dough, rested, to a saturation the hand reads as `s`. Solved exactly.
 * @returns g to add; negative: to take away
 */
export function liquidForG(consistency: Consistency, s: number): number {
  const { balance } = consistency;
  const demandG = demandAt(balance, balance.restMin).valueG;
  return liquidOverDemand(consistency, s) * demandG - looseningG(balance);
}
