import type { MethodStep } from '../method/step';
import type { Look } from './bakeState';
import { doneC } from './readingAnswer';

/**
 * So much more of its time for each degree that its core is short: what the product's own heat model says of the last ten degrees of tin loaves,
 * hearth loaves, baguettes, rolls and fried balls (2.8 to 5.4 % a degree, `trialAnswer.test.ts`).
 */
export const TRIAL_PER_C = { least: 0.03, usual: 0.04, most: 0.055 } as const;
/** A core that is so much over cannot tell how long ago it was there: no more than this is taken off. */
const LEAST_SHARE = 0.85;
/** One step of colour: 15 °C of an oven brown as a fifth more time does, and take about 7 % off the time (the same model). Oil has less to give: craft. */
const COLOUR_STEP_C = { oven: 15, oil: 8 } as const;
const SHARE_OF_STEP = 0.07;
/** A longer bake browns as well: from here on it is its own step of colour. */
const BROWNS_FROM = 1.15;
const NEAR_C = 0.5;
/** The model was asked about the last degrees: what is further from done came out too soon to tell anything. */
export const TRIAL_FARTHEST_C = 15;

/** What the others get, after one was looked at. */
export interface TrialAnswer {
  readonly durationS: number;
  readonly leastS: number;
  readonly mostS: number;
  /** What the oven or the oil is set to from now on; null: as it is. */
  readonly tempC: number | null;
  /** How far its core is from done, °C, above 0: short; null: it was not measured. */
  readonly shortC: number | null;
}

const rounded = (s: number): number => {
  const step = s < 120 ? 5 : s < 600 ? 30 : 60;
  return Math.max(step, Math.round(s / step) * step);
};

/**
 * What the rest of a batch needs, by what one load or a trial piece of it was like; null: it was as it should be, or nothing was said.
 *
 * @param look what came out, and after how long
 * @param altitudeM for the core at which it is done where the method names none
 */
export function trialAnswer(look: Pick<Look, 'coreC' | 'colour' | 'tookS'>, step: Pick<MethodStep, 'kind' | 'cue' | 'tempC' | 'minS'>, altitudeM: number): TrialAnswer | null {
  const { coreC, colour } = look;
  const shortC = coreC === null ? null : doneC(step, altitudeM) - coreC;
  // nobody started its clock: it is taken to have been in as long as it was meant to
  const tookS = look.tookS > 0 ? look.tookS : (step.minS ?? 0);
  if (tookS <= 0 || (shortC !== null && shortC > TRIAL_FARTHEST_C)) return null;
  const isOff = shortC !== null && Math.abs(shortC) >= NEAR_C;
  if (!isOff && (colour === null || colour === 'right')) return null;
  const share = (perC: number): number => (isOff ? Math.max(LEAST_SHARE, 1 + perC * shortC) : 1);
  const usual = share(TRIAL_PER_C.usual);
  const stepC = step.kind === 'fry' ? COLOUR_STEP_C.oil : COLOUR_STEP_C.oven;
  // what it needs beside what the longer or shorter time does to its colour
  const steps =
    (colour === 'pale' ? (usual >= BROWNS_FROM ? 0 : 1) : 0) +
    (colour === 'dark' ? -1 : 0) +
    (colour === 'right' && usual >= BROWNS_FROM ? -1 : 0);
  const heat = step.tempC === null || step.kind === 'boil' ? 0 : steps;
  const times = (perC: number): number => tookS * share(perC) * (1 - SHARE_OF_STEP * heat);
  const [short, long] = [times(TRIAL_PER_C.least), times(TRIAL_PER_C.most)].sort((a, b) => a - b) as [number, number];
  return {
    durationS: rounded(times(TRIAL_PER_C.usual)),
    leastS: rounded(short),
    mostS: rounded(long),
    tempC: heat === 0 || step.tempC === null ? null : step.tempC + heat * stepC,
    shortC: isOff ? shortC : null,
  };
} // prettier-ignore
