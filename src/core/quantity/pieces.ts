import type { MeasureSystem } from './measures';

interface Weight {
  readonly g: number;
  readonly lowG: number;
  readonly highG: number;
}
const weight = (g: number, lowG: number, highG: number): Weight => ({ g, lowG, highG });

export const SIZES = ['small', 'medium', 'large', 'extra large'] as const;
export type Size = (typeof SIZES)[number];

/**
 * What one of a counted thing weighs, edible part, with an 80 % range. Egg classes by weight in shell: EU Regulation (EC)
 * 589/2008 (S < 53, M 53-63, L 63-73, XL > 73 g) and US egg products grading (large 24 oz the dozen and so on), 88 % edible.
 * Packets as sold in most shops; fruit from food tables' household measures.
 */
const EU_EGGS: Record<Size, Weight> = {
  small: weight(43, 39, 46),
  medium: weight(51, 47.5, 55),
  large: weight(59.5, 56, 63.5),
  'extra large': weight(67, 64.5, 71),
};
const US_EGGS: Record<Size, Weight> = {
  small: weight(38, 35, 40),
  medium: weight(44, 41, 46.5),
  large: weight(50, 47, 53),
  'extra large': weight(56, 53, 59),
};
const scaled = (eggs: Record<Size, Weight>, share: number): Record<Size, Weight> =>
  Object.fromEntries(
    SIZES.map((size) => {
      const { g, lowG, highG } = eggs[size];
      return [size, weight(g * share, lowG * share * 0.96, highG * share * 1.04)];
    }),
  ) as Record<Size, Weight>;

type Sized = Readonly<Record<Size, Weight>>;
interface Counted {
  /** The word that counts it; null: the thing itself is counted ("2 eggs", "1 banana"). */
  readonly unit: 'packet' | 'stick' | 'cube' | 'tin' | 'leaf' | null;
  /** By size where it is sold by size, and which one is meant where nobody says. */
  readonly weights: (system: MeasureSystem) => Weight | Sized;
  readonly usual?: Size;
}

const same =
  <W extends Weight | Sized>(w: W) =>
  () =>
    w;
const eggs = (share: number) => (system: MeasureSystem) => scaled(system === 'us' ? US_EGGS : EU_EGGS, share);

const COUNTED: Readonly<Record<string, readonly Counted[]>> = {
  'egg-whole': [{ unit: null, weights: eggs(1), usual: 'large' }],
  'egg-white': [{ unit: null, weights: eggs(0.66), usual: 'large' }],
  'egg-yolk': [{ unit: null, weights: eggs(0.34), usual: 'large' }],
  'quail-egg': [{ unit: null, weights: same(weight(9.5, 8, 11)) }],
  'instant-yeast': [{ unit: 'packet', weights: same(weight(7, 7, 8)) }],
  'active-dry-yeast': [{ unit: 'packet', weights: same(weight(7, 7, 8)) }],
  'fresh-yeast': [
    { unit: 'cube', weights: (system) => (system === 'us' ? weight(17, 17, 57) : weight(42, 40, 42)) },
    { unit: 'packet', weights: (system) => (system === 'us' ? weight(17, 17, 57) : weight(42, 40, 50)) },
  ],
  'baking-powder': [{ unit: 'packet', weights: same(weight(16, 15, 17)) }],
  gelatine: [
    { unit: 'packet', weights: (system) => (system === 'us' ? weight(7, 7, 7.2) : weight(11.7, 9, 12)) },
    { unit: 'leaf', weights: same(weight(1.9, 1.6, 3.3)) },
  ],
  butter: [{ unit: 'stick', weights: same(weight(113.4, 112, 115)) }],
  'plant-block': [{ unit: 'stick', weights: same(weight(113.4, 112, 115)) }],
  'coconut-milk': [{ unit: 'tin', weights: same(weight(392, 388, 405)) }],
  banana: [
    {
      unit: null,
      usual: 'medium',
      weights: same({
        small: weight(95, 80, 105),
        medium: weight(115, 100, 130),
        large: weight(135, 120, 155),
        'extra large': weight(155, 140, 180),
      }),
    },
  ],
  'mashed-potato': [{ unit: null, weights: same(weight(170, 110, 230)) }],
  'grated-carrot': [{ unit: null, weights: same(weight(62, 48, 80)) }],
  'grated-courgette': [{ unit: null, weights: same(weight(190, 140, 260)) }],
  'lemon-juice': [{ unit: null, weights: same(weight(45, 32, 60)) }],
};

/** What one weighs; null where nobody counts it so. A size nobody said is large for eggs, medium for the rest. */
export function pieceWeight(
  ingredientId: string,
  unit: string | null,
  size: Size | null,
  system: MeasureSystem,
): Weight | null {
  const counted = COUNTED[ingredientId]?.find((each) => each.unit === (unit === 'piece' ? null : unit));
  if (!counted) return null;
  const found = counted.weights(system);
  if ('g' in found) return found;
  if (size) return found[size];
  const usual = counted.usual ?? 'medium';
  // nobody said which size: from the class below to the class above
  const { g } = found[usual];
  return weight(g, found.medium.lowG, Math.max(found[usual].highG, found.large.highG));
}
