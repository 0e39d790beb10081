import { FITTED } from './fitted';
import { FIGURE_NAMES, PRIORS, type FigureName, type Figures } from './priors';

export { FIGURE_NAMES, PRIORS, type FigureName, type Figures } from './priors';

/** The figures in force: fitted ones, and where nothing was fitted what was believed before. */
export const FIGURES: Figures = Object.fromEntries(
  FIGURE_NAMES.map((name) => [name, FITTED[name]?.value ?? PRIORS[name].value]),
) as Record<FigureName, number>;

/** So many sets of figures stand for how well the heat's are known together. */
export const FIGURE_DRAWS = 10;
const DRAWN: readonly Figures[] = Array.from({ length: FIGURE_DRAWS }, (_, draw) => ({
  ...FIGURES,
  ...Object.fromEntries(
    FIGURE_NAMES.flatMap((name) => {
      const drawn = FITTED[name]?.drawn?.[draw];
      return drawn === undefined ? [] : [[name, drawn] as const];
    }),
  ),
}));

/** The n-th set of the fitted figures as they might as well be, the same on every machine; those in force for null. */
export const figuresDrawn = (draw: number | null): Figures =>
  draw === null ? FIGURES : (DRAWN[draw % FIGURE_DRAWS] ?? FIGURES);

/** How well a figure is known, one sd; relative where its prior is. */
export const knownTo = (name: FigureName): number => FITTED[name]?.sd ?? PRIORS[name].sd;
