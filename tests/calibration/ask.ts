import { FIGURES, type Figures } from '@/core/calibrated';
import { figuresDrawn } from '@/core/calibrated/draws';
import { airPressurePa } from '@/core/doughTemperature/boilingPoint';
import { afterFreezing } from '@/core/fermentation/freezing';
import type { Leavening } from '@/core/fermentation/leavening';
import { FERMENTATION } from '@/core/fermentation/parameters';
import { drawnRise } from '@/core/fermentation/riseSimulation';
import { bakedVolume } from '@/core/fermentation/spring';
import type { Standing, Stay } from '@/core/fermentation/thermalLag';
import { simulateBake, type BakeQuestion, type BakeSimulation } from '@/core/heat/bake';
import { drawnHeat, heatingEndS, uncovered } from '@/core/heat/forecast';
import { ORDINARY_OVENS } from '@/core/heat/oven';
import type { Plate } from '@/core/heat/parameters';
import { preheat, preheatDraw } from '@/core/heat/preheat';
import { sinksBy } from '@/core/heat/sinks';
import { boilingAtC } from '@/core/heat/water';
import { newPhase, type Phase } from '@/core/heat/programme';
import type { Shape } from '@/core/method/heating';
import { Z80 } from '@/core/numeric/normal';
import { normalAbove } from '@/core/numeric/draws';
import { doughOf, type Recipe, type Times } from './doughs';

export const MIN = 60;
export const HOUR = 3600;
/** Draws that stand for the 80 % interval of an answer: as many as the model itself takes. */
export const DRAWS = { consistency: 10, fermentation: 24, heat: 10 } as const;

/** The figures that answers are computed with. */
let figures: Figures = FIGURES;
let drawnFigures: (draw: number | null) => Figures = figuresDrawn;
/** @param drawn as these figures might as well be, for heat's ranges; none: as they are */
export function askWith(these: Figures, drawn?: readonly Figures[]): void {
  figures = these;
  drawnFigures = (draw) => (draw === null ? these : (drawn?.[draw] ?? these));
  forget();
}

const kept = new Map<string, unknown>();
/** Asked again by another answer of the same row it is not computed again. */
function once<T>(key: string, of: () => T): T {
  if (!kept.has(key)) kept.set(key, of());
  return kept.get(key) as T;
}
/** The first time that is not before s; the last where rounding leaves none. */
const indexAt = (atS: readonly number[], s: number): number => {
  const at = atS.findIndex((each) => each >= s);
  return Math.max(1, at < 0 ? atS.length - 1 : at);
};
export const forget = (): void => kept.clear();

const dough = (recipe: Recipe, times: Times = {}) =>
  once(`dough ${JSON.stringify([recipe, times])}`, () => doughOf(recipe, times, figures));

/** Saturation as the hand reads it. */
export function askFeel(
  recipe: Recipe,
  when: 'mixed' | 'rested',
  draw: number | null,
  times: Times = {},
): number {
  const { consistency } = dough(recipe, times);
  const feel = when === 'mixed' ? consistency.now : consistency.rested;
  if (draw === null) return feel.s;
  // the interval is analytic: slices of a normal between its ends
  const sd = (feel.high - feel.low) / (2 * Z80);
  return (
    (feel.high + feel.low) / 2 + sd * normalAbove(((draw % DRAWS.consistency) + 0.5) / DRAWS.consistency)
  );
}

export interface RiseAsk {
  readonly recipe: Recipe;
  readonly doughC: number;
  readonly stays: readonly { readonly tempC: number; readonly hours: number; readonly shaped?: boolean }[];
  readonly standing?: Standing;
  readonly pieceG?: number;
  readonly bloomed?: boolean;
  readonly altitudeM?: number;
  readonly air?: 'dry' | 'humid';
  /** The second of two doughs that are compared: made on another day. */
  readonly anotherDay?: boolean;
}

export interface RiseSeen {
  readonly volumeAt: (s: number) => number;
  readonly top: number;
  readonly canHold: number;
  readonly timeTo: (volume: number) => number | null;
  /** Baked, ml per g of bread that lost an eighth of its weight. */
  readonly bakedMlPerG: (s: number) => number;
  /** Baked volume over the volume going in. */
  readonly springAt: (s: number) => number;
  /** The same, going in at so much of the most it can grow. */
  readonly springAtShare: (share: number) => number;
}
const BAKE_LOSS = 0.12;

/** Asks a bake for its middle on the coarse grid, which its draws are held against. */
export const COARSE = -1;

export function askRise(ask: RiseAsk, given: number | null): RiseSeen {
  const draw = given === COARSE ? null : given;
  return once(`rise ${JSON.stringify([ask, draw])}`, () => {
    const { leavening } = dough(ask.recipe, { bloomed: ask.bloomed ?? false });
    const totalS = ask.stays.reduce((sum, { hours }) => sum + hours * HOUR, 0);
    const steps = Array.from({ length: Math.ceil(totalS / 120) + 1 }, (_, index) =>
      Math.min(totalS, index * 120),
    );
    // both sides of every change of place: hands press there
    let changeS = 0;
    const changes = ask.stays.flatMap(({ hours }) => [(changeS += hours * HOUR), changeS + 1]);
    const atS = [...new Set([...steps, ...changes.filter((s) => s <= totalS)])].sort((a, b) => a - b);
    const stays = ask.stays.map(({ tempC, hours, shaped }): Stay => ({
      place: tempC <= 15 ? 'fridge' : tempC >= 25 ? 'warm' : 'room',
      tempC,
      durationS: hours * HOUR,
      standing: ask.standing ?? 'bowl',
      pieceG: ask.pieceG ?? 900,
      pressedOut: shaped ? FERMENTATION.pressedOut.shape : 0,
      ...(ask.air === 'dry' && { air: 'dry' as const }),
    }));
    const pressurePa = airPressurePa(ask.altitudeM ?? 0);
    const question = { leavening, doughC: ask.doughC, stays, pressurePa, figures };
    const { run, temper } = drawnRise(question, draw, atS, ask.anotherDay);
    const volumeAt = (s: number) => {
      const high = indexAt(atS, s);
      const share = Math.min(1, Math.max(0, (s - atS[high - 1]!) / (atS[high]! - atS[high - 1]!)));
      return run.volume[high - 1]! + share * (run.volume[high]! - run.volume[high - 1]!);
    };
    const timeTo = (volume: number) => {
      const high = atS.findIndex((_, index) => run.volume[index]! >= volume);
      if (high < 0) return null;
      if (high === 0) return 0;
      const share = (volume - run.volume[high - 1]!) / (run.volume[high]! - run.volume[high - 1]!);
      return atS[high - 1]! + share * (atS[high]! - atS[high - 1]!);
    };
    const endAt = (s: number) =>
      drawnRise(
        {
          ...question,
          stays: stays.map((stay, index) => (index === 0 ? { ...stay, durationS: s } : stay)).slice(0, 1),
        },
        draw,
        [0, s],
        ask.anotherDay,
      ).run.end;
    const springAt = (s: number) => {
      const end = endAt(s);
      return bakedVolume(end, leavening, temper, pressurePa) / end.volume;
    };
    const canHold = 1 + leavening.mostHeld * temper.holding;
    return {
      volumeAt,
      top: Math.max(...run.volume),
      canHold,
      timeTo,
      springAt,
      bakedMlPerG: (s) =>
        (bakedVolume(endAt(s), leavening, temper, pressurePa) * leavening.doughMl) /
        (leavening.doughG * (1 - BAKE_LOSS)),
      springAtShare: (share) => {
        const s = timeTo(1 + share * (canHold - 1)) ?? timeTo(1 + share * (Math.max(...run.volume) - 1));
        return springAt(s ?? HOUR);
      },
    };
  });
}

export function askStarter(
  flour: number,
  tempC: number,
  draw: number | null,
  anotherDay = false,
): { topAtS: number; top: number } {
  return once(`starter ${flour} ${tempC} ${draw} ${anotherDay}`, () => {
    const { leavening } = dough({
      'sorghum-flour': flour * 30, 'buckwheat-flour': flour * 30, 'sorghum-starter': 60, water: flour * 63,
    }); // prettier-ignore
    const atS = Array.from({ length: 24 * 15 + 1 }, (_, index) => index * 240);
    const stays: Stay[] = [
      { place: 'room', tempC, durationS: 24 * HOUR, standing: 'bowl', pieceG: 200, pressedOut: 0 },
    ];
    const { run } = drawnRise({ leavening, doughC: tempC, stays, figures }, draw, atS, anotherDay);
    return { topAtS: run.topAtS, top: run.top };
  });
}

/** Against the same dough unfrozen: how much longer to half as big again, and how far it gets. */
export function askFrozen(
  recipe: Recipe,
  weeks: number,
  draw: number | null,
): { time: number; growth: number } {
  return once(`frozen ${JSON.stringify([recipe, weeks, draw])}`, () => {
    const { leavening } = dough(recipe);
    const frozen = afterFreezing(leavening, weeks, figures);
    if (!frozen.ok) throw new Error(frozen.problem.path);
    const atS = Array.from({ length: 181 }, (_, index) => index * 120);
    const stays: Stay[] = [
      { place: 'warm', tempC: 28, durationS: 6 * HOUR, standing: 'bowl', pieceG: 900, pressedOut: 0 },
    ];
    const rise = (of: Leavening, anotherDay: boolean) => {
      const { run } = drawnRise({ leavening: of, doughC: 28, stays, figures }, draw, atS, anotherDay);
      const series = [...run.volume];
      return { timeS: firstAt(atS, series, 1.4) ?? 6 * HOUR, top: Math.max(...series) };
    };
    const before = rise(leavening, false);
    const after = rise(frozen.value, true);
    return { time: after.timeS / before.timeS, growth: (after.top - 1) / (before.top - 1) };
  });
}

export interface BakeAsk {
  readonly recipe: Recipe;
  readonly shape: Shape;
  readonly massG: number;
  /** Volume going in over that from the mixer, and what the oven adds to it. */
  readonly grown: number;
  readonly spring: number;
  readonly lengthCm?: number;
  readonly widthCm?: number;
  readonly thickMm?: number;
  readonly tin?: 'dark' | 'shiny';
  readonly oven: 'static' | 'fan' | 'flame' | 'fryer' | 'griddle';
  readonly count?: number;
  readonly altitudeM?: number;
  readonly toppingG?: number;
  readonly eatenWarm?: boolean;
  /** The second of two bakes that are compared: another day. */
  readonly anotherDay?: boolean;
  readonly phases: readonly (Partial<Omit<Phase, 'durationS'>> & {
    readonly kind: Phase['kind'];
    readonly min: number;
    readonly setC: number;
  })[];
}

export interface BakeSeen {
  readonly coreReaches: (tempC: number) => number | null;
  readonly setAtS: number | null;
  readonly coreAtEndC: number;
  readonly coreTopC: number;
  /** Share of the whole, topping counted. */
  readonly lost: number;
  readonly brown: { readonly top: number; readonly base: number; readonly spots: number };
  readonly brownReaches: (where: 'top' | 'base', index: number) => number | null;
  readonly cutAfterS: number | null;
  readonly firmAfterS: number | null;
  readonly eatAfterS: number | null;
  /** When its water per dry matter has fallen so far. */
  readonly driesTo: (waterPerDry: number) => number | null;
  /** Baked volume, ml. */
  readonly volume: number | null;
}

function bakeQuestion(ask: BakeAsk): BakeQuestion {
  const { leavening, matter } = dough(ask.recipe);
  const bubbleFreeMl = ask.massG / (matter.densityKgPerM3 / 1000);
  const risenMl = ask.massG * (leavening.doughMl / leavening.doughG) * ask.grown * ask.spring;
  const lightness = Math.max(1, risenMl / bubbleFreeMl);
  let lengthCm = ask.lengthCm ?? null;
  if (ask.thickMm && ask.shape === 'flatbread')
    lengthCm = Math.sqrt((40 * risenMl) / (Math.PI * ask.thickMm));
  // a ring is cut half as wide again as thick; its tube grows as its volume does
  if (ask.thickMm && ask.shape === 'ring') {
    const enters = ask.massG * (leavening.doughMl / leavening.doughG) * ask.grown;
    const long = enters / (1.5 * (ask.thickMm / 10) ** 2);
    lengthCm = long / Math.PI + 2 * Math.sqrt(risenMl / (Math.PI * long));
  }
  return {
    matter,
    piece: {
      shape: ask.shape,
      massG: ask.massG,
      lightness,
      springs: ask.spring,
      lengthCm,
      widthCm: ask.widthCm ?? null,
      ...(ask.shape === 'round' && ask.thickMm && { heightCm: ask.thickMm / 10 }),
    },
    ...(ask.toppingG && { topping: { massG: ask.toppingG, waterShare: 0.65 } }),
    eatenWarm: ask.eatenWarm ?? false,
    startC: 27,
    roomC: 21,
    altitudeM: ask.altitudeM ?? 0,
    oven: ORDINARY_OVENS[ask.oven],
    tin: ask.tin ?? null,
    count: ask.count ?? 1,
    phases: [
      ...ask.phases.map(({ kind, min, setC, ...part }) =>
        newPhase(kind, min * MIN, setC, kind === 'griddle' ? { on: 'griddle', ...part } : part),
      ),
      newPhase('rack', (ask.massG > 1500 ? 7 : 5) * HOUR, 0),
    ],
  };
}

const between = (atS: readonly number[], series: readonly number[], s: number): number => {
  const high = indexAt(atS, s);
  const share = Math.min(1, Math.max(0, (s - atS[high - 1]!) / Math.max(1e-9, atS[high]! - atS[high - 1]!)));
  return series[high - 1]! + share * (series[high]! - series[high - 1]!);
};
const firstAt = (atS: readonly number[], series: readonly number[], level: number): number | null => {
  const high = series.findIndex((each) => each >= level);
  if (high < 0) return null;
  if (high === 0) return 0;
  const share = (level - series[high - 1]!) / (series[high]! - series[high - 1]!);
  return atS[high - 1]! + share * (atS[high]! - atS[high - 1]!);
};

export function askBake(ask: BakeAsk, draw: number | null): BakeSeen {
  return once(`bake ${JSON.stringify([ask, draw])}`, () => {
    const question = bakeQuestion(ask);
    const endS = heatingEndS(question);
    const { timeOff, lostOff } = drawnHeat(question, draw === COARSE ? null : draw, ask.anotherDay);
    const later = (s: number | null) => (s === null ? null : s * timeOff);
    const run = (asked: BakeQuestion): BakeSimulation => {
      // as a forecast does: the middle on the grid that is shown, draws against the coarse middle
      const drawn = drawnHeat(asked, draw === COARSE ? null : draw, ask.anotherDay);
      const known = drawnFigures(draw === COARSE ? null : draw);
      const made = simulateBake(asked, drawn, draw === null ? 'shipped' : 'coarse', 900, 'cut', known);
      if (!made.ok) throw new Error(`${ask.shape}: ${made.problem.code} at ${made.problem.path}`);
      return made.value;
    };
    const bake = run(question);
    const topped = question.phases.some((phase) => phase.topped);
    const rim = topped ? run(uncovered(question)) : bake;
    // weighed when it is cut; what is eaten warm as it comes out
    const weighedAtS = ask.eatenWarm ? endS : (bake.coolAtS ?? endS);
    const kettleLost =
      ask.phases[0]?.kind === 'boil' ? between(bake.atS, bake.lost, ask.phases[0].min * MIN) : 0;
    const lost = between(bake.atS, bake.lost, weighedAtS) - kettleLost;
    const waterPerDry = question.matter.waterShare / (1 - question.matter.waterShare);
    return {
      coreReaches: (tempC) => later(firstAt(bake.atS, bake.coreC, tempC)),
      setAtS: later(bake.setAtS),
      coreAtEndC: between(bake.atS, bake.coreC, endS - 1),
      coreTopC: Math.max(...bake.coreC),
      lost: lost * lostOff,
      brown: {
        top: between(rim.atS, rim.brownTop, endS),
        base: between(bake.atS, bake.brownBase, endS),
        spots: between(bake.atS, bake.spots, endS),
      },
      brownReaches: (where, index) =>
        later(firstAt(bake.atS, where === 'top' ? rim.brownTop : bake.brownBase, index)),
      cutAfterS: bake.coolAtS === null ? null : later(bake.coolAtS - endS),
      firmAfterS: bake.firmAtS === null ? null : later(bake.firmAtS - endS),
      eatAfterS: bake.eatAtS === null ? null : later(bake.eatAtS - endS),
      driesTo: (level) => later(firstAt(bake.atS, bake.lost, (waterPerDry - level) / (1 + waterPerDry))),
      volume: bake.body.volumeM3 * 1e6,
    };
  });
}

/** Until it is hot through. By draws an oven is stronger or weaker, and passes its heat on better or worse. */
export function askPreheat(
  plate: Plate,
  setC: number,
  thickM: number | null,
  draw: number | null,
): number | null {
  const plain = ORDINARY_OVENS.static;
  const z = draw === null || draw === COARSE ? 0 : normalAbove((draw + 0.5) / DRAWS.heat);
  const oven = preheatDraw(plain, z);
  const heated = preheat(
    oven,
    plate,
    setC,
    21,
    thickM ?? undefined,
    drawnFigures(draw === COARSE ? null : draw),
  );
  return heated.ok ? heated.value.plateS : null;
}

/** The weather moves the pressure by a per cent or so. */
export const boilsAtC = (altitudeM: number, draw: number | null): number =>
  boilingAtC(
    airPressurePa(altitudeM) *
      (draw === null || draw === COARSE ? 1 : Math.exp(0.009 * normalAbove((draw + 0.5) / DRAWS.heat))),
  );

/** By how much of its height a crumb sinks that leaves the oven with so hot a middle. */
export const askSinks = (coreC: number, draw: number | null): number =>
  sinksBy(
    coreC + (draw === null || draw === COARSE ? 0 : 2.5 * normalAbove((draw + 0.5) / DRAWS.heat)),
    0.85,
  );
