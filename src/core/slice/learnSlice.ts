import { Z80 } from '../numeric';
import type { CrumbFigures } from '../photo/photoSchema';
import type { SliceFigures } from './slice';
import { byForm, evennessRead, EVENNESS_READ, lineRead, poreSpread } from './reading';

/**
 * How slices of a formula come out against how they are drawn, as pictures of cuts have it: form, pores and seen as logarithms of a factor, evenness as a
 * difference on the picture's scale, the dense line in % of the height.
 */
export interface SliceLearnt {
  readonly form: number;
  readonly pores: number;
  readonly seen: number;
  readonly evenness: number;
  readonly denseLine: number;
}
type Of = keyof SliceLearnt;

/** How far the drawing may be off for good, and how far one day or one picture is off another: each one sd. Craft judgement. */
const SPREAD: Readonly<Record<Of, { readonly prior: number; readonly day: number }>> = {
  form: { prior: 0.2, day: 0.1 },
  pores: { prior: 0.5, day: 0.25 },
  seen: { prior: 0.4, day: 0.2 },
  evenness: { prior: 0.15, day: 0.1 },
  denseLine: { prior: 3, day: 3 },
};
/** Further off than this it was another bread, or another picture: it counts as so far. */
const MOST_SD = 2.5;

/** One bake's cut: as it was drawn, and as it was read. */
export interface SliceObservation {
  readonly expected: SliceFigures;
  readonly read: CrumbFigures;
}

export interface SliceLearning {
  readonly learnt: SliceLearnt;
  /** Eight of ten for height over width, as factors. */
  readonly form: { readonly value: number; readonly low: number; readonly high: number };
  readonly bakes: number;
  /**
   * How far height over width was off, as a share: as it was drawn, and as it would have been with what the other bakes taught. Null where there is only
   * one: nothing was foretold.
   */
  readonly missBefore: number | null;
  readonly miss: number | null;
}

const highMm = ({ heightMm, crown }: SliceFigures): number => heightMm * (1 + Math.max(0, crown));
/** Height over width of a drawn slice, its dome with it, as a picture's reader measures it. */
export const formOf = (slice: SliceFigures): number => highMm(slice) / slice.widthMm;

function offBy({ expected, read }: SliceObservation): SliceLearnt {
  const spread = poreSpread(expected.evenness);
  // half of all hole area lies in larger ones: of sizes that spread so, exp(1.5 s²) of the mean
  const middleMm = expected.poreMm * Math.exp(1.5 * spread * spread);
  const readMm = (Math.max(0.1, read.middleHolePercent) / 100) * formOf(expected) * expected.widthMm;
  return {
    form: Math.log(read.heightToWidth / formOf(expected)),
    pores: Math.log(readMm / middleMm),
    seen: Math.log(Math.max(0.02, read.porosityPercent / 100) / Math.max(0.02, expected.seen)),
    evenness: read.evenness - evennessRead(expected.evenness),
    denseLine: read.denseLinePercent - 100 * lineRead(expected.streak),
  };
}

/** Normal in both: the mean of what was seen, pulled to none by the prior; and its sd. */
function belief(of: Of, off: readonly SliceLearnt[]): { readonly mean: number; readonly sd: number } {
  const { prior, day } = SPREAD[of];
  const most = MOST_SD * Math.hypot(prior, day);
  const sum = off.reduce((all, each) => all + Math.min(most, Math.max(-most, each[of])), 0);
  const weight = 1 / prior ** 2 + off.length / day ** 2;
  return { mean: sum / day ** 2 / weight, sd: 1 / Math.sqrt(weight) };
}

const rms = (all: readonly number[]) =>
  Math.sqrt(all.reduce((sum, each) => sum + each * each, 0) / all.length);

/**
 * What pictures of cuts teach of a formula's slices, beyond what is known of its rise: a conjugate normal for each figure with the drawing as prior. One
 * picture moves it some way, many make it sure.
 *
 * @returns null without an observation
 */
export function learnSlice(observations: readonly SliceObservation[]): SliceLearning | null {
  if (observations.length === 0) return null;
  const off = observations.map(offBy);
  const mean = (of: Of) => belief(of, off).mean;
  const { mean: form, sd } = belief('form', off);
  const without = off.map((each, index) => each.form - belief('form', off.filter((_, at) => at !== index)).mean); // prettier-ignore
  const several = off.length > 1;
  return {
    learnt: { form, pores: mean('pores'), seen: mean('seen'), evenness: mean('evenness'), denseLine: mean('denseLine') },
    form: { value: Math.exp(form), low: Math.exp(form - Z80 * sd), high: Math.exp(form + Z80 * sd) },
    bakes: off.length,
    missBefore: several ? rms(off.map((each) => each.form)) : null,
    miss: several ? rms(without) : null,
  };
} // prettier-ignore

const between = (low: number, value: number, high: number) => Math.min(high, Math.max(low, value));

/** A slice as it is to be expected by what pictures taught. */
export function asLearnt(slice: SliceFigures, learnt: SliceLearnt | undefined): SliceFigures {
  if (!learnt) return slice;
  const [taller, wider] = byForm(slice.shape, Math.exp(learnt.form));
  return {
    ...slice,
    heightMm: slice.heightMm * taller,
    widthMm: slice.widthMm * wider,
    poreMm: slice.poreMm * Math.exp(learnt.pores),
    evenness: between(0.1, slice.evenness + learnt.evenness / EVENNESS_READ.times, 0.95),
    seen: between(0, slice.seen * Math.exp(learnt.seen), 0.7),
    streak: between(0, slice.streak + learnt.denseLine / 100, 0.3),
  };
}
