import { refuse, ok, type Result } from '../result';
import { maybeRangeOf, type MaybeRange } from '../numeric/range';
import { within } from '../units/decimal';
import { FIGURES, type Figures } from '../calibrated';
import { blows } from './films';
import { PLATES, STEFAN_BOLTZMANN, type Plate } from './parameters';
import { newPlate, stepPlate } from './plate';
import { heatUpS, thermostatW, type Oven } from './oven';
import { PHASE_LIMITS } from './heatLimits';

export interface Preheat {
  /** The oven's air and walls, and the stone, steel or pot: ready within 15 °C of the dial, s; null: never within three hours. */
  readonly ovenS: number | null;
  readonly plateS: number | null;
  /** After a load took its share: until the plate's face is back within 15 °C, s. */
  readonly recoverS: number | null;
  /** Each minute: oven, plate's face, plate's underside, °C. */
  readonly ovenC: readonly number[];
  readonly topC: readonly number[];
  readonly baseC: readonly number[];
}

/** An oven so many sds stronger than usual: of its power, what it loses and how it passes heat on, all at once. */
export const preheatDraw = (oven: Oven, z: number): Oven => ({
  ...oven,
  powerW: oven.powerW * Math.exp(z * POWER_CV),
  transfer: oven.transfer * Math.exp(z * oven.transferCv),
});
const POWER_CV = 0.2;

const NEAR_C = 15;
const LIMIT_S = 10_800;
/** What a cold load draws out of the face in its first minutes, J/m²: a disc's or loaf's base warmed by some 60 °C. */
const LOAD_J_PER_M2 = 350_000;

/**
 * Heats an oven with what stands in it. The plate takes from both faces by convection and radiation; a pot counts as iron.
 * @returns limits at setC, roomC, and `notSolvable` at setC when the oven's power can't hold that temperature
 */
export function preheat(
  oven: Oven,
  plate: Plate | null,
  setC: number,
  roomC: number,
  thickM?: number,
  figures: Figures = FIGURES,
): Result<Preheat> {
  const room = within(roomC, PHASE_LIMITS.roomC, 'roomC');
  if (!room.ok) return room;
  const dial = within(
    setC,
    {
      min: Math.max(PHASE_LIMITS.setC.oven.min, Math.ceil(roomC + 5)),
      max: Math.min(PHASE_LIMITS.setC.oven.max, oven.hottestC ?? Infinity),
    },
    'setC',
  );
  if (!dial.ok) return dial;
  const wantedC = setC + oven.offsetC;
  if (oven.lossWPerK * (wantedC - roomC) > oven.powerW) return refuse('notSolvable', 'setC');
  const film = (blows(oven) ? figures['air.fan'] : figures['air.static']) * oven.transfer;
  const state = plate && newPlate(plate, roomC, thickM);
  const emissivity = plate ? PLATES[plate].emissivity * figures['oven.emissivity'] : 0;
  const flux = (airC: number, faceC: number) => {
    const a = airC + 273.15;
    const b = faceC + 273.15;
    return (film + emissivity * STEFAN_BOLTZMANN * (a * a + b * b) * (a + b)) * (airC - faceC);
  };
  let airC = roomC;
  const ovenC: number[] = [];
  const topC: number[] = [];
  const baseC: number[] = [];
  let plateS: number | null = null;
  let recoverFromS: number | null = null;
  let recoverS: number | null = null;
  /** A baking stone or steel of 35 × 40 cm. */
  const area = 0.14;
  const dtS = 2;
  for (let tS = 0; tS <= LIMIT_S; tS += dtS) {
    const top = state ? state.tempC[0]! : airC;
    const base = state ? state.tempC[state.tempC.length - 1]! : airC;
    if (tS % 60 === 0 && recoverFromS === null) {
      ovenC.push(airC);
      topC.push(top);
      baseC.push(base);
    }
    if (state && plateS === null && top >= wantedC - NEAR_C) {
      plateS = tS;
      recoverFromS = tS;
      // the load takes its heat out of the whole thickness
      const drop = LOAD_J_PER_M2 / (PLATES[state.kind].heatJPerM3K * state.layerM * state.tempC.length);
      for (let layer = 0; layer < state.tempC.length; layer += 1) state.tempC[layer]! -= drop;
    } else if (recoverFromS !== null && recoverS === null && tS > recoverFromS && top >= wantedC - NEAR_C) {
      recoverS = tS - recoverFromS;
      break;
    }
    let takenW = 0;
    if (state) {
      const intoTop = flux(airC, top);
      const intoBase = flux(airC, base);
      stepPlate(state, intoTop, intoBase, dtS);
      takenW = (intoTop + intoBase) * area;
    }
    airC +=
      ((thermostatW(oven, airC, wantedC, roomC) - oven.lossWPerK * (airC - roomC) - takenW) * dtS) /
      oven.heatJPerK;
    if (!state && airC >= wantedC - 3) break;
  }
  const alone = heatUpS(oven, roomC, wantedC, roomC);
  return ok({ ovenS: Number.isFinite(alone) ? alone : null, plateS, recoverS, ovenC, topC, baseC });
}

/** How long it takes to be hot, with its 80 % range: one oven is stronger than another of its kind, and passes its heat on better. */
export interface PreheatForecast {
  readonly ovenS: MaybeRange;
  /** Null: nothing stands in it that has to be heated through. */
  readonly plateS: MaybeRange | null;
  readonly recoverS: MaybeRange | null;
}

/** @returns as {@link preheat} */
export function preheatForecast(
  oven: Oven,
  plate: Plate | null,
  setC: number,
  roomC: number,
  thickM?: number,
): Result<PreheatForecast> {
  const middle = preheat(oven, plate, setC, roomC, thickM);
  if (!middle.ok) return middle;
  const drawn = DRAWN.map((z) => preheat(preheatDraw(oven, z), plate, setC, roomC, thickM));
  const range = (of: (each: Preheat) => number | null) =>
    maybeRangeOf(
      of(middle.value),
      // an oven too weak for it never gets there
      drawn.map((each) => (each.ok ? of(each.value) : null)),
    );
  return ok({
    ovenS: range(({ ovenS }) => ovenS),
    plateS: plate && range(({ plateS }) => plateS),
    recoverS: plate && range(({ recoverS }) => recoverS),
  });
}
/** Slices of a normal distribution. */
const DRAWN = [-1.55, -0.85, -0.32, 0.32, 0.85, 1.55] as const;
