import {
  actualTotals,
  lossPercent,
  lotsOf,
  SCORE_NAMES,
  stepTimes,
  type BakeRecord,
  type BakeState,
} from '../bake';
import { yeastDose } from '../formula/yeast';
import { actualStages } from '../bake/actualSheet';
import { coreOutC, cutCrumb } from '../bake/cameOut';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { HEATS } from '../run/stepTimes';
import { pooled } from '../tasting/pooled';
import { QUESTION_IDS, type QuestionId } from '../tasting/questions';

/** How a bake was made: figures that may go with how it came out. */
export const MADE = [
  'hydrationPercent', 'saltPercent', 'binderPercent', 'yeastPercent', 'pieceDoughG', 'roomC', 'doughC', 'riseMin', 'heatMin', 'heatC', 'coolMin',
] as const; // prettier-ignore
export type Made = (typeof MADE)[number];
/** How it came out, by instruments and by the eye of a camera. */
export const CAME = ['coreC', 'lostPercent', 'porosityPercent', 'holes', 'tunnelPercent', 'denseLinePercent', 'heightToWidth'] as const; // prettier-ignore
type Came = (typeof CAME)[number];

export interface BakeFigures {
  readonly made: Readonly<Record<Made, number | null>>;
  readonly came: Readonly<Record<Came, number | null>>;
  readonly scores: Readonly<Record<(typeof SCORE_NAMES)[number], number | null>>;
  /** Means of all tasters on the day. */
  readonly tasted: Readonly<Partial<Record<QuestionId, number>>>;
  readonly tasters: number;
  /** By ingredient which bag of it went in, by its id. */
  readonly lots: ReadonlyMap<string, string>;
}

/** All figures of a bake: as it was really made, by the flour base; null: nobody said, or there is none. */
export function bakeFigures(bake: BakeRecord, state: BakeState, book: IngredientBook): BakeFigures {
  const { sheet } = bake;
  const totals = actualTotals(sheet, state, book);
  const formula = { stages: actualStages(sheet, state), steps: sheet.steps, percentBase: sheet.percentBase };
  const times = stepTimes(bake, state);
  const took = (is: (kind: string) => boolean) => {
    const all = times.filter(({ step }) => is(step.kind)).reduce((sum, { tookS }) => sum + tookS, 0);
    return all > 0 ? all / 60 : null;
  };
  const read = (of: string) => state.readings.findLast((reading) => reading.of === of)?.tempC ?? null;
  const heat = sheet.steps.findLast(({ kind, tempC }) => HEATS.has(kind) && tempC !== null);
  const crumb = cutCrumb(state);
  const tasted = pooled(state.tastings.values(), { occasion: 'fresh' });
  const { outcome } = state;
  return {
    made: {
      hydrationPercent: totals.hydrationAll,
      saltPercent: totals.saltPercent,
      binderPercent: totals.binderPercent,
      yeastPercent: yeastDose(formula, book, totals.floursG)?.freshPercent ?? null,
      pieceDoughG: sheet.pieces.doughG,
      roomC: read('room'),
      doughC: read('dough'),
      riseMin: took((kind) => kind === 'bulk' || kind === 'proof'),
      heatMin: took((kind) => HEATS.has(kind as never)),
      heatC: heat ? (state.anew.get(heat.id)?.tempC ?? heat.tempC) : null,
      coolMin: took((kind) => kind === 'cool'),
    },
    came: {
      coreC: coreOutC(state),
      lostPercent: outcome && lossPercent(outcome),
      porosityPercent: crumb?.porosityPercent ?? null,
      holes: crumb?.holes ?? null,
      tunnelPercent: crumb?.tunnelPercent ?? null,
      denseLinePercent: crumb?.denseLinePercent ?? null,
      heightToWidth: crumb?.heightToWidth ?? null,
    },
    scores: outcome?.scores ?? { crumb: null, crust: null, chew: null, flavour: null },
    tasted: Object.fromEntries(QUESTION_IDS.flatMap((id) => (tasted.has(id) ? [[id, tasted.get(id)!.mean]] : []))),
    tasters: [...state.tastings.values()].filter(({ occasion }) => occasion === 'fresh').length,
    lots: lotsOf(sheet, state),
  };
} // prettier-ignore
