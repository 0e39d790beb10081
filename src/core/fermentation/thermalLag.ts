import { refuse, ok, type Result } from '../result';
import { within } from '../units/decimal';

/** How a dough stands: its shape decides how fast it follows the room. */
export type Standing = 'bowl' | 'tin' | 'pieces' | 'sheet';

/** Where it stands, and how well that passes on its heat, W/(m² K): still air with radiation, a fridge's fan, water. */
export const PLACES = {
  room: { hWPerM2K: 8, minC: -5, maxC: 45, usualC: 21 },
  warm: { hWPerM2K: 10, minC: 20, maxC: 60, usualC: 30 },
  fridge: { hWPerM2K: 9, minC: -2, maxC: 15, usualC: 4 },
} as const;
export type PlaceKind = keyof typeof PLACES;

/** Dough of about 1.1 g/ml: heat capacity J/(g K) and conductivity W/(m K) before it rises (Choi & Okos 1986 for 50 % water). */
const DOUGH = { heatJPerGK: 2.8, conductsWPerMK: 0.42, densityGPerMl: 1.1 } as const;

/** Surface over volume and the way to the middle for a mass of dough, m²; m. */
function extent(massG: number, standing: Standing): { areaM2: number; wayM: number } {
  const volumeM3 = massG / DOUGH.densityGPerMl / 1e6;
  const radius = Math.cbrt((3 * volumeM3) / (4 * Math.PI));
  switch (standing) {
    case 'bowl': // nearly a ball, half of it against the bowl
    case 'pieces':
      return { areaM2: 4 * Math.PI * radius * radius, wayM: radius / 3 };
    case 'tin': {
      const side = Math.cbrt(volumeM3 / 2.2);
      return { areaM2: 2 * side * side + 4 * 2.2 * side * side, wayM: side / 4 };
    }
    case 'sheet': {
      const thick = 0.012;
      return { areaM2: (2 * volumeM3) / thick, wayM: thick / 4 };
    }
  }
}

/**
 * Time constant with which a dough takes on the temperature around it: τ = m c / (h' A), where 1/h' adds the way through the dough
 * itself to the film of air. A 1 kg dough in a bowl: about 2 1/2 h in a fridge, 3 h in a room; a 90 g roll: about 1 h.
 * @returns s
 */
export function thermalLagS(massG: number, standing: Standing, place: PlaceKind): number {
  const { areaM2, wayM } = extent(massG, standing);
  const hWPerM2K = 1 / (1 / PLACES[place].hWPerM2K + wayM / DOUGH.conductsWPerMK);
  return (massG * DOUGH.heatJPerGK) / (hWPerM2K * areaM2);
}

/** One stretch of a dough's day. */
export interface Stay {
  readonly place: PlaceKind;
  readonly tempC: number;
  readonly durationS: number;
  readonly standing: Standing;
  /** What one lump of it weighs, g. */
  readonly pieceG: number;
  /** Hands press so much of the held gas out as it begins, 0 ... 1. */
  readonly pressedOut: number;
  /** A dry place skins it over where nothing covers it; absent: covered or humid. */
  readonly air?: 'dry';
}

export const STAY_LIMITS = {
  durationS: { min: 0, max: 604_800 },
  pieceG: { min: 1, max: 100_000 },
  pressedOut: { min: 0, max: 1 },
  doughC: { min: -2, max: 65 },
} as const;

/** @returns the first stay that cannot be, by `stays.0.tempC`: a fridge at 60 °C is refused with its own range */
export function checkStays(stays: readonly Stay[]): Result<null> {
  if (stays.length > 40) return refuse('tooMany', 'stays', { max: 40 });
  for (const [index, stay] of stays.entries()) {
    const path = (field: string) => `stays.${index}.${field}`;
    const { minC, maxC } = PLACES[stay.place];
    const checks = [
      within(stay.tempC, { min: minC, max: maxC }, path('tempC')),
      within(stay.durationS, STAY_LIMITS.durationS, path('durationS')),
      within(stay.pieceG, STAY_LIMITS.pieceG, path('pieceG')),
      within(stay.pressedOut, STAY_LIMITS.pressedOut, path('pressedOut')),
    ];
    for (const checked of checks) if (!checked.ok) return checked;
  }
  return ok(null);
}
