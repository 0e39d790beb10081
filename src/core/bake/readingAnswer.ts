import { boilingPointC } from '../doughTemperature/boilingPoint';
import { cardinal } from '../fermentation/gassing';
import { isRising } from '../method/risingSteps';
import type { MethodStep } from '../method/step';
import type { Reading } from './bakeState';

/** What a reading means while something can still be done about it. */
export type ReadingAnswer =
  /** As it should be; or nothing says how it should be. */
  | { readonly kind: 'fine' }
  /** Water that hurts yeast, or kills it. */
  | { readonly kind: 'hotWater'; readonly kills: boolean; readonly downToC: number }
  /** A dough that rises so many times as fast as it was meant to. */
  | { readonly kind: 'dough'; readonly byC: number; readonly rate: number }
  /** Oil, or an oven, so much hotter than it should be, or colder (below 0). */
  | { readonly kind: 'heat'; readonly of: 'oil' | 'oven'; readonly byC: number; readonly wantedC: number }
  /** Not baked through: so much is missing; when to look again, by how fast it has risen, or as is usual. */
  | { readonly kind: 'core'; readonly shortC: number; readonly targetC: number; readonly againS: number; readonly byRate: boolean }; // prettier-ignore

/** Yeast stirred straight into it: from here it suffers, from there it dies (craft: 35 to 43 wakes dry yeast). °C. */
const WATER_C = { hot: 46, kills: 55, downTo: 40 } as const;
/** Nearer than this is as it should be, °C. */
const NEAR_C = { dough: 1.5, oil: 6, oven: 12, core: 0.5 } as const;
/** A crumb is set so much below the boiling point: 97 °C at the sea (craft: 96 to 98). */
const BELOW_BOILING_C = 3;
/** Where one reading is all there is: so long for each degree that is missing, s, within bounds. */
const USUAL_S_PER_C = 45;
const AGAIN_S = { min: 120, max: 1800 } as const;
/** The nearer to boiling, the slower it rises. */
const SLOWS = 1.2;

/** The core at which a piece of this step is baked through, °C: as its method says, else a little below the boiling point of the place. */
export const doneC = ({ cue }: Pick<MethodStep, 'cue'>, altitudeM: number): number =>
  cue?.kind === 'core' ? cue.tempC : Math.round(boilingPointC(altitudeM) - BELOW_BOILING_C);

/**
 * What a thermometer's figure means for a step.
 *
 * @param earlier what was read before it in this bake
 * @param isMixed the dough is together: water that was too hot is past mending
 */
export function readingAnswer(reading: Reading, step: Pick<MethodStep, 'id' | 'tempC' | 'cue'>, earlier: readonly Reading[], { altitudeM, isMixed }: { readonly altitudeM: number; readonly isMixed: boolean }): ReadingAnswer {
  const { of, tempC, atMs } = reading;
  switch (of) {
    case 'water':
      return tempC >= WATER_C.hot && !isMixed ? { kind: 'hotWater', kills: tempC >= WATER_C.kills, downToC: WATER_C.downTo } : { kind: 'fine' };
    case 'dough': {
      const byC = step.tempC === null ? 0 : tempC - step.tempC;
      if (step.tempC === null || Math.abs(byC) < NEAR_C.dough || cardinal(step.tempC) <= 0) return { kind: 'fine' };
      return { kind: 'dough', byC, rate: cardinal(tempC) / cardinal(step.tempC) };
    }
    case 'oil':
    case 'oven': {
      const byC = step.tempC === null ? 0 : tempC - step.tempC;
      return step.tempC === null || Math.abs(byC) < NEAR_C[of] ? { kind: 'fine' } : { kind: 'heat', of, byC, wantedC: step.tempC };
    }
    case 'core': {
      const targetC = doneC(step, altitudeM);
      const shortC = targetC - tempC;
      if (shortC < NEAR_C.core) return { kind: 'fine' };
      const before = earlier.findLast((each) => each.of === 'core' && each.stepId === step.id && each.atMs < atMs);
      const perS = before ? (tempC - before.tempC) / ((atMs - before.atMs) / 1000) : 0;
      const byRate = perS > 0.1 / 60;
      const s = byRate ? (SLOWS * shortC) / perS : USUAL_S_PER_C * shortC;
      return { kind: 'core', shortC, targetC, againS: Math.round(Math.min(AGAIN_S.max, Math.max(AGAIN_S.min, s)) / 60) * 60, byRate };
    }
    case 'room':
      return { kind: 'fine' };
  }
} // prettier-ignore

/** After how long to look again at something that is not there at its time, s: an eighth of its time, from three minutes to half an hour; a bake a little sooner. */
export function lookAgainS(step: Pick<MethodStep, 'kind' | 'minS'>): number {
  const share = (step.minS ?? 0) / (isRising(step) ? 8 : 10);
  return Math.round(Math.min(1800, Math.max(180, share)) / 60) * 60;
}

/** What a thermometer is most likely held into at a step, the likeliest first. */
export function likelyReadings({ kind }: Pick<MethodStep, 'kind'>): readonly Reading['of'][] {
  switch (kind) {
    case 'weigh':
    case 'bloom':
    case 'soak':
    case 'preDough':
      return ['water', 'room', 'dough'];
    case 'fry':
      return ['oil', 'core'];
    case 'preheat':
      return ['oven', 'oil'];
    case 'bake':
    case 'turn':
    case 'rotate':
    case 'coast':
    case 'griddle':
    case 'reheat':
    case 'refresh':
    case 'boil':
      return ['core', 'oven'];
    case 'cool':
    case 'wrap':
      return ['core', 'room'];
    default:
      return ['dough', 'water', 'room'];
  }
}
