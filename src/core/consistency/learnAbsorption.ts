import type { Estimate } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { truncatedNormal } from '../numeric/truncated';
import { liquidOverDemand, looseningG, type Consistency } from './consistency';
import { BANDS, BAND_ENDS, CONSISTENCY, type Band } from './parameters';
import { takenShare } from './waterBalance';

/** How a dough felt to the hand, so many minutes after mixing, beside what the model makes of that very dough. */
export interface FeltObservation {
  readonly consistency: Pick<Consistency, 'balance' | 'shift' | 'power'>;
  readonly standMin: number;
  readonly band: Band;
}

export interface AbsorptionLearnt {
  readonly ingredientId: string;
  /** Water it absorbs, g per g, before and after; the sd of either. */
  readonly before: Estimate;
  readonly after: Estimate;
  /** How many feels of doughs with this in it. */
  readonly feels: number;
}

/** Less than this of a dough's wish for water, and a feel says nothing of that powder. */
const LEAST_SHARE = 0.05;
/** A figure is not moved by more than this, as a factor: beyond it the dough was not what was written down. */
const MOST = 2.5;

/**
 * What hands tell of the water powders drink: for each feel the demand that would have made it (an interval, its ends as soft as bakers
 * differ), against the demand the model expects; the difference goes to the powders by how unsure each is and how much of it there
 * is. Gaussian update by moment matching, one feel after the other (assumed-density filtering; Minka 2001), spreads kept
 * one by one.
 *
 * A feel of a day cannot be surer than days are alike (`commonSd`); what is common to a day is no property of a flour.
 * @param book the one the observations were computed with: its absorptions are what is believed before any feel
 * @returns powders of which something was learnt, those that moved most first; none without feels
 */
export function learnAbsorption(
  observations: readonly FeltObservation[],
  book: IngredientBook,
): AbsorptionLearnt[] {
  const now = new Map<string, { before: Estimate; value: number; variance: number; feels: number }>();
  const known = (id: string) => {
    let figure = now.get(id);
    if (!figure) {
      const before = book.get(id)?.absorption?.gPerG ?? { value: 0, sd: 0 };
      figure = { before, value: before.value, variance: before.sd ** 2, feels: 0 };
      now.set(id, figure);
    }
    return figure;
  };
  for (const { consistency, standMin, band } of observations) {
    const { balance } = consistency;
    const liquidG = looseningG(balance);
    const absorbers = balance.demands
      .map((demand) => ({ demand, figure: known(demand.ingredientId) }))
      .filter(({ demand, figure }) => demand.massG > 0 && figure.before.value > 0)
      // what a scald adds to a powder's wish grows with it
      .map(({ demand, figure }) => ({
        figure,
        g: (demand.pullG / figure.before.value) * takenShare(demand, balance, standMin),
      }));
    // as the model has it, moved by what has been learnt since
    const demandG =
      balance.demands.reduce(
        (sum, demand) => sum + demand.demandG * takenShare(demand, balance, standMin),
        0,
      ) + absorbers.reduce((sum, { figure, g }) => sum + (figure.value - figure.before.value) * g, 0);
    if (demandG <= 0 || liquidG <= 0) continue;
    // on the logarithm of the demand: S + shift = (liquid / demand)^power
    const variance = absorbers.reduce((sum, { figure, g }) => sum + figure.variance * (g / demandG) ** 2, 0);
    if (variance <= 0) continue;
    const noise = Math.hypot(CONSISTENCY.commonSd, CONSISTENCY.edgeSd, balance.mixturesSdG / demandG);
    const index = BANDS.indexOf(band);
    const below = BANDS[index - 1];
    const from =
      BAND_ENDS[band] === Infinity
        ? -Infinity
        : Math.log(liquidG / liquidOverDemand(consistency, BAND_ENDS[band]));
    const to = below ? Math.log(liquidG / liquidOverDemand(consistency, BAND_ENDS[below])) : Infinity;
    const middle = Math.log(demandG);
    const felt = truncatedNormal(middle, Math.hypot(Math.sqrt(variance), noise), from, to);
    const whole = variance + noise * noise;
    // of what was felt, so much is the powders' and the rest the day's
    const gain = variance / whole;
    const moved = gain * (felt.mean - middle);
    const left = Math.max(0, variance + gain * gain * (felt.variance - whole));
    for (const { figure, g } of absorbers) {
      const w = g / demandG;
      if (figure.value * w < LEAST_SHARE || figure.variance <= 0) continue;
      const covariance = figure.variance * w;
      const { value } = figure.before;
      figure.value = Math.min(
        value * MOST,
        Math.max(value / MOST, figure.value + (covariance / variance) * moved),
      );
      figure.variance = Math.max(
        0.04 * figure.before.sd ** 2,
        figure.variance - (covariance / variance) ** 2 * (variance - left),
      );
      figure.feels += 1;
    }
  }
  return [...now]
    .filter(([, { feels }]) => feels > 0)
    .map(([ingredientId, { before, value, variance, feels }]) => ({
      ingredientId,
      before,
      after: { value, sd: Math.sqrt(variance) },
      feels,
    }))
    .sort(
      (a, b) =>
        Math.abs(b.after.value - b.before.value) / b.before.sd -
        Math.abs(a.after.value - a.before.value) / a.before.sd,
    );
}
