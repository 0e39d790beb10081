import { isDoughStage, type Formula } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { isFlourBase, type Ingredient } from '../ingredients/ingredient';
import { Z80 } from '../numeric/normal';
import { ok, refuse, type Result } from '../result';
import { within } from '../units/decimal';
import { boilingPointC } from './boilingPoint';
import { specificHeatJPerGK } from './heatCapacity';

/** Parameters of the heat balance with their spread; everything else follows from composition. */
const HEAT = {
  /** Warming by the work of mixing, °C per minute. Gluten-free doughs and batters take little of it. */
  frictionCPerMin: { hand: { value: 0.03, sd: 0.02 }, machine: { value: 0.25, sd: 0.12 } },
  /** Heat of wetting dry flour and starch of about 12 % moisture, J/g. Starch chemistry texts give 10-25. */
  wettingJPerG: { value: 14, sd: 6 },
  /** Specific heat of a steel, glass or plastic bowl, J/(g K), and how much of it the dough really warms. */
  bowlJPerGK: { value: 0.55, sd: 0.2 },
  /** What a thermometer, a tap and a shelf leave uncertain, °C. */
  readingSdC: 0.7,
  iceJPerG: 333.6,
} as const;

export const DOUGH_TEMPERATURE_LIMITS = {
  roomC: { min: -5, max: 45 },
  fridgeC: { min: -2, max: 15 },
  wantedC: { min: 5, max: 45 },
  bowlG: { min: 0, max: 50_000 },
  mixMin: { min: 0, max: 120 },
  altitudeM: { min: -430, max: 5500 },
  tapC: { min: 0, max: 40 },
  frictionCPerMin: { min: 0, max: 3 },
} as const;

export interface MixingDay {
  readonly roomC: number;
  /** Eggs, dairy and starters from the fridge come at this temperature; null: they stood in the room. */
  readonly fridgeC: number | null;
  readonly wantedC: number;
  readonly bowlG: number;
  readonly mixing: 'hand' | 'machine';
  readonly mixMin: number;
  /** Measured in this kitchen: warming a minute, °C. Null or absent: an ordinary mixer, or hands. */
  readonly frictionCPerMin?: number | null;
  readonly altitudeM: number;
  /** The coldest water there is, °C: below it only ice helps. */
  readonly tapC: number;
}

/** Dry-yeast and fresh-yeast windows, °C: suppliers' guidance; killing from Saccharomyces thermal death studies. */
export const YEAST_C = { bloomFrom: 35, bloomTo: 43, hurtFrom: 50, deadFrom: 60 } as const;

export type WaterWarning = 'yeastHurt' | 'yeastDead' | 'needsIce' | 'tooMuchIce' | 'nearBoiling';

export interface WaterTemperature {
  /** Temperature of the water poured, °C, with its 80 % range. Beyond what water can be it stays there and a warning says so. */
  readonly waterC: number;
  readonly lowC: number;
  readonly highC: number;
  readonly waterG: number;
  /** Part of the water to be given as ice, g. */
  readonly iceG: number;
  /** The dough that really comes of it, °C. */
  readonly doughC: number;
  readonly warnings: readonly WaterWarning[];
  readonly boilingC: number;
  /** What each thing gives, J above the wanted temperature; negative: it cools. */
  readonly shares: {
    readonly dryJ: number;
    readonly coldJ: number;
    readonly bowlJ: number;
    readonly workJ: number;
    readonly wettingJ: number;
  };
}

/** Comes out of the fridge in an ordinary kitchen. */
const isKeptCold = ({ allergens, family, per100g }: Ingredient): boolean =>
  per100g.water.value > 30 &&
  (family === 'culture' ||
    allergens.includes('egg') ||
    (allergens.includes('milk') && family === 'eggAndDairy'));

/**
 * The temperature of the poured water that makes a dough of the wanted temperature.
 *
 * Heat balance Σ m c (T_wanted - T) over everything but the water = heat of the water + work of mixing + heat of wetting;
 * specific heats from composition. Below the coldest tap water part of it is given as ice (333.6 J/g), at most half.
 *
 * @returns `required` at `water` when the formula pours no water; limits of {@link DOUGH_TEMPERATURE_LIMITS} by field
 */
export function waterTemperatureFor(
  formula: Pick<Formula, 'stages'>,
  book: IngredientBook,
  day: MixingDay,
): Result<WaterTemperature> {
  for (const field of ['roomC', 'wantedC', 'bowlG', 'mixMin', 'altitudeM', 'tapC'] as const) {
    const checked = within(day[field], DOUGH_TEMPERATURE_LIMITS[field], field);
    if (!checked.ok) return checked;
  }
  if (day.fridgeC !== null) {
    const checked = within(day.fridgeC, DOUGH_TEMPERATURE_LIMITS.fridgeC, 'fridgeC');
    if (!checked.ok) return checked;
  }
  if (typeof day.frictionCPerMin === 'number') {
    const checked = within(day.frictionCPerMin, DOUGH_TEMPERATURE_LIMITS.frictionCPerMin, 'frictionCPerMin');
    if (!checked.ok) return checked;
  }
  const { wantedC } = day;
  let waterG = 0;
  let dryJ = 0;
  let coldJ = 0;
  let heatJPerK = 0;
  let baseG = 0;
  for (const line of formula.stages.filter(isDoughStage).flatMap((stage) => stage.lines)) {
    const ingredient = book.get(line.ingredientId);
    if (!ingredient) continue;
    if (ingredient.id === 'water' || ingredient.id === 'sparkling-water') {
      waterG += line.massG;
      continue;
    }
    const cold = day.fridgeC !== null && isKeptCold(ingredient);
    const tempC = cold ? (day.fridgeC ?? day.roomC) : day.roomC;
    const c = specificHeatJPerGK(ingredient.per100g, (tempC + wantedC) / 2);
    heatJPerK += line.massG * c;
    if (cold) coldJ += line.massG * c * (tempC - wantedC);
    else dryJ += line.massG * c * (tempC - wantedC);
    if (isFlourBase(ingredient)) baseG += line.massG;
  }
  if (waterG <= 0) return refuse('required', 'water');
  const waterJPerK = waterG * 4.18;
  const wholeJPerK = heatJPerK + waterJPerK;
  const measured = day.frictionCPerMin ?? null;
  // measured, it still differs from dough to dough
  const friction =
    measured === null ? HEAT.frictionCPerMin[day.mixing] : { value: measured, sd: 0.2 * measured };
  const bowlJ = day.bowlG * HEAT.bowlJPerGK.value * (day.roomC - wantedC);
  const workJ = friction.value * day.mixMin * wholeJPerK;
  const wettingJ = baseG * HEAT.wettingJPerG.value;
  const givenJ = dryJ + coldJ + bowlJ + workJ + wettingJ;
  const exactC = wantedC - givenJ / waterJPerK;
  const sdC = Math.hypot(
    (friction.sd * day.mixMin * wholeJPerK) / waterJPerK,
    (baseG * HEAT.wettingJPerG.sd) / waterJPerK,
    (day.bowlG * HEAT.bowlJPerGK.sd * (day.roomC - wantedC)) / waterJPerK,
    (HEAT.readingSdC * wholeJPerK) / waterJPerK,
  );
  const boilingC = boilingPointC(day.altitudeM);

  const warnings: WaterWarning[] = [];
  let waterC = exactC;
  let iceG = 0;
  if (exactC < day.tapC) {
    // ice takes its heat of melting as well as warming like water from 0 °C
    const needJ = waterJPerK * (day.tapC - exactC);
    iceG = needJ / (HEAT.iceJPerG + 4.18 * day.tapC);
    warnings.push(iceG > waterG / 2 ? 'tooMuchIce' : 'needsIce');
    iceG = Math.min(iceG, waterG / 2);
    waterC = day.tapC;
  }
  if (exactC > boilingC - 5) {
    warnings.push('nearBoiling');
    waterC = boilingC - 5;
  }
  if (waterC >= YEAST_C.deadFrom) warnings.push('yeastDead');
  else if (waterC >= YEAST_C.hurtFrom) warnings.push('yeastHurt');
  const waterHeatJ = waterJPerK * (waterC - wantedC) - iceG * (HEAT.iceJPerG + 4.18 * waterC);
  return ok({
    waterC,
    lowC: waterC - Z80 * sdC,
    highC: waterC + Z80 * sdC,
    waterG,
    iceG,
    doughC: wantedC + (givenJ + waterHeatJ) / wholeJPerK,
    warnings,
    boilingC,
    shares: { dryJ, coldJ, bowlJ, workJ, wettingJ },
  });
}
