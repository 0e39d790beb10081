import { allergenStatement, type AllergenStatement } from '../cautions/allergenStatement';
import { type Caution } from '../cautions/cautions';
import type { Feel } from '../consistency/consistency';
import { waterState } from '../consistency/waterBalance';
import {
  waterTemperatureFor,
  type MixingDay,
  type WaterTemperature,
} from '../doughTemperature/waterTemperature';
import type { Formula } from '../formula/formula';
import type { Nutrition } from '../formula/nutrition';
import type { YeastDose } from '../formula/yeast';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Notice } from '../notices/notice';
import { formulaAnswers } from '../notices/formulaAnswers';
import type { Problem } from '../result';
import { doughBody, type DoughBody } from '../vessel/vessel';
import { ORDINARY_OVENS } from '../heat/oven';
import { ORDINARY_KITCHEN, type RunKitchen } from '../run/ordinaryKitchen';
import { predictRun, type RunPrediction } from './predictRun';

const PREDICTION_FORMAT = 'honest-crumb.prediction';
/** 3: preheating with its range, what is eaten warm, spots. */
const PREDICTION_VERSION = 3;

/** The day, and what it is baked in. */
export interface PredictionDay extends MixingDay {
  readonly oven: 'static' | 'fan' | 'deck';
  /** How much hotter than its dial that oven is, °C. */
  readonly ovenOffsetC: number;
}

/** An ordinary kitchen, where nothing is said about the day. */
export const ORDINARY_DAY: PredictionDay = {
  roomC: 21,
  fridgeC: 5,
  wantedC: 26,
  bowlG: 800,
  mixing: 'machine',
  mixMin: 6,
  altitudeM: 0,
  tapC: 12,
  oven: 'static',
  ovenOffsetC: 0,
};

/** The same day for fermentation and heat. */
const kitchenOf = (day: PredictionDay): RunKitchen => ({
  ...ORDINARY_KITCHEN,
  oven: { ...ORDINARY_OVENS[day.oven], offsetC: day.ovenOffsetC },
  roomC: day.roomC,
  fridgeC: day.fridgeC ?? ORDINARY_KITCHEN.fridgeC,
  altitudeM: day.altitudeM,
  doughC: day.wantedC,
});

/** Everything the core can say of a formula, as plain data; later models add to it. Units stand in the names. */
export interface Prediction {
  readonly format: typeof PREDICTION_FORMAT;
  readonly version: typeof PREDICTION_VERSION;
  readonly name: string;
  readonly baseG: number;
  readonly doughG: number;
  readonly hydration: { readonly allPercent: number | null; readonly pouredPercent: number | null };
  readonly saltPercent: number | null;
  readonly binders: readonly {
    readonly ingredientId: string;
    readonly massG: number;
    readonly percent: number | null;
  }[];
  readonly yeast: YeastDose | null;
  readonly water: {
    readonly from: readonly {
      readonly ingredientId: string;
      readonly waterG: number;
      readonly poured: boolean;
    }[];
    readonly to: readonly {
      readonly ingredientId: string;
      readonly demandG: number;
      readonly nowG: number;
      readonly restedG: number;
    }[];
    readonly freeNowG: number;
    readonly freeRestedG: number;
    readonly shortG: number;
    readonly mixMin: number;
    readonly restMin: number;
  } | null;
  readonly consistency: {
    readonly now: Feel;
    readonly rested: Feel;
    readonly holds: number;
    readonly clings: number;
  } | null;
  readonly body: DoughBody;
  readonly nutrition: Nutrition;
  readonly waterTemperature: WaterTemperature | { readonly problem: Problem };
  readonly run: RunPrediction | { readonly problem: Problem };
  readonly yields: {
    readonly pieces: number;
    readonly pieceDoughG: number;
    readonly pieceBakedG: number;
    readonly remainderG: number;
  };
  readonly notices: readonly Notice[];
  readonly cautions: readonly Caution[];
  readonly allergens: AllergenStatement;
  readonly unknownLineIds: readonly string[];
}

/**
 * Runs every model there is over one formula. Never refuses: what cannot be said is null or carries its problem.
 * @param day the kitchen on the day, {@link ORDINARY_DAY} where nothing is known
 */
export function predict(
  formula: Formula,
  book: IngredientBook,
  day: PredictionDay = ORDINARY_DAY,
): Prediction {
  const { totals, consistency, nutrition, yeast, notices, cautions } = formulaAnswers(formula, book);
  const temperature = waterTemperatureFor(formula, book, day);
  const now = consistency && waterState(consistency.balance, 0);
  const rested = consistency && waterState(consistency.balance, consistency.balance.restMin);
  const { pieces, pieceMassG, bakeLossPercent, bowlLossPercent } = formula.usualYield;
  const usableG = totals.doughG * (1 - bowlLossPercent / 100);
  return {
    format: PREDICTION_FORMAT,
    version: PREDICTION_VERSION,
    name: formula.name,
    baseG: totals.baseG,
    doughG: totals.doughG,
    hydration: { allPercent: totals.hydrationAll, pouredPercent: totals.hydrationPoured },
    saltPercent: totals.saltPercent,
    binders: totals.binders,
    yeast,
    water:
      consistency && now && rested
        ? {
            from: totals.waterSources.map(({ ingredientId, waterG, poured }) => ({
              ingredientId,
              waterG,
              poured,
            })),
            to: consistency.balance.demands.map(({ ingredientId, demandG }, index) => ({
              ingredientId,
              demandG,
              nowG: now.heldG[index] ?? 0,
              restedG: rested.heldG[index] ?? 0,
            })),
            freeNowG: now.freeG,
            freeRestedG: rested.freeG,
            shortG: rested.shortG,
            mixMin: consistency.balance.mixMin,
            restMin: consistency.balance.restMin,
          }
        : null,
    consistency: consistency && {
      now: consistency.now,
      rested: consistency.rested,
      holds: consistency.holds,
      clings: consistency.clings,
    },
    body: doughBody(formula, book, totals, consistency),
    nutrition,
    waterTemperature: temperature.ok ? temperature.value : { problem: temperature.problem },
    run: predictRun(formula, book, totals, consistency, kitchenOf(day)),
    yields: {
      pieces: Math.min(pieces, Math.floor(usableG / pieceMassG + 1e-6)),
      pieceDoughG: pieceMassG,
      pieceBakedG: pieceMassG * (1 - bakeLossPercent / 100),
      remainderG: usableG - Math.min(pieces, Math.floor(usableG / pieceMassG + 1e-6)) * pieceMassG,
    },
    notices,
    cautions,
    allergens: allergenStatement(formula, book),
    unknownLineIds: totals.unknownLineIds,
  };
}
