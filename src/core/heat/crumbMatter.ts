import { isDoughStage, type Formula } from '../formula/formula';
import { insideFormula } from '../formula/insideFormula';
import type { Composition, Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { specificHeatJPerGK } from '../doughTemperature/heatCapacity';

/** What the heat model asks of a dough: plain figures, so that a worker can be sent them. */
export interface CrumbMatter {
  /** Water per dough, kg/kg. */
  readonly waterShare: number;
  /** Heat capacity of the dry matter, J/(kg K). */
  readonly dryHeatJPerKgK: number;
  /** Conductivity of the dough without bubbles at 25 °C, W/(m K). */
  readonly conductsWPerMK: number;
  /** Density of the dough without bubbles, kg/m³. */
  readonly densityKgPerM3: number;
  /** Gelatinisation of the starch blend, °C, by starch weight; null without starch. */
  readonly gelatinisationC: { readonly onset: number; readonly peak: number } | null;
  /** How readily the crust browns: reducing sugar and protein against an ordinary lean dough, 1 = that. */
  readonly brownsReadily: number;
  /** How much more readily its upper skin browns for what is brushed on it: egg, milk, syrup; absent: nothing is. */
  readonly washBrowns?: number;
}

/** Conductivity of components at 25 °C, W/(m K), and true density, kg/m³: Choi & Okos 1986. */
const COMPONENT: Readonly<Record<keyof Composition, readonly [number, number]>> = {
  water: [0.606, 997],
  protein: [0.2, 1317],
  fat: [0.113, 915],
  starch: [0.229, 1591],
  sugars: [0.229, 1591],
  fibre: [0.203, 1303],
  ash: [0.364, 2417],
  other: [0.22, 1400],
};
const NAMES = Object.keys(COMPONENT) as (keyof Composition)[];

/** What heat and enzymes free of sugar from starch in a crust, share of the dough; and how browning goes with protein. */
const FROM_STARCH = 0.005;
const PROTEIN_POWER = 0.25;

/**
 * What is brushed on browns the skin it dries to, so many times as readily as the dough's own (craft: egg a band of colour, milk and butter less,
 * syrup most). In one glaze the strongest counts.
 */
const WASH = { egg: 2.2, sweet: 2.5, dairy: 1.6, fat: 1.2 } as const;

/** Null: what lies on it is no wash. */
function washOf({ roles, allergens, per100g }: Ingredient): number | null {
  if (roles.includes('egg')) return WASH.egg;
  // dry sugar is strewn when it is done
  if (roles[0] === 'sweet') return per100g.water.value > 10 ? WASH.sweet : null;
  if (allergens.includes('milk') && roles[0] !== 'inclusion') return WASH.dairy;
  return roles[0] === 'fat' ? WASH.fat : null;
}

/** @returns null without dough */
export function crumbMatterOf(formula: Pick<Formula, 'stages'>, book: IngredientBook): CrumbMatter | null {
  const grams = Object.fromEntries(NAMES.map((name) => [name, 0])) as Record<keyof Composition, number>;
  let doughG = 0;
  let dryHeat = 0;
  let starchG = 0;
  let onset = 0;
  let peak = 0;
  let washBrowns = 0;
  if (!formula.stages.some(isDoughStage)) return null;
  for (const { ingredient, massG, dough, kind } of insideFormula(formula, book)) {
    if (kind === 'wash') washBrowns = Math.max(washBrowns, washOf(ingredient) ?? 0);
    if (!dough) continue;
    doughG += massG;
    for (const name of NAMES) grams[name] += (massG * ingredient.per100g[name].value) / 100;
    const dry = { ...ingredient.per100g, water: { value: 0, sd: 0 } };
    const dryG = massG * (1 - ingredient.per100g.water.value / 100);
    dryHeat += dryG * specificHeatJPerGK(dry, 60) * 1000;
    if (ingredient.gelatinisationC) {
      const starch = (massG * ingredient.per100g.starch.value) / 100;
      starchG += starch;
      onset += starch * ingredient.gelatinisationC.onset;
      peak += starch * ingredient.gelatinisationC.peak;
    }
  }
  if (doughG <= 0) return null;
  const dryG = doughG - grams.water;
  const volume = NAMES.reduce((sum, name) => sum + grams[name] / COMPONENT[name][1], 0);
  // parallel paths weighted by volume: the upper end of what a mixture can conduct, brought down by the fitted `conduction`
  const conducts =
    NAMES.reduce((sum, name) => sum + (COMPONENT[name][0] * grams[name]) / COMPONENT[name][1], 0) / volume;
  // milk sugar and honey brown like any: all sugars against 2 % of the dough, protein against 5 %; flours' own starch gives a little
  const sugar = (grams.sugars / doughG + FROM_STARCH) / (0.02 + FROM_STARCH);
  const protein = grams.protein / doughG / 0.05;
  return {
    waterShare: grams.water / doughG,
    dryHeatJPerKgK: dryG > 0 ? dryHeat / dryG : 1800,
    conductsWPerMK: conducts,
    densityKgPerM3: doughG / volume,
    gelatinisationC: starchG > 0 ? { onset: onset / starchG, peak: peak / starchG } : null,
    ...(washBrowns > 0 && { washBrowns }),
    brownsReadily: Math.min(6, Math.max(0.1, sugar * Math.max(0.2, protein) ** PROTEIN_POWER)),
  };
}
