import type { Figures } from '@/core/calibrated';
import { emptyFormula, formulaTotals, type Formula } from '@/core/formula';
import { consistencyOf } from '@/core/consistency';
import { leaveningOf } from '@/core/fermentation/leavening';
import { libraryBook } from '@/core/ingredients';
import { newStep, type MethodStep } from '@/core/method/step';
import { crumbMatterOf } from '@/core/heat/crumbMatter';
import { doughDensity } from '@/core/vessel/vessel';

/** A dough as practice words it: grams on a hundred of flours, by ingredient of the library. */
export type Recipe = Readonly<Record<string, number>>;

/** Minutes of the method where they matter; otherwise a machine's eight and half an hour. */
export interface Times {
  readonly mixMin?: number;
  readonly restMin?: number;
  readonly bloomed?: boolean;
}

const timed = (kind: MethodStep['kind'], min: number): MethodStep => ({
  ...newStep(kind, kind),
  minS: Math.round(min * 60),
});

/** Salt 1.8 %, sugar 2.5 % and 1.5 % of instant yeast stand in every dough of the table that does not say otherwise. */
export const ORDINARY: Recipe = { salt: 1.8, sugar: 2.5 };

function formulaOf(recipe: Recipe, times: Times = {}): Formula {
  return {
    ...emptyFormula('A dough of practice', 'dough'),
    stages: [
      {
        id: 'dough',
        kind: 'main',
        name: 'Dough',
        lines: Object.entries(recipe).map(([ingredientId, percent]) => ({
          id: ingredientId,
          ingredientId,
          massG: percent * 10,
          note: '',
        })),
      },
    ],
    steps: [
      ...(times.bloomed ? [timed('bloom', 10)] : []),
      timed('mix', times.mixMin ?? 6),
      timed('rest', times.restMin ?? 25),
    ],
  };
}

/** All that the models make of a dough before it meets time or heat. */
export function doughOf(recipe: Recipe, times: Times, figures: Figures) {
  const formula = formulaOf(recipe, times);
  const totals = formulaTotals(formula, libraryBook);
  const consistency = consistencyOf(formula, libraryBook, totals, figures);
  const leavening = leaveningOf(
    formula,
    libraryBook,
    totals,
    consistency,
    doughDensity(formula, libraryBook, totals.doughG),
    figures,
  );
  const matter = crumbMatterOf(formula, libraryBook);
  if (!consistency || !leavening || !matter) throw new Error('a dough of practice has flour and water');
  return { formula, totals, consistency, leavening, matter };
}

const half = (starch: string): Recipe => ({ 'white-rice-flour': 50, [starch]: 50 });
const wholeGrains: Recipe = {
  'buckwheat-flour': 17, 'sorghum-flour': 17, 'teff-flour': 16, 'millet-flour': 17, 'tapioca-starch': 33,
}; // prettier-ignore
const whites: Recipe = { 'white-rice-flour': 40, 'tapioca-starch': 30, 'potato-starch': 30 };

/** The doughs that the table names more than once. */
export const DOUGHS = {
  hpmc: { ...half('maize-starch'), ...ORDINARY, hpmc: 2, water: 100, 'instant-yeast': 1.5 },
  xanthan: { ...half('maize-starch'), ...ORDINARY, xanthan: 1.25, water: 100, 'instant-yeast': 1.5 },
  psyllium: { ...whites, ...ORDINARY, 'psyllium-husk': 4.5, water: 95, 'instant-yeast': 1.4 },
  wholeGrain: { ...wholeGrains, ...ORDINARY, 'psyllium-husk': 4.5, water: 106, 'instant-yeast': 1.3 },
  eggXanthan: {
    ...whites, salt: 1.8, sugar: 3, xanthan: 2, 'egg-whole': 20, 'milk-powder': 4, 'sunflower-oil': 5,
    water: 84, 'instant-yeast': 2,
  },
  bare: { 'white-rice-flour': 100, ...ORDINARY, water: 97, 'instant-yeast': 1.5 },
  stiffXanthan: { ...half('maize-starch'), ...ORDINARY, xanthan: 1, water: 55, 'instant-yeast': 1.5 },
  frying: {
    'white-rice-flour': 45, 'tapioca-starch': 30, 'potato-starch': 25, salt: 1.5, sugar: 12, 'egg-whole': 22,
    butter: 15, 'psyllium-husk': 3, 'whole-milk': 70, 'instant-yeast': 2,
  },
  wild: {
    'white-rice-flour': 28, 'sorghum-flour': 20, 'tapioca-starch': 30, 'sorghum-starter': 44, ...ORDINARY,
    'psyllium-husk': 4, water: 74,
  },
  rings: {
    'white-rice-flour': 40, 'sorghum-flour': 20, 'tapioca-starch': 40, ...ORDINARY, 'psyllium-husk': 5, water: 82,
    'instant-yeast': 1,
  },
  pizza: {
    'white-rice-flour': 50, 'tapioca-starch': 30, 'maize-starch': 20, ...ORDINARY, 'psyllium-husk': 3.5,
    'olive-oil': 3, water: 88, 'instant-yeast': 0.8,
  },
  flat: {
    'white-rice-flour': 60, 'chickpea-flour': 40, salt: 1.8, 'psyllium-husk': 3, 'olive-oil': 3, water: 90,
  },
  cheese: {
    'tapioca-starch': 100, 'hard-cheese': 82, 'egg-whole': 18, 'whole-milk': 5, 'sunflower-oil': 10, salt: 1,
  },
  crisp: {
    'buckwheat-flour': 50, 'white-rice-flour': 30, 'maize-starch': 20, salt: 1.8, 'psyllium-husk': 2, 'olive-oil': 6,
    water: 110,
  },
} as const satisfies Record<string, Recipe>; // prettier-ignore

/** A recipe with some figures changed; null leaves one out. */
export function but(recipe: Recipe, changes: Readonly<Record<string, number | null>>): Recipe {
  const made: Record<string, number> = { ...recipe };
  for (const [id, percent] of Object.entries(changes)) {
    if (percent === null) delete made[id];
    else made[id] = percent;
  }
  return made;
}
