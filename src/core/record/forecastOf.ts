import type { BatchSheet } from '../batch/batchSheet';
import type { Formula } from '../formula/formula';
import { finish } from '../heat/forecast';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { doughAnswers } from '../notices/doughAnswers';
import type { MaybeRange, Range } from '../numeric/range';
import { forecastRun } from '../run/forecastRun';
import { formOf } from '../slice/learnSlice';
import type { RunKitchen } from '../run/ordinaryKitchen';
import { runOf } from '../run/runOf';
import { asPlanned } from './asPlanned';
import type { Forecast } from './forecastSchema';

export interface ForecastQuestion {
  readonly sheet: BatchSheet;
  /** The revision it was planned from; of several breads the first. */
  readonly formula: Formula;
  readonly book: IngredientBook;
  readonly kitchen: RunKitchen;
}

const POINTS = 60;
const ranged = ({ value, low, high }: Range): Range => ({ value, low, high });
const maybe = ({ value, low, high }: MaybeRange, fromS = 0) => {
  const less = (s: number | null) => (s === null || !Number.isFinite(s) ? null : s - fromS);
  return { value: less(value), low: less(low), high: less(high) };
};

/**
 * What the models say of a bake as it is planned: of its pieces, by its bags. One to three seconds.
 *
 * @returns null where it has no rise that could be computed; without `heat` where nothing is baked, or a limit is passed
 */
export function forecastOf({ sheet, formula, book: larder, kitchen }: ForecastQuestion, madeAtMs: number): Forecast | null {
  const { formula: made, book } = asPlanned(sheet, formula, larder);
  const { totals, consistency } = doughAnswers(made, book);
  const run = runOf(made, book, totals, consistency, kitchen);
  if (!run.ok || !consistency) return null;
  const forecast = finish(forecastRun(run.value, consistency));
  if (!forecast.ok) return null;
  const { rise, bake, slice } = forecast.value;
  const every = Math.max(1, Math.ceil(rise.atS.length / POINTS));
  const thin = (all: readonly number[], places: number) => all.filter((_, index) => index % every === 0).map((each) => Number(each.toFixed(places)));
  const endS = run.value.rise.stays.reduce((sum, { durationS }) => sum + durationS, 0);
  const at = rise.atS.findLastIndex((tS) => tS <= endS + 1);
  return {
    madeAtMs,
    roomC: kitchen.roomC,
    doughC: run.value.rise.doughC,
    feel: ranged({ value: consistency.rested.s, low: consistency.rested.low, high: consistency.rested.high }),
    rise: { atS: thin(rise.atS, 0), volume: thin(rise.volume, 3), low: thin(rise.low, 3), high: thin(rise.high, 3) },
    grown: { value: rise.volume[at] ?? 1, low: rise.low[at] ?? 1, high: rise.high[at] ?? 1 },
    readyS: maybe(rise.wantedAtS),
    heat: bake && {
      setS: maybe(bake.set),
      coreC: ranged(bake.coreAtEndC),
      lost: ranged(bake.lost),
      coolS: maybe(bake.cut, bake.endS),
      brownTop: ranged(bake.brownTop),
      brownBase: ranged(bake.brownBase),
      heightToWidth: slice && formOf(slice),
    },
  };
} // prettier-ignore
