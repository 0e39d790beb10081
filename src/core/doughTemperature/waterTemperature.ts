import { doughLines, type Formula } from '../formula/formula';
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

export type WaterWarning = 'yeastHurt' | 'yeastDead' | 'needsIce' | 'tooMuchIce' | 'tooCold' | 'nearBoiling';

export interface WaterTemperature {
  /** Temperature of the water poured, °C, with its 80 % range. Beyond what water can be it stays there and a warning says so. */
  readonly waterC: number;
  readonly lowC: number;
  readonly highC: number;
  readonly waterG: number;
  /** What is poured: water, or the drinks in its place. */
  readonly pouredIds: readonly string[];
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

/** What is poured: water, or where none is, the milks and juices in its place. Not eggs, and nothing that is spooned. */
const isPoured = ({ roles, per100g }: Ingredient): boolean =>
  roles[0] === 'liquid' && per100g.water.value > 80;
const isWater = ({ id }: Ingredient): boolean => id === 'water' || id === 'sparkling-water';

/** What everything gives that is not poured, around the wanted temperature. */
interface Balance {
  readonly pouredIds: readonly string[];
  readonly pouredG: number;
  readonly pouredJPerK: number;
  readonly wholeJPerK: number;
  /** With the bowl, which ends as warm as the dough. */
  readonly withBowlJPerK: number;
  readonly baseG: number;
  readonly frictionSd: number;
  readonly shares: WaterTemperature['shares'];
  readonly givenJ: number;
}

function balanceOf(formula: Pick<Formula, 'stages'>, book: IngredientBook, day: MixingDay): Result<Balance> {
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
  const lines = doughLines(formula).flatMap(({ ingredientId, massG }) => {
    const ingredient = book.get(ingredientId);
    return ingredient ? [{ ingredient, massG }] : [];
  });
  const carries = lines.some(({ ingredient }) => isWater(ingredient)) ? isWater : isPoured;
  const pouredIds = new Set<string>();
  let pouredG = 0;
  let pouredJPerK = 0;
  let dryJ = 0;
  let coldJ = 0;
  let heatJPerK = 0;
  let baseG = 0;
  for (const { ingredient, massG } of lines) {
    if (carries(ingredient)) {
      pouredIds.add(ingredient.id);
      pouredG += massG;
      pouredJPerK += massG * (isWater(ingredient) ? 4.18 : specificHeatJPerGK(ingredient.per100g, wantedC));
      continue;
    }
    const cold = day.fridgeC !== null && isKeptCold(ingredient);
    const tempC = cold ? (day.fridgeC ?? day.roomC) : day.roomC;
    const c = specificHeatJPerGK(ingredient.per100g, (tempC + wantedC) / 2);
    heatJPerK += massG * c;
    if (cold) coldJ += massG * c * (tempC - wantedC);
    else dryJ += massG * c * (tempC - wantedC);
    if (isFlourBase(ingredient)) baseG += massG;
  }
  if (pouredG <= 0) return refuse('required', 'water');
  const wholeJPerK = heatJPerK + pouredJPerK;
  const measured = day.frictionCPerMin ?? null;
  // measured, it still differs from dough to dough
  const friction =
    measured === null ? HEAT.frictionCPerMin[day.mixing] : { value: measured, sd: 0.2 * measured };
  const bowlJ = day.bowlG * HEAT.bowlJPerGK.value * (day.roomC - wantedC);
  const workJ = friction.value * day.mixMin * wholeJPerK;
  const wettingJ = baseG * HEAT.wettingJPerG.value;
  return ok({
    pouredIds: [...pouredIds],
    pouredG,
    pouredJPerK,
    wholeJPerK,
    withBowlJPerK: wholeJPerK + day.bowlG * HEAT.bowlJPerGK.value,
    baseG,
    frictionSd: friction.sd,
    shares: { dryJ, coldJ, bowlJ, workJ, wettingJ },
    givenJ: dryJ + coldJ + bowlJ + workJ + wettingJ,
  });
}

/** What is unsure of the heat in a dough, J (sd). */
const unsureJ = ({ wholeJPerK, baseG, frictionSd }: Balance, day: MixingDay): number =>
  Math.hypot(
    frictionSd * day.mixMin * wholeJPerK,
    baseG * HEAT.wettingJPerG.sd,
    day.bowlG * HEAT.bowlJPerGK.sd * (day.roomC - day.wantedC),
    HEAT.readingSdC * wholeJPerK,
  );

function yeastWarning(pouredC: number): WaterWarning[] {
  if (pouredC >= YEAST_C.deadFrom) return ['yeastDead'];
  return pouredC >= YEAST_C.hurtFrom ? ['yeastHurt'] : [];
}

/**
 * The temperature of what is poured that makes a dough of the wanted temperature: of the water, or where no water is poured, of the
 * milk or juice in its place.
 *
 * Heat balance Σ m c (T_wanted - T) over everything but the poured = heat of the poured + work of mixing + heat of wetting;
 * specific heats from composition. Below the coldest tap water part of it is given as ice (333.6 J/g), at most half; a drink cannot be
 * given as ice and stays as cold as a fridge has it.
 *
 * 500 g of flours, 400 g of water and an egg in a kitchen of 20 °C, the egg from the fridge, mixed by hand in a bowl of 800 g: for a dough of 26 °C water of 29 °C (26-32).
 *
 * @returns `required` at `water` when the formula pours nothing; limits of {@link DOUGH_TEMPERATURE_LIMITS} by field
 */
export function waterTemperatureFor(
  formula: Pick<Formula, 'stages'>,
  book: IngredientBook,
  day: MixingDay,
): Result<WaterTemperature> {
  const balance = balanceOf(formula, book, day);
  if (!balance.ok) return balance;
  const { pouredIds, pouredG, pouredJPerK, withBowlJPerK, shares, givenJ } = balance.value;
  const { wantedC } = day;
  const exactC = wantedC - givenJ / pouredJPerK;
  const sdC = unsureJ(balance.value, day) / pouredJPerK;
  const boilingC = boilingPointC(day.altitudeM);
  const water = pouredIds.every((id) => id === 'water' || id === 'sparkling-water');
  const coldestC = water ? day.tapC : Math.min(day.tapC, day.fridgeC ?? FRIDGE_C);

  const warnings: WaterWarning[] = [];
  let waterC = exactC;
  let iceG = 0;
  if (exactC < coldestC) {
    waterC = coldestC;
    if (water) {
      // ice takes its heat of melting as well as warming like water from 0 °C
      iceG = (pouredJPerK * (coldestC - exactC)) / (HEAT.iceJPerG + 4.18 * coldestC);
      warnings.push(iceG > pouredG / 2 ? 'tooMuchIce' : 'needsIce');
      iceG = Math.min(iceG, pouredG / 2);
    } else warnings.push('tooCold');
  }
  if (exactC > boilingC - 5) {
    warnings.push('nearBoiling');
    waterC = boilingC - 5;
  }
  warnings.push(...yeastWarning(waterC));
  const pouredJ = pouredJPerK * (waterC - wantedC) - iceG * (HEAT.iceJPerG + 4.18 * waterC);
  return ok({
    waterC,
    lowC: waterC - Z80 * sdC,
    highC: waterC + Z80 * sdC,
    waterG: pouredG,
    pouredIds,
    iceG,
    doughC: wantedC + (givenJ + pouredJ) / withBowlJPerK,
    warnings,
    boilingC,
    shares,
  });
}

/** A drink from an ordinary fridge, °C. */
const FRIDGE_C = 5;

export interface DoughTemperature {
  readonly doughC: number;
  readonly lowC: number;
  readonly highC: number;
  readonly warnings: readonly WaterWarning[];
}

/**
 * The other way round, "mine is 44 °C: what then?": the dough that comes of it, with its 80 % range, and what that does to yeast.
 * Worked: 400 g of water at 44 °C on 500 g of flours and egg at 21 °C, six minutes in a machine, end near 35 °C.
 * @param pouredC what the thermometer says of what is poured, within 0 °C and the boiling point
 */
export function doughTemperatureFor(
  formula: Pick<Formula, 'stages'>,
  book: IngredientBook,
  day: MixingDay,
  pouredC: number,
): Result<DoughTemperature> {
  const balance = balanceOf(formula, book, day);
  if (!balance.ok) return balance;
  const checked = within(pouredC, { min: 0, max: boilingPointC(day.altitudeM) }, 'pouredC');
  if (!checked.ok) return checked;
  const { pouredJPerK, withBowlJPerK, givenJ } = balance.value;
  const doughC = day.wantedC + (givenJ + pouredJPerK * (pouredC - day.wantedC)) / withBowlJPerK;
  const sdC = unsureJ(balance.value, day) / withBowlJPerK;
  return ok({ doughC, lowC: doughC - Z80 * sdC, highC: doughC + Z80 * sdC, warnings: yeastWarning(pouredC) });
}
