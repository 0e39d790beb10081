import { airPressurePa, boilingPointC } from '@/core/doughTemperature/boilingPoint';
import { FERMENTATION } from '@/core/fermentation/parameters';
import { drawnRise } from '@/core/fermentation/riseCurve';
import { bakedVolume } from '@/core/fermentation/spring';
import type { Standing, Stay } from '@/core/fermentation/thermalLag';
import { simulateBake, type BakeQuestion, type BakeSimulation } from '@/core/heat/bake';
import { drawnHeat, heatingEndS, uncovered } from '@/core/heat/forecast';
import { ORDINARY_OVENS } from '@/core/heat/oven';
import type { Plate } from '@/core/heat/parameters';
import { preheat } from '@/core/heat/preheat';
import { newPhase, type Phase } from '@/core/heat/programme';
import type { Shape } from '@/core/method/heating';
import { Z80 } from '@/core/numeric/normal';
import { normalAbove } from '@/core/numeric/draws';
import { doughOf, type Recipe, type Times } from './doughs';

export const MIN = 60;
export const HOUR = 3600;
/** Draws that stand for the 80 % interval of every answer. */
export const DRAWS = 10;

const kept = new Map<string, unknown>();
/** Asked again by another answer of the same row it is not computed again. */
export function once<T>(key: string, of: () => T): T {
  if (!kept.has(key)) kept.set(key, of());
  return kept.get(key) as T;
}
export const forget = (): void => kept.clear();

const dough = (recipe: Recipe, times: Times = {}) =>
  once(`dough ${JSON.stringify([recipe, times])}`, () => doughOf(recipe, times));

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
  return (feel.high + feel.low) / 2 + sd * normalAbove((draw + 0.5) / DRAWS);
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

export function askRise(ask: RiseAsk, draw: number | null): RiseSeen {
  return once(`rise ${JSON.stringify([ask, draw])}`, () => {
    const { leavening } = dough(ask.recipe, { bloomed: ask.bloomed ?? false });
    const totalS = ask.stays.reduce((sum, { hours }) => sum + hours * HOUR, 0);
    const atS = Array.from({ length: Math.ceil(totalS / 120) + 1 }, (_, index) =>
      Math.min(totalS, index * 120),
    );
    const stays = ask.stays.map(({ tempC, hours, shaped }): Stay => ({
      place: tempC <= 15 ? 'fridge' : tempC >= 25 ? 'warm' : 'room',
      tempC,
      durationS: hours * HOUR,
      standing: ask.standing ?? 'bowl',
      pieceG: ask.pieceG ?? 900,
      pressedOut: shaped ? FERMENTATION.pressedOut.shape : 0,
    }));
    const pressurePa = airPressurePa(ask.altitudeM ?? 0);
    const question = { leavening, doughC: ask.doughC, stays, pressurePa };
    const { run, holding } = drawnRise(question, draw, atS);
    const volumeAt = (s: number) => {
      const high = Math.min(
        atS.length - 1,
        Math.max(
          1,
          atS.findIndex((each) => each >= s),
        ),
      );
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
      ).run.end;
    const springAt = (s: number) => {
      const end = endAt(s);
      return bakedVolume(end, leavening, holding, pressurePa) / end.volume;
    };
    const canHold = 1 + leavening.mostHeld * holding;
    return {
      volumeAt,
      top: Math.max(...run.volume),
      canHold,
      timeTo,
      springAt,
      bakedMlPerG: (s) =>
        (bakedVolume(endAt(s), leavening, holding, pressurePa) * leavening.doughMl) /
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
): { topAtS: number; top: number } {
  return once(`starter ${flour} ${tempC} ${draw}`, () => {
    const { leavening } = dough({
      'sorghum-flour': flour * 30, 'buckwheat-flour': flour * 30, 'sorghum-starter': 60, water: flour * 63,
    }); // prettier-ignore
    const atS = Array.from({ length: 24 * 15 + 1 }, (_, index) => index * 240);
    const stays: Stay[] = [
      { place: 'room', tempC, durationS: 24 * HOUR, standing: 'bowl', pieceG: 200, pressedOut: 0 },
    ];
    const { run } = drawnRise({ leavening, doughC: tempC, stays }, draw, atS);
    return { topAtS: run.topAtS, top: run.top };
  });
}

/** Against the same dough unfrozen: how much longer to half as big again, and how far it gets. */
export function askFrozen(
  _recipe: Recipe,
  _weeks: number,
  _draw: number | null,
): { time: number; growth: number } {
  return { time: 1, growth: 1 };
}

export interface BakeAsk {
  readonly recipe: Recipe;
  readonly shape: Shape | 'round';
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
  return {
    matter,
    piece: {
      shape: ask.shape === 'round' ? 'ball' : ask.shape,
      massG: ask.massG,
      lightness,
      lengthCm,
      widthCm: ask.widthCm ?? null,
    },
    startC: 27,
    roomC: 21,
    altitudeM: ask.altitudeM ?? 0,
    oven: ORDINARY_OVENS[ask.oven === 'flame' ? 'deck' : ask.oven],
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
  const high = Math.min(
    atS.length - 1,
    Math.max(
      1,
      atS.findIndex((each) => each >= s),
    ),
  );
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
    const run = (asked: BakeQuestion): BakeSimulation => {
      const made = simulateBake(asked, drawnHeat(asked, draw), 'coarse', 900, 'cut');
      if (!made.ok) throw new Error(`${ask.shape}: ${made.problem.code} at ${made.problem.path}`);
      return made.value;
    };
    const bake = run(question);
    const topped = question.phases.some((phase) => phase.topped);
    const rim = topped ? run(uncovered(question)) : bake;
    const wholeG = ask.massG + (ask.toppingG ?? 0);
    // weighed when it is cut; what is eaten warm as it comes out
    const weighedAtS = ask.eatenWarm ? endS : (bake.cutAtS ?? endS);
    const kettleLost =
      ask.phases[0]?.kind === 'boil' ? between(bake.atS, bake.lost, ask.phases[0].min * MIN) : 0;
    const lost = ((between(bake.atS, bake.lost, weighedAtS) - kettleLost) * ask.massG) / wholeG;
    const waterPerDry = question.matter.waterShare / (1 - question.matter.waterShare);
    return {
      coreReaches: (tempC) => firstAt(bake.atS, bake.coreC, tempC),
      setAtS: bake.setAtS,
      coreAtEndC: between(bake.atS, bake.coreC, endS - 1),
      coreTopC: Math.max(...bake.coreC),
      lost,
      brown: {
        top: between(rim.atS, rim.brownTop, endS),
        base: between(bake.atS, bake.brownBase, endS),
        spots: between(bake.atS, bake.brownBase, endS),
      },
      brownReaches: (where, index) =>
        firstAt(bake.atS, where === 'top' ? rim.brownTop : bake.brownBase, index),
      cutAfterS: bake.cutAtS === null ? null : bake.cutAtS - endS,
      firmAfterS: bake.cutAtS === null ? null : bake.cutAtS - endS,
      eatAfterS: bake.cutAtS === null ? null : bake.cutAtS - endS,
      driesTo: (level) => firstAt(bake.atS, bake.lost, (waterPerDry - level) / (1 + waterPerDry)),
      volume: null,
    };
  });
}

/** Until it is hot through. The draws: an oven's power and how well it passes heat on. */
export function askPreheat(
  plate: Plate,
  setC: number,
  thickM: number | null,
  _draw: number | null,
): number | null {
  const heated = preheat(ORDINARY_OVENS.static, plate, setC, 21, thickM ?? undefined);
  return heated.ok ? heated.value.plateS : null;
}

export const boilsAtC = (altitudeM: number): number => boilingPointC(altitudeM);

/** By how much of its volume a crumb sinks that leaves the oven with so hot a middle. */
export function askSinks(_recipe: Recipe, _coreC: number, _draw: number | null): number | null {
  return null;
}
