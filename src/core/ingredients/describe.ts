import type { Allergen, Composition, Estimate, Family, GlutenRisk, Ingredient, Role } from './ingredient';

/** The short hand in which the library is written down; {@link describe} spells it out. */
export interface Entry {
  id: string;
  name: string;
  also?: string[];
  roles: [Role, ...Role[]];
  /** water, protein, fat, starch, sugars, fibre, ash, other: g per 100 g */
  parts: readonly [number, number, number, number, number, number, number, number?];
  salt?: number;
  /** g/ml spooned, scooped; one figure for a liquid */
  density: readonly [number, number] | number;
  /** g water per g, its standard deviation, time constant in minutes */
  drinks?: readonly [number, number, number];
  gelC?: readonly [number, number];
  /** usual from, usual to, most: percent of the flour base */
  share?: readonly [number, number, number];
  allergens?: Allergen[];
  gluten?: GlutenRisk;
  smokeC?: number;
  madeOf?: { ingredientId: string; share: number }[];
  thirstCv?: number;
  note?: string;
}

/**
 * Spread of a composition figure between bags, mills and harvests. Food tables report 5-15 % relative for the
 * main components of flours and at least a few tenths of a gram from the assay itself; one rule for all keeps
 * the table honest where only a typical value is published.
 */
const spread = (value: number): Estimate => ({
  value,
  // what is nearly all of a thing can't vary more than the little that is left beside it
  sd:
    value === 0
      ? 0
      : Math.min(Math.max(Math.min(0.08 * value, 0.8 + 0.08 * (100 - value)), 0.2), 0.5 * value),
});

function composition(parts: Entry['parts']): Composition {
  const [water, protein, fat, starch, sugars, fibre, ash, other = 0] = parts;
  return {
    water: spread(water),
    protein: spread(protein),
    fat: spread(fat),
    starch: spread(starch),
    sugars: spread(sugars),
    fibre: spread(fibre),
    ash: spread(ash),
    other: spread(other),
  };
}

/** Spells out one family's entries. `source` is the family's; an entry's own note is put after it. */
export function describe(family: Family, source: string, entries: readonly Entry[]): Ingredient[] {
  return entries.map((entry): Ingredient => {
    const [densitySpooned, densityScooped] =
      typeof entry.density === 'number' ? [entry.density, entry.density] : entry.density;
    return {
      id: entry.id,
      name: entry.name,
      alsoCalled: entry.also ?? [],
      family,
      roles: entry.roles,
      per100g: composition(entry.parts),
      saltPer100g: entry.salt ?? 0,
      densitySpooned,
      densityScooped,
      absorption: entry.drinks
        ? { gPerG: { value: entry.drinks[0], sd: entry.drinks[1] }, tauMin: entry.drinks[2] }
        : null,
      gelatinisationC: entry.gelC ? { onset: entry.gelC[0], peak: entry.gelC[1] } : null,
      usualShare: entry.share ? { from: entry.share[0], to: entry.share[1] } : null,
      mostShare: entry.share?.[2] ?? null,
      allergens: entry.allergens ?? [],
      gluten: entry.gluten ?? 'free',
      smokePointC: entry.smokeC ?? null,
      madeOf: entry.madeOf ?? null,
      ...(entry.thirstCv !== undefined && { thirstCv: entry.thirstCv }),
      source: entry.note ? `${source} ${entry.note}` : source,
    };
  });
}
