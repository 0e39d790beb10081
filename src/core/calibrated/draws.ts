import { DRAWN } from './drawn';
import { FIGURES, type Figures } from '.';

/** So many sets of figures stand for how well the heat's are known together. */
export const FIGURE_DRAWS = 10;
const SETS: readonly Figures[] = Array.from({ length: FIGURE_DRAWS }, (_, draw) => ({
  ...FIGURES,
  ...Object.fromEntries(
    Object.entries(DRAWN).flatMap(([name, all]) => {
      const drawn = all[draw];
      return drawn === undefined ? [] : [[name, drawn] as const];
    }),
  ),
}));

/** The n-th set of the fitted figures as they might as well be, the same on every machine; those in force for null. */
export const figuresDrawn = (draw: number | null): Figures =>
  draw === null ? FIGURES : (SETS[draw % FIGURE_DRAWS] ?? FIGURES);
