import type { ScaleRanges } from './scaleSchema';

export type { ScaleRanges };

/** A pocket scale for salt and yeast, a kitchen scale for the rest, a platform scale for sacks. */
export const ordinaryScales: ScaleRanges = [
  { upToG: 10, stepG: 0.1 },
  { upToG: 3000, stepG: 1 },
  { upToG: 1_000_000, stepG: 5 },
];

/** The step of the scale that a mass is weighed on, g. Beyond the last range the coarsest step holds. */
function scaleStepG(scales: ScaleRanges, massG: number): number {
  const range = scales.find(({ upToG }) => massG <= upToG) ?? scales.at(-1);
  if (!range) throw new Error('A kitchen has at least one scale');
  return range.stepG;
}

/**
 * A mass as that scale can show it: the nearest step, never zero (what is in the formula must be in the bowl, so
 * less than half a step is rounded up to a whole one, and the sheet says what that did).
 *
 * On a pocket scale 3.26 g is 3.3 g, on one of whole grams 0.3 g is 1 g.
 */
export function roundToScale(scales: ScaleRanges, massG: number): { massG: number; stepG: number } {
  const stepG = scaleStepG(scales, massG);
  const steps = Math.max(1, Math.round(massG / stepG));
  // stepG is 0.01, 0.1 or a multiple of 0.5: rounding at two places removes the binary dust of the product
  return { massG: Math.round(steps * stepG * 100) / 100, stepG };
}
