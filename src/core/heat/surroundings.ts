import type { Figures } from '../calibrated';
import type { Shape, TinKind } from '../method/heating';
import { SIDES } from './grid';
import { AJAR_LOSES, DOOR_DROPS, thermostatW, type Oven } from './oven';
import { HEAT, PLATES, TIN_HEAT_J_PER_M3K, TINS, type Plate } from './parameters';
import { newPlate, stepPlate, type PlateState } from './plate';
import type { Phase } from './programme';
import {
  EFFUSIVITY,
  filmOf,
  heatedBy,
  isBaking,
  openShare,
  stillOver,
  unshaded,
  STEAM_M3_PER_KG_K,
  touchOf,
  VENTS,
  wallsAboveC,
} from './films';
import type { Meeting } from './bodyState';
import { latentJPerKg, vapourPressureFast } from './water';

/** Everything round the piece: air and walls as one, what it lies on, its tin, a lid. Temperatures change as the bake goes on. */
export interface Surroundings {
  airC: number;
  plate: PlateState | null;
  /** Tin walls at the side and beneath, °C. */
  readonly tinC: Float64Array;
  readonly tin: TinKind | null;
  readonly plateThickM: Partial<Record<Plate, number>>;
  lidC: number;
  /** Vapour in the oven's air, share of its pressure: what the load gives off less what the vent takes. */
  vapourShare: number;
  /** Sauce and cheese, where there are any: °C, what of them there is, kg/m², its water, kg/m², and what has left so far. */
  toppingC: number;
  readonly toppingKgPerM2: number;
  toppingWaterKgPerM2: number;
  toppingLostKgPerM2: number;
  readonly figures: Figures;
  readonly roomC: number;
  readonly oven: Oven;
  readonly pressurePa: number;
  /** Multiplies every film's transfer; contact apart. Drawn for the range. */
  readonly transfer: number;
  readonly contact: number;
  readonly rack: number;
  readonly acrossM: number;
  /** In the load. */
  readonly pieces: number;
  readonly offsetC: number;
}

export const newSurroundings = (
  given: Pick<
    Surroundings,
    | 'roomC'
    | 'oven'
    | 'pressurePa'
    | 'transfer'
    | 'contact'
    | 'rack'
    | 'acrossM'
    | 'pieces'
    | 'offsetC'
    | 'tin'
    | 'plateThickM'
    | 'figures'
  > & { readonly topping?: { readonly kgPerM2: number; readonly waterShare: number } },
  startC: number,
): Surroundings => ({
  ...given,
  toppingKgPerM2: given.topping?.kgPerM2 ?? HEAT.topping.usualKgPerM2,
  toppingWaterKgPerM2:
    (given.topping?.kgPerM2 ?? HEAT.topping.usualKgPerM2) * (given.topping?.waterShare ?? 0.65),
  toppingLostKgPerM2: 0,
  airC: given.roomC,
  plate: null,
  tinC: new Float64Array(2).fill(startC),
  lidC: given.roomC,
  vapourShare: HEAT.vapour.dry,
  toppingC: given.roomC,
});

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

/** What the air, the oil or the water of a phase does to a side that is open to it. */
function openTo(s: Surroundings, phase: Phase, lid: boolean): Omit<Meeting, 'wallC'> {
  const film = filmOf(phase, s);
  // Lewis: heat film over the air's volumetric heat gives the mass film; M / (R T) turns it to pressures
  const perPa = (lid ? 0.4 : 1) * ((film * HEAT.lewis) / 1010) * (0.018015 / (8.314462 * 350));
  const { vapour } = HEAT;
  const vapourShare = lid
    ? vapour.lid
    : (phase.moist === 'steam' || s.oven.kind === 'humid') && phase.kind === 'oven'
      ? vapour.steam
      : phase.kind === 'oven'
        ? s.vapourShare
        : vapour.dry;
  if (isBaking(phase))
    return {
      tempC: lid ? s.lidC : s.airC,
      hWPerM2K: lid ? HEAT.convection.lid : film,
      massPerPa: perPa,
      vapourPa: vapourShare * s.pressurePa,
      emissivity: lid ? HEAT.emissivity.lid : s.figures['oven.emissivity'],
    };
  if (phase.kind === 'fry' || phase.kind === 'boil')
    return { tempC: s.airC, hWPerM2K: film, massPerPa: 0, vapourPa: 0, emissivity: 0 };
  return {
    tempC: s.roomC,
    hWPerM2K: film,
    massPerPa: perPa,
    vapourPa: 0.5 * vapourPressureFast(s.roomC),
    emissivity: HEAT.emissivity.rack,
  };
}

/**
 * Fills the three sides' meetings for this moment.
 * @param baseMoist how far what lies down is still wet at its skin, 0 ... 1: a crust touches less well
 */
export function meet(
  s: Surroundings,
  phase: Phase,
  meetings: readonly Meeting[],
  shape: Shape,
  baseMoist: number,
): void {
  const lid = phase.moist === 'lid' && isBaking(phase);
  const open = openTo(s, phase, lid);
  const wet = phase.kind === 'fry' || phase.kind === 'boil';
  meetings.forEach((meeting, index) => {
    const facing = SIDES[index] ?? 'top';
    const share = openShare(shape, facing, wet);
    const moves = share * stillOver(shape, facing, phase, s);
    meeting.tempC = open.tempC;
    meeting.hWPerM2K = open.hWPerM2K * moves;
    meeting.emissivity = open.emissivity * share * (lid ? 1 : unshaded(shape, facing, s.pieces));
    meeting.wallC = lid ? open.tempC : open.tempC + wallsAboveC(s, phase, index === 2 ? 'floor' : 'around');
    meeting.massPerPa = open.massPerPa * moves;
    meeting.vapourPa = open.vapourPa;
    meeting.touches = false;
    meeting.seals = false;
    meeting.spots = 0;
  });
  // what floats has its upper side in the steam over the oil, and half of its flank
  if (phase.kind === 'fry' && shape !== 'ball') {
    Object.assign(meetings[0]!, { tempC: 100, hWPerM2K: HEAT.convection.overOil });
    meetings[1]!.hWPerM2K *= 0.5;
  }
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
  const touch = (meeting: Meeting, tempC: number, wet: number, dry: number, under: Plate) => {
    meeting.tempC = tempC;
    // what stands on its own steam still has the glow and the thin air under it
    const bare = wet * s.contact * (dry + (1 - dry) * baseMoist);
    const papered = phase.paper && under !== 'tray';
    meeting.hWPerM2K = Math.max(s.figures['touch.gap'], papered ? 1 / (1 / bare + HEAT.paperResists) : bare);
    meeting.touches = true;
    // where two bodies truly touch they meet at a temperature between theirs, each by its effusivity
    const holds = EFFUSIVITY[papered ? 'tray' : under];
    meeting.spots = holds / (holds + s.figures['spot.skin']);
    meeting.emissivity = 0;
    meeting.massPerPa = 0;
  };
  if (phase.inTin && s.tin) {
    touch(side, s.tinC[0]!, s.figures['touch.tin'], HEAT.crustTouches.tin, 'tray');
    touch(base, s.tinC[1]!, s.figures['touch.tin'], HEAT.crustTouches.tin, 'tray');
  } else if (s.plate) {
    const { wet: wetTouch, dry } = touchOf(s.plate.kind, s.figures);
    touch(base, s.plate.tempC[0]!, wetTouch, dry, s.plate.kind);
    // through a thin piece steam has a short way up; from under a loaf it finds one round it
    base.seals = shape === 'disc' || shape === 'flatbread';
  }
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

/**
 * Warms the topping by what it takes from the oven less what it gives to the piece and to the steam that leaves it; its water steams off as
 * from any wet surface, and what it cannot hold at its hottest boils away.
 * @returns what it took, W
 */
function heatTopping(
  s: Surroundings,
  phase: Phase,
  film: number,
  givenW: number,
  topM2: number,
  dtS: number,
): number {
  const { heatJPerKgK, mostC, coversWPerM2K, open } = HEAT.topping;
  const walls = s.airC + wallsAboveC(s, phase, 'around');
  const bare = heatedBy(film, s.airC, s.figures['oven.emissivity'], walls, s.toppingC);
  // its own skin, drying cheese and fat, stands between the oven and its middle
  const through = Math.abs(walls - s.toppingC) * coversWPerM2K;
  const flux = through > 0 ? (bare * through) / (Math.abs(bare) + through) : bare;
  const perPa = open * ((film * HEAT.lewis) / 1010) * (0.018015 / (8.314462 * 350));
  const wish = perPa * (vapourPressureFast(s.toppingC) - s.vapourShare * s.pressurePa);
  const latent = latentJPerKg(s.toppingC);
  const steams = Math.min(Math.max(0, wish), s.toppingWaterKgPerM2 / dtS);
  const heat = s.toppingKgPerM2 * heatJPerKgK;
  const nextC = s.toppingC + ((flux - givenW / topM2 - steams * latent) * dtS) / heat;
  // at its most the rest of the heat leaves as its own steam
  const boilsKg = Math.min(
    s.toppingWaterKgPerM2 - steams * dtS,
    Math.max(0, ((nextC - mostC) * heat) / latent),
  );
  const lost = steams * dtS + boilsKg;
  s.toppingC = nextC > mostC ? mostC : nextC;
  s.toppingWaterKgPerM2 = Math.max(0, s.toppingWaterKgPerM2 - lost);
  s.toppingLostKgPerM2 += lost;
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
  vapourKgPerS: number,
  pieces: number,
  extents: Extents,
  dtS: number,
): void {
  const film = filmOf(phase, s);
  const toppingBefore = s.toppingLostKgPerM2;
  const topW = phase.topped
    ? heatTopping(s, phase, film, sideW[0]!, extents.topM2, dtS)
    : phase.turned
      ? sideW[2]!
      : sideW[0]!;
  const baseW = phase.turned ? sideW[0]! : sideW[2]!;
  // a closed oven's vent lets little out: what the load gives off stays in its air for a while
  const toppingKgPerS = (s.toppingLostKgPerM2 - toppingBefore) * (extents.topM2 / dtS);
  const steamM3PerS =
    (STEAM_M3_PER_KG_K * (vapourKgPerS + toppingKgPerS) * pieces * (s.airC + 273.15)) / s.pressurePa;
  const ventM3PerS = (s.figures['oven.vent'] / 1000) * VENTS[s.oven.kind];
  const settles = HEAT.vapour.dry + ((1 - HEAT.vapour.dry) * steamM3PerS) / (steamM3PerS + ventM3PerS);
  s.vapourShare += (settles - s.vapourShare) * Math.min(1, dtS / HEAT.vapour.settlesS);
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
      const walls = s.airC + wallsAboveC(s, phase, wall === 1 ? 'floor' : 'around');
      const flux = heatedBy(film, s.airC, emissivity * s.figures['oven.emissivity'], walls, s.tinC[wall]!);
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
        const floor = s.airC + wallsAboveC(s, phase, 'floor');
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
  const load = fromAirW * pieces;
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
    return (0.4 * TINS[s.tin].thickM * TIN_HEAT_J_PER_M3K) / (s.figures['touch.tin'] * s.contact + 60);
  if (s.plate) {
    const { heatJPerM3K } = PLATES[s.plate.kind];
    const layer = s.plate.layerM;
    const burner = phase.kind === 'griddle' ? 900 : 60;
    return (0.4 * layer * heatJPerM3K) / (touchOf(s.plate.kind, s.figures).wet * s.contact + burner);
  }
  return 20;
}
