import type { Ingredient } from '../ingredients/ingredient';
import { MEASURE_SYSTEMS } from './measures';
import { fillingOf, type OwnMeasure } from './ownMeasures';
import { parseQuantity } from './parseQuantity';

interface Filling {
  readonly g: number;
  /** Eight of ten. */
  readonly lowG: number;
  readonly highG: number;
}

/** What weighing a measure full has taught of it. */
export interface MeasureLearnt {
  readonly measure: string;
  /** What it was filled with; null: water, for any. */
  readonly ingredientId: string | null;
  /** By the books, whichever country's cup it is; null: no book knows how large a mug is. */
  readonly before: Filling | null;
  readonly now: Filling;
  readonly weighings: number;
}

/**
 * A kitchen's own measure before it was weighed and after.
 *
 * @param of what it was filled with: the ingredient, or water where the measure is for any
 */
export function measureLearnt({ measure, ingredientId, weighedG }: OwnMeasure, of: Ingredient | null): MeasureLearnt {
  const { g, doubt } = fillingOf({ measure, ingredientId, weighedG });
  const books = of === null ? [] : MEASURE_SYSTEMS.flatMap((system) => {
    const one = parseQuantity(`1 ${measure}`, of, { system, bareUnitG: null, baseG: null });
    return one.ok ? [one.value] : [];
  });
  const before = {
    g: books.reduce((sum, { massG }) => sum + massG, 0) / books.length,
    lowG: Math.min(...books.map((book) => book.lowG)),
    highG: Math.max(...books.map((book) => book.highG)),
  };
  return {
    measure,
    ingredientId,
    before: books.length > 0 ? before : null,
    now: { g, lowG: g * (1 - doubt), highG: g * (1 + doubt) },
    weighings: weighedG.length,
  };
} // prettier-ignore
