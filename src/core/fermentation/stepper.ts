import {
  AT_REFERENCE,
  cardinal,
  dissolvedMmolPerG,
  killedPerS,
  mlPerMmol,
  REFERENCE_MMOL_PER_S,
} from './gassing';
import type { Leavening } from './leavening';
import { FERMENTATION, SEA_LEVEL_PA } from './parameters';

/** What differs from dough to dough beyond its formula: drawn for the range, learnt from jar marks. */
export interface Temper {
  /** Vigour of the culture against the ordinary, and what the dough holds against the model. */
  readonly vigour: number;
  readonly holding: number;
  readonly leak: number;
  readonly waking: number;
  readonly tiring: number;
  readonly freedSugar: number;
}
export const PLAIN_TEMPER: Temper = { vigour: 1, holding: 1, leak: 1, waking: 1, tiring: 1, freedSugar: 1 };

/** A dough while it ferments. Gas in mmol of CO2; produced = dissolved + held + lost, always. */
export interface Dough {
  readonly tempC: number;
  readonly yeastG: number;
  readonly wildG: number;
  /** 0 asleep ... 1 at full pace. */
  readonly awake: number;
  readonly sugarG: number;
  readonly toFreeG: number;
  readonly producedMmol: number;
  readonly dissolvedMmol: number;
  readonly heldMmol: number;
  readonly lostMmol: number;
  /** How tired the dough's holding is, 0 ... 1. */
  readonly tired: number;
  /** Volume over that from the bowl. */
  readonly volume: number;
}

/** 1 - exp(-x): by its series where x is small, as it nearly always is in a step of a minute. Good to 1e-9. */
const gone = (x: number): number =>
  x < 0.02 ? x * (1 - (x / 2) * (1 - (x / 3) * (1 - x / 4))) : -Math.expm1(-x);

const WARM_FROM_C = -10;
const WARM_TO_C = 80;
const PER_C = 8;
/** A smooth function of temperature from a table, linear between eighths of a degree (good to 1e-6): asked thirty thousand times a curve. */
function tabled(of: (tempC: number) => number): (tempC: number) => number {
  const table = Float64Array.from({ length: (WARM_TO_C - WARM_FROM_C) * PER_C + 1 }, (_, index) =>
    of(WARM_FROM_C + index / PER_C),
  );
  return (tempC) => {
    const at = (tempC - WARM_FROM_C) * PER_C;
    if (!(at >= 0 && at < table.length - 1)) return of(tempC);
    const low = at | 0;
    return table[low]! + (table[low + 1]! - table[low]!) * (at - low);
  };
}
const leaksAt = tabled((tempC) => Math.exp(FERMENTATION.leakPerH.perC * (tempC - 25)));
const dissolvesAt = tabled((tempC) => dissolvedMmolPerG(tempC, SEA_LEVEL_PA));

type Working = { -readonly [K in keyof Dough]: Dough[K] };

/** The dough as the mixing ends. Soda and the fast part of a powder have worked by then, and part of that gas is knocked out again. */
export function freshDough(leavening: Leavening, tempC: number, pressurePa = SEA_LEVEL_PA): Dough {
  const dough: Working = {
    tempC,
    yeastG: leavening.yeastG,
    wildG: leavening.wildG,
    awake: 0,
    sugarG: leavening.sugarG,
    toFreeG: leavening.freedSugarG,
    producedMmol: leavening.coldMmol,
    dissolvedMmol: 0,
    heldMmol: 0,
    lostMmol: leavening.coldMmol * FERMENTATION.lostInMixing,
    tired: 0,
    volume: 1,
  };
  const left = leavening.coldMmol - dough.lostMmol;
  dough.dissolvedMmol = Math.min(left, leavening.waterG * dissolvedMmolPerG(tempC, pressurePa));
  const most = (leavening.mostHeld * leavening.doughMl) / mlPerMmol(tempC, pressurePa);
  dough.heldMmol = Math.min(left - dough.dissolvedMmol, most);
  dough.lostMmol += left - dough.dissolvedMmol - dough.heldMmol;
  dough.volume = 1 + (dough.heldMmol * mlPerMmol(tempC, pressurePa)) / leavening.doughMl;
  return dough;
}

/**
 * One step of fermentation. Pure; the loop and the clock are the caller's.
 *
 * Gas: fresh-yeast equivalent × q(T) × brakes × sugar left / (sugar left + half speed) × how awake it is. It dissolves first;
 * what the water no longer takes goes into bubbles, of which the dough catches less the fuller it is; what is held seeps away,
 * and a dough kept at its fullest tires. Yeast and wild culture grow logistically on the same sugar.
 *
 * @param dtS at most 120 s; explicit, so that gas and sugar balance to rounding
 * @param tempC the dough's own temperature over the step
 * @param endC and at its end
 */
export function stepDough(
  before: Dough,
  leavening: Leavening,
  temper: Temper,
  tempC: number,
  dtS: number,
  pressurePa = SEA_LEVEL_PA,
  endC = tempC,
): Dough {
  const F = FERMENTATION;
  const { floursG, doughMl } = leavening;
  const grows = cardinal(tempC);
  const paced = grows / AT_REFERENCE;
  const killed = killedPerS(tempC);
  const alive = killed === 0 ? 1 : Math.exp(-killed * dtS);
  const yeastBefore = before.yeastG * alive;
  const wildBefore = before.wildG * alive;
  const asleep = 1 - before.awake;
  const awake =
    asleep < 1e-9 ? 1 : 1 - asleep * Math.exp((-paced * dtS) / (leavening.wakingMin * 60 * temper.waking));

  const freed = before.toFreeG * gone((dtS * Math.max(0.1, paced)) / (F.freedSugar.tauMin * 60));
  const halfSpeedG = (F.halfSpeedSugarPercent * floursG) / 100;
  const food = before.sugarG + freed * temper.freedSugar;
  const fed = food / (food + halfSpeedG);
  // two cultures on one dough: each finds less room for what the other has taken
  const room = Math.max(
    0,
    1 -
      yeastBefore / ((F.growth.yeastEndPer100G * floursG) / 100) -
      wildBefore / ((F.growth.wildEndPer100G * floursG) / 100),
  );
  const hours = (dtS / 3600) * grows * awake * fed * room;
  const acid = 1 - (1 - F.ripeStarter.acidBrake) * (wildBefore / (wildBefore + yeastBefore + 1e-9));

  const wish =
    REFERENCE_MMOL_PER_S *
    paced *
    (yeastBefore + wildBefore * acid) *
    temper.vigour *
    awake *
    leavening.brake *
    fed *
    dtS;
  const made = Math.min(wish, food / F.sugarGPerMmol);

  const perMmol = mlPerMmol(tempC, pressurePa);
  const holds = leavening.mostHeld * temper.holding * (1 - 0.4 * before.tired);
  const waterTakes = leavening.waterG * dissolvesAt(tempC) * (pressurePa / SEA_LEVEL_PA);
  // bubbles are there from the mixing: the fuller the water, the more goes straight into them
  const full = waterTakes > 0 ? Math.min(1, before.dissolvedMmol / waterTakes) : 1;
  const filled = full * full * full;
  let dissolved = before.dissolvedMmol + made * (1 - filled);
  let outOfWater = made * filled;
  if (dissolved > waterTakes) {
    outOfWater += dissolved - waterTakes;
    dissolved = waterTakes;
  }
  const share = (before.heldMmol * perMmol) / doughMl / holds;
  const caught = outOfWater * F.caught * Math.max(0, 1 - share * share * share * share);
  const back = Math.min(
    before.heldMmol,
    (waterTakes - dissolved) * gone(dtS / (F.redissolveMin * 60)) * Math.min(1, 3 * share),
  );
  const leakPerS = (F.leakPerH.value * temper.leak * leaksAt(tempC)) / 3600;
  // a dough that tires lets go of what it can no longer hold, over some minutes rather than at once
  const over = Math.max(0, share - 1);
  const held = before.heldMmol - back;
  const seeps = held * gone(leakPerS * dtS + (over * dtS) / 600);
  const heldMmol = held + caught - seeps;
  const pressing = Math.min(1.2, share) * Math.min(1.2, share);
  const tiringS = F.tiringMin.value * 60 * temper.tiring;
  return {
    tempC: endC,
    yeastG: yeastBefore + yeastBefore * F.growth.yeastPerH * hours,
    wildG: wildBefore + wildBefore * F.growth.wildPerH * hours,
    awake,
    sugarG: food - made * F.sugarGPerMmol,
    toFreeG: before.toFreeG - freed,
    producedMmol: before.producedMmol + made,
    dissolvedMmol: dissolved + back,
    heldMmol,
    lostMmol: before.lostMmol + (outOfWater - caught) + seeps,
    tired: before.tired + (1 - before.tired) * gone((pressing * pressing * pressing * dtS) / (2 * tiringS)),
    volume: 1 + (heldMmol * perMmol) / doughMl,
  };
}

/** Pressed by hands or a scraper: so much of what it holds is let go. */
export function pressed(dough: Dough, part: number, leavening: Leavening, pressurePa = SEA_LEVEL_PA): Dough {
  const out = dough.heldMmol * part;
  const heldMmol = dough.heldMmol - out;
  return {
    ...dough,
    heldMmol,
    lostMmol: dough.lostMmol + out,
    volume: 1 + (heldMmol * mlPerMmol(dough.tempC, pressurePa)) / leavening.doughMl,
  };
}
