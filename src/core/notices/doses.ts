import { isFlourBase, type Ingredient } from '../ingredients/ingredient';
import { lookAlikesOf } from '../ingredients/lookAlikes';
import type { Notice } from './notice';
import { RANK, RISES } from './ranks';
import type { SheetFacts } from './sheetFacts';

/** How much of a gum goes with a full dose of psyllium before it is felt, % of the base. Practice. */
const GUM_BESIDE_PSYLLIUM_PERCENT = 0.7;
const FULL_PSYLLIUM_PERCENT = 3;
const GUMS = ['xanthan', 'guar', 'cmc', 'konjac', 'locust-bean-gum'] as const;
export const PSYLLIUM = ['psyllium-husk', 'psyllium-powder'] as const;

/** A gum beside so much psyllium that both are felt. */
export function twoBinders({ surePercentOf: percentOf, linesOf }: SheetFacts): Notice[] {
  // a gum that is only guessed to be in a bought mixture frightens nobody: its maker has tried it
  const psylliumPercent = percentOf(...PSYLLIUM);
  if (psylliumPercent < FULL_PSYLLIUM_PERCENT) return [];
  return GUMS.flatMap((gumId): Notice[] => {
    const gumPercent = percentOf(gumId);
    const over = gumPercent - GUM_BESIDE_PSYLLIUM_PERCENT;
    if (over <= 0) return [];
    return [
      {
        code: 'twoBinders',
        rank: RANK.twoBinders + Math.min(RISES.twoBindersMost, RISES.twoBindersPerPercent * over),
        lineIds: linesOf(gumId, ...PSYLLIUM),
        psylliumPercent,
        gumId,
        gumPercent,
        usualTo: GUM_BESIDE_PSYLLIUM_PERCENT,
      },
    ];
  });
}

interface Dose {
  readonly ingredient: Ingredient;
  readonly percent: number;
  readonly most: number;
}

function overMost({ ingredient, percent, most }: Dose, { book, linesOf }: SheetFacts): Notice[] {
  const about = { lineIds: linesOf(ingredient.id), ingredientId: ingredient.id, percent };
  const over = Math.min(RISES.overMostMost, RISES.overMostPerTimes * (percent / most - 1));
  const twin = lookAlikesOf(ingredient.id).find(({ otherId }) => {
    const other = book.get(otherId);
    return percent <= (other?.mostShare ?? 0) && isFlourBase(other ?? ingredient);
  });
  const notices: Notice[] = [{ code: 'overMost', rank: RANK.overMost + over, ...about, most }];
  if (twin) notices.push({ code: 'lookAlike', rank: RANK.lookAlike + over, ...about, ...twin });
  return notices;
}

/** Rounding of a recipe is no dose of its own. */
const SLACK = { most: 1.001, over: 1.02, under: 0.98 };

/** Doses against what is usual; a gum that `twoBinders` tells is not told off twice. */
export function doses(facts: SheetFacts): Notice[] {
  const { inside, book, percentOf, surePercentOf, linesOf, totals } = facts;
  const told = new Set(
    twoBinders(facts).flatMap((notice) => (notice.code === 'twoBinders' ? [notice.gumId] : [])),
  );
  return [...new Set(inside.map(({ ingredient }) => ingredient.id))].flatMap((ingredientId): Notice[] => {
    const ingredient = book.get(ingredientId);
    if (!ingredient?.usualShare || ingredient.mostShare === null) return [];
    const percent = percentOf(ingredientId);
    const { from, to } = ingredient.usualShare;
    const [first] = ingredient.roles;
    const about = { lineIds: linesOf(ingredientId), ingredientId, percent, from, to };
    const bindsOrLifts = ingredient.roles.some((role) => role === 'binder' || role === 'leaven');
    const sure = surePercentOf(ingredientId);
    if (sure > ingredient.mostShare * SLACK.most)
      return overMost({ ingredient, percent: sure, most: ingredient.mostShare }, facts);
    if (sure > to * SLACK.over && (bindsOrLifts || first === 'salt') && !told.has(ingredientId))
      return [{ code: 'overUsual', rank: RANK.overUsual, ...about, percent: sure }];
    const alone = totals.binders.length <= 1;
    if (percent < from * SLACK.under && (first === 'binder' || first === 'salt') && alone)
      return [{ code: 'underUsual', rank: RANK.underUsual, ...about }];
    return [];
  });
}

/** Binder inside a bought blend, where the sheet adds more. */
export function binderInside({ doughLines, inside, book, percentOf, totals }: SheetFacts): Notice[] {
  const added = doughLines.filter((line) => book.get(line.ingredientId)?.roles[0] === 'binder');
  if (added.length === 0) return [];
  return doughLines.flatMap((line): Notice[] => {
    const blend = book.get(line.ingredientId);
    if (!blend?.madeOf || !isFlourBase(blend)) return [];
    return inside
      .filter(({ lineId, ingredient }) => lineId === line.id && ingredient.roles[0] === 'binder')
      .map(({ ingredient, massG }) => ({
        code: 'binderInside',
        rank: RANK.binderInside,
        lineIds: [line.id, ...added.map(({ id }) => id)],
        ingredientId: blend.id,
        binderId: ingredient.id,
        insidePercent: (100 * massG) / totals.floursG,
        percent: percentOf(ingredient.id),
      }));
  });
}
