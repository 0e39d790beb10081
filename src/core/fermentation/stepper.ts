import { FIGURES, type Figures } from '../calibrated';
import {
  cardinal,
  dissolvedMmolPerG,
  killedPerS,
  mlPerMmol,
  mmolPerS,
  REFERENCE_C,
  type Cardinal,
} from './gassing';
import type { Leavening } from './leavening';
import { FERMENTATION, SEA_LEVEL_PA } from './parameters';

/** What differs from dough to dough beyond its formula: drawn for the range, learnt from jar marks. */
export interface Temper {
  /** Vigour of the culture against the ordinary, and what the dough holds against the model. */
  readonly vigour: number;
  readonly holding: number;
  /** mmol of CO2 per second and gram of fresh yeast at the reference temperature; its temperatures, and the pace at the reference. */
  readonly mmolPerS: number;
  readonly cardinal: Cardinal;
  readonly atReference: number;
  readonly waking: number;
  readonly leakPerH: number;
  readonly tiringMin: number;
  readonly tiredLoses: number;
  readonly caught: number;
  readonly freedSugar: number;
  readonly halfSpeedPercent: number;
  readonly yeastPerH: number;
  readonly wildPerH: number;
  readonly wildEndPer100G: number;
  readonly exchangeMin: number;
  /** Air mixed in, against the usual. */
  readonly air: number;
  /** What hands do to its catching of gas, against the usual. */
  readonly wear: number;
  /** Yeast lost per °C below 15 when it meets the water dry. */
  readonly coldWetting: number;
  /** Holding lost to a dry skin, share. */
  readonly skinning: number;
  readonly spring: number;
}

/** The middle of every figure; draws and marks move it. */
export function temperOf(figures: Figures): Temper {
  const between = {
    min: figures['cardinal.min'],
    best: figures['cardinal.best'],
    max: FERMENTATION.warmestC,
  };
  return {
    vigour: 1,
    holding: 1,
    mmolPerS: mmolPerS(figures['gas.rate']),
    cardinal: between,
    atReference: cardinal(REFERENCE_C, between),
    waking: figures.waking,
    leakPerH: figures.leak,
    tiringMin: figures.tiring,
    tiredLoses: figures['tired.loses'],
    caught: figures.caught,
    freedSugar: 1,
    halfSpeedPercent: figures.halfSpeed,
    yeastPerH: figures['growth.yeast'],
    wildPerH: figures['growth.wild'],
    wildEndPer100G: figures['wild.end'],
    exchangeMin: figures['bubbles.exchange'],
    air: 1,
    wear: 1,
    coldWetting: figures.coldWetting,
    skinning: figures.skinning,
    spring: 1,
  };
}
export const PLAIN_TEMPER: Temper = temperOf(FIGURES);

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
  /** Air of the mixing in the bubbles, mmol: it stays, and CO2 comes to it. */
  readonly airMmol: number;
  /** What it measured as it left the mixer, air counted, ml: volumes are told against that. */
  readonly fromMl: number;
  /** How tired the dough's holding is, 0 ... 1; and how far knocking back has torn what catches new gas. */
  readonly tired: number;
  readonly worn: number;
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
const leaksAt = tabled((tempC) => Math.exp(FERMENTATION.leak.perC * (tempC - 25)));
const dissolvesAt = tabled((tempC) => dissolvedMmolPerG(tempC, SEA_LEVEL_PA));

/** Volume over that from the bowl: dough without air, and its bubbles. */
const volumeOf = (leavening: Leavening, bubblesMmol: number, perMmol: number, fromMl: number): number =>
  (leavening.doughMl - leavening.airMl + bubblesMmol * perMmol) / fromMl;

/** CO2 that bubbles and water share in the end: its pressure in the bubbles (beside the air's) is that of the water. Closed form. */
function inBubbles(co2Mmol: number, airMmol: number, waterTakes: number): number {
  const over = co2Mmol - airMmol - waterTakes;
  const root = Math.sqrt(over * over + 4 * co2Mmol * airMmol);
  // the form that stays exact where little of it is in the bubbles
  return over > 0 ? (over + root) / 2 : (2 * co2Mmol * airMmol) / Math.max(1e-300, root - over);
}

/** The dough as the mixing ends. Soda and the fast part of a powder have worked by then, and part of that gas is knocked out again. */
export function freshDough(
  leavening: Leavening,
  tempC: number,
  pressurePa = SEA_LEVEL_PA,
  temper: Temper = PLAIN_TEMPER,
): Dough {
  const perMmol = mlPerMmol(tempC, pressurePa);
  const airMmol = (leavening.airMl * temper.air) / perMmol;
  const fromMl = leavening.doughMl - leavening.airMl + airMmol * perMmol;
  const lostMmol = leavening.coldMmol * FERMENTATION.lostInMixing;
  const left = leavening.coldMmol - lostMmol;
  const bubbles = inBubbles(left, airMmol, leavening.waterG * dissolvedMmolPerG(tempC, pressurePa));
  const most = (leavening.mostHeld * temper.holding * leavening.doughMl) / perMmol;
  const heldMmol = Math.min(bubbles, most);
  // dry yeast that meets cold water leaks before its skin is whole again
  const cold = leavening.wetsDry ? Math.min(0.8, temper.coldWetting * Math.max(0, WETS_WELL_C - tempC)) : 0;
  return {
    tempC,
    yeastG: leavening.yeastG * (1 - cold),
    wildG: leavening.wildG,
    awake: 0,
    sugarG: leavening.sugarG,
    toFreeG: leavening.freedSugarG * temper.freedSugar,
    producedMmol: leavening.coldMmol,
    dissolvedMmol: left - bubbles,
    heldMmol,
    lostMmol: lostMmol + bubbles - heldMmol,
    airMmol,
    fromMl,
    tired: 0,
    worn: 0,
    volume: volumeOf(leavening, airMmol + heldMmol, perMmol, fromMl),
  };
}
/** From here on dry yeast takes up water unhurt, °C. */
const WETS_WELL_C = 15;

/**
 * One step of fermentation. Pure; the loop and the clock are the caller's.
 *
 * Gas: fresh-yeast equivalent × q(T) × brakes × sugar left / (sugar left + half speed) × how awake it is. It dissolves, and
 * bubbles of the air mixed in take it up as its pressure in the water stands over that in them, long before the water is full: a
 * dough begins to swell at once, and most when its water is nearly saturated. Of what goes into bubbles the dough catches less
 * the fuller it is and the more it was knocked about; what is held seeps away, and a dough kept at its fullest tires. Yeast and wild
 * culture grow logistically on the same sugar.
 *
 * @param dtS at most 120 s; gas and sugar balance to rounding
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
  const grows = cardinal(tempC, temper.cardinal);
  const paced = grows / temper.atReference;
  const killed = killedPerS(tempC);
  const alive = killed === 0 ? 1 : Math.exp(-killed * dtS);
  const yeastBefore = before.yeastG * alive;
  const wildBefore = before.wildG * alive;
  const asleep = 1 - before.awake;
  const awake =
    asleep < 1e-9 ? 1 : 1 - asleep * Math.exp((-paced * dtS) / (leavening.wakingMin * 60 * temper.waking));

  const freed = before.toFreeG * gone((dtS * Math.max(0.1, paced)) / (F.freedSugar.tauMin * 60));
  const halfSpeedG = (temper.halfSpeedPercent * floursG) / 100;
  const food = before.sugarG + freed;
  const fed = food / (food + halfSpeedG);
  // two cultures on one dough: each finds less room for what the other has taken
  const room = Math.max(
    0,
    1 -
      yeastBefore / ((F.yeastEndPer100G * floursG) / 100) -
      wildBefore / ((temper.wildEndPer100G * floursG) / 100),
  );
  const hours = (dtS / 3600) * grows * awake * fed * room;
  const acid = 1 - (1 - F.wild.acidBrake) * (wildBefore / (wildBefore + yeastBefore + 1e-9));

  const wish =
    temper.mmolPerS *
    paced *
    (yeastBefore + wildBefore * acid) *
    temper.vigour *
    awake *
    leavening.brake *
    fed *
    dtS;
  const made = Math.min(wish, food / F.sugarGPerMmol);

  const perMmol = mlPerMmol(tempC, pressurePa);
  const worn = 1 - F.wornHolds * before.worn;
  const holds = leavening.mostHeld * temper.holding * (1 - temper.tiredLoses * before.tired) * worn;
  const waterTakes = leavening.waterG * dissolvesAt(tempC) * (pressurePa / SEA_LEVEL_PA);
  const co2 = before.dissolvedMmol + before.heldMmol + made;
  const evened = inBubbles(co2, before.airMmol, waterTakes);
  const moves = (evened - before.heldMmol) * gone(dtS / (temper.exchangeMin * 60));
  const share = (before.heldMmol * perMmol) / doughMl / holds;
  const fourth = share * share * share * share;
  const caught = moves <= 0 ? moves : moves * temper.caught * (1 - before.worn) * Math.max(0, 1 - fourth);
  const leakPerS = (temper.leakPerH * leaksAt(tempC)) / 3600;
  // a dough that tires lets go of what it can no longer hold, over some minutes rather than at once
  const over = Math.max(0, share - 1);
  const stays = before.heldMmol + Math.min(0, moves);
  const seeps = stays * gone(leakPerS * dtS + (over * dtS) / 600);
  const heldMmol = before.heldMmol + caught - seeps;
  const pressing = Math.min(1.2, share) * Math.min(1.2, share);
  const tiringS = temper.tiringMin * 60;
  return {
    tempC: endC,
    yeastG: yeastBefore + yeastBefore * temper.yeastPerH * hours,
    wildG: wildBefore + wildBefore * temper.wildPerH * hours,
    awake,
    sugarG: food - made * F.sugarGPerMmol,
    toFreeG: before.toFreeG - freed,
    producedMmol: before.producedMmol + made,
    dissolvedMmol: before.dissolvedMmol + made - moves,
    heldMmol,
    lostMmol: before.lostMmol + (moves - caught) + seeps,
    airMmol: before.airMmol,
    fromMl: before.fromMl,
    tired: before.tired + (1 - before.tired) * gone((pressing * pressing * pressing * dtS) / (2 * tiringS)),
    worn: before.worn,
    volume: volumeOf(leavening, before.airMmol + heldMmol, perMmol, before.fromMl),
  };
}

/** Pressed by hands or a scraper: so much of what it holds is let go, and what catches new gas is torn in part. */
export function pressed(
  dough: Dough,
  part: number,
  leavening: Leavening,
  pressurePa = SEA_LEVEL_PA,
  wear = 1,
): Dough {
  const out = dough.heldMmol * (1 - (1 - part) ** leavening.cracks);
  const heldMmol = dough.heldMmol - out;
  return {
    ...dough,
    heldMmol,
    lostMmol: dough.lostMmol + out,
    worn:
      dough.worn +
      (1 - dough.worn) * Math.min(1, leavening.knock * wear) * part * Math.min(1, (dough.volume - 1) / 0.3),
    volume: volumeOf(leavening, dough.airMmol + heldMmol, mlPerMmol(dough.tempC, pressurePa), dough.fromMl),
  };
}

/** Its skin dries where the air is dry: after half an hour most of what that takes from its holding is lost. */
export const skinned = (dough: Dough, temper: Temper, dtS: number): Dough => ({
  ...dough,
  worn: dough.worn + Math.max(0, temper.skinning - dough.worn) * gone(dtS / 1800),
});
