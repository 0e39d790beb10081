import type { Figures } from '../calibrated';
import type { Shape } from '../method/heating';
import type { Side } from './grid';
import type { Oven } from './oven';
import { HEAT, PLATES, STEFAN_BOLTZMANN, type Plate } from './parameters';
import type { Phase } from './programme';

/** What of the surroundings decides how heat comes to a piece. */
interface Around {
  readonly oven: Oven;
  readonly figures: Figures;
  /** Multiplies every film's transfer, and that of a cooling rack. */
  readonly transfer: number;
  readonly rack: number;
  /** How wide the piece is. */
  readonly acrossM: number;
}

/** Radiation as a film, W/(m² K), between two temperatures in °C. */
const radiating = (emissivity: number, a: number, b: number): number => {
  const x = a + 273.15;
  const y = b + 273.15;
  return emissivity * STEFAN_BOLTZMANN * (x * x + y * y) * (x + y);
};

/** What a surface takes from air and walls, W/m². */
export const heatedBy = (
  film: number,
  airC: number,
  emissivity: number,
  wallsC: number,
  ownC: number,
): number => film * (airC - ownC) + radiating(emissivity, wallsC, ownC) * (wallsC - ownC);

/** How well what lies under a piece holds its temperature where it is touched, W s½/(m² K); a tray and a tin through paper or grease. */
export const EFFUSIVITY: Readonly<Record<Plate, number>> = {
  stone: effusivityOf('stone'),
  steel: effusivityOf('steel'),
  castIron: effusivityOf('castIron'),
  griddle: effusivityOf('griddle'),
  tray: HEAT.trayEffusivity,
};
function effusivityOf(plate: Plate): number {
  return Math.sqrt(PLATES[plate].conductsWPerMK * PLATES[plate].heatJPerM3K);
}

/** Gas constant over water's molar mass, m³ Pa/(kg K). */
export const STEAM_M3_PER_KG_K = 8.314462 / 0.018015;
/** How freely an oven of a kind lets its air out, against an ordinary closed one. */
export const VENTS: Readonly<Record<Oven['kind'], number>> = {
  static: 1, fan: 1.5, deck: 2, humid: 0.5, grill: 3, flame: 40, fryer: 40, waterPot: 40, griddle: 40,
}; // prettier-ignore

export const isBaking = (phase: Phase): boolean => phase.kind === 'oven' || phase.kind === 'coast';

/**
 * Air that rises along something small has come a short way and takes more heat to each of its square centimetres: with the inverse
 * fourth root of its size (laminar free convection; about so for a fan's stream too). The figures are for a piece 12 cm across.
 */
const bySize = (acrossM: number): number => (0.12 / Math.min(0.5, Math.max(0.02, acrossM))) ** 0.25;

/** What the air of this phase does to a bare surface: film by kind of place. */
export function filmOf(phase: Phase, { oven, transfer, rack, figures, acrossM }: Around): number {
  switch (phase.kind) {
    case 'oven':
      return (blows(oven) ? figures['air.fan'] : figures['air.static']) * transfer * bySize(acrossM);
    case 'coast':
      return figures['air.static'] * transfer * bySize(acrossM);
    case 'fry':
      return figures['fry.skin'] * transfer;
    case 'boil':
      return HEAT.convection.boiling * transfer;
    case 'griddle':
    case 'rack':
      return figures['air.rack'] * rack * bySize(acrossM);
  }
}
/** Does a fan move its air? */
export const blows = ({ kind }: Pick<Oven, 'kind'>): boolean => kind === 'fan' || kind === 'humid';

/** How well a piece touches what it lies on, W/(m² K): wet, and what a dry skin leaves of it. A tray's touch is through paper or grease. */
export function touchOf(plate: Plate, figures: Figures): { readonly wet: number; readonly dry: number } {
  if (plate === 'tray') return { wet: figures['touch.tray'], dry: HEAT.crustTouches.tray };
  return { wet: figures['touch.wet'], dry: figures['touch.dry'] };
}

/**
 * How much of a side the air and the walls reach: rolls that touch leave gaps below their shoulders; the hole of a ring sees mostly
 * itself, about a quarter of its skin by half, and its neighbours on the tray shade it a little. Oil and water get everywhere.
 */
export function openShare(shape: Shape, side: Side, wet: boolean): number {
  if (wet) return 1;
  if (shape === 'touchingRolls' && side === 'side') return 0.33;
  return shape === 'ring' && side === 'top' ? 0.82 : 1;
}

/**
 * Still air over a flat that is colder than it lies there and hardly moves: it takes up about half of what air that rises along a shape does
 * (McAdams: cold plates that face up, 0.27 against 0.5-0.6 in Nu = c Ra^¼). A fan moves it all the same, and
 * over something narrow, as a rim is, it comes in from the side.
 */
export const stillOver = (
  shape: Shape,
  side: Side,
  phase: Phase,
  { oven, acrossM }: Pick<Around, 'oven' | 'acrossM'>,
): number => {
  const flat = side === 'top' && (shape === 'disc' || shape === 'flatbread');
  return flat && phase.kind === 'oven' && !blows(oven) && acrossM > 0.1 ? HEAT.stillOverFlat : 1;
};

/**
 * What of an oven's glow reaches the flanks of pieces that stand on one tray: of n in rows so many flanks face a neighbour, 1 - 1/√n, which is no
 * warmer than they are and hides some of the walls.
 */
export const unshaded = (shape: Shape, side: Side, pieces: number): number =>
  side === 'side' && STANDS_IN_ROWS.has(shape) ? 1 - HEAT.neighbourHides * (1 - 1 / Math.sqrt(pieces)) : 1;
const STANDS_IN_ROWS: ReadonlySet<Shape> = new Set(['roll', 'round', 'ring', 'ball']);

/**
 * How much warmer than its air an oven's walls are, °C: elements in roof and floor, a flame under its dome; a fan evens that out, and so
 * does a switched-off oven.
 */
export function wallsAboveC(
  { oven, figures }: Pick<Around, 'oven' | 'figures'>,
  phase: Phase,
  where: 'around' | 'floor',
): number {
  if (phase.kind !== 'oven' || blows(oven)) return 0;
  if (oven.kind === 'flame') return where === 'floor' ? 0 : figures['flame.dome'];
  if (oven.kind === 'grill') return where === 'floor' ? 0 : HEAT.grillAboveC;
  return where === 'floor' ? figures['oven.floor'] : HEAT.wallsAbove;
}
