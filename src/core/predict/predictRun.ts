import type { Consistency } from '../consistency/consistency';
import { leavenKinds, type LeavenKind } from '../fermentation/leavening';
import type { RiseParameter } from '../fermentation/riseSimulation';
import type { MaybeRange, Range } from '../numeric/range';
import type { Formula } from '../formula/formula';
import type { FormulaTotals } from '../formula/totals';
import { colourOf, type Colour } from '../heat/colour';
import { finish, type HeatParameter } from '../heat/forecast';
import type { PreheatForecast } from '../heat/preheat';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Problem } from '../result';
import { forecastRun } from '../run/forecastRun';
import type { RunKitchen } from '../run/ordinaryKitchen';
import { runOf } from '../run/runOf';
import type { SliceFigures } from '../slice/slice';

/** Rise, bake, cool, preheat and slice of a formula, as `./crumb predict` prints them. Seconds; each curve at some 40 times. */
export interface RunPrediction {
  readonly steps: readonly {
    readonly kind: string;
    readonly startS: number;
    readonly endS: number;
    readonly timed: boolean;
  }[];
  readonly rise: {
    readonly leavening: readonly LeavenKind[];
    readonly atS: readonly number[];
    readonly volume: readonly number[];
    readonly low: readonly number[];
    readonly high: readonly number[];
    readonly doughC: readonly number[];
    readonly top: Range;
    readonly canHold: Range;
    readonly wanted: number;
    readonly wantedRise: Range;
    readonly wantedAtS: MaybeRange;
    readonly pastAtS: MaybeRange;
    readonly bakedVolume: number;
    readonly dominant: RiseParameter;
  };
  readonly bake:
    | {
        readonly endS: number;
        readonly setAtS: MaybeRange;
        readonly setChance: number;
        readonly lidOffAtS: MaybeRange;
        readonly coreAtEndC: Range;
        readonly lostShare: Range;
        readonly lostCooledShare: Range;
        readonly top: Range & { readonly colour: Colour };
        readonly base: Range & { readonly colour: Colour };
        readonly spots: Range & { readonly colour: Colour };
        readonly atS: readonly number[];
        readonly coreC: readonly number[];
        readonly ovenC: readonly number[];
        readonly boilingC: number;
        readonly dominant: HeatParameter;
      }
    | { readonly problem: Problem }
    | null;
  /** From the end of the bake until it may be cut, or eaten where it is eaten warm. */
  readonly cool: { readonly cutAfterS: MaybeRange; readonly eatenWarm: boolean } | null;
  readonly preheat: PreheatForecast | null;
  readonly slice: SliceFigures | null;
}

const POINTS = 40;
const thinned = (series: readonly number[], places: number): number[] => {
  const step = Math.max(1, (series.length - 1) / (POINTS - 1));
  const scale = 10 ** places;
  const count = Math.min(POINTS, series.length);
  return Array.from(
    { length: count },
    (_, index) => Math.round((series[Math.round(index * step)] ?? 0) * scale) / scale,
  );
};
const after = (time: MaybeRange, fromS: number): MaybeRange => {
  const less = (each: number | null) => (each === null ? null : each - fromS);
  return { ...time, value: less(time.value), low: less(time.low), high: less(time.high) };
};

/** Every model of time and heat over one formula in a kitchen; what cannot be said carries its problem. */
export function predictRun(
  formula: Formula,
  book: IngredientBook,
  totals: FormulaTotals,
  consistency: Consistency | null,
  kitchen: RunKitchen,
): RunPrediction | { readonly problem: Problem } {
  const run = runOf(formula, book, totals, consistency, kitchen);
  if (!run.ok) return { problem: run.problem };
  if (!consistency) return { problem: { code: 'noFlour', path: 'stages' } };
  const forecast = finish(forecastRun(run.value, consistency));
  if (!forecast.ok) return { problem: forecast.problem };
  const { rise, bake, bakeProblem, preheat, slice } = forecast.value;
  return {
    steps: run.value.steps.map(({ kind, startS, endS, timed }) => ({ kind, startS, endS, timed })),
    rise: {
      leavening: leavenKinds(run.value.rise.leavening),
      atS: thinned(rise.atS, 0),
      volume: thinned(rise.volume, 3),
      low: thinned(rise.low, 3),
      high: thinned(rise.high, 3),
      doughC: thinned(rise.doughC, 1),
      top: rise.top,
      canHold: rise.canHold,
      wanted: rise.wanted,
      wantedRise: rise.wantedRise,
      wantedAtS: rise.wantedAtS,
      pastAtS: rise.pastAtS,
      bakedVolume: forecast.value.bakedVolume,
      dominant: rise.dominant,
    },
    bake: bakeProblem
      ? { problem: bakeProblem }
      : bake && {
          endS: bake.endS,
          setAtS: bake.set,
          setChance: bake.setChance,
          lidOffAtS: bake.holds,
          coreAtEndC: bake.coreAtEndC,
          lostShare: bake.lost,
          lostCooledShare: bake.lostCooled,
          top: { ...bake.brownTop, colour: colourOf(bake.brownTop.value) },
          base: { ...bake.brownBase, colour: colourOf(bake.brownBase.value) },
          spots: { ...bake.spots, colour: colourOf(bake.spots.value) },
          atS: thinned(bake.simulation.atS, 0),
          coreC: thinned(bake.simulation.coreC, 1),
          ovenC: thinned(bake.simulation.ovenC, 1),
          boilingC: bake.simulation.boilsC,
          dominant: bake.dominant,
        },
    cool: bake && { cutAfterS: after(bake.cut, bake.endS), eatenWarm: bake.eatenWarm },
    preheat,
    slice,
  };
}
