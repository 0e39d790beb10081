import type { Shape, TinKind } from '../method/heating';
import { SIDES, type Side } from './grid';
import { AJAR_LOSES, DOOR_DROPS, thermostatW, type Oven } from './oven';
import { HEAT, PLATES, STEFAN_BOLTZMANN, TIN_HEAT_J_PER_M3K, TINS, type Plate } from './parameters';
import { newPlate, stepPlate, type PlateState } from './plate';
import type { Phase } from './programme';
import type { Meeting } from './bodyState';
import { vapourPressureFast } from './water';

/** Everything round the piece: air and walls as one, what it lies on, its tin, a lid. Temperatures change as the bake goes on. */
export interface Surroundings {
  airC: number;
  plate: PlateState | null;
  /** Tin walls at the side and beneath, °C. */
  readonly tinC: Float64Array;
  readonly tin: TinKind | null;
  readonly plateThickM: Partial<Record<Plate, number>>;
  lidC: number;
  /** Sauce and cheese, where there are any, °C. */
  toppingC: number;
  readonly roomC: number;
  readonly oven: Oven;
  readonly pressurePa: number;
  /** Multiplies every film's transfer; contact apart. Drawn for the range. */
  readonly transfer: number;
  readonly contact: number;
  readonly rack: number;
  readonly offsetC: number;
}

export const newSurroundings = (
  given: Pick<
    Surroundings,
    'roomC' | 'oven' | 'pressurePa' | 'transfer' | 'contact' | 'rack' | 'offsetC' | 'tin' | 'plateThickM'
  >,
  startC: number,
): Surroundings => ({
  ...given,
  airC: given.roomC,
  plate: null,
  tinC: new Float64Array(2).fill(startC),
  lidC: given.roomC,
  toppingC: given.roomC,
});

/** Radiation as a film, W/(m² K), between two temperatures in °C. */
const radiating = (emissivity: number, a: number, b: number): number => {
  const x = a + 273.15;
  const y = b + 273.15;
  return emissivity * STEFAN_BOLTZMANN * (x * x + y * y) * (x + y);
};

/** What a surface takes from air and walls, W/m². */
const heatedBy = (film: number, airC: number, emissivity: number, wallsC: number, ownC: number): number =>
  film * (airC - ownC) + radiating(emissivity, wallsC, ownC) * (wallsC - ownC);

const isBaking = (phase: Phase): boolean => phase.kind === 'oven' || phase.kind === 'coast';

/** What the air of this phase does to a bare surface: film by kind of place. */
function filmOf(
  phase: Phase,
  { oven, transfer, rack }: Pick<Surroundings, 'oven' | 'transfer' | 'rack'>,
): number {
  const { convection } = HEAT;
  switch (phase.kind) {
    case 'oven':
      return (oven.kind === 'fan' ? convection.fan : convection.static) * transfer;
    case 'coast':
      return convection.static * transfer;
    case 'fry':
      return convection.fryer * transfer;
    case 'boil':
      return convection.boiling * transfer;
    case 'griddle':
    case 'rack':
      return convection.rack * rack;
  }
}

/** Puts the surroundings as a phase finds them: preheated, a door opened, the piece moved onto another plate. */
export function enterPhase(s: Surroundings, phase: Phase, before: Phase | null, startC: number): void {
  const setC = phase.setC + s.offsetC;
  // hot before the piece comes to it, wherever that was until then: a rack, a kettle, a griddle
  if (phase.kind === 'oven' && !(before && isBaking(before))) {
    s.airC = setC;
    s.lidC = setC;
  }
  if (phase.kind === 'rack' || phase.kind === 'griddle') s.airC = s.roomC;
  // it comes from the bench, and takes the first minutes' heat
  if (phase.topped && !before?.topped) s.toppingC = s.roomC;
  if (phase.kind === 'oven' && phase.door) s.airC -= DOOR_DROPS * (s.airC - s.roomC);
  if (phase.kind === 'fry' && before?.kind !== 'fry') s.airC = setC;
  if (phase.on !== (s.plate?.kind ?? null)) {
    // stone, steel, iron and griddle were heated through before; a tray is as cold as what lies on it
    s.plate = phase.on && newPlate(phase.on, phase.on === 'tray' ? startC : setC, s.plateThickM[phase.on]);
  }
}

/**
 * How much of a side the air and the walls reach: rolls that touch leave gaps below their shoulders; the hole of a ring sees mostly
 * itself, about a quarter of its skin by two thirds. Oil and water get everywhere.
 */
function openShare(shape: Shape, side: Side, wet: boolean): number {
  if (wet) return 1;
  if (shape === 'touchingRolls' && side === 'side') return 0.33;
  return shape === 'ring' && side === 'top' ? 0.82 : 1;
}

/** How much warmer than its air an oven's walls are, °C: elements in roof and floor; a fan evens that out, and so does a switched-off oven. */
const wallsAboveC = (oven: Oven, phase: Phase, where: 'around' | 'floor'): number =>
  phase.kind === 'oven' && oven.kind !== 'fan' ? HEAT.wallsAbove[where] : 0;

/**
 * Fills the three sides' meetings for this moment.
 * @param baseMoist water of the base's skin against that of the fresh dough, 0 ... 1: a dry skin touches less well
 */
export function meet(
  s: Surroundings,
  phase: Phase,
  meetings: readonly Meeting[],
  shape: Shape,
  baseMoist: number,
): void {
  const film = filmOf(phase, s);
  const lid = phase.moist === 'lid' && isBaking(phase);
  // Lewis: heat film over the air's volumetric heat gives the mass film; M / (R T) turns it to pressures
  const perPa = (lid ? 0.4 : 1) * ((film * HEAT.lewis) / 1010) * (0.018015 / (8.314462 * 350));
  const { vapour } = HEAT;
  const vapourShare = lid
    ? vapour.lid
    : phase.moist === 'steam' && phase.kind === 'oven'
      ? vapour.steam
      : vapour.dry;
  const open: Omit<Meeting, 'emissivity' | 'wallC'> = isBaking(phase)
    ? {
        tempC: lid ? s.lidC : s.airC,
        hWPerM2K: lid ? HEAT.convection.lid : film,
        massPerPa: perPa,
        vapourPa: vapourShare * s.pressurePa,
      }
    : phase.kind === 'fry' || phase.kind === 'boil'
      ? { tempC: s.airC, hWPerM2K: film, massPerPa: 0, vapourPa: 0 }
      : { tempC: s.roomC, hWPerM2K: film, massPerPa: perPa, vapourPa: 0.5 * vapourPressureFast(s.roomC) };
  const wet = phase.kind === 'fry' || phase.kind === 'boil';
  const emissivity = wet
    ? 0
    : isBaking(phase)
      ? lid
        ? HEAT.emissivity.lid
        : HEAT.emissivity.oven
      : HEAT.emissivity.rack;
  meetings.forEach((meeting, index) => {
    const share = openShare(shape, SIDES[index] ?? 'top', wet);
    meeting.tempC = open.tempC;
    meeting.hWPerM2K = open.hWPerM2K * share;
    meeting.emissivity = emissivity * share;
    meeting.wallC = lid
      ? open.tempC
      : open.tempC + wallsAboveC(s.oven, phase, index === 2 ? 'floor' : 'around');
    meeting.massPerPa = open.massPerPa * share;
    meeting.vapourPa = open.vapourPa;
  });
  // what is under a wet topping warms through it and dries no further
  if (phase.topped)
    Object.assign(meetings[0]!, {
      tempC: s.toppingC,
      hWPerM2K: HEAT.topping.contactWPerM2K,
      emissivity: 0,
      massPerPa: 0,
    });
  const side = meetings[1]!;
  const base = meetings[2]!;
  const touches = s.contact * (HEAT.dryContact + (1 - HEAT.dryContact) * Math.min(1, 2 * baseMoist));
  const touch = (meeting: Meeting, tempC: number, hWPerM2K: number) => {
    meeting.tempC = tempC;
    meeting.hWPerM2K = hWPerM2K * touches;
    meeting.emissivity = 0;
    meeting.massPerPa = 0;
  };
  if (phase.inTin && s.tin) {
    touch(side, s.tinC[0]!, HEAT.contact.tin);
    touch(base, s.tinC[1]!, HEAT.contact.tin);
  } else if (s.plate) touch(base, s.plate.tempC[0]!, HEAT.contact[s.plate.kind]);
  if (phase.turned) {
    const before = { ...meetings[0]! };
    Object.assign(meetings[0]!, base);
    Object.assign(base, before);
  }
}

export interface Extents {
  readonly topM2: number;
  readonly sideM2: number;
  readonly baseM2: number;
}

/** Warms the topping by what it takes from the oven less what it gives to the piece. @returns what it took, W */
function heatTopping(
  s: Surroundings,
  phase: Phase,
  film: number,
  givenW: number,
  topM2: number,
  dtS: number,
): number {
  const { heatJPerM2K, mostC } = HEAT.topping;
  const walls = s.airC + wallsAboveC(s.oven, phase, 'around');
  const flux = heatedBy(film, s.airC, HEAT.emissivity.oven, walls, s.toppingC);
  // at its most the rest of the heat leaves as its own steam
  s.toppingC = Math.min(mostC, s.toppingC + ((flux - givenW / topM2) * dtS) / heatJPerM2K);
  return flux * topM2;
}

/**
 * Carries the surroundings on after the piece took `sideW` (of its modelled part) for dtS. The oven's air and walls give what the
 * piece, its tin and plate take, once for each piece of the load.
 */
export function stepSurroundings(
  s: Surroundings,
  phase: Phase,
  sideW: Float64Array,
  times: number,
  count: number,
  extents: Extents,
  dtS: number,
): void {
  const film = filmOf(phase, s);
  const topW = phase.topped
    ? heatTopping(s, phase, film, sideW[0]!, extents.topM2, dtS)
    : phase.turned
      ? sideW[2]!
      : sideW[0]!;
  const baseW = phase.turned ? sideW[0]! : sideW[2]!;
  const touchesM2 = Math.max(1e-9, phase.turned ? extents.topM2 : extents.baseM2);
  let fromAirW = 0;
  let plateW = 0;
  const lid = phase.moist === 'lid' && isBaking(phase);
  if (phase.inTin && s.tin) {
    const { thickM, emissivity } = TINS[s.tin];
    const heat = thickM * TIN_HEAT_J_PER_M3K;
    const areas = [extents.sideM2, extents.baseM2];
    const given = [sideW[1]!, baseW];
    for (let wall = 0; wall < 2; wall += 1) {
      const area = areas[wall]!;
      if (area <= 0) continue;
      const walls = s.airC + wallsAboveC(s.oven, phase, wall === 1 ? 'floor' : 'around');
      const flux = heatedBy(film, s.airC, emissivity * HEAT.emissivity.oven, walls, s.tinC[wall]!);
      s.tinC[wall]! += ((flux - given[wall]! / area) * dtS) / heat;
      fromAirW += flux * area;
    }
    fromAirW += topW;
  } else {
    fromAirW += topW + sideW[1]!;
    if (s.plate) {
      const plateC = s.plate.tempC[s.plate.tempC.length - 1]!;
      if (phase.kind === 'griddle') {
        const wanted = phase.setC + s.offsetC;
        // a burner with its knob: as much as it takes, up to its power over the pan
        const gives = Math.min(25_000, Math.max(0, 900 * (wanted - plateC)));
        stepPlate(s.plate, -baseW / touchesM2, gives, dtS);
      } else {
        const floor = s.airC + wallsAboveC(s.oven, phase, 'floor');
        const flux = heatedBy(film, s.airC, PLATES[s.plate.kind].emissivity, floor, plateC);
        stepPlate(s.plate, -baseW / touchesM2, flux, dtS);
        plateW = flux * touchesM2;
        fromAirW += plateW;
      }
    } else fromAirW += baseW;
  }
  if (lid) {
    // the pot's walls: five millimetres of iron, about twice the loaf's own skin
    const area = 2 * (extents.sideM2 + extents.baseM2);
    const flux = heatedBy(film, s.airC, 0.9, s.airC, s.lidC);
    s.lidC += ((flux * area - topW - sideW[1]!) * dtS) / (area * 0.005 * PLATES.castIron.heatJPerM3K);
    fromAirW = flux * area + (s.plate ? plateW : baseW);
  }
  const { oven } = s;
  const load = fromAirW * times * count;
  if (phase.kind === 'oven' || phase.kind === 'fry') {
    const gives = thermostatW(oven, s.airC, phase.setC + s.offsetC, s.roomC);
    s.airC += ((gives - oven.lossWPerK * (s.airC - s.roomC) - load) * dtS) / oven.heatJPerK;
  } else if (phase.kind === 'coast') {
    s.airC += ((-oven.lossWPerK * AJAR_LOSES * (s.airC - s.roomC) - load) * dtS) / oven.heatJPerK;
  } else if (phase.kind === 'boil') s.airC = Math.min(s.airC, 130);
  else s.airC = s.roomC;
}

/** The longest step the thin things round the piece can bear, s. */
export function surroundingsStepS(s: Surroundings, phase: Phase): number {
  if (phase.inTin && s.tin)
    return (0.4 * TINS[s.tin].thickM * TIN_HEAT_J_PER_M3K) / (HEAT.contact.tin * s.contact + 60);
  if (s.plate) {
    const { heatJPerM3K } = PLATES[s.plate.kind];
    const layer = s.plate.layerM;
    const burner = phase.kind === 'griddle' ? 900 : 60;
    return (0.4 * layer * heatJPerM3K) / (HEAT.contact[s.plate.kind] * s.contact + burner);
  }
  return 20;
}
