import { BANDS, type Band } from '../consistency/parameters';
import type { Consistency } from '../consistency/consistency';
import { isFlourBase, type Role } from '../ingredients/ingredient';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { lookAlikesOf } from '../ingredients/lookAlikes';
import { isDoughStage, type Formula, type Style } from '../formula/formula';
import { insideFormula } from '../formula/insideFormula';
import type { Nutrition } from '../formula/nutrition';
import type { FormulaTotals } from '../formula/totals';
import type { YeastDose } from '../formula/yeast';

/** Something the sheet has to say about itself. Worded at the interface (features/wording/notices.ts). */
export type Notice = {
  /** What it is about, 0 (worth knowing) to 100 (this will not be bread); the list is sorted by it. */
  readonly rank: number;
  /** Lines it is about. */
  readonly lineIds: readonly string[];
} & (
  | {
      readonly code: 'bandForStyle';
      readonly band: Band;
      readonly style: Style;
      readonly fits: readonly Band[];
    }
  | { readonly code: 'thickens'; readonly now: Band; readonly rested: Band; readonly restMin: number }
  | { readonly code: 'noBinder' }
  | { readonly code: 'noWater' }
  | { readonly code: 'noSalt' }
  | { readonly code: 'noLeaven' }
  | {
      readonly code: 'twoBinders';
      readonly psylliumPercent: number;
      readonly gumId: string;
      readonly gumPercent: number;
      readonly usualTo: number;
    }
  | {
      readonly code: 'overMost';
      readonly ingredientId: string;
      readonly percent: number;
      readonly most: number;
    }
  | {
      readonly code: 'overUsual';
      readonly ingredientId: string;
      readonly percent: number;
      readonly from: number;
      readonly to: number;
    }
  | {
      readonly code: 'underUsual';
      readonly ingredientId: string;
      readonly percent: number;
      readonly from: number;
      readonly to: number;
    }
  | {
      /** A blend brings binder of its own, and the sheet adds more. */
      readonly code: 'binderInside';
      readonly ingredientId: string;
      readonly binderId: string;
      /** Of the base: what the blend brings, and all there is of that binder. */
      readonly insidePercent: number;
      readonly percent: number;
    }
  | { readonly code: 'mostlyStarch'; readonly percent: number }
  | { readonly code: 'sugarBrakes'; readonly percent: number }
  | { readonly code: 'saltBrakes'; readonly percent: number }
  | { readonly code: 'yeastHigh'; readonly freshPercent: number }
  | { readonly code: 'sodaWithoutAcid' }
  | {
      readonly code: 'lookAlike';
      readonly ingredientId: string;
      readonly otherId: string;
      readonly percent: number;
      readonly difference: string;
    }
  | { readonly code: 'psylliumThirsty'; readonly percent: number; readonly hydrationPercent: number }
  | { readonly code: 'manyFlours'; readonly count: number }
);

/** Bands, rested, in which each style is usually worked. */
export const STYLE_BANDS: Readonly<Record<Style, readonly Band[]>> = {
  tinLoaf: ['soft', 'sticky', 'thickBatter'],
  hearthLoaf: ['soft', 'sticky'],
  baguette: ['soft', 'sticky'],
  rolls: ['soft', 'sticky'],
  pizza: ['soft', 'sticky', 'thickBatter'],
  flatbread: ['stiff', 'soft', 'sticky', 'thickBatter', 'pourable'],
  boiledRing: ['stiff', 'soft'],
  friedDough: ['stiff', 'soft', 'sticky'],
  cheeseBuns: ['stiff', 'soft', 'sticky'],
  crackers: ['crumbly', 'stiff', 'soft', 'sticky', 'thickBatter'],
};

const LEAVENED: ReadonlySet<Style> = new Set([
  'tinLoaf',
  'hearthLoaf',
  'baguette',
  'rolls',
  'pizza',
  'boiledRing',
  'friedDough',
]);
const GUMS = ['xanthan', 'guar', 'cmc', 'konjac', 'locust-bean-gum'] as const;
/** How much of a gum goes with a full dose of psyllium before it is felt, % of the base. Practice. */
const GUM_BESIDE_PSYLLIUM_PERCENT = 0.7;

interface Known {
  readonly totals: FormulaTotals;
  readonly consistency: Consistency | null;
  readonly nutrition: Nutrition;
  readonly yeast: YeastDose | null;
}

/** What deserves saying about a formula, most important first; nothing for an empty sheet. */
export function noticesOf(
  formula: Formula,
  book: IngredientBook,
  { totals, consistency, nutrition, yeast }: Known,
): Notice[] {
  const notices: Notice[] = [];
  if (totals.baseG <= 0) return notices;
  const doughLines = formula.stages.filter(isDoughStage).flatMap((stage) => stage.lines);
  const inside = insideFormula(formula, book).filter(({ dough }) => dough);
  const partsOf = (id: string) => inside.filter(({ ingredient }) => ingredient.id === id);
  const linesOf = (id: string) => [...new Set(partsOf(id).map(({ lineId }) => lineId))];
  const percentOf = (id: string) =>
    (100 * partsOf(id).reduce((sum, { massG }) => sum + massG, 0)) / totals.baseG;
  // a starter is a leaven as a whole, baking powder inside a blend as a part
  const roles = (role: Role) =>
    inside.some(({ ingredient }) => ingredient.roles.includes(role)) ||
    doughLines.some((line) => book.get(line.ingredientId)?.roles.includes(role));

  if ((totals.hydrationAll ?? 0) < 1) {
    notices.push({ code: 'noWater', rank: 95, lineIds: [] });
  } else if (consistency) {
    const fits = STYLE_BANDS[formula.style];
    // only when even the likely range stays outside: a dough on the edge is not a mistake
    if (!consistency.rested.likely.some((band) => fits.includes(band))) {
      notices.push({
        code: 'bandForStyle',
        rank: 85,
        lineIds: [],
        band: consistency.rested.band,
        style: formula.style,
        fits,
      });
    }
    const gap = BANDS.indexOf(consistency.now.band) - BANDS.indexOf(consistency.rested.band);
    if (gap >= 1) {
      const { now, rested, balance } = consistency;
      notices.push({
        code: 'thickens',
        rank: 30 + 8 * gap,
        lineIds: [],
        now: now.band,
        rested: rested.band,
        restMin: Math.round(balance.restMin),
      });
    }
    if (consistency.holds < 0.12 && consistency.clings < 0.2 && LEAVENED.has(formula.style)) {
      notices.push({ code: 'noBinder', rank: 80, lineIds: [] });
    }
  }

  const psylliumPercent = percentOf('psyllium-husk') + percentOf('psyllium-powder');
  for (const gumId of GUMS) {
    const gumPercent = percentOf(gumId);
    if (psylliumPercent >= 3 && gumPercent > GUM_BESIDE_PSYLLIUM_PERCENT) {
      notices.push({
        code: 'twoBinders', rank: 55 + Math.min(25, 8 * (gumPercent - GUM_BESIDE_PSYLLIUM_PERCENT)),
        lineIds: [...linesOf(gumId), ...linesOf('psyllium-husk'), ...linesOf('psyllium-powder')],
        psylliumPercent, gumId, gumPercent, usualTo: GUM_BESIDE_PSYLLIUM_PERCENT,
      }); // prettier-ignore
    }
  }
  if (psylliumPercent > 6 && (totals.hydrationAll ?? 0) < 85) {
    notices.push({
      code: 'psylliumThirsty',
      rank: 60,
      lineIds: [...linesOf('psyllium-husk'), ...linesOf('psyllium-powder')],
      percent: psylliumPercent,
      hydrationPercent: totals.hydrationAll ?? 0,
    });
  }

  // doses against what is usual; a binder within `twoBinders` is not told off twice
  const told = new Set(notices.flatMap((notice) => (notice.code === 'twoBinders' ? [notice.gumId] : [])));
  for (const ingredientId of new Set(inside.map(({ ingredient }) => ingredient.id))) {
    const ingredient = book.get(ingredientId);
    if (!ingredient?.usualShare || ingredient.mostShare === null) continue;
    const percent = percentOf(ingredientId);
    const { from, to } = ingredient.usualShare;
    const binds =
      ingredient.roles.includes('binder') ||
      ingredient.roles.includes('leaven') ||
      ingredient.roles[0] === 'salt';
    const lineIds = linesOf(ingredientId);
    if (percent > ingredient.mostShare * 1.001) {
      const twin = lookAlikesOf(ingredientId).find(
        ({ otherId }) =>
          percent <= (book.get(otherId)?.mostShare ?? 0) && isFlourBase(book.get(otherId) ?? ingredient),
      );
      const over = Math.min(20, 10 * (percent / ingredient.mostShare - 1));
      notices.push({
        code: 'overMost',
        rank: 58 + over,
        lineIds,
        ingredientId,
        percent,
        most: ingredient.mostShare,
      });
      if (twin)
        notices.push({
          code: 'lookAlike',
          rank: 75 + over,
          lineIds,
          ingredientId,
          otherId: twin.otherId,
          percent,
          difference: twin.difference,
        });
    } else if (percent > to * 1.02 && binds && !told.has(ingredientId)) {
      notices.push({ code: 'overUsual', rank: 35, lineIds, ingredientId, percent, from, to });
    } else if (
      percent < from * 0.98 &&
      (ingredient.roles[0] === 'binder' || ingredient.roles[0] === 'salt') &&
      totals.binders.length <= 1
    ) {
      notices.push({ code: 'underUsual', rank: 32, lineIds, ingredientId, percent, from, to });
    }
  }

  const added = doughLines.filter((line) => book.get(line.ingredientId)?.roles[0] === 'binder');
  if (added.length > 0) {
    for (const line of doughLines) {
      const blend = book.get(line.ingredientId);
      if (!blend?.madeOf || !isFlourBase(blend)) continue;
      for (const { ingredient, massG } of inside.filter((part) => part.lineId === line.id)) {
        if (ingredient.roles[0] !== 'binder') continue;
        notices.push({
          code: 'binderInside',
          rank: 44,
          lineIds: [line.id, ...added.map(({ id }) => id)],
          ingredientId: blend.id,
          binderId: ingredient.id,
          insidePercent: (100 * massG) / totals.baseG,
          percent: percentOf(ingredient.id),
        });
      }
    }
  }

  if (totals.saltG <= 0 && (nutrition.perBase100g?.salt ?? 0) < 0.8)
    notices.push({ code: 'noSalt', rank: 50, lineIds: [] });
  if (LEAVENED.has(formula.style) && !roles('leaven'))
    notices.push({ code: 'noLeaven', rank: 70, lineIds: [] });
  if ((nutrition.starchSharePercent ?? 0) > 72 && formula.style !== 'cheeseBuns') {
    notices.push({
      code: 'mostlyStarch',
      rank: 34,
      lineIds: [
        ...new Set(
          inside.filter(({ ingredient }) => ingredient.roles[0] === 'starch').map(({ lineId }) => lineId),
        ),
      ],
      percent: nutrition.starchSharePercent ?? 0,
    });
  }
  // milk's and the flours' own sugars ferment slowly or not at all: what is added as sugar presses on the yeast
  const sugarG = inside
    .filter(({ ingredient }) => ingredient.roles[0] === 'sweet')
    .reduce((sum, { ingredient, massG }) => sum + (massG * ingredient.per100g.sugars.value) / 100, 0);
  const sugarPercent = (100 * sugarG) / totals.baseG;
  if (sugarPercent > 8 && yeast)
    notices.push({ code: 'sugarBrakes', rank: 45, lineIds: [], percent: sugarPercent });
  if ((totals.saltPercent ?? 0) > 2.6 && yeast)
    notices.push({
      code: 'saltBrakes',
      rank: 46,
      lineIds: linesOf('salt'),
      percent: totals.saltPercent ?? 0,
    });
  if ((yeast?.freshPercent ?? 0) > 8)
    notices.push({ code: 'yeastHigh', rank: 48, lineIds: [], freshPercent: yeast?.freshPercent ?? 0 });
  if (linesOf('baking-soda').length > 0 && !roles('acid'))
    notices.push({ code: 'sodaWithoutAcid', rank: 52, lineIds: linesOf('baking-soda') });
  const flours = new Set(
    inside.filter(({ ingredient }) => isFlourBase(ingredient)).map(({ ingredient }) => ingredient.id),
  ).size;
  if (flours > 8) notices.push({ code: 'manyFlours', rank: 10, lineIds: [], count: flours });
  return notices.sort((a, b) => b.rank - a.rank);
}
