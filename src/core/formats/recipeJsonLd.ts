import { allLines, type Formula } from '../formula/formula';
import { nutritionOf } from '../formula/nutrition';
import { formulaTotals } from '../formula/totals';
import { asWay } from '../formula/ways';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { methodTime } from '../method/methodTime';
import type { StepKind } from '../method/step';
import { isPlain } from '../plainText';
import type { MeasureSystem } from '../quantity/measures';
import { readRecipe, type RecipeReading } from '../recipe/readRecipe';
import { ok, refuse, type Result } from '../result';
import { ingredientText, stepText } from './formulaMarkdown';
import { lossesOf, type Loss } from './loss';
import { readJson } from './readJson';

const LOSES: readonly Loss[] = [
  'style',
  'percentBase',
  'partKinds',
  'stepDetails',
  'measured',
  'heldBack',
  'partFigures',
  'stepFields',
  'ways',
  'ownIngredients',
  'roundedGrams',
];

function isoDuration(seconds: number): string {
  // rounded first: 59 min 40 s is an hour, not sixty minutes of one
  const minutes = Math.round(seconds / 60);
  return `PT${Math.floor(minutes / 60)}H${minutes % 60}M`;
}

const HEATS: ReadonlySet<StepKind> = new Set(['boil', 'griddle', 'fry', 'bake', 'coast']);
const KJ_PER_KCAL = 4.184;

/** What 100 g of it hold as they are eaten; nothing where an ingredient is not in the book, or there is no dough. */
function nutritionWords(formula: Formula, book: IngredientBook): object {
  const lines = allLines(formula);
  if (lines.length === 0 || lines.some(({ ingredientId }) => !book.has(ingredientId))) return {};
  const { perBaked100g: per, energyKjPerBaked100g } = nutritionOf(
    formula,
    book,
    formulaTotals(formula, book).baseG,
  );
  const grams = (value: number) => `${value.toFixed(1)} g`;
  return {
    nutrition: {
      '@type': 'NutritionInformation',
      servingSize: '100 g',
      calories: `${Math.round(energyKjPerBaked100g / KJ_PER_KCAL)} kcal`,
      proteinContent: grams(per.protein.value),
      fatContent: grams(per.fat.value),
      carbohydrateContent: grams(per.starch.value + per.sugars.value),
      sugarContent: grams(per.sugars.value),
      fiberContent: grams(per.fibre.value),
      sodiumContent: `${Math.round((1000 * per.salt.value * SODIUM) / SALT)} mg`,
    },
  };
}
/** Molar masses of sodium and of its chloride, g/mol. */
const SODIUM = 22.99;
const SALT = 58.44;

/** What it makes, each of its breads. */
const yieldWords = (formula: Formula): string =>
  (formula.ways ?? [null])
    .map((way) => {
      const { pieces, pieceMassG } = asWay(formula, way?.id).usualYield;
      return `${way?.name ? `${way.name}: ` : ''}${pieces} × ${Math.round(pieceMassG)} g of dough`;
    })
    .join(', ');

/**
 * A formula as schema.org Recipe in JSON-LD (schema.org/Recipe, properties of Recipe and HowTo only). It makes no claim of a
 * diet: "gluten-free" is a legal claim, and the baker's to make.
 */
export function writeRecipeJsonLd(
  formula: Formula,
  book: IngredientBook,
  stepWord: (kind: Formula['steps'][number]['kind']) => string,
): { text: string; losses: Loss[] } {
  const { steps } = asWay(formula);
  const time = methodTime(steps);
  const heating = steps.findIndex(({ kind }) => HEATS.has(kind));
  const prepS = heating > 0 ? methodTime(steps.slice(0, heating)).maxS : 0;
  const cookS = methodTime(steps.filter(({ kind }) => HEATS.has(kind))).maxS;
  const howTo = (step: Formula['steps'][number]) => ({
    '@type': 'HowToStep',
    ...(step.title && { name: step.title }),
    text: stepText(step, stepWord(step.kind)),
  });
  const recipe = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: formula.name,
    ...(formula.about && { description: formula.about }),
    recipeYield: yieldWords(formula),
    ...(prepS > 0 && { prepTime: isoDuration(prepS) }),
    ...(cookS > 0 && { cookTime: isoDuration(cookS) }),
    ...(time.maxS > 0 && { totalTime: isoDuration(time.maxS) }),
    ...nutritionWords(formula, book),
    recipeIngredient: formula.stages.flatMap((stage) =>
      stage.lines.map((line) =>
        ingredientText(line.massG, book.get(line.ingredientId)?.name ?? line.ingredientId, line.note),
      ),
    ),
    recipeInstructions: [
      ...formula.steps.map(howTo),
      ...(formula.ways ?? []).map((way) => ({
        '@type': 'HowToSection',
        name: way.name,
        itemListElement: way.steps.map(howTo),
      })),
    ],
  };
  return { text: `${JSON.stringify(recipe, null, 2)}\n`, losses: lossesOf(formula, LOSES) };
}

type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isRecipe = (value: unknown): value is Json =>
  isObject(value) && (Array.isArray(value['@type']) ? value['@type'] : [value['@type']]).includes('Recipe');

/** The first Recipe of a JSON-LD document: itself, in a list, or in its graph. */
function recipeIn(data: unknown): Json | null {
  if (isRecipe(data)) return data;
  const inside = Array.isArray(data)
    ? data
    : isObject(data) && Array.isArray(data['@graph'])
      ? data['@graph']
      : [];
  return inside.find(isRecipe) ?? null;
}

const READ = new Set([
  '@context',
  '@type',
  '@id',
  'name',
  'description',
  'recipeYield',
  'recipeIngredient',
  'ingredients',
  'recipeInstructions',
]);

/** Markup in texts from web pages is dropped to its words. */
const words = (value: unknown): string =>
  typeof value === 'string'
    ? value
        // no `<` within: else every one of a million of them would be looked through anew
        .replace(/<[^<>]{0,500}>/g, ' ')
        .replace(/&(?:nbsp|#160);/g, ' ')
        .replace(/&amp;/g, '&')
        .replace(/&frac12;/g, '½')
        .replace(/[^\S\n]+/g, ' ')
        .trim()
    : '';

/** Instructions in all the shapes schema.org allows: a text, a list of texts, steps, sections of steps. */
function instructionsOf(value: unknown, depth = 0): string[] {
  if (depth > 6) return [];
  if (typeof value === 'string')
    return words(value)
      .split(/\n+/)
      .map((line) => line.trim())
      .filter(Boolean);
  if (Array.isArray(value)) return value.flatMap((each) => instructionsOf(each, depth + 1));
  if (!isObject(value)) return [];
  if (value.itemListElement)
    return [words(value.name), ...instructionsOf(value.itemListElement, depth + 1)].filter(Boolean);
  return [words(value.text) || words(value.name)].filter(Boolean);
}

/**
 * Reads a schema.org Recipe. Its ingredients and instructions go through the same reader as a pasted text, so what is not
 * understood is asked for; what the sheet has no place for is listed.
 *
 * @returns the reading and the properties that were left behind; `wrongFormat` without a Recipe, `required` at
 *   `recipeIngredient` without ingredients, and the reader's own problems
 */
export function readRecipeJsonLd(
  text: string,
  book: IngredientBook,
  system: MeasureSystem,
  newId: () => string,
): Result<{ reading: RecipeReading; left: readonly string[] }> {
  const json = readJson(text);
  if (!json.ok) return json;
  const recipe = recipeIn(json.value);
  if (!recipe) return refuse('wrongFormat', '@type');
  const listed = recipe.recipeIngredient ?? recipe.ingredients;
  const ingredients = (Array.isArray(listed) ? listed : [listed])
    .map((each) => words(each).replace(/\s*\n\s*/g, ' '))
    .filter(Boolean);
  if (ingredients.length === 0) return refuse('required', 'recipeIngredient');
  const bad = ingredients.findIndex((line) => !isPlain(line, false));
  if (bad >= 0) return refuse('control', `recipeIngredient.${bad}`);
  const yields: readonly unknown[] = [recipe.recipeYield].flat();
  const yieldOf = yields[0];
  const steps = instructionsOf(recipe.recipeInstructions);
  const source = [
    words(recipe.name) || 'Recipe without a name',
    '',
    'Ingredients',
    ...ingredients.map((line) => `- ${line}`),
    ...(steps.length > 0 ? ['', 'Method', ...steps] : []),
    ...(words(recipe.description) ? ['', 'Notes', words(recipe.description)] : []),
  ].join('\n');
  const reading = readRecipe(source, book, system, newId);
  if (!reading.ok) return reading;
  const yieldText = typeof yieldOf === 'number' ? String(yieldOf) : words(yieldOf);
  return ok({
    reading: { ...reading.value, yieldText: yieldText || reading.value.yieldText },
    left: Object.keys(recipe)
      .filter((key) => !READ.has(key))
      .slice(0, 40),
  });
}
