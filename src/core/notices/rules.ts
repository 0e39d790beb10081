import { BANDS } from '../consistency/parameters';
import { isFlourBase } from '../ingredients/ingredient';
import { binderInside, doses, PSYLLIUM, twoBinders } from './doses';
import type { Notice } from './notice';
import { RANK, RISES } from './ranks';
import type { SheetFacts } from './sheetFacts';
import { LEAVENED, STYLE_BANDS } from './styleBands';

/** Below it a dough is a powder whatever else is in it: hydration by all water, %. */
const DRY_PERCENT = 1;

type Rule = (facts: SheetFacts) => readonly Notice[];
const when = (is: boolean, notice: () => Notice): readonly Notice[] => (is ? [notice()] : []);
const wet = ({ hydrationAll }: SheetFacts) => hydrationAll >= DRY_PERCENT;

const noWater: Rule = (facts) =>
  when(!wet(facts), () => ({ code: 'noWater', rank: RANK.noWater, lineIds: [] }));

/** Only when even the likely range stays outside: a dough on the edge is not a mistake. */
const bandForStyle: Rule = (facts) => {
  const { consistency, formula } = facts;
  if (!consistency || !wet(facts)) return [];
  const { band, likely } = consistency.rested;
  const fits = STYLE_BANDS[formula.style];
  return when(!likely.some((each) => fits.includes(each)), () => ({
    code: 'bandForStyle',
    rank: RANK.bandForStyle,
    lineIds: [],
    band,
    style: formula.style,
    fits,
  }));
};

const thickens: Rule = (facts) => {
  const { consistency } = facts;
  if (!consistency || !wet(facts)) return [];
  const { now, rested, balance } = consistency;
  const gap = BANDS.indexOf(now.band) - BANDS.indexOf(rested.band);
  return when(gap >= 1, () => ({
    code: 'thickens',
    rank: RANK.thickens + RISES.thickensPerBand * gap,
    lineIds: [],
    now: now.band,
    rested: rested.band,
    restMin: Math.round(balance.restMin),
  }));
};

/** Nothing holds the gas, nothing clings: what rises falls. Shares of the consistency model, 0 to 1. */
const noBinder: Rule = (facts) => {
  const { consistency, formula } = facts;
  if (!consistency || !wet(facts)) return [];
  const loose = consistency.holds < 0.12 && consistency.clings < 0.2;
  return when(loose && LEAVENED.has(formula.style), () => ({
    code: 'noBinder',
    rank: RANK.noBinder,
    lineIds: [],
  }));
};

/** So much psyllium takes up more water than so little hydration gives, both % of the base. */
const psylliumThirsty: Rule = ({ percentOf, hydrationAll, linesOf }) => {
  const percent = percentOf(...PSYLLIUM);
  return when(percent > 6 && hydrationAll < 85, () => ({
    code: 'psylliumThirsty',
    rank: RANK.psylliumThirsty,
    lineIds: linesOf(...PSYLLIUM),
    percent,
    hydrationPercent: hydrationAll,
  }));
};

/** What cheese or a brine brings counts too, g in 100 g of base. */
const noSalt: Rule = ({ totals, nutrition }) =>
  when(totals.saltG <= 0 && (nutrition.perBase100g?.salt ?? 0) < 0.8, () => ({
    code: 'noSalt',
    rank: RANK.noSalt,
    lineIds: [],
  }));

const noLeaven: Rule = ({ formula, has }) =>
  when(LEAVENED.has(formula.style) && !has('leaven'), () => ({
    code: 'noLeaven',
    rank: RANK.noLeaven,
    lineIds: [],
  }));

/** Buns of starch and cheese are meant to be so. */
const mostlyStarch: Rule = ({ nutrition, formula, linesWhere }) => {
  const percent = nutrition.starchSharePercent ?? 0;
  return when(percent > 72 && formula.style !== 'cheeseBuns', () => ({
    code: 'mostlyStarch',
    rank: RANK.mostlyStarch,
    lineIds: linesWhere(({ roles }) => roles[0] === 'starch'),
    percent,
  }));
};

/** Milk's and the flours' own sugars ferment slowly or not at all: what is added as sugar presses on the yeast. */
const sugarBrakes: Rule = ({ inside, totals, yeast }) => {
  const sugarG = inside
    .filter(({ ingredient }) => ingredient.roles[0] === 'sweet')
    .reduce((sum, { ingredient, massG }) => sum + (massG * ingredient.per100g.sugars.value) / 100, 0);
  const percent = (100 * sugarG) / totals.floursG;
  return when(percent > 8 && yeast !== null, () => ({
    code: 'sugarBrakes',
    rank: RANK.sugarBrakes,
    lineIds: [],
    percent,
  }));
};

const saltBrakes: Rule = ({ totals, yeast, linesOf }) => {
  const percent = (100 * totals.saltG) / totals.floursG;
  return when(percent > 2.6 && yeast !== null, () => ({
    code: 'saltBrakes',
    rank: RANK.saltBrakes,
    lineIds: linesOf('salt'),
    percent,
  }));
};

const yeastHigh: Rule = ({ yeast }) => {
  const freshPercent = yeast?.freshPercent ?? 0;
  return when(freshPercent > 8, () => ({
    code: 'yeastHigh',
    rank: RANK.yeastHigh,
    lineIds: [],
    freshPercent,
  }));
};

const sodaWithoutAcid: Rule = ({ linesOf, has }) => {
  const lineIds = linesOf('baking-soda');
  return when(lineIds.length > 0 && !has('acid'), () => ({
    code: 'sodaWithoutAcid',
    rank: RANK.sodaWithoutAcid,
    lineIds,
  }));
};

const manyFlours: Rule = ({ inside }) => {
  const flours = inside.filter(({ ingredient }) => isFlourBase(ingredient));
  const count = new Set(flours.map(({ ingredient }) => ingredient.id)).size;
  return when(count > 8, () => ({ code: 'manyFlours', rank: RANK.manyFlours, lineIds: [], count }));
};

/** All that a sheet may be told; of equal rank the earlier comes first. */
export const RULES: readonly Rule[] = [
  noWater,
  bandForStyle,
  thickens,
  noBinder,
  twoBinders,
  psylliumThirsty,
  doses,
  binderInside,
  noSalt,
  noLeaven,
  mostlyStarch,
  sugarBrakes,
  saltBrakes,
  yeastHigh,
  sodaWithoutAcid,
  manyFlours,
];
