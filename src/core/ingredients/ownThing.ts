import type { PARTS } from './entryLimits';
import type { Allergen, Estimate, GlutenRisk, Ingredient } from './ingredient';
import type { OwnEntry } from './kitchenEntrySchema';

/**
 * What is in 100 g of something nobody described that lies on bread: between a relish and a cheese, and so unsure (g; made up for want of better, each
 * spread as wide as such things differ).
 */
const ANYTHING: Readonly<Record<(typeof PARTS)[number], Estimate>> = {
  water: { value: 62, sd: 22 },
  protein: { value: 7, sd: 7 },
  fat: { value: 12, sd: 12 },
  starch: { value: 3, sd: 4 },
  sugars: { value: 9, sd: 9 },
  fibre: { value: 2, sd: 2 },
  ash: { value: 2, sd: 1.5 },
  other: { value: 3, sd: 3 },
};
/** What is like another thing has about its figures, to a quarter. */
const LIKE_IT = 0.25;

interface Told {
  readonly id: string;
  readonly name: string;
  /** What of the library it is most like; null: like nothing. */
  readonly like: Ingredient | null;
  readonly allergens: readonly Allergen[];
  readonly gluten: GlutenRisk;
}

/**
 * An ingredient of the baker's own of which only a name is known, and whom it must not be given to: figures of what it is like, or of anything, with doubts that
 * say so. It absorbs nothing: it lies on the bread or goes with it.
 */
export function ownThing({ id, name, like, allergens, gluten }: Told): OwnEntry {
  const of = (part: (typeof PARTS)[number]): Estimate => {
    if (!like) return ANYTHING[part];
    const { value, sd } = like.per100g[part];
    return { value, sd: Math.min(100, Math.hypot(sd, LIKE_IT * value)) };
  };
  const per100g = {
    water: of('water'),
    protein: of('protein'),
    fat: of('fat'),
    starch: of('starch'),
    sugars: of('sugars'),
    fibre: of('fibre'),
    ash: of('ash'),
    other: of('other'),
  };
  return {
    kind: 'own',
    id,
    name: name.trim(),
    alsoCalled: [],
    source: like ? `Taken to be like ${like.name.toLowerCase()}.` : 'Only its name is known.',
    family: like?.family ?? 'inclusion',
    roles: like ? [...like.roles] : ['inclusion'],
    per100g,
    saltPer100g: like?.saltPer100g ?? 1,
    densitySpooned: like?.densitySpooned ?? 0.6,
    densityScooped: like?.densityScooped ?? 1,
    absorption: null,
    gelatinisationC: null,
    usualShare: null,
    mostShare: null,
    allergens: [...allergens],
    gluten,
    smokePointC: null,
  };
}
