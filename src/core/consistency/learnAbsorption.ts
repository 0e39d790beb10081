import type { Estimate } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { truncatedNormal } from '../numeric/truncated';
import { liquidOverDemand, looseningG, type Consistency } from './consistency';
import { BANDS, BAND_ENDS, CONSISTENCY, type Band } from './parameters';
import { takenShare, type Bag, type WaterBalance } from './waterBalance';

/** How a dough felt to the hand, so many minutes after mixing, beside what the model makes of that very dough. */
export interface FeltObservation {
  readonly consistency: Pick<Consistency, 'balance' | 'shift' | 'power'>;
  readonly standMin: number;
  readonly band: Band;
  /** Which bag of an ingredient was in it, by the ingredient; those it does not name are not told apart. */
  readonly lots?: ReadonlyMap<string, string>;
}

export interface AbsorptionLearnt {
  readonly ingredientId: string;
  /** The bag it was learnt of; null: bags are not told apart. */
  readonly lotId: string | null;
  /** absorption: water it absorbs, g per g. whole: of a bought mixture what it absorbs as a whole against what its parts would. */
  readonly of: 'absorption' | 'whole';
  /** Before and after; the sd of either. */
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
 * A feel of a day cannot be surer than days are alike (`commonSd`); what is common to a day is no property of a flour. A bought
 * mixture learns as a whole. Feels are given oldest first: a new lot begins as the last one ended, with the doubt of another lot.
 * @param book the one the observations were computed with: its absorptions are what is believed before any feel
 * @returns powders of which something was learnt, those that moved most first; none without feels
 */
export function learnAbsorption(
  observations: readonly FeltObservation[],
  book: IngredientBook,
): AbsorptionLearnt[] {
  const now = new Map<string, Learning>();
  for (const { consistency, standMin, band, lots } of observations) {
    const { balance } = consistency;
    const liquidG = looseningG(balance);
    const absorbers = absorbersOf(balance, standMin)
      .map(({ ingredientId, bag, partsCv, g }) => {
        let learning = now.get(ingredientId);
        if (!learning) now.set(ingredientId, (learning = newLearning(ingredientId, bag, partsCv, book)));
        const figure = figureOf(learning, lots?.get(ingredientId) ?? null);
        return { figure, g: figure.before.value > 0 ? g / figure.before.value : 0 };
      })
      .filter(({ figure, g }) => g > 0 && figure.before.value > 0);
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
    const noise = Math.hypot(CONSISTENCY.commonSd, CONSISTENCY.edgeSd);
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
  return told(now);
}

/** What is believed of one figure of one bag. */
interface Figure {
  readonly before: Estimate;
  value: number;
  variance: number;
  feels: number;
}
/** Of one ingredient: what was believed before any feel, what of each of its bags since, and of which last. */
interface Learning {
  readonly before: Estimate;
  readonly of: AbsorptionLearnt['of'];
  readonly lots: Map<string | null, Figure>;
  last: Figure | null;
}

function newLearning(ingredientId: string, bag: Bag | null, partsCv: number, book: IngredientBook): Learning {
  const before = bag
    ? {
        value: bag.absorbs.value,
        sd: Math.hypot(bag.absorbs.sd, bag.known ? 0 : partsCv * bag.absorbs.value),
      }
    : (book.get(ingredientId)?.absorption?.gPerG ?? { value: 0, sd: 0 });
  return { before, of: bag ? 'whole' : 'absorption', lots: new Map(), last: null };
}

/** What is believed of one lot; a new one is like the one before it, as far as lots are alike. */
function figureOf(learning: Learning, lotId: string | null): Figure {
  const { before, lots, last } = learning;
  let figure = lots.get(lotId);
  if (!figure) {
    const variance = last
      ? Math.min(before.sd ** 2, last.variance + (CONSISTENCY.lotCv * before.value) ** 2)
      : before.sd ** 2;
    figure = { before, value: last?.value ?? before.value, variance, feels: 0 };
    lots.set(lotId, figure);
  }
  learning.last = figure;
  return figure;
}

/** What has been learnt of each lot, those that moved most first. */
function told(now: ReadonlyMap<string, Learning>): AbsorptionLearnt[] {
  return [...now]
    .flatMap(([ingredientId, { before, of, lots }]) =>
      [...lots]
        .filter(([, { feels }]) => feels > 0)
        .map(([lotId, { value, variance, feels }]): AbsorptionLearnt => ({
          ingredientId,
          lotId,
          of,
          before,
          after: { value, sd: Math.sqrt(variance) },
          feels,
        })),
    )
    .sort(
      (a, b) =>
        Math.abs(b.after.value - b.before.value) / b.before.sd -
        Math.abs(a.after.value - a.before.value) / a.before.sd,
    );
}

interface Absorber {
  readonly ingredientId: string;
  readonly bag: Bag | null;
  /** Of a bag: how unsure its parts' own absorptions leave the whole, relative sd. */
  readonly partsCv: number;
  /** How the demand at that moment moves with its figure, g. */
  readonly g: number;
}

/** What asks for water, as a baker sees it: powders one by one, a bought mixture as one. */
function absorbersOf(balance: WaterBalance, standMin: number): Absorber[] {
  const single: Absorber[] = [];
  const bags = new Map<string, { bag: Bag; g: number; demandG: number; variance: number }>();
  for (const demand of balance.demands) {
    if (demand.massG <= 0) continue;
    const g = demand.pullG * takenShare(demand, balance, standMin);
    const { bag } = demand;
    if (!bag) {
      // what a scald adds to a powder's wish grows with it
      single.push({ ingredientId: demand.ingredientId, bag: null, partsCv: 0, g });
      continue;
    }
    const before = bags.get(bag.ingredientId) ?? { bag, g: 0, demandG: 0, variance: 0 };
    bags.set(bag.ingredientId, {
      bag,
      g: before.g + g,
      demandG: before.demandG + demand.demandG,
      variance: before.variance + demand.sdG ** 2,
    });
  }
  return [
    ...single,
    ...[...bags].map(([ingredientId, { bag, g, demandG, variance }]) => ({
      ingredientId,
      bag,
      partsCv: demandG > 0 ? Math.sqrt(variance) / demandG : 0,
      g,
    })),
  ];
}
