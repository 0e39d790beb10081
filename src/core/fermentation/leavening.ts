import type { Consistency } from '../consistency/consistency';
import { BINDERS_ABSORB_AS, WHOLE_FROM_FIBRE } from '../consistency/parameters';
import { FIGURES, type Figures } from '../calibrated';
import { doughLines, type Formula } from '../formula/formula';
import { isFlourBase, type Ingredient } from '../ingredients/ingredient';
import { Z80 } from '../numeric/normal';
import { insideFormula } from '../formula/insideFormula';
import type { FormulaTotals } from '../formula/totals';
import { yeastDose, YEAST_KINDS } from '../formula/yeast';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { osmolPerKg, osmoticBrake } from './gassing';
import { holdingOf, type Structure } from './holding';
import { ACID_MMOL_PER_G, FERMENTATION } from './parameters';

/** What lifts a dough, what feeds it and how much it can hold: all that the simulator asks of a formula. */
export interface Leavening {
  readonly doughG: number;
  /** As it comes from the bowl, with the air mixed in. */
  readonly doughMl: number;
  /** Of that, air from the mixing. */
  readonly airMl: number;
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
  /** Salt and sugar in its water, osmol/kg: what the brake comes of. */
  readonly osmol: number;
  /** Which way its yeast errs against the others: fresh 1, instant 0, active dry -1. */
  readonly kindTilt: number;
  /** Dry yeast that meets the dough's water without having been bloomed. */
  readonly wetsDry: boolean;
  /** CO2 that comes at mixing, and that waits for the oven, mmol. */
  readonly coldMmol: number;
  readonly ovenMmol: number;
  /** The most gas it holds, volume over its own, with its relative spread. */
  readonly mostHeld: number;
  readonly holdingCv: number;
  /** What the oven's skin and first set crumb hold against that. */
  readonly ovenHolds: number;
  /** What pressing all its gas out does to its catching of new gas, share. */
  readonly knock: number;
  /** How much more of its gas hands press out than out of an elastic dough: a stiff one without psyllium cracks and lets it all go. */
  readonly cracks: number;
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
  return doughLines(formula).reduce((sum, line) => sum + inOne(line.ingredientId, line.massG, 0), 0);
}

/** Soda works cold with what acid there is; the rest of it gives half its gas by heat alone (2 NaHCO3 = Na2CO3 + H2O + CO2). */
function chemical(
  grams: ReadonlyMap<string, number>,
  cold: number,
): Pick<Leavening, 'coldMmol' | 'ovenMmol'> {
  const acid = [...grams].reduce((sum, [id, massG]) => sum + massG * (ACID_MMOL_PER_G[id] ?? 0), 0);
  const soda = (grams.get('baking-soda') ?? 0) * FERMENTATION.bakingSodaMmolPerG;
  const met = Math.min(soda, acid);
  const powder = (grams.get('baking-powder') ?? 0) * FERMENTATION.bakingPowderMmolPerG;
  return { coldMmol: met + powder * cold, ovenMmol: (soda - met) / 2 + powder * (1 - cold) };
}

/** Is this a flour whose own gums hold and whose bran hinders: whole grain, pulse, seed meal? */
const isWhole = (ingredient: Ingredient): boolean =>
  ingredient.roles[0] !== 'starch' && ingredient.per100g.fibre.value >= WHOLE_FROM_FIBRE;

/** What of the dough holds gas, and what sugar its flours' enzymes will free, g. */
function structureOf(
  formula: Formula,
  book: IngredientBook,
  floursG: number,
  figures: Figures,
): { structure: Structure; freedSugarG: number; guessedBinder: number } {
  const percent = { psyllium: 0, cellulose: 0, gum: 0, seed: 0, egg: 0, whole: 0 };
  let freedSugarG = 0;
  let binderG = 0;
  let guessedG = 0;
  for (const { ingredient, massG, dough, guessed } of insideFormula(formula, book)) {
    if (!dough) continue;
    const share = (100 * massG) / floursG;
    if (isFlourBase(ingredient)) {
      const starch = ingredient.roles[0] === 'starch';
      const whole = isWhole(ingredient);
      if (whole) percent.whole += share / 100;
      const freed = whole ? figures['freed.whole'] : figures['freed.fine'] * (starch ? STARCH_FREES : 1);
      freedSugarG += (massG * freed) / 100;
    }
    if (ingredient.roles.includes('egg')) percent.egg += share;
    else if (ingredient.roles.includes('binder')) {
      binderG += massG;
      if (guessed) guessedG += massG;
      const as = BINDERS_ABSORB_AS[ingredient.id] ?? 'gum';
      // fibres and starches that thicken bind, but weakly
      if (as === 'gum' && !GUMS.has(ingredient.id)) percent.seed += share / 2;
      else percent[as] += share;
    }
  }
  return {
    structure: { ...percent, whole: Math.min(1, percent.whole) },
    freedSugarG,
    guessedBinder: binderG > 0 ? guessedG / binderG : 0,
  };
}
/** What hands feel is known no better than the window: from here on its flank says nothing more of the spread. */
const STEEPEST = 2.5;
/** A binder whose share is read off a label's order leaves what the dough holds so much less sure, relative sd. */
const GUESSED_BINDER_CV = 0.3;
/** A dough stiffer than this tears under the hand, saturation. */
const CRACKS_BELOW = 0.84;
/** Of starches the enzymes free so much of what they free of a fine flour. */
const STARCH_FREES = 0.1;
const GUMS: ReadonlySet<string> = new Set(['xanthan', 'guar', 'cmc', 'locust-bean-gum', 'konjac']);
const TILT: Readonly<Record<string, number>> = {
  'fresh-yeast': 1,
  'instant-yeast': 0,
  'active-dry-yeast': -1,
};
/** The dose at which the gassing of a gram was measured, g of fresh yeast on 100 g of flours. */
export const USUAL_DOSE = 4;

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
  figures: Figures = FIGURES,
): Leavening | null {
  if (totals.doughG <= 0 || totals.floursG <= 0 || !consistency) return null;
  const { floursG } = totals;
  const grams = new Map<string, number>();
  let sugarG = 0;
  for (const { ingredient, massG, dough } of insideFormula(formula, book)) {
    if (!dough) continue;
    grams.set(ingredient.id, (grams.get(ingredient.id) ?? 0) + massG);
    if (!ingredient.allergens.includes('milk')) sugarG += (massG * ingredient.per100g.sugars.value) / 100;
  }
  // a starter is taken apart above; its acid is the whole's
  for (const line of doughLines(formula)) {
    if (book.get(line.ingredientId)?.roles[0] === 'starter') grams.set(line.ingredientId, line.massG);
  }
  const dose = yeastDose(formula, book, floursG);
  const wildG = (starterG(formula, book) * figures['wild.ripe']) / 100;
  // an old jar counts for what of it works
  const lively = dose?.lively ?? { value: 1, sd: 0 };
  const yeastG = (dose?.freshG.value ?? 0) * lively.value;
  const bloomed = formula.steps.some((step) => step.kind === 'bloom');
  const kind = YEAST_KINDS.find((each) => dose?.kinds.includes(each));
  const { wakingMin } = FERMENTATION;
  const { rested, balance } = consistency;
  const { structure, freedSugarG, guessedBinder } = structureOf(formula, book, floursG, figures);
  const { mostHeld, ovenHolds, steepness } = holdingOf(structure, rested.s, figures);
  const feelCv = (rested.high - rested.low) / (2 * Z80 * Math.max(0.1, rested.s));
  const { nonePercent, fullPercent } = FERMENTATION.moist;
  const waterPercent = (100 * balance.waterG) / floursG;
  const moist = Math.min(1, Math.max(0, (waterPercent - nonePercent) / (fullPercent - nonePercent)));
  const osmol = osmolPerKg(sugarG, totals.saltG, balance.waterG);
  const { coldMmol, ovenMmol } = chemical(grams, figures['powder.cold']);
  const doughMl = totals.doughG / densityGPerMl;
  return {
    doughG: totals.doughG,
    doughMl,
    airMl: doughMl * FERMENTATION.mixedInAir.value,
    waterG: balance.waterG,
    floursG,
    yeastG,
    wildG,
    yeastCv: Math.hypot(
      FERMENTATION.vigourCv,
      dose && dose.freshG.value > 0 ? dose.freshG.sd / dose.freshG.value : 0,
      lively.value > 0 ? lively.sd / lively.value : 0,
      wildG > yeastG ? FERMENTATION.wild.cv : 0,
    ),
    wakingMin: !kind
      ? wakingMin.starter
      : bloomed && kind !== 'fresh-yeast'
        ? wakingMin.bloomed
        : wakingMin[kind],
    sugarG,
    freedSugarG,
    brake: moist === 0 ? 0 : moist * osmoticBrake(osmol, figures.osmotic),
    osmol: moist === 0 ? 0 : osmol,
    kindTilt: kind ? (TILT[kind] ?? 0) : 0,
    wetsDry: kind !== undefined && kind !== 'fresh-yeast' && !bloomed,
    // what finds no water in the bowl waits for the steam of the oven
    coldMmol: moist * coldMmol,
    ovenMmol: ovenMmol + (1 - moist) * coldMmol,
    mostHeld,
    holdingCv: Math.hypot(
      FERMENTATION.mostHeldCv,
      Math.min(STEEPEST, steepness) * feelCv,
      GUESSED_BINDER_CV * guessedBinder,
    ),
    ovenHolds,
    cracks: structure.psyllium > 1 ? 1 : 1 + 3 * Math.min(1, Math.max(0, (CRACKS_BELOW - rested.s) / 0.14)),
    knock: structure.psyllium > 1 ? figures['knock.firm'] : figures['knock.batter'],
  };
}
