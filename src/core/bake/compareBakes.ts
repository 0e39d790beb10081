import { coreOutC, cutCrumb } from './cameOut';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { StepKind } from '../method/step';
import { OCCASIONS, pooled, QUESTION_IDS, type Occasion, type QuestionId } from '../tasting';
import { actualStages, actualTotals } from './actualSheet';
import { stateOf, type BakeRecord } from './bakeRecord';
import type { BakeState } from './bakeState';
import { lotsOf } from './lotsOf';
import { lossPercent, SCORE_NAMES } from './outcome';
import { stepTimes } from './stepTimes';

/** What a line of a comparison is about. */
export type Compared =
  | { readonly of: 'hydration' | 'binder' | 'room' | 'dough' | 'core' | 'loss' | 'porosity' | 'evenness' | 'tunnel' | 'denseLine' | 'form' | 'pieceMass' }
  | { readonly of: 'amount'; readonly ingredientId: string }
  | { readonly of: 'bag'; readonly ingredientId: string }
  | { readonly of: 'time' | 'heat'; readonly kind: StepKind; readonly nth: number; readonly title: string }
  | { readonly of: 'outcome'; readonly score: (typeof SCORE_NAMES)[number] }
  | { readonly of: 'tasted'; readonly question: QuestionId; readonly occasion: Occasion }; // prettier-ignore

/** What was done comes before what came of it. */
export const COMPARE_GROUPS = ['amounts', 'bags', 'times', 'heat', 'crumb', 'scores'] as const;
export type CompareGroup = (typeof COMPARE_GROUPS)[number];

export interface ComparedRow {
  readonly group: CompareGroup;
  readonly about: Compared;
  /** One for each bake, in their order: a number in the row's own unit (%, s, °C, g, a score), the id of a bag, or null where nobody said. */
  readonly values: readonly (number | string | null)[];
  /** By more than a hand or a thermometer leaves. */
  readonly differs: boolean;
  /** How far apart they are, in what is usual for such a row: what is furthest apart is shown first. */
  readonly apart: number;
}

/** Apart by so much is a difference: of a value, and at least. Our own figures: what scales, thermometers and tasters leave. */
const NO_MATTER: Readonly<Record<string, { readonly share: number; readonly least: number }>> = {
  amount: { share: 0.03, least: 0.05 }, hydration: { share: 0, least: 1 }, binder: { share: 0, least: 0.25 },
  time: { share: 0.1, least: 120 }, heat: { share: 0, least: 3 }, room: { share: 0, least: 1.5 }, dough: { share: 0, least: 1.5 },
  core: { share: 0, least: 1 }, loss: { share: 0, least: 1 }, porosity: { share: 0, least: 4 }, evenness: { share: 0, least: 0.1 },
  tunnel: { share: 0, least: 6 }, denseLine: { share: 0, least: 4 }, form: { share: 0.06, least: 0.03 }, pieceMass: { share: 0.05, least: 5 },
  outcome: { share: 0, least: 1 }, tasted: { share: 0, least: 1 },
}; // prettier-ignore

interface Side {
  readonly bake: BakeRecord;
  readonly state: BakeState;
}

/**
 * Bakes beside one another: every figure that any of them has, in groups, what differs first. Amounts are percent of the flour base, so that
 * batches of another size are alike; they are what was weighed where somebody weighed.
 */
export function compareBakes(bakes: readonly BakeRecord[], book: IngredientBook): ComparedRow[] {
  const sides = bakes.map((bake): Side => ({ bake, state: stateOf(bake) }));
  const rows = [
    ...amountRows(sides, book),
    ...bagRows(sides, book),
    ...stepRows(sides),
    ...readingRows(sides),
    ...crumbRows(sides),
    ...scoreRows(sides),
  ];
  const place = (row: ComparedRow) => COMPARE_GROUPS.indexOf(row.group);
  return rows.sort(
    (a, b) => place(a) - place(b) || Number(b.differs) - Number(a.differs) || b.apart - a.apart,
  );
}

function row(group: CompareGroup, about: Compared, values: ComparedRow['values']): ComparedRow[] {
  if (values.every((value) => value === null)) return [];
  const numbers = values.filter((value): value is number => typeof value === 'number');
  const usual = NO_MATTER[about.of];
  if (usual && numbers.length > 0) {
    const [low, high] = [Math.min(...numbers), Math.max(...numbers)];
    const matter = Math.max(usual.least, usual.share * high);
    const apart = (high - low) / matter;
    return [{ group, about, values, apart, differs: apart > 1 }];
  }
  const distinct = new Set(values);
  return [{ group, about, values, apart: distinct.size - 1, differs: distinct.size > 1 }];
}

function amountRows(sides: readonly Side[], book: IngredientBook): ComparedRow[] {
  const percents = sides.map(({ bake, state }) => {
    const totals = actualTotals(bake.sheet, state, book);
    const masses = new Map<string, number>();
    for (const { ingredientId, massG } of actualStages(bake.sheet, state).flatMap(({ lines }) => lines))
      masses.set(ingredientId, (masses.get(ingredientId) ?? 0) + massG);
    return { totals, masses };
  });
  const ids = [...new Set(percents.flatMap(({ masses }) => [...masses.keys()]))];
  const share = (massG: number, baseG: number) => (baseG > 0 ? (100 * massG) / baseG : null);
  return [
    ...row('amounts', { of: 'hydration' }, percents.map(({ totals }) => totals.hydrationAll)),
    ...row('amounts', { of: 'binder' }, percents.map(({ totals }) => totals.binderPercent)),
    ...row('amounts', { of: 'pieceMass' }, sides.map(({ bake }) => bake.sheet.pieces.doughG)),
    ...ids.flatMap((ingredientId) =>
      // what one has and another has not is nothing of it, not something nobody said
      row('amounts', { of: 'amount', ingredientId }, percents.map(({ totals, masses }) => share(masses.get(ingredientId) ?? 0, totals.baseG))),
    ),
  ];
} // prettier-ignore

function bagRows(sides: readonly Side[], book: IngredientBook): ComparedRow[] {
  const lots = sides.map(({ bake, state }) => lotsOf(bake.sheet, state));
  const ids = [...new Set(lots.flatMap((each) => [...each.keys()]))];
  const named = (bake: BakeRecord, ingredientId: string, lotId: string) =>
    bake.sheet.lots?.find((lot) => lot.ingredientId === ingredientId && lot.lotId === lotId)?.name ??
    book.get(ingredientId)?.lots?.find(({ id }) => id === lotId)?.name ??
    lotId;
  return ids.flatMap((ingredientId) =>
    row('bags', { of: 'bag', ingredientId }, lots.map((each, at) => {
      const lotId = each.get(ingredientId);
      return lotId === undefined ? null : named(sides[at]!.bake, ingredientId, lotId);
    })),
  );
} // prettier-ignore

/** Steps by their kind and which of its kind: formulas of another version still have a first rest and a second. Of several loads the first. */
function stepRows(sides: readonly Side[]): ComparedRow[] {
  const found = sides.map(({ bake, state }) => {
    const took = new Map(stepTimes(bake, state).map(({ step, tookS }) => [step.id, tookS]));
    const counts = new Map<StepKind, number>();
    const seen = new Set<string>();
    return bake.sheet.steps.flatMap((step) => {
      const own = bake.sheet.activities?.find(({ id }) => id === step.id)?.stepId ?? step.id;
      if (seen.has(own)) return [];
      seen.add(own);
      const nth = (counts.get(step.kind) ?? 0) + 1;
      counts.set(step.kind, nth);
      const heatC = state.anew.get(step.id)?.tempC ?? step.tempC;
      return [{ key: `${step.kind} ${nth}`, kind: step.kind, nth, title: step.title, tookS: took.get(step.id) ?? null, heatC }];
    });
  });
  const first = new Map(found.flat().map((each) => [each.key, each]));
  return [...first.values()].flatMap(({ key, kind, nth, title }) => {
    const each = found.map((steps) => steps.find((step) => step.key === key));
    return [
      ...row('times', { of: 'time', kind, nth, title }, each.map((step) => step?.tookS ?? null)),
      ...row('heat', { of: 'heat', kind, nth, title }, each.map((step) => step?.heatC ?? null)),
    ];
  });
} // prettier-ignore

function readingRows(sides: readonly Side[]): ComparedRow[] {
  const last = (what: 'room' | 'dough') =>
    sides.map(({ state }) => state.readings.findLast((reading) => reading.of === what)?.tempC ?? null);
  return [
    ...row('heat', { of: 'room' }, last('room')),
    ...row('heat', { of: 'dough' }, last('dough')),
    ...row('heat', { of: 'core' }, sides.map(({ state }) => coreOutC(state))),
    ...row('heat', { of: 'loss' }, sides.map(({ state }) => state.outcome && lossPercent(state.outcome))),
  ];
} // prettier-ignore

function crumbRows(sides: readonly Side[]): ComparedRow[] {
  const crumbs = sides.map(({ state }) => cutCrumb(state));
  return [
    ...row('crumb', { of: 'porosity' }, crumbs.map((crumb) => crumb && crumb.porosityPercent)),
    ...row('crumb', { of: 'evenness' }, crumbs.map((crumb) => crumb && crumb.evenness)),
    ...row('crumb', { of: 'tunnel' }, crumbs.map((crumb) => crumb && crumb.tunnelPercent)),
    ...row('crumb', { of: 'denseLine' }, crumbs.map((crumb) => crumb && crumb.denseLinePercent)),
    ...row('crumb', { of: 'form' }, crumbs.map((crumb) => crumb && crumb.heightToWidth)),
  ];
} // prettier-ignore

function scoreRows(sides: readonly Side[]): ComparedRow[] {
  return [
    ...SCORE_NAMES.flatMap((score) => row('scores', { of: 'outcome', score }, sides.map(({ state }) => state.outcome?.scores[score] ?? null))),
    ...OCCASIONS.flatMap((occasion) => {
      const cards = sides.map(({ state }) => pooled(state.tastings.values(), { occasion }));
      return QUESTION_IDS.flatMap((question) => row('scores', { of: 'tasted', question, occasion }, cards.map((card) => card.get(question)?.mean ?? null)));
    }),
  ];
} // prettier-ignore
