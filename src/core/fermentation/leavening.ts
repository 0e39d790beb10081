import type { Consistency } from '../consistency/consistency';
import { BANDS } from '../consistency/parameters';
import { isDoughStage, type Formula } from '../formula/formula';
import { insideFormula } from '../formula/insideFormula';
import type { FormulaTotals } from '../formula/totals';
import { yeastDose, YEAST_KINDS } from '../formula/yeast';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { osmoticBrake } from './gassing';
import { ACID_MMOL_PER_G, FERMENTATION } from './parameters';

/** What lifts a dough, what feeds it and how much it can hold: all that the simulator asks of a formula. */
export interface Leavening {
  readonly doughG: number;
  /** As it comes from the bowl, with the air mixed in. */
  readonly doughMl: number;
  readonly waterG: number;
  readonly floursG: number;
  /** Baker's yeast as fresh yeast, g, with its relative spread; and wild culture likewise. */
  readonly yeastG: number;
  readonly wildG: number;
  readonly yeastCv: number;
  readonly wakingMin: number;
  /** Sugar a yeast can use, g; milk sugar is none. */
  readonly sugarG: number;
  /** What the flours' enzymes will still free, g. */
  readonly freedSugarG: number;
  readonly brake: number;
  /** CO2 that comes at mixing, and that waits for the oven, mmol. */
  readonly coldMmol: number;
  readonly ovenMmol: number;
  /** The most gas it holds, volume over its own. */
  readonly mostHeld: number;
}

/** The kinds of leavening on a sheet, for words. */
export type LeavenKind = 'yeast' | 'wild' | 'chemical' | 'none';

export function leavenKinds(leavening: Leavening): LeavenKind[] {
  const kinds: LeavenKind[] = [];
  if (leavening.yeastG > 0) kinds.push('yeast');
  if (leavening.wildG > 0) kinds.push('wild');
  if (leavening.coldMmol + leavening.ovenMmol > 0) kinds.push('chemical');
  return kinds.length > 0 ? kinds : ['none'];
}

/** Grams of ripe starter in the dough, however deep in a blend of the baker's own. */
function starterG(formula: Pick<Formula, 'stages'>, book: IngredientBook): number {
  const inOne = (id: string, massG: number, depth: number): number => {
    const whole = book.get(id);
    if (!whole || depth > 12) return 0;
    if (whole.roles[0] === 'starter') return massG;
    return (whole.madeOf ?? []).reduce(
      (sum, part) => sum + inOne(part.ingredientId, massG * part.share, depth + 1),
      0,
    );
  };
  return formula.stages
    .filter(isDoughStage)
    .flatMap((stage) => stage.lines)
    .reduce((sum, line) => sum + inOne(line.ingredientId, line.massG, 0), 0);
}

/** Soda works cold with what acid there is; the rest of it gives half its gas by heat alone (2 NaHCO3 = Na2CO3 + H2O + CO2). */
function chemical(grams: ReadonlyMap<string, number>): Pick<Leavening, 'coldMmol' | 'ovenMmol'> {
  const acid = [...grams].reduce((sum, [id, massG]) => sum + massG * (ACID_MMOL_PER_G[id] ?? 0), 0);
  const soda = (grams.get('baking-soda') ?? 0) * FERMENTATION.bakingSodaMmolPerG;
  const met = Math.min(soda, acid);
  const powder = (grams.get('baking-powder') ?? 0) * FERMENTATION.bakingPowder.mmolPerG;
  const { cold } = FERMENTATION.bakingPowder;
  return { coldMmol: met + powder * cold, ovenMmol: (soda - met) / 2 + powder * (1 - cold) };
}

/**
 * Reads a formula as the simulator needs it. `densityGPerMl`: of the dough as it comes from the bowl. Blends are taken apart; toppings do not lift.
 * @returns null without dough or flours
 */
export function leaveningOf(
  formula: Formula,
  book: IngredientBook,
  totals: FormulaTotals,
  consistency: Consistency | null,
  densityGPerMl: number,
): Leavening | null {
  if (totals.doughG <= 0 || totals.floursG <= 0 || !consistency) return null;
  const grams = new Map<string, number>();
  let sugarG = 0;
  for (const { ingredient, massG, dough } of insideFormula(formula, book)) {
    if (!dough) continue;
    grams.set(ingredient.id, (grams.get(ingredient.id) ?? 0) + massG);
    if (!ingredient.allergens.includes('milk')) sugarG += (massG * ingredient.per100g.sugars.value) / 100;
  }
  // a starter is taken apart above; its acid is the whole's
  for (const line of formula.stages.filter(isDoughStage).flatMap((stage) => stage.lines)) {
    if (book.get(line.ingredientId)?.roles[0] === 'starter') grams.set(line.ingredientId, line.massG);
  }
  const dose = yeastDose(formula, book, totals.floursG);
  const wildG = (starterG(formula, book) * FERMENTATION.ripeStarter.freshPer100G) / 100;
  const yeastG = dose?.freshG.value ?? 0;
  const bloomed = formula.steps.some((step) => step.kind === 'bloom');
  const kind = YEAST_KINDS.find((each) => dose?.kinds.includes(each));
  const { wakingMin } = FERMENTATION;
  const sugarPercent = (100 * sugarG) / totals.floursG;
  const full = BANDS.reduce(
    (sum, band, index) => sum + FERMENTATION.mostHeld[band] * (consistency.rested.chance[index] ?? 0),
    0,
  );
  const bind = Math.min(1, Math.max(consistency.holds, 0.8 * consistency.clings));
  const { nonePercent, fullPercent } = FERMENTATION.moist;
  const waterPercent = (100 * consistency.balance.waterG) / totals.floursG;
  const moist = Math.min(1, Math.max(0, (waterPercent - nonePercent) / (fullPercent - nonePercent)));
  const { coldMmol, ovenMmol } = chemical(grams);
  return {
    doughG: totals.doughG,
    doughMl: totals.doughG / densityGPerMl,
    waterG: consistency.balance.waterG,
    floursG: totals.floursG,
    yeastG,
    wildG,
    yeastCv: Math.hypot(
      FERMENTATION.gasMlPerMinPerFreshG.cv,
      dose && yeastG > 0 ? dose.freshG.sd / yeastG : 0,
      wildG > yeastG ? FERMENTATION.ripeStarter.cv : 0,
    ),
    wakingMin: !kind
      ? wakingMin.starter
      : bloomed && kind !== 'fresh-yeast'
        ? wakingMin.bloomed
        : wakingMin[kind],
    sugarG,
    freedSugarG: (FERMENTATION.freedSugar.percentOfBase * totals.floursG) / 100,
    brake: moist * osmoticBrake(sugarPercent, (100 * totals.saltG) / totals.floursG),
    // what finds no water in the bowl waits for the steam of the oven
    coldMmol: moist * coldMmol,
    ovenMmol: ovenMmol + (1 - moist) * coldMmol,
    mostHeld: full * (FERMENTATION.unboundHolds + (1 - FERMENTATION.unboundHolds) * bind),
  };
}
