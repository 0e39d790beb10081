import type { Consistency } from '../consistency/consistency';
import { leavenKinds, leaveningOf } from '../fermentation/leavening';
import { FERMENTATION } from '../fermentation/parameters';
import { riseCurve } from '../fermentation/riseCurve';
import { bakedVolume } from '../fermentation/spring';
import type { Formula } from '../formula/formula';
import { insideFormula } from '../formula/insideFormula';
import type { FormulaTotals } from '../formula/totals';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { Z80 } from '../numeric/normal';
import { never, ok, refuse, type Result } from '../result';
import { within, type Bounds } from '../units/decimal';

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

/** Every measure is a length but these. */
const LIMITS_OF: Readonly<Record<string, Bounds>> = {
  thickMm: VESSEL_LIMITS.thickMm,
  waterMl: VESSEL_LIMITS.waterMl,
};

const MIXED_IN_AIR = FERMENTATION.mixedInAir;
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

/** g/ml as it comes from the bowl, with the air mixed in. */
export function doughDensity(formula: Pick<Formula, 'stages'>, book: IngredientBook, doughG: number): number {
  let volume = 0;
  for (const { ingredient, massG, dough } of insideFormula(formula, book)) {
    if (!dough) continue;
    for (const name of Object.keys(DENSITY) as (keyof typeof DENSITY)[]) {
      volume += (massG * ingredient.per100g[name].value) / 100 / DENSITY[name];
    }
  }
  return volume > 0 ? (doughG / volume) * (1 - MIXED_IN_AIR.value) : 1.1;
}

/** A warm proof, as long as a yeasted dough or a wild one could want, s. */
const PROOF = { tempC: 27, yeastS: 5 * 3600, wildS: 16 * 3600 } as const;

/** How dense the dough is and how far it rises, baked over shaped: proofed warm until it is ready, then sprung in the oven. */
export function doughBody(
  formula: Formula,
  book: IngredientBook,
  totals: FormulaTotals,
  consistency: Consistency | null,
): DoughBody {
  const densityGPerMl = doughDensity(formula, book, totals.doughG);
  const flat = { densityGPerMl, rise: { value: 1, low: 1, high: 1 } };
  const leavening = leaveningOf(formula, book, totals, consistency, densityGPerMl);
  if (!leavening || leavenKinds(leavening)[0] === 'none') return flat;
  const proofed = (durationS: number) =>
    riseCurve({
      leavening,
      doughC: 26,
      central: true,
      stays: [
        {
          place: 'warm',
          tempC: PROOF.tempC,
          durationS,
          standing: 'bowl',
          pieceG: Math.max(1, leavening.doughG),
          pressedOut: 0,
        },
      ],
    });
  const whole = proofed(leavening.wildG > leavening.yeastG ? PROOF.wildS : PROOF.yeastS);
  if (!whole.ok) return flat;
  const ready = proofed(Math.max(60, whole.value.wantedAtS.value ?? whole.value.topAtS.value));
  if (!ready.ok) return flat;
  const value = bakedVolume(ready.value.end, leavening);
  // what a dough holds is what is least known of it
  const times = Math.exp(Z80 * leavening.holdingCv);
  return { densityGPerMl, rise: { value, low: 1 + (value - 1) / times, high: 1 + (value - 1) * times } };
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
 * A tin of 24 × 12 at the rim, 22 × 10 at the bottom and 8 cm high holds 2,027 ml; a dough that doubles fills 53 % of it with 1,186 g (1,031-1,395).
 *
 * @returns limits of {@link VESSEL_LIMITS} by field; `rangeReversed` for a base wider than the top
 */
export function fillVessel(vessel: Vessel, body: DoughBody): Result<VesselFill> {
  for (const [field, value] of Object.entries(vessel)) {
    if (typeof value !== 'number') continue;
    const checked = within(value, LIMITS_OF[field] ?? VESSEL_LIMITS.lengthCm, field);
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
