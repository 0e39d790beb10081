/** What a scale shows, as far as weighing asks. */
export interface ScaleShows {
  readonly valueG: number;
  readonly steady: boolean;
}

/** So many of its steps is the least it can be trusted to weigh by itself. */
const LEAST_STEPS = 10;
export const isTooCoarse = (toGoG: number, stepG: number): boolean => toGoG < LEAST_STEPS * stepG;

/** How far weighing by a scale is. */
export interface OnScale {
  /** What stood on it before what is being weighed; null: it has not stood still yet. */
  readonly beforeG: number | null;
  /** It has shown something else since: what stands there was put there for this. */
  readonly moved: boolean;
}

export const NOTHING_YET: OnScale = { beforeG: null, moved: false };

/** What counts as nothing on a scale, in its own steps: noise. */
const NOTHING_STEPS = 2;

/**
 * What a scale's figure means while something is weighed into whatever stands on it. It is never asked to be zeroed: what stood there when it
 * last stood still is taken off. Somebody who zeroes it all the same before anything is put on is understood; once something is, less than stood
 * there is shown as it is (the bowl was lifted), and begun anew only when somebody says so: nobody can tell a zero from a bowl that is gone.
 *
 * @param stepG what it shows in steps of, g
 */
export function heardScale(so: OnScale, { valueG, steady }: ScaleShows, stepG: number): OnScale {
  const nothingG = NOTHING_STEPS * stepG;
  if (so.beforeG === null) return steady ? { beforeG: valueG, moved: false } : so;
  const onG = valueG - so.beforeG;
  if (so.moved) return so;
  // less than stood there, before anything was put on: zeroed, or another bowl
  if (steady && onG < -nothingG) return { beforeG: valueG, moved: false };
  // never followed upwards, however little: what looks like a zero that wanders may be salt by the pinch
  return onG > nothingG ? { ...so, moved: true } : so;
}

/** What is on it of what is being weighed, g; null: it has not stood still yet. */
export const onItG = ({ beforeG }: OnScale, { valueG }: ScaleShows): number | null =>
  beforeG === null ? null : valueG - beforeG;

/**
 * Whether what was put on is what was meant, and stands still: then nobody has to press anything.
 *
 * @param toGoG how much is meant to go in now, g
 * @param toleranceG how far from it is no matter, g
 */
export function isWeighed(
  so: OnScale,
  shows: ScaleShows,
  { toGoG, toleranceG }: { readonly toGoG: number; readonly toleranceG: number },
): boolean {
  const on = onItG(so, shows);
  return on !== null && so.moved && shows.steady && Math.abs(on - toGoG) <= toleranceG;
}
