import { ok, type Result } from '../result';
import { within } from '../units/decimal';
import { airPressurePa, boilingPointC } from '../doughTemperature/boilingPoint';
import type { CrumbMatter } from './crumbMatter';
import { SIDES } from './grid';
import type { Oven } from './oven';
import type { TinKind } from '../method/heating';
import type { Plate } from './parameters';
import { bodyOf, type Body, type GridKind, type Piece } from './piece';
import { PHASE_LIMITS } from './heatLimits';
import { checkProgramme, type Phase } from './programme';
import {
  bodyFiguresOf,
  heatOf,
  newBody,
  overSide,
  rested,
  waterOf,
  type BodyState,
  type Meeting,
} from './bodyState';
import { FIGURES, type Figures } from '../calibrated';
import { HEAT } from './parameters';
import { stableStepS } from './stableStep';
import { advance } from './stepper';
import { enterPhase, meet, newSurroundings, stepSurroundings, surroundingsStepS } from './surroundings';

/** A bake as asked: plain data, sent to a worker as it is. */
export interface BakeQuestion {
  readonly matter: CrumbMatter;
  readonly piece: Piece;
  /** The piece as it goes in, °C. */
  readonly startC: number;
  readonly roomC: number;
  readonly altitudeM: number;
  readonly oven: Oven;
  readonly tin: TinKind | null;
  /** Of plates that were measured, m; others are as thick as usual. */
  readonly plateThickM?: Partial<Record<Plate, number>>;
  /** Sauce and cheese on one piece, g, and how much of that is water; absent: as much as is usual, where a phase is topped. */
  readonly topping?: { readonly massG: number; readonly waterShare: number };
  /** How wide what the air meets is, m, where it is not the piece itself: the raised rim of a disc. */
  readonly airMeetsM?: number;
  /** Eaten as soon as it no longer burns the tongue, not cut when it is cool. */
  readonly eatenWarm?: boolean;
  /** Pieces in the load. */
  readonly count: number;
  readonly phases: readonly Phase[];
}

/** One set of the model's parameters; all 1 and 0: the central run. */
export interface HeatDraw {
  readonly transfer: number;
  readonly offsetC: number;
  readonly conduction: number;
  readonly vapourPath: number;
  readonly contact: number;
  readonly size: number;
  readonly startC: number;
  readonly browning: number;
  /** Air and shade where it cools. */
  readonly rack: number;
  /** Tongues differ: by how much warmer it is eaten. */
  readonly palateC: number;
  /** What the model itself is off: of its times and of the water lost; whoever reads a draw multiplies by them. */
  readonly timeOff: number;
  readonly lostOff: number;
}
export const CENTRAL_DRAW: HeatDraw = {
  transfer: 1, offsetC: 0, conduction: 1, vapourPath: 1, contact: 1, size: 1, startC: 0, browning: 1, rack: 1, palateC: 0,
  timeOff: 1, lostOff: 1,
}; // prettier-ignore

/** A bake as it comes out, sampled. °C, seconds from loading. */
export interface BakeSimulation {
  readonly atS: readonly number[];
  readonly coreC: readonly number[];
  readonly meanC: readonly number[];
  readonly topC: readonly number[];
  readonly baseC: readonly number[];
  readonly ovenC: readonly number[];
  /** Share of its mass that has left; of a topped piece of the whole, topping counted. */
  readonly lost: readonly number[];
  /** Share of the crumb that is gelatinised, by volume. */
  readonly set: readonly number[];
  readonly brownTop: readonly number[];
  readonly brownBase: readonly number[];
  /** The same of the spots that touch best: what a griddle or a stone leaves. */
  readonly spots: readonly number[];
  readonly setAtS: number | null;
  /** Its middle is below 32 °C; its crumb has firmed, no longer gummy; its mean is cool enough to eat warm. */
  readonly coolAtS: number | null;
  readonly firmAtS: number | null;
  readonly eatAtS: number | null;
  /** When it may be cut, or eaten where it is eaten warm: the one answer of the three. */
  readonly cutAtS: number | null;
  /** When half of the crumb is set: it keeps its shape, its spring is over, and a lid has done its work. */
  readonly holdsAtS: number | null;
  readonly crustMm: number;
  /** Books of the run: what is missing over what was moved, heat and water. */
  readonly heatMissing: number;
  readonly waterMissing: number;
  readonly boilsC: number;
  readonly body: Omit<Body, 'grid' | 'resting'>;
}

/** Where a crumb may be called set: as far gelatinised, and as hot in the middle (or so near boiling on a mountain). */
const SET = {
  gelatinised: 0.98,
  coreC: 96,
  belowBoilingC: 2.5,
  holdsShare: 0.5,
  coolC: 32,
  flatCoreC: 88,
} as const;

export function checkBake(question: BakeQuestion): Result<null> {
  const checks = [
    within(question.startC, PHASE_LIMITS.startC, 'startC'),
    within(question.altitudeM, PHASE_LIMITS.altitudeM, 'altitudeM'),
    within(question.count, PHASE_LIMITS.count, 'count'),
  ];
  for (const checked of checks) if (!checked.ok) return checked;
  const body = bodyOf(question.piece, question.matter.densityKgPerM3, 'coarse');
  if (!body.ok) return body;
  return checkProgramme(question.phases, question.roomC, question.oven);
}

/** The mean of the piece by its heat, °C. */
function meanOf({ heatJ, tempC }: BodyState): number {
  let heat = 0;
  let capacity = 0;
  for (let cell = 0; cell < tempC.length; cell += 1) {
    heat += heatJ[cell]!;
    capacity += heatJ[cell]! / tempC[cell]!;
  }
  return heat / capacity;
}

/** A crumb thick enough to be gummy until it has firmed. */
const FIRMS: ReadonlySet<Piece['shape']> = new Set(['tin', 'hearth', 'baguette', 'roll', 'touchingRolls']);
/** Skins that dry before they have grown, where nothing keeps them moist. */
const BARE: ReadonlySet<Piece['shape']> = new Set(['hearth', 'baguette', 'roll', 'round']);

/** What the oven adds to the volume: all of it under a lid, in steam or in a tin; of a bare skin's what it allows. */
export function springsOf({ piece, phases }: BakeQuestion, figures: Figures = FIGURES): number {
  const springs = Math.max(1, piece.springs ?? 1);
  const first = phases.find((phase) => phase.kind === 'oven');
  const bare = first?.moist === 'dry' && !first.inTin && BARE.has(piece.shape);
  return bare ? 1 + (springs - 1) * figures['skin.springs'] : springs;
}

/** What floats is turned half way, where the method does not say when. */
function turnedOnce(phases: readonly Phase[]): readonly Phase[] {
  if (phases.some((phase) => phase.kind === 'fry' && phase.turned)) return phases;
  return phases.flatMap((phase) => {
    if (phase.kind !== 'fry') return [phase];
    const half = { ...phase, durationS: phase.durationS / 2 };
    return [half, { ...half, turned: true, door: false }];
  });
}

/** Crust: all that has lost three quarters of its water per dry matter, and what has lost 45 % in part, spread over the skin, mm. */
function crustMm(state: BodyState): number {
  const { grid, waterKg, dryKg } = state;
  const before = state.figures.matter.waterShare / (1 - state.figures.matter.waterShare);
  let dryVolume = 0;
  for (let cell = 0; cell < grid.cells; cell += 1) {
    const left = waterKg[cell]! / dryKg[cell]! / Math.max(1e-9, before);
    dryVolume += grid.volume[cell]! * Math.min(1, Math.max(0, (0.55 - left) / 0.3));
  }
  const skin = grid.edgeArea.reduce((sum, area) => sum + area, 0);
  return (1000 * dryVolume) / skin;
}

/**
 * Bakes (fries, boils, griddles, cools) one piece through its programme. The inner loop of everything about heat; pure, about
 * 50 ms for an hour's loaf and its cooling at the shipped grid.
 *
 * @returns the checks of {@link checkBake}
 */
export function simulateBake(
  question: BakeQuestion,
  draw: HeatDraw = CENTRAL_DRAW,
  kind: GridKind = 'shipped',
  points = 160,
  /** Ends early once it may be cut, or once it is set: what comes after tells a draw nothing. */
  until: 'end' | 'cut' | 'set' = 'end',
  figures: Figures = FIGURES,
): Result<BakeSimulation> {
  const checked = checkBake(question);
  if (!checked.ok) return checked;
  const { matter, oven, roomC } = question;
  const springs = springsOf(question, figures);
  const lightness = (question.piece.lightness * springs) / (question.piece.springs ?? 1);
  const size = { ...question.piece, springs, lightness: Math.max(1, lightness * draw.size) };
  const floats = question.phases.some((phase) => phase.kind === 'fry');
  const made = bodyOf(size, matter.densityKgPerM3, kind, floats);
  if (!made.ok) return made;
  const { grid: first, resting, ...body } = made.value;
  const pressurePa = airPressurePa(question.altitudeM);
  const startC = question.startC + draw.startC;
  let state = newBody(
    first,
    bodyFiguresOf(figures, { matter, porosity: body.porosity, pressurePa, springs }, draw),
    startC,
  );
  const areaOf = (side: number) => {
    let sum = 0;
    for (let edge = 0; edge < first.edge.length; edge += 1)
      if (first.side[edge] === side) sum += first.edgeArea[edge]!;
    return sum;
  };
  const extents = { topM2: areaOf(0), sideM2: areaOf(1), baseM2: areaOf(2) };
  const around = newSurroundings(
    {
      roomC,
      oven,
      pressurePa,
      transfer: oven.transfer * draw.transfer,
      rack: draw.rack,
      acrossM: question.airMeetsM ?? body.acrossM,
      pieces: question.count,
      contact: draw.contact,
      offsetC: oven.offsetC + draw.offsetC,
      tin: question.tin,
      plateThickM: question.plateThickM ?? {},
      figures,
      ...(question.topping && {
        topping: {
          kgPerM2: question.topping.massG / 1000 / Math.max(1e-6, extents.topM2 * first.times),
          waterShare: question.topping.waterShare,
        },
      }),
    },
    startC,
  );
  const meetings = SIDES.map((): Meeting => ({
    tempC: 0,
    hWPerM2K: 0,
    emissivity: 0,
    wallC: 0,
    massPerPa: 0,
    vapourPa: 0,
  }));
  // a ball has no other side to be put on
  const phases =
    extents.baseM2 > 0
      ? turnedOnce(question.phases)
      : question.phases.map((phase) => ({ ...phase, turned: false }));
  const boilsC = boilingPointC(question.altitudeM);
  const totalS = phases.reduce((sum, phase) => sum + phase.durationS, 0);
  const everyS = totalS / (points - 1);
  const massKg = waterOf(state) + state.dryKg.reduce((sum, kg) => sum + kg, 0);
  const toppingKg = phases.some((phase) => phase.topped) ? around.toppingKgPerM2 * extents.topM2 : 0;
  const heatBefore = heatOf(state);
  const waterBefore = waterOf(state);
  const out = {
    atS: [] as number[], coreC: [] as number[], meanC: [] as number[], topC: [] as number[], baseC: [] as number[],
    ovenC: [] as number[], lost: [] as number[], set: [] as number[], brownTop: [] as number[], brownBase: [] as number[],
    spots: [] as number[],
  }; // prettier-ignore
  const volumeAll = first.volume.reduce((sum, each) => sum + each, 0);
  const over = (values: Float64Array, side: number) => overSide(state, values, side);
  const setShare = () => {
    let sum = 0;
    const { cells, volume } = state.grid;
    for (let cell = 0; cell < cells; cell += 1) sum += state.gelatinised[cell]! * volume[cell]!;
    return sum / volumeAll;
  };
  const beneath = extents.baseM2 > 0 ? 2 : 0;
  let tS = 0;
  let nextS = 0;
  const note = (last = false) => {
    while ((tS >= nextS - 1e-6 || (last && tS > out.atS[out.atS.length - 1]!)) && out.atS.length < points) {
      out.atS.push(tS);
      out.coreC.push(state.tempC[state.grid.core]!);
      out.meanC.push(meanOf(state));
      out.topC.push(over(state.skinC, 0));
      out.baseC.push(over(state.skinC, beneath));
      out.ovenC.push(around.airC);
      // a bar's ends take heat and steam too: the middle of it is what the grid knows, its loss is the whole's
      const vapourKg = Math.min(waterBefore, state.vapourKg * (1 + body.endsShare));
      out.lost.push((vapourKg + around.toppingLostKgPerM2 * extents.topM2) / (massKg + toppingKg));
      out.set.push(setShare());
      out.brownTop.push(over(state.brown, 0));
      out.brownBase.push(over(state.brown, beneath));
      out.spots.push(over(state.spots, beneath));
      nextS += everyS;
    }
  };
  note();
  let setAtS: number | null = null;
  let coolAtS: number | null = null;
  let firmAtS: number | null = null;
  let eatAtS: number | null = null;
  let firmed = 0;
  const warm = question.eatenWarm ?? false;
  const firms = FIRMS.has(question.piece.shape);
  let holdsAtS: number | null = null;
  let lookedS = 0;
  if (phases[0]) enterPhase(around, phases[0], null, startC);
  out.ovenC[0] = around.airC;
  // a thin flat is open on one side and never as hot as a loaf's middle: its starch is set before
  const flat = question.piece.shape === 'disc' || question.piece.shape === 'flatbread';
  const setC = Math.min(flat ? SET.flatCoreC : SET.coreC, boilsC - SET.belowBoilingC);
  let before: Phase | null = null;
  let crustThickMm = 0;
  for (const phase of phases) {
    enterPhase(around, phase, before, startC);
    // what was cool enough to cut goes back to the heat
    if (phase.kind !== 'rack') {
      coolAtS = null;
      firmAtS = null;
      eatAtS = null;
      firmed = 0;
    }
    if (phase.kind === 'boil') around.airC = boilsC - 1;
    // it only cools from here on
    if (phase.kind === 'rack' && phase === phases[phases.length - 1]) state = rested(state, resting);
    const endS = tS + phase.durationS;
    let allowedS = 0;
    let askedS = -Infinity;
    const fromS = tS;
    while (tS < endS - 1e-6) {
      const lies = phase.turned ? 0 : beneath;
      meet(around, phase, meetings, question.piece.shape, over(state.edgeMoist, lies));
      // properties move fast just after a change of surroundings, slowly later; in thin cells always fast
      const stillS = Math.min(phase.kind === 'rack' ? 20 : 5, 0.3 + 0.02 * (tS - fromS), 10 * allowedS);
      if (tS - askedS >= stillS) {
        allowedS = Math.min(stableStepS(state, meetings), surroundingsStepS(around, phase), 12);
        askedS = tS;
      }
      const dtS = Math.min(allowedS, endS - tS);
      if (!(dtS > 0)) throw new Error(`The bake broke down at ${tS} s of ${phase.kind}`);
      const vapourBefore = state.vapourKg;
      advance(state, meetings, dtS);
      const vapourKgPerS = (state.vapourKg - vapourBefore) / dtS;
      stepSurroundings(around, phase, state.sideW, vapourKgPerS, first.times * question.count, extents, dtS);
      tS += dtS;
      const core = state.tempC[state.grid.core]!;
      if (setAtS === null && core >= setC && state.gelatinised[state.grid.core]! >= SET.gelatinised)
        setAtS = tS;
      if (phase.kind === 'rack') {
        if (coolAtS === null && core < SET.coolC) coolAtS = tS;
        if (warm) {
          const cooled = meanOf(state) < HEAT.eatBelowC + draw.palateC;
          if (eatAtS === null && tS - fromS >= HEAT.eatLeastS / draw.rack && cooled) eatAtS = tS;
        } else if (firmAtS === null) {
          // starch sets into a firm gel below where it melts, the faster the cooler
          const sets = Math.min(1, Math.max(0, (HEAT.firmsBelowC - core) / (HEAT.firmsBelowC - SET.coolC)));
          firmed += ((1 - firmed) * sets * dtS) / (figures['firm.min'] * draw.rack * 60);
          if (firmed >= HEAT.firm) firmAtS = tS;
        }
        const done = warm ? eatAtS !== null : coolAtS !== null && (firmAtS !== null || !firms);
        if (until === 'cut' && done && phase === phases[phases.length - 1]) break;
      }
      if (until === 'set' && setAtS !== null) break;
      if (holdsAtS === null && tS - lookedS >= 10) {
        lookedS = tS;
        if (setShare() >= SET.holdsShare) holdsAtS = tS;
      }
      if (tS >= nextS - 1e-6) note();
    }
    if (phase.kind !== 'rack') crustThickMm = crustMm(state);
    before = phase;
  }
  // one that ends early is known to its end
  note(true);
  const moved = Math.max(1, Math.abs(state.takenJ) + Math.abs(state.vapourJ));
  return ok({
    ...out,
    setAtS,
    coolAtS,
    firmAtS,
    eatAtS,
    cutAtS: warm
      ? eatAtS
      : coolAtS === null || (firms && firmAtS === null)
        ? null
        : Math.max(coolAtS, firms ? (firmAtS ?? 0) : 0),
    holdsAtS,
    crustMm: crustThickMm,
    heatMissing: Math.abs(heatOf(state) - heatBefore - state.takenJ + state.vapourJ) / moved,
    waterMissing: Math.abs(waterOf(state) - waterBefore + state.vapourKg) / Math.max(1e-9, waterBefore),
    boilsC,
    body,
  });
}
