import { isFlourBase, type Ingredient } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { compensatedSum } from '../numeric/compensatedSum';
import { isDoughStage, type Formula, type StageKind } from './formula';
import { purposeOf, type Purpose } from './parts';
import { takeApart, type Part } from './takeApart';

/** Where some of the dough's water comes from. */
interface WaterSource {
  readonly lineId: string;
  readonly ingredientId: string;
  readonly waterG: number;
  /** Poured as a liquid (water, milk, a plant drink), or hidden inside something else. */
  readonly poured: boolean;
}

interface BinderDose {
  readonly ingredientId: string;
  readonly massG: number;
  readonly percent: number | null;
}

/** Everything that the sheet shows at once. Percentages are of the flour base and null while there is none. */
export interface FormulaTotals {
  readonly baseG: number;
  /** Flours, starches and seed meals alone, whatever the baker counts as 100 %: what a dough does goes by these. */
  readonly floursG: number;
  readonly doughG: number;
  readonly totalG: number;
  readonly stageG: ReadonlyMap<string, number>;
  readonly linePercent: ReadonlyMap<string, number | null>;
  /** Lines that are, wholly or in part, the 100 %: their share is edited against the other flours. */
  readonly baseLineIds: ReadonlySet<string>;
  /** Liquids poured, by weight: the bakers' plain hydration. */
  readonly hydrationPoured: number | null;
  /** All water that is not already inside the flours and binders as sold: poured, egg, milk, honey, starter ... */
  readonly hydrationAll: number | null;
  readonly waterSources: readonly WaterSource[];
  readonly saltG: number;
  readonly saltPercent: number | null;
  readonly binders: readonly BinderDose[];
  readonly binderPercent: number | null;
  /** Lines whose ingredient the book does not know; they count by mass only. */
  readonly unknownLineIds: readonly string[];
}

interface WeighedStage {
  readonly id: string;
  readonly kind: StageKind;
  readonly lines: readonly {
    readonly id: string;
    readonly ingredientId: string;
    readonly massG: number;
    readonly heldBack?: true | undefined;
  }[];
}

const isBinder = (ingredient: Ingredient): boolean =>
  ingredient.roles.includes('binder') && !ingredient.roles.includes('egg') && !isFlourBase(ingredient);
const TOTAL: ReadonlySet<Purpose> = new Set(['dough', 'on', 'with']);
const isPoured = (ingredient: Ingredient): boolean => ingredient.roles[0] === 'liquid';

/** A mixture of more base than this is a jar of flours; a starter or a scald is not. */
const FLOUR_JAR_SHARE = 0.8;

/**
 * Works for a formula and for the weighed sheet of a batch alike: both are stages of ingredient masses.
 *
 * 500 g of flours, 20 g psyllium, 400 g water, an egg of 50 g and 10 g salt: 980 g of dough, 80 % poured, 87.6 % in all, 2 % salt, 4 % binder.
 */
export function formulaTotals(
  formula: { readonly stages: readonly WeighedStage[]; readonly percentBase: Formula['percentBase'] },
  book: IngredientBook,
): FormulaTotals {
  const base: number[] = [];
  const flours: number[] = [];
  const dough: number[] = [];
  const all: number[] = [];
  const poured: number[] = [];
  const salt: number[] = [];
  const stageG = new Map<string, number>();
  const baseLineIds = new Set<string>();
  const waterSources: WaterSource[] = [];
  const binderG = new Map<string, number>();
  const unknownLineIds: string[] = [];

  for (const stage of formula.stages) {
    stageG.set(stage.id, compensatedSum(stage.lines.map((line) => (line.heldBack ? 0 : line.massG))));
    // a bath is not part of what is made, nor is what keeps it from sticking
    const counts = TOTAL.has(purposeOf(stage));
    for (const line of stage.lines) {
      if (counts && !line.heldBack) all.push(line.massG);
      const apart = takeApart(book, line.ingredientId, line.massG);
      if (!apart.ok) unknownLineIds.push(line.id);
      if (!isDoughStage(stage) || line.heldBack) continue;
      dough.push(line.massG);
      const parts: readonly Part[] = apart.ok ? apart.value : [];
      const mixture = parts.length > 1;
      let hiddenWaterG = 0;
      let countedG = 0;
      for (const { ingredient, massG, bag } of parts) {
        const counted =
          isFlourBase(ingredient) ||
          (formula.percentBase === 'floursAndBinders' && isBinder(ingredient)) ||
          (formula.percentBase === 'bagAsBought' && bag !== null);
        if (isFlourBase(ingredient)) flours.push(massG);
        if (counted) {
          base.push(massG);
          countedG += massG;
        }
        if (isBinder(ingredient)) binderG.set(ingredient.id, (binderG.get(ingredient.id) ?? 0) + massG);
        if (ingredient.roles[0] === 'salt') salt.push(massG);
        if (!isFlourBase(ingredient) && !isBinder(ingredient)) {
          hiddenWaterG += (massG * ingredient.per100g.water.value) / 100;
        }
        if (!mixture && isPoured(ingredient)) poured.push(massG);
      }
      if (countedG > FLOUR_JAR_SHARE * line.massG) baseLineIds.add(line.id);
      const first = parts[0]?.ingredient;
      if (hiddenWaterG > 0 && first) {
        waterSources.push({
          lineId: line.id,
          ingredientId: line.ingredientId,
          waterG: hiddenWaterG,
          poured: !mixture && isPoured(first),
        });
      }
    }
  }

  const baseG = compensatedSum(base);
  const percent = (massG: number): number | null => (baseG > 0 ? (100 * massG) / baseG : null);
  const linePercent = new Map<string, number | null>();
  for (const stage of formula.stages)
    for (const line of stage.lines) linePercent.set(line.id, percent(line.massG));
  const binders = [...binderG].map(([ingredientId, massG]) => ({
    ingredientId,
    massG,
    percent: percent(massG),
  }));
  const saltG = compensatedSum(salt);
  return {
    baseG,
    floursG: compensatedSum(flours),
    doughG: compensatedSum(dough),
    totalG: compensatedSum(all),
    stageG,
    linePercent,
    baseLineIds,
    hydrationPoured: percent(compensatedSum(poured)),
    hydrationAll: percent(compensatedSum(waterSources.map((source) => source.waterG))),
    waterSources,
    saltG,
    saltPercent: percent(saltG),
    binders,
    binderPercent: percent(compensatedSum(binders.map((binder) => binder.massG))),
    unknownLineIds,
  };
}
