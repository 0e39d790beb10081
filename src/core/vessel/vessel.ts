import type { Consistency } from '../consistency/consistency';
import { BANDS } from '../consistency/parameters';
import { isDoughStage, type Formula } from '../formula/formula';
import { insideFormula } from '../formula/insideFormula';
import type { FormulaTotals } from '../formula/totals';
import type { Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { Z80 } from '../numeric/normal';
import { never, ok, refuse, type Result } from '../result';
import { within } from '../units/decimal';

/** What the dough goes into or is made into. Lengths in cm, inside. */
export type Vessel =
  | {
      readonly kind: 'tin';
      readonly topLengthCm: number;
      readonly topWidthCm: number;
      /** Smaller than the top in a sloping tin; null: straight sides. */
      readonly baseLengthCm: number | null;
      readonly baseWidthCm: number | null;
      readonly heightCm: number;
    }
  | {
      readonly kind: 'round';
      readonly topAcrossCm: number;
      readonly baseAcrossCm: number | null;
      readonly heightCm: number;
    }
  | { readonly kind: 'filled'; readonly waterMl: number }
  | { readonly kind: 'disc'; readonly acrossCm: number; readonly thickMm: number };

export const VESSEL_LIMITS = {
  lengthCm: { min: 2, max: 120 },
  thickMm: { min: 0.5, max: 80 },
  waterMl: { min: 20, max: 60_000 },
} as const;

/** How far doughs of each band rise in the end, volume over volume, well leavened. Practice; the fermentation model takes its place. */
const RISE: Readonly<Record<(typeof BANDS)[number], number>> = {
  crumbly: 1.1,
  stiff: 1.35,
  soft: 1.75,
  sticky: 1.95,
  thickBatter: 1.85,
  pourable: 1.4,
};
/** Air beaten and folded into a dough by mixing, share of its volume. */
const MIXED_IN_AIR = { value: 0.1, sd: 0.04 } as const;
/** True densities, g/ml (Choi & Okos 1986 at 25 °C). */
const DENSITY = {
  water: 0.997,
  protein: 1.317,
  fat: 0.915,
  starch: 1.591,
  sugars: 1.591,
  fibre: 1.303,
  ash: 2.417,
  other: 1.4,
} as const;

/** A truncated pyramid or cone: V = h/3 (A1 + A2 + √(A1 A2)). @returns ml */
function volumeMl(vessel: Vessel): number {
  const frustum = (top: number, base: number, height: number) =>
    (height / 3) * (top + base + Math.sqrt(top * base));
  switch (vessel.kind) {
    case 'tin': {
      const { topLengthCm, topWidthCm, heightCm } = vessel;
      const baseLengthCm = vessel.baseLengthCm ?? topLengthCm;
      const baseWidthCm = vessel.baseWidthCm ?? topWidthCm;
      // the prismatoid's own middle section: exact also where length and width slope differently
      const middle = ((topLengthCm + baseLengthCm) / 2) * ((topWidthCm + baseWidthCm) / 2);
      return (heightCm / 6) * (topLengthCm * topWidthCm + 4 * middle + baseLengthCm * baseWidthCm);
    }
    case 'round': {
      const area = (across: number) => (Math.PI * across * across) / 4;
      return frustum(
        area(vessel.topAcrossCm),
        area(vessel.baseAcrossCm ?? vessel.topAcrossCm),
        vessel.heightCm,
      );
    }
    case 'filled':
      return vessel.waterMl;
    case 'disc':
      return (Math.PI * vessel.acrossCm ** 2 * vessel.thickMm) / 40;
    default:
      return never(vessel);
  }
}

export interface DoughBody {
  /** g/ml as it comes from the bowl. */
  readonly densityGPerMl: number;
  /** Volume baked over volume shaped, with its 80 % range. */
  readonly rise: { readonly value: number; readonly low: number; readonly high: number };
}

/** So many usual doses of a leaven; 0 for what is none. */
function leavening({ roles, usualShare }: Ingredient, massG: number, baseG: number): number {
  if (!roles.includes('leaven') || !usualShare || usualShare.to <= 0 || baseG <= 0) return 0;
  return (100 * massG) / baseG / ((usualShare.from + usualShare.to) / 2);
}

/** How dense the dough is and how far it is likely to rise. Without leaven it does not; with half a usual dose, half as far. */
export function doughBody(
  formula: Pick<Formula, 'stages'>,
  book: IngredientBook,
  totals: FormulaTotals,
  consistency: Consistency | null,
): DoughBody {
  let volume = 0;
  let doses = 0;
  for (const { ingredient, massG, dough } of insideFormula(formula, book)) {
    if (!dough) continue;
    for (const name of Object.keys(DENSITY) as (keyof typeof DENSITY)[]) {
      volume += (massG * ingredient.per100g[name].value) / 100 / DENSITY[name];
    }
    doses += leavening(ingredient, massG, totals.baseG);
  }
  // a wild starter lifts as a whole; taken apart it is flour and water
  for (const line of formula.stages.filter(isDoughStage).flatMap((stage) => stage.lines)) {
    const whole = book.get(line.ingredientId);
    if (whole?.roles[0] === 'starter') doses += leavening(whole, line.massG, totals.baseG);
  }
  const densityGPerMl = volume > 0 ? (totals.doughG / volume) * (1 - MIXED_IN_AIR.value) : 1.1;
  // expected over the chance of each band, so that a dough between two bands does not jump
  const full = consistency
    ? BANDS.reduce((sum, band, index) => sum + RISE[band] * (consistency.rested.chance[index] ?? 0), 0)
    : 1.6;
  const holds = consistency ? Math.min(1, 0.55 + 0.6 * Math.max(consistency.holds, consistency.clings)) : 1;
  const value = 1 + (full - 1) * Math.min(1, doses) * holds;
  const half = 0.28 * (value - 1);
  return { densityGPerMl, rise: { value, low: value - half, high: value + half } };
}

export interface VesselFill {
  readonly volumeMl: number;
  /** How full it is filled with dough, 0 ... 1; a disc is all dough. */
  readonly fill: number;
  /** Dough for one, g, with the 80 % range of what fills it well. */
  readonly massG: number;
  readonly lowG: number;
  readonly highG: number;
}

/** A loaf is let rise a little over its tin's rim; of the baked volume so much lies inside. */
const INSIDE_TIN = 0.94;

/**
 * Dough for one vessel: a tin is filled so far that the risen loaf just crowns it, a disc is cut from dough of the wanted
 * thickness before it rises.
 *
 * @returns limits of {@link VESSEL_LIMITS} by field; `rangeReversed` for a base wider than the top
 */
export function fillVessel(vessel: Vessel, body: DoughBody): Result<VesselFill> {
  for (const [field, value] of Object.entries(vessel)) {
    if (typeof value !== 'number') continue;
    const limits = field.endsWith('Mm')
      ? VESSEL_LIMITS.thickMm
      : field.endsWith('Ml')
        ? VESSEL_LIMITS.waterMl
        : VESSEL_LIMITS.lengthCm;
    const checked = within(value, limits, field);
    if (!checked.ok) return checked;
  }
  if (vessel.kind === 'tin' && (vessel.baseLengthCm ?? 0) > vessel.topLengthCm)
    return refuse('rangeReversed', 'baseLengthCm');
  if (vessel.kind === 'tin' && (vessel.baseWidthCm ?? 0) > vessel.topWidthCm)
    return refuse('rangeReversed', 'baseWidthCm');
  if (vessel.kind === 'round' && (vessel.baseAcrossCm ?? 0) > vessel.topAcrossCm)
    return refuse('rangeReversed', 'baseAcrossCm');
  const volume = volumeMl(vessel);
  if (vessel.kind === 'disc') {
    const massG = volume * body.densityGPerMl;
    const doubt = (Z80 * MIXED_IN_AIR.sd) / (1 - MIXED_IN_AIR.value);
    return ok({ volumeMl: volume, fill: 1, massG, lowG: massG * (1 - doubt), highG: massG * (1 + doubt) });
  }
  const dough = (rise: number) => (volume / INSIDE_TIN / rise) * body.densityGPerMl;
  const cap = (massG: number) => Math.min(massG, 0.95 * volume * body.densityGPerMl);
  const massG = cap(dough(body.rise.value));
  return ok({
    volumeMl: volume,
    fill: massG / body.densityGPerMl / volume,
    massG,
    lowG: cap(dough(body.rise.high)),
    highG: cap(dough(body.rise.low)),
  });
}
