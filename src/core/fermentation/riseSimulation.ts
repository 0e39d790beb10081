import { normalDraws } from '../numeric/draws';
import { USUAL_DOSE, type Leavening } from './leavening';
import { FERMENTATION, SEA_LEVEL_PA } from './parameters';
import { freshDough, pressed, skinned, stepDough, temperOf, type Dough, type Temper } from './stepper';
import { FIGURES, type Figures } from '../calibrated';
import { cardinal, osmoticBrake, REFERENCE_C } from './gassing';
import { thermalLagS, type Stay } from './thermalLag';

/** What the baker's own jar marks have taught of this leaven and this dough; 1 ± 0 cv: nothing yet. */
export interface Learnt {
  readonly vigour: { readonly value: number; readonly cv: number };
  readonly holding: { readonly value: number; readonly cv: number };
}

/**
 * What the marks of the very day leave open (`riseOfDay.ts`): the middle and each of the fixed draws as they are with those marks; in the order of the
 * parameters, in their own standard deviations.
 */
export interface OfDay {
  readonly middle: readonly number[];
  readonly draws: readonly (readonly number[])[];
}

export interface RiseQuestion {
  readonly leavening: Leavening;
  /** The dough as the mixing ends, °C. */
  readonly doughC: number;
  readonly stays: readonly Stay[];
  readonly pressurePa?: number;
  readonly learnt?: Learnt;
  /** Rise asked for, volume over that from the bowl; null: {@link READY_SHARE} of what it can. */
  readonly wanted?: number | null;
  /** A height counts as reached only from then on, s; absent: whenever it is. */
  readonly countsFromS?: number;
  /** Up to then it goes on standing in its last place, for answers that lie beyond the method; `end` stays the method's. */
  readonly beyondS?: number;
  /** Only the middle, without its band: for searches. */
  readonly central?: boolean;
  /** What the marks of the very day leave open: in the place of `learnt`. */
  readonly ofDay?: OfDay;
  /** Other figures than the fitted ones: for the fit itself. */
  readonly figures?: Figures;
}

export const PARAMETERS = [
  'vigour',
  'holding',
  'leak',
  'waking',
  'tiring',
  'freedSugar',
  'place',
  'lag',
  'start',
  'pressing',
  'coldest',
  'brake',
  'dose',
  'kind',
  'air',
  'spring',
  'growth',
  'wear',
] as const;
export type RiseParameter = (typeof PARAMETERS)[number];
/** Enough that the edges of the interval stand to about a twentieth of its width, few enough for a drag. */
const DRAWS = 24;
export const NORMAL = normalDraws(DRAWS, PARAMETERS.length, 20_240_611);
export const NO_DRAW: readonly number[] = [];
export interface Drawn {
  readonly temper: Temper;
  readonly placeC: number;
  readonly lag: number;
  readonly startC: number;
  /** How hard hands press against the usual. */
  readonly pressing: number;
}

export function drawn(z: readonly number[], { leavening, learnt, figures = FIGURES }: RiseQuestion): Drawn {
  const F = FERMENTATION;
  const at = (name: RiseParameter) => z[PARAMETERS.indexOf(name)] ?? 0;
  const spread = (name: RiseParameter, cv: number) => Math.exp(at(name) * cv);
  const vigourCv = learnt && learnt.vigour.cv > 0 ? learnt.vigour.cv : leavening.yeastCv;
  const holdingCv = learnt && learnt.holding.cv > 0 ? learnt.holding.cv : leavening.holdingCv;
  const middle = temperOf(figures);
  const between = {
    ...middle.cardinal,
    min: Math.min(8, middle.cardinal.min + at('coldest') * F.coldestSdC),
  };
  // beside what is the same for all: more of it braked, crowded, or of another kind of yeast than the gassing was measured with
  const braked = osmoticBrake(leavening.osmol, figures.osmotic * (spread('brake', F.brakeCv) - 1)) || 1;
  const fresh = (100 * (leavening.yeastG + leavening.wildG)) / leavening.floursG;
  const crowding = figures['gas.dose'] - 1 + at('dose') * F.doseSd;
  const crowded = fresh > 0 ? (fresh / USUAL_DOSE) ** crowding : 1;
  const kind = spread('kind', F.kindCv) ** leavening.kindTilt;
  return {
    temper: {
      ...middle,
      vigour: (learnt?.vigour.value ?? 1) * spread('vigour', vigourCv) * braked * crowded * kind,
      holding: (learnt?.holding.value ?? 1) * spread('holding', holdingCv),
      cardinal: between,
      atReference: cardinal(REFERENCE_C, between),
      waking: middle.waking * spread('waking', F.wakingMin.cv),
      leakPerH: middle.leakPerH * spread('leak', F.leak.cv),
      tiringMin: middle.tiringMin * spread('tiring', F.tiringCv),
      freedSugar: spread('freedSugar', F.freedSugar.cv),
      yeastPerH: middle.yeastPerH * spread('growth', F.growthCv),
      wildPerH: middle.wildPerH * spread('growth', F.growthCv),
      wear: spread('wear', F.wearCv),
      coldWetting: middle.coldWetting * spread('wear', F.wearCv),
      skinning: Math.min(0.8, middle.skinning * spread('wear', F.wearCv)),
      air: Math.max(0.2, 1 + (at('air') * F.mixedInAir.sd) / F.mixedInAir.value),
      spring: spread('spring', F.springCv),
    },
    placeC: at('place') * F.placeSdC,
    lag: spread('lag', F.thermalLagCv),
    startC: at('start') * F.placeSdC,
    pressing: spread('pressing', F.pressedOutCv),
  };
}

interface Run {
  readonly volume: Float64Array;
  readonly doughC: Float64Array;
  readonly top: number;
  readonly topAtS: number;
  readonly wantedAtS: number | null;
  readonly pastAtS: number | null;
  readonly end: Dough;
  /** The height it was waited for in the end: what hands have torn holds less, and is ready lower. */
  readonly wanted: number;
}

/** One history through. `wanted` may be a share of its own holding when nobody has said how far. */
export function simulateRise(
  question: RiseQuestion,
  given: Drawn,
  atS: readonly number[],
  wanted: number,
  dtS: number,
): Run {
  const { leavening, pressurePa = SEA_LEVEL_PA, beyondS = 0, countsFromS = 0 } = question;
  const last = question.stays[question.stays.length - 1];
  const stays =
    last && beyondS > 0
      ? [...question.stays, { ...last, durationS: beyondS, pressedOut: 0 }]
      : question.stays;
  let dough = freshDough(leavening, question.doughC + given.startC, pressurePa, given.temper);
  const volume = new Float64Array(atS.length);
  const doughC = new Float64Array(atS.length);
  let point = 0;
  let tS = 0;
  let top = dough.volume;
  let topAtS = 0;
  let reach = wanted;
  let wantedAtS: number | null = dough.volume >= reach && countsFromS === 0 ? 0 : null;
  let pastAtS: number | null = null;
  let end = dough;
  const note = () => {
    while (point < atS.length && atS[point]! <= tS + 1e-6) {
      volume[point] = dough.volume;
      doughC[point] = dough.tempC;
      point += 1;
    }
  };
  note();
  for (const [index, stay] of stays.entries()) {
    if (stay.pressedOut > 0) {
      dough = pressed(
        dough,
        Math.min(0.97, stay.pressedOut * given.pressing),
        leavening,
        pressurePa,
        given.temper.wear,
      );
      // knocked back it starts anew: what it reached before is forgotten
      wantedAtS = null;
      // a height that somebody asked for stays that height
      if (question.wanted == null) reach = 1 + (wanted - 1) * (1 - FERMENTATION.wornHolds * dough.worn);
      top = dough.volume;
      topAtS = tS;
      pastAtS = null;
    }
    let decay = 0;
    let decayFor = 0;
    const lagS = thermalLagS(stay.pieceG, stay.standing, stay.place) * given.lag;
    const placeC = stay.tempC + given.placeC;
    const endS = tS + stay.durationS;
    while (tS < endS - 1e-6) {
      const step = Math.min(dtS, endS - tS);
      if (step !== decayFor) {
        decayFor = step;
        decay = Math.exp(-step / lagS);
      }
      const nextC = placeC + (dough.tempC - placeC) * decay;
      const before = dough.volume;
      dough = stepDough(dough, leavening, given.temper, (dough.tempC + nextC) / 2, step, pressurePa, nextC);
      if (stay.air === 'dry') dough = skinned(dough, given.temper, step);
      tS += step;
      if (wantedAtS === null && tS >= countsFromS && dough.volume >= reach)
        wantedAtS = Math.max(
          countsFromS,
          tS - (step * (dough.volume - reach)) / Math.max(1e-12, dough.volume - before),
        );
      if (dough.volume > top) {
        top = dough.volume;
        topAtS = tS;
        pastAtS = null;
      } else if (pastAtS === null && dough.volume < top - 0.05 * (top - 1) && top > 1.02) pastAtS = tS;
      note();
    }
    if (index < question.stays.length) end = dough;
  }
  note();
  return { volume, doughC, top, topAtS, wantedAtS, pastAtS, end, wanted: reach };
}

/**
 * Volume over that from the bowl at given moments of a history, seconds from the end of mixing in ascending order, for a leaven of so
 * much vigour and a dough of so much holding. To within the minute the simulator steps by.
 */
export function volumesAt(
  question: RiseQuestion,
  atS: readonly number[],
  vigour: number,
  holding: number,
): readonly number[] {
  const learnt: Learnt = { vigour: { value: vigour, cv: 0 }, holding: { value: holding, cv: 0 } };
  return volumesOf({ ...question, learnt }, atS, NO_DRAW);
}

/** The same for one draw of whatever may differ. */
export const volumesOf = (
  question: RiseQuestion,
  atS: readonly number[],
  z: readonly number[],
): readonly number[] => [
  ...simulateRise(question, drawn(z, question), atS, RISE_LIMITS.wanted.max, 60).volume,
];

/** Parameters that are another day's on another day, and those of which only a part is. */
const OF_THE_DAY: ReadonlySet<RiseParameter> = new Set([
  'place',
  'start',
  'lag',
  'pressing',
  'air',
  'wear',
  'waking',
]);
const SHARED = {
  vigour: 1 - (FERMENTATION.dayCv.vigour / FERMENTATION.vigourCv) ** 2,
  holding: 1 - (FERMENTATION.dayCv.holding / FERMENTATION.mostHeldCv) ** 2,
} as const;

/** The n-th draw on another day: the same flour, yeast and hands, in other weather. */
function onAnotherDay(draw: number): readonly number[] {
  const here = NORMAL[draw % DRAWS] ?? NO_DRAW;
  const there = NORMAL[(draw + 7) % DRAWS] ?? NO_DRAW;
  return PARAMETERS.map((name, column) => {
    if (OF_THE_DAY.has(name)) return there[column] ?? 0;
    const shared = name === 'vigour' || name === 'holding' ? SHARED[name] : 1;
    return shared * (here[column] ?? 0) + Math.sqrt(1 - shared * shared) * (there[column] ?? 0);
  });
}

/**
 * One history by the n-th of the fixed draws, or by the middle for null; with what that draw makes of the dough.
 * @param anotherDay of two doughs that are compared the second: what a day has of its own is drawn anew
 */
export function drawnRise(
  question: RiseQuestion,
  draw: number | null,
  atS: readonly number[],
  anotherDay = false,
): { readonly run: Run; readonly temper: Temper } {
  const z = draw === null ? NO_DRAW : anotherDay ? onAnotherDay(draw) : (NORMAL[draw % DRAWS] ?? NO_DRAW);
  const given = drawn(z, question);
  return { run: simulateRise(question, given, atS, RISE_LIMITS.wanted.max, 60), temper: given.temper };
}

export const RISE_LIMITS = { wanted: { min: 1, max: 6 }, totalS: { min: 0, max: 864_000 } } as const;
