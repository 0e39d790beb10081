import { emptyFormula, type Formula } from '../formula';
import { libraryBook, type BlendEntry, type IngredientBook } from '../ingredients';
import { bookWith } from '../ingredients/bookWith';
import { newStep, type MethodStep } from '../method/step';

/**
 * Doughs of every school, made up, for the figures that the models' tests keep: whatever a model can be asked of a dough stands in at least one
 * of them.
 */
type Amounts = Readonly<Record<string, number>>;
type Step = readonly [MethodStep['kind'], (readonly [number, number?])?, number?];

const stage = (kind: Formula['stages'][number]['kind'], amounts: Amounts): Formula['stages'][number] => ({
  id: kind,
  kind,
  name: kind,
  lines: Object.entries(amounts).map(([ingredientId, massG]) => ({
    id: `${kind} ${ingredientId}`,
    ingredientId,
    massG,
    note: '',
  })),
});
const dough = (
  stages: Partial<Record<Formula['stages'][number]['kind'], Amounts>>,
  steps: readonly Step[],
  more: Partial<Formula> = {},
): Formula => ({
  ...emptyFormula('A dough', 'a'),
  percentBase: 'flours',
  stages: Object.entries(stages).map(([kind, amounts]) => stage(kind as 'main', amounts)),
  steps: steps.map(([kind, min, tempC], index) => ({
    ...newStep(kind, `${index}`),
    minS: min ? min[0] * 60 : null,
    maxS: min?.[1] ? min[1] * 60 : null,
    tempC: tempC ?? null,
  })),
  ...more,
});

/** Ground, mixed and felt by nobody: mixtures that are guessed, and one that is known as a whole. */
const blends: readonly BlendEntry[] = [
  {
    kind: 'blend', id: 'own-guessed', name: 'Guessed', alsoCalled: [], source: '', role: 'flour', densityGPerMl: null, thirstCv: 0.2,
    parts: [{ ingredientId: 'white-rice-flour', massG: 520 }, { ingredientId: 'maize-starch', massG: 460 }, { ingredientId: 'guar', massG: 20 }],
  },
  {
    kind: 'blend', id: 'own-known', name: 'Known', alsoCalled: [], source: '', role: 'flour', densityGPerMl: null, absorbs: { value: 1.12, sd: 0.05 },
    parts: [{ ingredientId: 'sorghum-flour', massG: 500 }, { ingredientId: 'potato-starch', massG: 460 }, { ingredientId: 'psyllium-powder', massG: 40 }],
  },
  {
    kind: 'blend', id: 'own-jar', name: 'Jar', alsoCalled: [], source: '', role: 'flour', densityGPerMl: null,
    parts: [{ ingredientId: 'own-guessed', massG: 700 }, { ingredientId: 'buckwheat-flour', massG: 300 }],
  },
]; // prettier-ignore
export const testBook: IngredientBook = (() => {
  const made = bookWith(libraryBook, blends);
  if (!made.ok) throw new Error(made.problem.path);
  return made.value;
})();

export const TEST_DOUGHS = {
  psyllium: dough(
    { main: { 'white-rice-flour': 250, 'tapioca-starch': 150, 'millet-flour': 100, 'psyllium-husk': 23, water: 470, salt: 9, sugar: 12, 'instant-yeast': 6, 'olive-oil': 15 }, topping: { 'sesame-seed': 20 }, wash: { 'egg-whole': 10 } },
    [['mix', [5]], ['fold', [1, 3]], ['rest', [20, 40]], ['bulk', [60]], ['shape'], ['rest', [9]], ['bake', [50], 200]],
  ),
  scalded: dough(
    { scald: { 'brown-rice-flour': 60, water: 120 }, soaker: { 'linseed-whole': 30, 'sunflower-seed': 40, water: 80 }, gel: { 'psyllium-powder': 15, 'ground-linseed': 12, chia: 6, water: 200 }, starter: { 'sorghum-starter': 150 }, main: { 'sorghum-flour': 180, 'teff-flour': 90, 'potato-starch': 120, salt: 9, honey: 15 }, late: { water: 40 } },
    [['mix'], ['bulk', [300, 420], 24], ['proof', [60], 28], ['bake', [45], 230]],
  ),
  enriched: dough(
    { bloom: { 'active-dry-yeast': 8, 'whole-milk': 60, sugar: 5 }, main: { 'white-rice-flour': 200, 'sweet-rice-flour': 80, 'tapioca-starch': 160, xanthan: 6, 'egg-whole': 110, 'egg-yolk': 18, butter: 70, sugar: 55, salt: 7, 'whole-milk': 150, 'hard-cheese': 60, 'milk-powder': 15 } },
    [['mix', [7]], ['proof', [50, 70], 30], ['bake', [20], 180]],
  ),
  batter: dough(
    { main: { 'maize-starch': 260, 'white-rice-flour': 240, hpmc: 10, guar: 3, 'egg-white': 60, water: 500, 'fresh-yeast': 15, 'rapeseed-oil': 20, salt: 8, 'glucose-syrup': 10 } },
    [['mix', [4]], ['bake', [35], 190]],
  ),
  lifted: dough(
    { main: { 'chickpea-flour': 150, 'white-rice-flour': 150, 'psyllium-husk': 9, 'plain-yoghurt': 200, water: 80, 'baking-powder': 9, 'baking-soda': 3, 'cider-vinegar': 8, salt: 5, 'instant-yeast': 1 } },
    [['mix', [2]], ['rest', [15]], ['chill', [720]], ['divide'], ['griddle', [3], 230]],
  ),
  bags: dough(
    { main: { 'own-guessed': 300, 'own-known': 100, 'own-jar': 200, 'psyllium-husk': 10, water: 520, 'instant-yeast': 9, salt: 12 } },
    [['mix', [6]], ['rest'], ['proof', [40], 32], ['bake', [30], 210]],
  ),
  stiff: dough(
    { main: { 'white-rice-flour': 300, 'maize-starch': 200, xanthan: 5, water: 280, salt: 10, 'instant-yeast': 10, sugar: 60 } },
    [['mix', [3]], ['proof', [90], 26]],
  ),
  bare: dough({ main: { 'buckwheat-flour': 500, water: 600, 'rice-starter': 100 } }, [['bulk', [600], 22]]),
} as const satisfies Readonly<Record<string, Formula>>; // prettier-ignore

/** The first as a recipe in cups would give it: some of its weights between two. */
export const MEASURED_DOUGH: Formula = {
  ...TEST_DOUGHS.psyllium,
  stages: TEST_DOUGHS.psyllium.stages.map((each) => ({
    ...each,
    lines: each.lines.map((line) =>
      ['white-rice-flour', 'water', 'psyllium-husk', 'olive-oil'].includes(line.ingredientId)
        ? { ...line, measured: { said: '', lowG: 0.93 * line.massG, highG: 1.09 * line.massG } }
        : line,
    ),
  })),
};
