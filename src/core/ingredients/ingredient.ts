import type { ALLERGENS, FAMILIES, GLUTEN_RISKS, ROLES } from './entryLimits';

/** A figure with its spread: `sd` is one standard deviation, in the unit of the value. */
export interface Estimate {
  readonly value: number;
  readonly sd: number;
}

/**
 * What an ingredient is in the dough. The first role of an ingredient decides how the sheet colours it; `flour`,
 * `starch` and `seedMeal` make it part of the flour base, the 100 % of baker's percentages.
 */
export type Role = (typeof ROLES)[number];

export type Family = (typeof FAMILIES)[number];

export type Allergen = (typeof ALLERGENS)[number];

/** How gluten can get in: grown or milled beside wheat, safe only when certified, or made out of wheat. */
export type GlutenRisk = (typeof GLUTEN_RISKS)[number];

/** Grams per 100 g as sold. `other` is what the seven do not cover (organic acids, alcohol, carbon dioxide). */
export interface Composition {
  readonly water: Estimate;
  readonly protein: Estimate;
  readonly fat: Estimate;
  readonly starch: Estimate;
  readonly sugars: Estimate;
  readonly fibre: Estimate;
  readonly ash: Estimate;
  readonly other: Estimate;
}

/** One bag, jar or tin of an ingredient. */
export interface Lot {
  readonly id: string;
  readonly name: string;
  /** The one in use. */
  readonly open: boolean;
  /** Days, as `2026-11-19`. */
  readonly openedOn?: string;
  readonly bestBefore?: string;
  /** What it absorbs against its kind, and how lively it is against new, where that is known of it. */
  readonly absorbs?: Estimate;
  readonly vigour?: Estimate;
}

export interface Ingredient {
  readonly id: string;
  readonly name: string;
  /** Other words for the same thing in other English-speaking kitchens; searched, never shown as the name. */
  readonly alsoCalled: readonly string[];
  readonly family: Family;
  readonly roles: readonly [Role, ...Role[]];
  readonly per100g: Composition;
  /** Sodium chloride, g per 100 g; part of `ash`. */
  readonly saltPer100g: number;
  /** g per ml: spooned in lightly, and scooped and packed. For liquids both are the true density. */
  readonly densitySpooned: number;
  readonly densityScooped: number;
  /** Water held in a dough, g per g as sold, and the time constant of taking it up; null where it takes none. */
  readonly absorption: { readonly gPerG: Estimate; readonly tauMin: number } | null;
  /** Start and peak of starch gelatinisation in plenty of water, °C; null without starch of its own. */
  readonly gelatinisationC: { readonly onset: number; readonly peak: number } | null;
  /** Percent of the flour base: what is usual, and the most that still makes sense; null where it has no rule. */
  readonly usualShare: { readonly from: number; readonly to: number } | null;
  readonly mostShare: number | null;
  readonly allergens: readonly Allergen[];
  readonly gluten: GlutenRisk;
  /** Oils and fats only, °C. */
  readonly smokePointC: number | null;
  /** What it is made of when it is a mixture the sheet takes apart (a starter is flour and water), mass shares. */
  readonly madeOf: readonly { readonly ingredientId: string; readonly share: number }[] | null;
  /**
   * Of a bought mixture whose shares are not printed: how unsure that leaves the water it absorbs, relative sd; its parts' own spread
   * apart. Absent where the shares are known.
   */
  readonly thirstCv?: number;
  /** What a mixture absorbs as a whole, against what its parts would: as a recipe that works, or hands, have told. Absent: as its parts. */
  readonly absorbs?: Estimate;
  /** The bags its kitchen tells apart, in the order they were written down; and the open one, with the ingredient as it is without it. */
  readonly lots?: readonly Lot[];
  readonly lot?: { readonly id: string; readonly name: string; readonly plain: Ingredient };
  /** Of yeast at hand: how lively it is against new, as the baker says or jar marks have taught; absent: as new. */
  readonly vigour?: Estimate;
  /** Its flour met boiling water: its starch is gelatinised as far as the water goes. */
  readonly scalded?: true;
  /** Where the figures come from. */
  readonly source: string;
}

const BASE_ROLES: ReadonlySet<Role> = new Set(['flour', 'starch', 'seedMeal']);

/** Is this one of the dry flours, starches and meals that make the 100 %? */
export function isFlourBase(ingredient: Ingredient): boolean {
  return ingredient.roles.some((role) => BASE_ROLES.has(role));
}

/** kJ per g of each part: Regulation (EU) 1169/2011, annex XIV; `other` counts as organic acid. */
export const ENERGY_KJ_PER_G: Readonly<Record<keyof Composition, number>> = {
  water: 0,
  protein: 17,
  fat: 37,
  starch: 17,
  sugars: 17,
  fibre: 8,
  ash: 0,
  other: 13,
};

/**
 * Energy from composition. An estimate, not a label.
 * @returns kJ per 100 g
 */
export const energyKjPer100g = ({ per100g }: Ingredient): number =>
  (Object.keys(ENERGY_KJ_PER_G) as (keyof Composition)[]).reduce(
    (sum, part) => sum + ENERGY_KJ_PER_G[part] * per100g[part].value,
    0,
  );
