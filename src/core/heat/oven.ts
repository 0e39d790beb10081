/** What an oven, a pot of oil or of water is to the heat model. */
export interface Oven {
  readonly kind: 'static' | 'fan' | 'deck' | 'flame' | 'grill' | 'humid' | 'fryer' | 'waterPot' | 'griddle';
  /** Everything that has to be warmed with it, J/K, its power, W, and what it loses, W/K. */
  readonly heatJPerK: number;
  readonly powerW: number;
  readonly lossWPerK: number;
  /** True temperature less the dial's, °C, with its sd. */
  readonly offsetC: number;
  readonly offsetSdC: number;
  /** Heat transfer against an ordinary oven of its kind, with its relative sd. */
  readonly transfer: number;
  readonly transferCv: number;
  /** The highest its dial goes, °C: what is asked beyond it is refused with this. Absent: as far as any oven of this program. */
  readonly hottestC?: number;
}

/** Ordinary ovens, from their heating-up times and holding powers; the highest setting of those that are common. */
export const ORDINARY_OVENS: Readonly<Record<Oven['kind'], Oven>> = {
  static: { kind: 'static', heatJPerK: 8500, powerW: 2400, lossWPerK: 3.2, offsetC: 0, offsetSdC: 9, transfer: 1, transferCv: 0.25, hottestC: 300 },
  fan: { kind: 'fan', heatJPerK: 8000, powerW: 2800, lossWPerK: 3.6, offsetC: 0, offsetSdC: 8, transfer: 1, transferCv: 0.25, hottestC: 300 },
  flame: { kind: 'flame', heatJPerK: 22_000, powerW: 9000, lossWPerK: 9, offsetC: 0, offsetSdC: 15, transfer: 1, transferCv: 0.25, hottestC: 520 },
  grill: { kind: 'grill', heatJPerK: 8500, powerW: 2600, lossWPerK: 3.4, offsetC: 0, offsetSdC: 12, transfer: 1, transferCv: 0.25, hottestC: 300 },
  humid: { kind: 'humid', heatJPerK: 8500, powerW: 3000, lossWPerK: 3.6, offsetC: 0, offsetSdC: 6, transfer: 1, transferCv: 0.25, hottestC: 280 },
  deck: { kind: 'deck', heatJPerK: 60_000, powerW: 6000, lossWPerK: 7, offsetC: 0, offsetSdC: 7, transfer: 1, transferCv: 0.22, hottestC: 400 },
  fryer: { kind: 'fryer', heatJPerK: 4800, powerW: 1900, lossWPerK: 2.2, offsetC: 0, offsetSdC: 4, transfer: 1, transferCv: 0.25 },
  waterPot: { kind: 'waterPot', heatJPerK: 13_000, powerW: 2000, lossWPerK: 2.5, offsetC: 0, offsetSdC: 1, transfer: 1, transferCv: 0.25 },
  griddle: { kind: 'griddle', heatJPerK: 2600, powerW: 1500, lossWPerK: 1.8, offsetC: 0, offsetSdC: 12, transfer: 1, transferCv: 0.25 },
}; // prettier-ignore

/** Opening the door lets so much of the air's and a little of the walls' warmth out, share of the difference to the room. */
export const DOOR_DROPS = 0.09;
/** With the door ajar it loses so many times as much. */
export const AJAR_LOSES = 4.5;

/** What the thermostat gives: full power until it is near, then what it takes to stay, W. */
export function thermostatW(oven: Oven, tempC: number, setC: number, roomC: number): number {
  const holds = oven.lossWPerK * (setC - roomC);
  return Math.max(0, Math.min(oven.powerW, holds + (oven.powerW / 6) * (setC - tempC)));
}

/** Seconds until an empty oven is hot, to within 3 °C of the dial; Infinity where its power does not suffice. */
export function heatUpS(oven: Oven, fromC: number, setC: number, roomC: number): number {
  let tempC = fromC;
  for (let tS = 0; tS < 7200; tS += 5) {
    if (tempC >= setC - 3) return tS;
    tempC +=
      ((thermostatW(oven, tempC, setC, roomC) - oven.lossWPerK * (tempC - roomC)) * 5) / oven.heatJPerK;
  }
  return Infinity;
}
