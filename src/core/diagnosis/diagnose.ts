import { normalDraws } from '../numeric/draws';
import { endsAt, type Axes } from './axes';
import { CAUSE_IDS, type CauseId, type Explanation } from '../advice/ids';
import { CAUSES, DAY, HANDS, OTHER_WEIGHT } from './causes';
import { FACTORS, type Departure, type Factor } from './factors';
import { expectedOf, isMade, kindOf, type Hand, type SignId } from './signs';

/** One thing that was seen, measured, tasted or written down. Scores 1 … 5; the scales of others are those of {@link expectedOf}. */
export interface Seen {
  readonly sign: SignId;
  readonly value: number;
  /** How many tasters it is the mean of; 1 if nothing is said. */
  readonly count?: number;
}

/** What is known besides what was seen. */
export interface Circumstances {
  /** Causes that cannot be: there is no plate, no salt, nothing that was told. */
  readonly out: ReadonlySet<CauseId>;
  /** How much likelier a cause is than usual, for what the kitchen knows: another bag than before, yeast past its date. */
  readonly times: Readonly<Partial<Record<CauseId, number>>>;
  /** How often each was confirmed in this kitchen before. */
  readonly confirmed: Readonly<Partial<Record<CauseId, number>>>;
  /** What earlier bakes of this formula showed over what the models say, sign by sign, of those that were as they should be. */
  readonly earlier: ReadonlyMap<SignId, readonly number[]>;
}
export const NOTHING_KNOWN: Circumstances = { out: new Set(), times: {}, confirmed: {}, earlier: new Map() };

export interface Likely {
  readonly cause: Explanation;
  readonly probability: number;
  /** Before anything was seen of this bake. */
  readonly prior: number;
  /** Signs that speak for it most against all as written, strongest first: ln of how much likelier they are with it. */
  readonly because: readonly { readonly sign: SignId; readonly weight: number }[];
}

export interface Drawn {
  readonly cause: CauseId;
  readonly x: Departure;
  readonly hand: Hand;
  /** Of all draws of all causes; sums to the probability of what is not something else. */
  readonly weight: number;
}

export interface Diagnosis {
  readonly likely: readonly Likely[];
  /** Too little was seen, or what was seen fits everything: no cause is to be believed. */
  readonly enough: boolean;
  /** What the draws of all causes say together, for asking what comes next. */
  readonly draws: readonly Drawn[];
}

const DRAWS = 360;
const SIZE = FACTORS.length;
const NORMAL = normalDraws(DRAWS, FACTORS.length + 3, 31_007);
/** Models, and eyes, are surer of themselves than they should be: all that is seen counts as so much of itself. Found by `./crumb soak diagnosis`. */
const TEMPER = 0.75;
/** Less than so many nats learnt is nothing learnt. */
const LEAST_LEARNT = 0.35;

/** The departures a cause is drawn with: its own, and what every day has. */
function drawOf(cause: CauseId, z: readonly number[]): { x: Departure; hand: Hand } {
  const x: Partial<Record<Factor, number>> = {};
  FACTORS.forEach((factor, index) => {
    const sd = DAY[factor];
    if (sd) x[factor] = sd * z[index]!;
  });
  const { by, middle, sd, either } = CAUSES[cause];
  const way = either && z[SIZE + 2]! > 0 ? -1 : 1;
  const own = way * (middle + sd * z[SIZE]!);
  const hand = { cut: HANDS.cut * z[SIZE + 1]!, air: Math.max(0, HANDS.air * z[SIZE + 2]!) };
  if (by === 'cut') return { x, hand: { ...hand, cut: own } };
  if (by === 'air') return { x, hand: { ...hand, air: own } };
  if (by) x[by] = own + (x[by] ?? 0);
  return { x, hand };
}

const lnNormal = (miss: number, sd: number) => -0.5 * (miss / sd) ** 2 - Math.log(sd) - 0.919;

/** What this kitchen's way of seeing a sign is off, and how well that is known: normal prior and normal looks. */
export function biasOf(sign: SignId, earlier: Circumstances['earlier']): { readonly at: number; readonly sd: number } {
  const { bias, noise } = kindOf(sign);
  const residuals = earlier.get(sign) ?? [];
  if (bias === 0 || residuals.length === 0) return { at: 0, sd: bias };
  // one day's bread differs from another's besides
  const each = noise ** 2 + (0.6 * bias) ** 2;
  const precision = bias ** -2 + residuals.length / each;
  const sum = residuals.reduce((all, one) => all + one, 0);
  return { at: sum / each / precision, sd: precision ** -0.5 };
} // prettier-ignore

/** ln of how likely a sign is, given what is expected of it. */
function lnSeen({ sign, value, count = 1 }: Seen, expected: number, bias: ReturnType<typeof biasOf>): number {
  const { noise, slip } = kindOf(sign);
  const sd = Math.hypot(noise / Math.sqrt(count), bias.sd);
  const plain = lnNormal(value - expected - bias.at, sd);
  // what was ticked though it was not done is written down as it was meant; any other slip can be anything
  const wrong = isMade(sign) ? lnNormal(value, 1.5 * noise) : lnNormal(value - expected, 4 * sd);
  return Math.log((1 - slip) * Math.exp(plain) + slip * Math.exp(wrong) + 1e-12);
}

const lnSum = (all: readonly number[]): number => {
  const most = Math.max(...all);
  return most + Math.log(all.reduce((sum, each) => sum + Math.exp(each - most), 0));
};

interface Judged {
  readonly ln: number;
  /** By sign, at the mean over the draws weighed by how well they fit. */
  readonly bySign: readonly number[];
  readonly draws: readonly { readonly x: Departure; readonly hand: Hand; readonly ln: number }[];
}

function judged(cause: CauseId, axes: Axes, seen: readonly Seen[], biases: readonly ReturnType<typeof biasOf>[]): Judged {
  const draws = NORMAL.map((z) => {
    const { x, hand } = drawOf(cause, z);
    const ends = endsAt(axes, x);
    const each = seen.map((one, index) => {
      const expected = expectedOf(one.sign, axes.written, ends, x, hand);
      return expected === null ? 0 : TEMPER * lnSeen(one, expected, biases[index]!);
    });
    return { x, hand, each, ln: each.reduce((sum, one) => sum + one, 0) };
  });
  const all = lnSum(draws.map(({ ln }) => ln));
  const bySign = seen.map((_, index) => draws.reduce((sum, { each, ln }) => sum + Math.exp(ln - all) * each[index]!, 0));
  return { ln: all - Math.log(DRAWS), bySign, draws };
} // prettier-ignore

/** Causes no model knows: each sign may be anywhere. */
const lnOther = (seen: readonly Seen[], axes: Axes, biases: readonly ReturnType<typeof biasOf>[]): number =>
  seen.reduce((sum, { sign, value }, index) => {
    const expected = expectedOf(sign, axes.written, axes.written, {}, { cut: 0 });
    if (expected === null) return sum;
    const { noise } = kindOf(sign);
    return sum + TEMPER * lnNormal(value - expected - biases[index]!.at, isMade(sign) ? 2 * noise : Math.hypot(2.2 * noise, biases[index]!.sd));
  }, 0); // prettier-ignore

/**
 * What most likely explains a bake: for each cause the chance of all that was seen, over 360 draws of its size and of what every day has, by the
 * models of water, rise, heat and slice (through {@link Axes}); and by Bayes what each is worth. One hidden cause at a time.
 *
 * Checked by `./crumb soak diagnosis` on made-up bakes whose truth comes from other figures (docs/models.md).
 *
 * @param seen nothing seen gives back what was believed before, and `enough` is false
 */
export function diagnose(axes: Axes, seen: readonly Seen[], known: Circumstances = NOTHING_KNOWN): Diagnosis {
  const causes = CAUSE_IDS.filter((cause) => !known.out.has(cause));
  const biases = seen.map(({ sign }) => biasOf(sign, known.earlier));
  const weightOf = (cause: CauseId) => (CAUSES[cause].weight + 4 * (known.confirmed[cause] ?? 0)) * (known.times[cause] ?? 1);
  const total = causes.reduce((sum, cause) => sum + weightOf(cause), OTHER_WEIGHT);
  const all = causes.map((cause) => ({ cause, prior: weightOf(cause) / total, ...judged(cause, axes, seen, biases) }));
  const other = { prior: OTHER_WEIGHT / total, ln: lnOther(seen, axes, biases) };
  const evidence = lnSum([...all, other].map(({ prior, ln }) => Math.log(prior) + ln));
  const written = all.find(({ cause }) => cause === 'asWritten')!;
  const likely: Likely[] = [
    ...all.map(({ cause, prior, ln, bySign }) => ({
      cause,
      prior,
      probability: prior * Math.exp(ln - evidence),
      because: bySign
        .map((each, index) => ({ sign: seen[index]!.sign, weight: each - written.bySign[index]! }))
        .filter(({ weight }) => weight > 0.2)
        .sort((a, b) => b.weight - a.weight),
    })),
    { cause: 'somethingElse' as const, prior: other.prior, probability: other.prior * Math.exp(other.ln - evidence), because: [] },
  ].sort((a, b) => b.probability - a.probability);
  const learnt = likely.reduce((sum, { probability: p, prior }) => sum + (p > 1e-9 ? p * Math.log(p / prior) : 0), 0);
  return {
    likely,
    enough: learnt >= LEAST_LEARNT && likely[0]!.cause !== 'somethingElse',
    draws: all.flatMap(({ cause, prior, draws }) =>
      draws.map(({ x, hand, ln }) => ({ cause, x, hand, weight: prior * Math.exp(ln - Math.log(DRAWS) - evidence) })),
    ),
  };
} // prettier-ignore
