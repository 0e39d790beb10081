import type { Change, ExpectedScore } from '../advice/adviceSchema';
import { stepTempRangeC, STEP_LIMITS } from '../method/stepLimits';
import type { MethodStep } from '../method/step';
import { newStep } from '../method/step';
import { quantileOf } from '../numeric/quantile';
import { normalDraws } from '../numeric/draws';
import { doughLines, FORMULA_LIMITS, isDoughStage, type Formula, type Line } from '../formula/formula';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { HEATS } from '../run/stepTimes';
import { QUESTIONS, type QuestionId } from '../tasting/questions';
import { endsAt, type Axes } from './axes';
import { CAUSES } from './causes';
import { biasOf, type Circumstances, type Diagnosis, type Drawn, type Seen } from './diagnose';
import { factorOf, type Departure, type Factor } from './factors';
import { allSteps } from './steps';
import { expectedOf, kindOf, type Hand, type SignId } from './signs';

/** What is tried: the smaller ones first, since of two that do as much the smaller is the better trial. */
const TRIED: readonly Change[] = [
  { kind: 'sameAgain', by: 1 },
  ...[0.97, 1.03, 0.94, 1.06, 0.9, 1.1].map((by) => ({ kind: 'water' as const, by })),
  ...[0.85, 1.15, 0.7, 1.3].map((by) => ({ kind: 'binder' as const, by })),
  ...[0.75, 1.3, 0.6, 1.6].map((by) => ({ kind: 'leaven' as const, by })),
  ...[0.85, 1.2, 0.7, 1.4, 0.55, 1.8].map((by) => ({ kind: 'proof' as const, by })),
  ...[0.9, 1.1, 1.2, 0.82, 1.3].map((by) => ({ kind: 'bake' as const, by })),
  ...[-10, 10, -20, 20, 30].map((by) => ({ kind: 'oven' as const, by })),
  ...[-2, 2, 4].map((by) => ({ kind: 'dough' as const, by })),
  ...[1.5, 2.2].map((by) => ({ kind: 'cool' as const, by })),
  ...[1.6].map((by) => ({ kind: 'preheat' as const, by })),
];

export interface Advice {
  readonly change: Change;
  /** How likely the next bread is nearer to what one wants than with nothing changed; null: it is to be baked again as it is. */
  readonly better: number | null;
  /** What was disliked most first. */
  readonly expects: readonly ExpectedScore[];
}

/** A change as a departure from what was written. */
export const asX = ({ kind, by }: Change): Departure => {
  switch (kind) {
    case 'water':
    case 'binder':
    case 'leaven':
    case 'proof':
    case 'bake': return { [kind]: Math.log(by) };
    case 'oven': return { ovenC: by };
    case 'dough': return { doughC: by };
    case 'preheat': return { plate: 0.8 * Math.log(by) };
    default: return {};
  }
}; // prettier-ignore
export const asHand = ({ kind, by }: Change): Hand => (kind === 'cool' ? { cut: Math.log(by) } : {});

/** Which changes a formula can take: it has such a line, or such a step. */
function possible(formula: Formula, book: IngredientBook, firmS: number, { kind }: Change): boolean {
  const steps = allSteps(formula);
  const has = (is: (step: MethodStep) => boolean) => steps.some(is);
  switch (kind) {
    case 'sameAgain': return true;
    // that says so already, and was not done, needs no other words
    case 'cool': return !has((step) => step.kind === 'cool' && (step.minS ?? 0) >= firmS);
    case 'proof': return has((step) => isRise(step) && step.minS !== null);
    case 'bake': return has((step) => HEATS.has(step.kind) && step.minS !== null);
    case 'oven': return has((step) => HEATS.has(step.kind) && step.tempC !== null);
    case 'dough': return has((step) => step.kind === 'mix');
    case 'preheat': return has((step) => step.kind === 'preheat' && step.minS !== null) && has((step) => !!step.heat?.on && step.heat.on !== 'tray');
    default: return doughLines(formula).some((line) => factorOf(line.ingredientId, book) === kind);
  }
} // prettier-ignore
const isRise = ({ kind }: MethodStep) => kind === 'bulk' || kind === 'proof';

/** What of a departure is there again next time: what the log saw was that day's; what it did not see, though it looked, is lasting. */
function lasting({ cause, x, hand }: Drawn, seen: ReadonlyMap<SignId, number>): { x: Departure; hand: Hand } {
  const { by, stays } = CAUSES[cause];
  if (by === null) return { x: {}, hand: {} };
  const own = by === 'cut' || by === 'air' ? (hand[by] ?? 0) : (x[by] ?? 0);
  const noted = cause === 'otherBag' ? undefined : seen.get(`made.${by}` as SignId);
  const share = noted === undefined || stays === 0 || by === 'air' ? stays : 1 - Math.min(1, Math.max(0, own === 0 ? 0 : noted / own));
  return by === 'cut' || by === 'air' ? { x: {}, hand: { [by]: own * share } } : { x: { [by]: own * share }, hand: {} };
} // prettier-ignore

const MOST_DRAWS = 160;
export const ASKED = QUESTIONS.flatMap(({ id, best }) =>
  best === null || id === 'verdict' ? [] : [{ id, best: best }],
);
/** Eyes and tongues of the next day, from the same sheet for every change. */
const NOISE = normalDraws(MOST_DRAWS, 2, 88_013);
/** A change has to be worth so much: each is a risk, and hides what the others would have told. */
const WORTH = 0.3;
/** In steps, of a score that was disliked, on the mean of what may have happened. */
const LEAST_FELT = 0.3;
/** What is wrong with the models, and with the next day, is in none of the explanations: of changes that help in all of them so many do not (`./crumb soak diagnosis`). */
const MODEL_ERROR = 0.06;
/** So far from its best a score is disliked, in steps. */
const DISLIKED = 1.5;

/**
 * The one change that would most likely bring the next bread nearer to what one wants: every change that is tried is made in the models for every
 * explanation by its weight, so that what helps in several of them beats what helps in one. What was disliked has to come nearer to its best, what was not has to stay as it is.
 *
 * @param seen of this bake
 * @returns null where no score is known of any question that has a best
 */
export function nextChange(
  axes: Axes,
  { draws }: Diagnosis,
  seen: readonly Seen[],
  known: Circumstances,
  { formula, book }: { readonly formula: Formula; readonly book: IngredientBook },
): Advice | null {
  const was = new Map(seen.map(({ sign, value }) => [sign, value]));
  const scoreOf = (id: QuestionId) => was.get(`fresh.${id}`) ?? was.get(`nextDay.${id}`) ?? null;
  if (ASKED.every(({ id }) => scoreOf(id) === null)) return null;
  const likeliest = [...draws].sort((a, b) => b.weight - a.weight).slice(0, MOST_DRAWS);
  const total = likeliest.reduce((sum, { weight }) => sum + weight, 0);
  const next = likeliest.map((draw) => ({ ...lasting(draw, was), weight: draw.weight / total }));
  const questions = ASKED.map(({ id, best }) => {
    const score = scoreOf(id);
    const bias = biasOf(`fresh.${id}`, known.earlier);
    const isDisliked = score !== null && Math.abs(score - best) >= DISLIKED;
    return { id, best, score, bias, noise: kindOf(`fresh.${id}`).noise, isDisliked };
  });
  const outcomes = (change: Change) => {
    const [by, handBy] = [asX(change), asHand(change)];
    return next.map(({ x, hand }) => {
      const all = added(x, by);
      const hands = { cut: (hand.cut ?? 0) + (handBy.cut ?? 0), air: hand.air ?? 0 };
      const ends = endsAt(axes, all);
      // a change of what is written is what is meant: tasted by what it makes, not as a departure
      return questions.map(({ id, bias }) => (expectedOf(`fresh.${id}`, axes.written, ends, all, hands) ?? 3) + bias.at);
    });
  };
  const missOf = (scores: readonly number[]) =>
    questions.map(({ best }, index) => (Math.min(5, Math.max(1, scores[index]!)) - best) ** 2);
  const same = outcomes(TRIED[0]!);
  const sameMisses = same.map(missOf);
  // what was liked has only to stay so: nobody asked for more of it
  const costOf = (scores: readonly number[], draw: number) =>
    missOf(scores).reduce((sum, miss, index) => {
      const before = sameMisses[draw]![index]!;
      return sum + (questions[index]!.isDisliked ? miss : Math.max(0, miss - before));
    }, 0);
  const mean = (values: readonly number[]) => values.reduce((sum, value, index) => sum + next[index]!.weight * value, 0);
  const sameCosts = same.map(costOf);
  const offBy = (scores: readonly (readonly number[])[], index: number) =>
    mean(scores.map((all) => Math.abs(Math.min(5, Math.max(1, all[index]!)) - questions[index]!.best)));
  // what no tongue would tell is no reason to change anything
  const isFelt = (scores: readonly (readonly number[])[]) =>
    questions.some(({ isDisliked }, index) => isDisliked && offBy(same, index) - offBy(scores, index) >= LEAST_FELT);
  let best = { change: TRIED[0]!, scores: same, costs: sameCosts, cost: mean(sameCosts) };
  for (const change of TRIED.slice(1)) {
    if (!possible(formula, book, axes.written.firmAfterS, change)) continue;
    const scores = outcomes(change);
    if (!isFelt(scores)) continue;
    const costs = scores.map(costOf);
    const cost = mean(costs) + WORTH;
    if (cost < best.cost - 1e-9) best = { change, scores, costs, cost };
  }
  const isSame = best.change.kind === 'sameAgain';
  const expects = questions
    .map((question, index) => {
      const values = best.scores.map((scores, draw) => Math.min(5, Math.max(1, scores[index]! + Math.hypot(question.bias.sd, question.noise) * NOISE[draw % MOST_DRAWS]![index % 2]!)));
      const middle = mean(best.scores.map((scores) => Math.min(5, Math.max(1, scores[index]!))));
      return {
        question: question.id, was: question.score, same: mean(same.map((scores) => Math.min(5, Math.max(1, scores[index]!)))),
        value: middle, low: Math.min(middle, quantileOf(values, 0.1)), high: Math.max(middle, quantileOf(values, 0.9)),
      };
    })
    .filter(({ was: score }) => score !== null)
    .sort((a, b) => missed(b) - missed(a))
    .slice(0, 3);
  return {
    change: best.change,
    better: isSame ? null : MODEL_ERROR + (1 - 2 * MODEL_ERROR) * Math.min(1, mean(best.costs.map((cost, index) => (cost < sameCosts[index]! ? 1 : 0)))),
    expects,
  };
} // prettier-ignore

const missed = ({ question, was }: Pick<ExpectedScore, 'question' | 'was'>): number =>
  Math.abs((was ?? 3) - (ASKED.find(({ id }) => id === question)?.best ?? 3));

export function added(x: Departure, by: Departure): Departure {
  const all: Partial<Record<Factor, number>> = { ...x };
  for (const [factor, value] of Object.entries(by) as [Factor, number][]) all[factor] = (all[factor] ?? 0) + value;
  return all;
} // prettier-ignore

const grams = (massG: number) => Math.max(FORMULA_LIMITS.lineMassG.min, Number(massG.toPrecision(4)));
const toMinutes = (s: number | null, by: number) =>
  s === null ? null : Math.min(STEP_LIMITS.durationS.max, Math.max(60, 60 * Math.round((s * by) / 60)));

/** A formula with that change in it, whichever breads it makes; everything else stays. Where it has no step to cool, one is put at its end. */
export function withChange(formula: Formula, change: Change, book: IngredientBook, { firmS, doughC, id }: { readonly firmS: number; readonly doughC: number; readonly id: string }): Formula {
  const { kind, by } = change;
  const step = (each: MethodStep): MethodStep => {
    const timed = { ...each, minS: toMinutes(each.minS, by), maxS: toMinutes(each.maxS, by) };
    if (kind === 'proof' && isRise(each)) return timed;
    if (kind === 'bake' && HEATS.has(each.kind)) return timed;
    if (kind === 'preheat' && each.kind === 'preheat') return timed;
    if (kind === 'dough' && each.kind === 'mix') return { ...each, tempC: Math.min(40, Math.max(5, (each.tempC ?? doughC) + by)) };
    if (kind === 'oven' && (HEATS.has(each.kind) || each.kind === 'preheat') && each.tempC !== null) {
      const { min, max } = stepTempRangeC(each.kind);
      return { ...each, tempC: Math.min(max, Math.max(min, each.tempC + by)) };
    }
    if (kind === 'cool' && each.kind === 'cool') {
      const least = toMinutes(Math.max(each.minS ?? 0, firmS), 1)!;
      return { ...each, minS: least, maxS: each.maxS === null ? null : Math.max(each.maxS, least) };
    }
    return each;
  };
  const line = (each: Line): Line => {
    if ((kind !== 'water' && kind !== 'binder' && kind !== 'leaven') || factorOf(each.ingredientId, book) !== kind) return each;
    const { measured: _, ...plain } = each;
    return { ...plain, massG: grams(each.massG * by) };
  };
  const steps = formula.steps.map(step);
  const ways = formula.ways?.map((way) => ({ ...way, steps: way.steps.map(step) }));
  const cools = allSteps(formula).some((each) => each.kind === 'cool');
  return {
    ...formula,
    stages: formula.stages.map((stage) => (isDoughStage(stage) ? { ...stage, lines: stage.lines.map(line) } : stage)),
    steps: kind === 'cool' && !cools ? [...steps, { ...newStep('cool', id), minS: toMinutes(firmS, 1) }] : steps,
    ...(ways && { ways }),
  };
} // prettier-ignore
