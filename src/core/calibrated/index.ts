import { FITTED } from './fitted';
import { FIGURE_NAMES, PRIORS, type FigureName, type Figures } from './priors';

export { FIGURE_NAMES, PRIORS, type FigureName, type Figures } from './priors';

/** The figures in force: fitted ones, and where nothing was fitted what was believed before. */
export const FIGURES: Figures = Object.fromEntries(
  FIGURE_NAMES.map((name) => [name, FITTED[name]?.value ?? PRIORS[name].value]),
) as Record<FigureName, number>;

/** How well a figure is known, one sd; relative where its prior is. */
export const knownTo = (name: FigureName): number => FITTED[name]?.sd ?? PRIORS[name].sd;
