import { purposeOf } from '../formula/parts';
import { isFlourBase, type Ingredient, type Role } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { BatchLine, BatchSheet } from './batchSheet';

/** Stirred into something plenty of which is in the dough anyway: so much of the dose with so much of that; of this so much is taken, and so much less of the plain one. */
interface Stock {
  readonly how: 'dissolved' | 'mixed';
  readonly doseG: number;
  readonly carrierName: string;
  readonly carrierG: number;
  readonly takeG: number;
  readonly lessCarrierG: number;
}

/** A dose that the scale it is weighed on cannot show well. */
export interface SmallDose {
  readonly lineId: string;
  readonly name: string;
  readonly exactG: number;
  readonly stepG: number;
  /** How far off the weight may be, %: half a step of the scale. */
  readonly offPercent: number;
  /** A scale of such steps would weigh it to a twentieth; null: there is none so fine. */
  readonly finerStepG: number | null;
  readonly stock: Stock | null;
}

/** Where a tenth more or less is felt: what lifts, salts, binds or sours. */
const FELT: ReadonlySet<Role> = new Set(['leaven', 'salt', 'binder', 'acid']);
const DISSOLVES: ReadonlySet<Role> = new Set(['leaven', 'salt', 'acid', 'sweet']);
/** In water these give off their gas before they are in the dough. */
const GASSES = new Set(['baking-powder', 'baking-soda', 'cream-of-tartar']);
/** Half a step may be so much of the dose, %. */
const OFF_PERCENT = 10;
const SCALE_STEPS = [0.5, 0.1, 0.01] as const;
/** Once in so many: easy to weigh, easy to say. */
const TIMES = [10, 20, 25, 50, 100] as const;

/**
 * Doses that the kitchen's scales cannot show within a tenth, and how to get them right all the same: a finer scale, or a stock of it, stirred into water or
 * flour of the dough, of which more is weighed.
 *
 * 0.4 g of yeast on a scale of whole grams may be out by 125 %. 10 g of it in 240 g of water: 10 g of that hold 0.4 g, give or take 5 %.
 */
export function smallDoses(sheet: Pick<BatchSheet, 'stages'>, book: IngredientBook): SmallDose[] {
  const lines = sheet.stages.filter((stage) => purposeOf(stage) === 'dough').flatMap((stage) => stage.lines);
  const known = (line: BatchLine) => book.get(line.ingredientId);
  const most = (fits: (ingredient: Ingredient) => boolean) =>
    lines
      .filter((line) => {
        const ingredient = known(line);
        return ingredient !== undefined && !line.heldBack && fits(ingredient);
      })
      .sort((a, b) => b.massG - a.massG)[0];
  const carriers = {
    dissolved: most(({ roles, per100g }) => roles[0] === 'liquid' && per100g.water.value > 95),
    mixed: most(isFlourBase),
  };
  const told = new Set<string>();
  return lines.flatMap((line): SmallDose[] => {
    const { id: lineId, name, exactG, stepG } = line;
    const roles = known(line)?.roles ?? [];
    const offPercent = (50 * stepG) / exactG;
    if (offPercent <= OFF_PERCENT || !roles.some((role) => FELT.has(role))) return [];
    // the same for each of several mixes is said once
    const same = `${line.of?.lineId ?? lineId} ${exactG}`;
    if (told.has(same)) return [];
    told.add(same);
    const dissolves = roles.some((role) => DISSOLVES.has(role)) && !GASSES.has(line.ingredientId);
    const how = dissolves ? 'dissolved' : 'mixed';
    const finerStepG = SCALE_STEPS.find((step) => step < stepG && step <= exactG / 10) ?? null;
    return [
      { lineId, name, exactG, stepG, offPercent, finerStepG, stock: stockOf(line, how, carriers[how]) },
    ];
  });
}

function stockOf(
  { exactG, stepG }: BatchLine,
  how: Stock['how'],
  carrier: BatchLine | undefined,
): Stock | null {
  if (!carrier) return null;
  // both the dose in the stock and what is taken of it are ten steps of the scale at least
  const times = TIMES.find((each) => each * exactG >= 10 * stepG);
  const doseG = 10 * stepG;
  if (!times) return null;
  const takeG = Math.round((times * exactG) / stepG) * stepG;
  const lessCarrierG = takeG - exactG;
  if (lessCarrierG > 0.9 * carrier.massG || takeG > times * doseG) return null;
  return { how, doseG, carrierName: carrier.name, carrierG: (times - 1) * doseG, takeG, lessCarrierG };
}
