import { IN_FORCE } from './inForce';
import type { FigureName, Figures } from './priors';

export type { Figures };

/** The figures in force: fitted ones, and where nothing was fitted what was believed before. */
export const FIGURES: Figures = Object.fromEntries(
  Object.entries(IN_FORCE).map(([name, [value]]) => [name, value]),
) as Record<FigureName, number>;

/** How well a figure is known, one sd; relative where its prior is. */
export const knownTo = (name: FigureName): number => IN_FORCE[name][1];
