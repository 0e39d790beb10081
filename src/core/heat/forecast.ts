import { FIGURES, type Figures } from '../calibrated';
import { figuresDrawn } from '../calibrated/draws';
import { normalDraws } from '../numeric/draws';
import { quantileOf } from '../numeric/quantile';
import { dominant, maybeRangeOf, rangeOf, type MaybeRange, type Range } from '../numeric/range';
import { ok, type Result } from '../result';
import { simulateBake, CENTRAL_DRAW, type BakeQuestion, type BakeSimulation, type HeatDraw } from './bake';
import { HEAT } from './parameters';
import { PHASE_LIMITS } from './heatLimits';

/** What a kitchen could look into. */
const NAMED = [
  'transfer',
  'offset',
  'conduction',
  'vapourPath',
  'contact',
  'size',
  'start',
  'browning',
  'rack',
  'palate',
] as const;
export type HeatParameter = (typeof NAMED)[number];
/** And what the model itself leaves out, of times and of drying. */
const PARAMETERS = [...NAMED, 'model', 'drying'] as const;
type Drawn = (typeof PARAMETERS)[number];
/** Ten simulations on the coarse grid: the edges of an interval stand to about a sixth of its width. */
const DRAWS = 10;
const NORMAL = normalDraws(DRAWS, PARAMETERS.length, 77_003);

export interface BakeForecast {
  readonly simulation: BakeSimulation;
  /** Core temperature's 80 % band at the run's times. */
  readonly coreLow: readonly number[];
  readonly coreHigh: readonly number[];
  /** Seconds from loading, had it been left in the last heat for as long as that takes; null: never there. */
  readonly set: MaybeRange;
  /** When it may be cut, or eaten where it is eaten warm; null: not within the programme. */
  readonly cut: MaybeRange;
  readonly eatenWarm: boolean;
  /** When half of the crumb is set and a lid may come off. */
  readonly holds: MaybeRange;
  /** At the end of the last phase that heats. */
  readonly endS: number;
  readonly coreAtEndC: Range;
  /** Share of its weight: when it comes out, and cooled, when it may be cut (or at the programme's end). */
  readonly lost: Range;
  readonly lostCooled: Range;
  /** Of what lies bare: of a topped disc the rim. */
  readonly brownTop: Range;
  readonly brownBase: Range;
  /** Of the spots that touch best. */
  readonly spots: Range;
  /** How likely the crumb is set when it comes out. */
  readonly setChance: number;
  readonly dominant: HeatParameter;
}

function drawOf(z: readonly number[], { oven }: BakeQuestion): HeatDraw {
  const at = (name: Drawn) => z[PARAMETERS.indexOf(name)] ?? 0;
  const spread = (name: Drawn, cv: number) => Math.exp(at(name) * cv);
  return {
    transfer: spread('transfer', oven.transferCv),
    offsetC: at('offset') * oven.offsetSdC,
    conduction: spread('conduction', HEAT.conductionCv),
    vapourPath: spread('vapourPath', HEAT.vapourPathCv),
    contact: spread('contact', HEAT.contactCv),
    size: spread('size', HEAT.sizeCv),
    startC: at('start') * HEAT.startSdC,
    browning: spread('browning', HEAT.browningCv),
    rack: spread('rack', HEAT.convection.rackCv),
    palateC: at('palate') * HEAT.eatBelowSdC,
    timeOff: spread('model', HEAT.modelCv.time),
    lostOff: spread('drying', HEAT.modelCv.lost),
  };
}

/**
 * What is another day's on another day, as a share of its spread: how warm the dough was, much of the draught; of how large and how close a piece
 * lies most is the same not knowing on both. The oven, the flours and what the model leaves out stay.
 */
const OF_THE_DAY: Readonly<Partial<Record<Drawn, number>>> = {
  size: 0.35,
  start: 1,
  rack: 0.6,
  contact: 0.35,
  palate: 1,
};

/**
 * The n-th of the fixed draws, or the middle for null.
 * @param anotherDay of two bakes that are compared the second: what a day has of its own is drawn anew
 */
export function drawnHeat(question: BakeQuestion, draw: number | null, anotherDay = false): HeatDraw {
  if (draw === null) return CENTRAL_DRAW;
  const here = NORMAL[draw % DRAWS] ?? [];
  const there = NORMAL[(draw + 3) % DRAWS] ?? [];
  const z = PARAMETERS.map((name, column) => {
    const share = anotherDay ? (OF_THE_DAY[name] ?? 0) : 0;
    return Math.sqrt(1 - share ** 2) * (here[column] ?? 0) + share * (there[column] ?? 0);
  });
  return drawOf(z, question);
}

/** The last moment at which anything heats, s. */
export function heatingEndS(question: Pick<BakeQuestion, 'phases'>): number {
  let tS = 0;
  let endS = 0;
  for (const phase of question.phases) {
    tS += phase.durationS;
    if (phase.kind !== 'rack') endS = tS;
  }
  return endS;
}

const at = (of: BakeSimulation, series: readonly number[], tS: number): number => {
  const { atS } = of;
  let high = 1;
  while (high < atS.length - 1 && atS[high]! < tS) high += 1;
  const from = atS[high - 1]!;
  const share = Math.min(1, Math.max(0, (tS - from) / Math.max(1e-9, atS[high]! - from)));
  return series[high - 1]! + share * (series[high]! - series[high - 1]!);
};

/** How wide the rim of a topped disc is, m. */
const RIM_M = 0.025;

/** The same without toppings: what the rim of a disc goes through, narrow and raised into the air. */
export const uncovered = (question: BakeQuestion): BakeQuestion => ({
  ...question,
  ...(question.phases.some(({ topped }) => topped) && { airMeetsM: RIM_M }),
  phases: question.phases.map((phase) => ({ ...phase, topped: false })),
});

/** The same programme with its last heat kept on for twice its whole time. */
function bakedOn(question: BakeQuestion): BakeQuestion {
  const hot = question.phases.filter((phase) => phase.kind !== 'rack' && phase.kind !== 'coast');
  const last = hot[hot.length - 1];
  if (!last) return question;
  const totalS = hot.reduce((sum, phase) => sum + phase.durationS, 0);
  const durationS = Math.min(PHASE_LIMITS.durationS[last.kind].max, last.durationS + 2 * totalS);
  return { ...question, phases: [...hot.slice(0, -1), { ...last, durationS }] };
}

/** When it is set, had it been left in; a programme too short says nothing of that by itself. */
function setOrLater(
  longer: BakeQuestion,
  each: BakeSimulation,
  { draw, figures }: { readonly draw: HeatDraw; readonly figures: Figures },
): number | null {
  if (each.setAtS !== null) return each.setAtS;
  const on = simulateBake(longer, draw, 'coarse', 30, 'set', figures);
  return on.ok ? on.value.setAtS : null;
}

/** When the crumb is set by the middle of the model, s from loading, had it been left in; null: never there, or no such bake. */
export function setCentralS(question: BakeQuestion): number | null {
  const shown = simulateBake(question, CENTRAL_DRAW, 'coarse', 30, 'set');
  return shown.ok
    ? setOrLater(bakedOn(question), shown.value, { draw: CENTRAL_DRAW, figures: FIGURES })
    : null;
}

/** The middle's core, moved by what the draws lie from the coarse middle. */
function coreBand(
  shown: BakeSimulation,
  plain: BakeSimulation,
  drawn: readonly BakeSimulation[],
  endS: number,
): Pick<BakeForecast, 'coreLow' | 'coreHigh' | 'coreAtEndC'> {
  const shifted = (tS: number, share: number): number =>
    quantileOf(
      drawn.map((each) => at(each, each.coreC, tS) - at(plain, plain.coreC, tS)),
      share,
    );
  const value = at(shown, shown.coreC, endS - 1);
  const low = (core: number, tS: number) => core + Math.min(0, shifted(tS, 0.1));
  const high = (core: number, tS: number) => core + Math.max(0, shifted(tS, 0.9));
  return {
    coreLow: shown.atS.map((tS, index) => low(shown.coreC[index]!, tS)),
    coreHigh: shown.atS.map((tS, index) => high(shown.coreC[index]!, tS)),
    coreAtEndC: { value, low: low(value, endS - 1), high: high(value, endS - 1) },
  };
}

/** How far a forecast is. */
export interface Progress {
  readonly done: number;
  readonly of: number;
}

/** Runs a forecast through without pausing. */
export function finish<T>(steps: Generator<Progress, T, void>): T {
  let next = steps.next();
  while (!next.done) next = steps.next();
  return next.value;
}

/**
 * A bake with its ranges: one simulation on the shipped grid for the middle, ten of the drawn parameters on a coarse one for the spread
 * around it (their ratio to the coarse central one, so that the coarse grid's own error drops out).
 *
 * Pauses after each simulation, so that whoever drives it can show how far it is, or leave it.
 * @returns the checks of {@link simulateBake}
 */
export function* bakeForecast(question: BakeQuestion): Generator<Progress, Result<BakeForecast>, void> {
  const shown = simulateBake(question);
  if (!shown.ok) return shown;
  yield { done: 1, of: DRAWS + 2 };
  // ends as the draws do, so that it is compared with them for as long as they last
  const plain = simulateBake(question, CENTRAL_DRAW, 'coarse', 160, 'cut');
  if (!plain.ok) return plain;
  const draws = NORMAL.map((z, index) => ({ draw: drawOf(z, question), figures: figuresDrawn(index) }));
  const simulations: BakeSimulation[] = [];
  for (const { draw, figures } of draws) {
    yield { done: 2 + simulations.length, of: DRAWS + 2 };
    const drawn = simulateBake(question, draw, 'coarse', 160, 'cut', figures);
    if (!drawn.ok) return drawn;
    simulations.push(drawn.value);
  }
  const longer = bakedOn(question);
  const middle = { draw: CENTRAL_DRAW, figures: FIGURES };
  const setAt = (each: BakeSimulation, drawn = middle) => setOrLater(longer, each, drawn);
  const setTimes = new Map<BakeSimulation, number | null>();
  for (const [index, each] of simulations.entries()) {
    if (each.setAtS === null) yield { done: DRAWS + 1, of: DRAWS + 2 };
    setTimes.set(each, setAt(each, draws[index]));
  }
  const simulation = shown.value;
  setTimes.set(simulation, setAt(simulation));
  setTimes.set(plain.value, setAt(plain.value));
  const endS = heatingEndS(question);
  const end = (
    series: keyof Pick<BakeSimulation, 'lost' | 'brownTop' | 'brownBase' | 'spots'>,
    each: BakeSimulation,
  ) => at(each, each[series], endS - 1);
  /** What the model itself may be off comes to what was drawn. */
  const off = (index: number) => draws[index]?.draw ?? CENTRAL_DRAW;
  const scaled = (
    of: (each: BakeSimulation) => number,
    value = of(simulation),
    times: (draw: HeatDraw) => number = () => 1,
  ): Range => {
    const coarsely = Math.max(1e-6, of(plain.value));
    return rangeOf(
      value,
      simulations.map((each, index) => (times(off(index)) * value * of(each)) / coarsely),
    );
  };
  const loses = ({ lostOff }: HeatDraw) => lostOff;
  const cooled = (each: BakeSimulation): number =>
    at(each, each.lost, each.cutAtS ?? each.atS[each.atS.length - 1] ?? 0);
  // the rim of a topped disc browns as one that was never covered
  const rim = question.phases.some(({ topped }) => topped) ? simulateBake(uncovered(question)) : shown;
  /** @param fromS when that of which the time is told began */
  const timed = (of: (each: BakeSimulation) => number | null, fromS = 0): MaybeRange => {
    const value = of(simulation);
    const coarsely = of(plain.value);
    const scale = value !== null && coarsely !== null ? value / coarsely : 1;
    return maybeRangeOf(
      value,
      simulations.map((each, index) => {
        const drawn = of(each);
        if (drawn === null) return null;
        const tS = drawn * scale;
        return tS > fromS ? fromS + (tS - fromS) * off(index).timeOff : tS;
      }),
    );
  };
  return ok({
    simulation,
    ...coreBand(simulation, plain.value, simulations, endS),
    set: timed((each) => setTimes.get(each) ?? null),
    cut: timed((each) => each.cutAtS, endS),
    eatenWarm: question.eatenWarm ?? false,
    holds: timed((each) => each.holdsAtS),
    endS,
    lost: scaled((each) => end('lost', each), undefined, loses),
    lostCooled: scaled(cooled, undefined, loses),
    brownTop: scaled((each) => end('brownTop', each), end('brownTop', rim.ok ? rim.value : simulation)),
    brownBase: scaled((each) => end('brownBase', each)),
    spots: scaled((each) => end('spots', each)),
    setChance:
      simulations.filter((each, index) => each.setAtS !== null && each.setAtS * off(index).timeOff <= endS)
        .length / simulations.length,
    dominant: dominant(
      NAMED,
      NORMAL,
      simulations.map((each) => Math.log(setTimes.get(each) ?? 3 * endS)),
    ),
  });
}
