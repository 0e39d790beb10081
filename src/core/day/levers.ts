import { riseCurve } from '../fermentation/riseCurve';
import { leaveningOf } from '../fermentation/leavening';
import { allSteps, type Formula } from '../formula';
import type { IngredientBook } from '../ingredients';
import { newStep, type MethodStep } from '../method/step';
import { formulaAnswers } from '../notices/formulaAnswers';
import { ok, refuse, type Result } from '../result';
import type { RunKitchen } from '../run/ordinaryKitchen';
import { runOf } from '../run/runOf';
import { stepS } from '../run/stepTimes';
import { supposing } from '../run/whatIf';

/** What a baker may allow to be changed of a batch so that it fits its day. */
export const LEVER_KINDS = ['yeast', 'water', 'warm', 'cold'] as const;
export type LeverKind = (typeof LEVER_KINDS)[number];

/** How a batch is made otherwise than its formula says. */
export interface Lever {
  /** So many times the yeast, or the starter. */
  readonly yeast: number;
  /** The dough as the mixing ends, °C above what is written; by the water. */
  readonly doughByC: number;
  /** The last rise in the warm place. */
  readonly warm: boolean;
  /** So long in the fridge before the last rise, s; 0: not. */
  readonly coldS: number;
}

export const AS_WRITTEN: Lever = { yeast: 1, doughByC: 0, warm: false, coldS: 0 };

const HOUR = 3600;
/** What is tried, by what is allowed: each by itself, and the two that help one another. */
const TRIED: readonly { readonly needs: readonly LeverKind[]; readonly lever: Partial<Lever> }[] = [
  { needs: ['yeast'], lever: { yeast: 0.5 } },
  { needs: ['yeast'], lever: { yeast: 0.7 } },
  { needs: ['yeast'], lever: { yeast: 1.4 } },
  { needs: ['yeast'], lever: { yeast: 2 } },
  { needs: ['water'], lever: { doughByC: -5 } },
  { needs: ['water'], lever: { doughByC: 4 } },
  { needs: ['warm'], lever: { warm: true } },
  { needs: ['yeast', 'water'], lever: { yeast: 0.5, doughByC: -5 } },
  { needs: ['yeast', 'warm'], lever: { yeast: 1.4, warm: true } },
  { needs: ['cold'], lever: { coldS: 8 * HOUR } },
  { needs: ['cold'], lever: { coldS: 11 * HOUR } },
  { needs: ['cold'], lever: { coldS: 14 * HOUR } },
];
/** A dough that is too lively for a night in the cold gets less yeast with it. */
const COLD_YEASTS = [1, 0.7, 0.5, 0.35] as const;

/** What the models call good bread: yeast as fresh yeast on the flours; the dough as it leaves the mixer; how much longer or shorter it rises. */
const GOOD = {
  freshYeastPercent: { min: 0.2, max: 6 },
  doughC: { min: 17, max: 32 },
  slower: { min: 0.3, max: 3.5 },
  /** Out of the cold a dough needs at least so long to come to itself, s. */
  leastAfterColdS: 20 * 60,
} as const;

const RISES: ReadonlySet<MethodStep['kind']> = new Set(['bulk', 'proof']);

/** The names of levers, e.g. `cold 39600 yeast 0.7`. */
export const leverId = ({ yeast, doughByC, warm, coldS }: Lever): string =>
  [coldS > 0 && `cold ${coldS}`, yeast !== 1 && `yeast ${yeast}`, doughByC !== 0 && `dough ${doughByC}`, warm && 'warm'].filter(Boolean).join(' ') || 'as written'; // prettier-ignore

/** The lever of a name, whatever its starter is fed by; null: it is none that {@link leverId} writes. */
export function leverOf(name: string): Lever | null {
  const id = name.replace(/ ripe \d$/, '');
  if (id === 'as written' || id === '') return AS_WRITTEN;
  const found = /^(?:cold (\d{1,6}) ?)?(?:yeast (\d(?:\.\d{1,4})?) ?)?(?:dough (-?\d{1,2}) ?)?(warm)?$/.exec(id);
  if (!found) return null;
  const lever = { coldS: Number(found[1] ?? 0), yeast: Number(found[2] ?? 1), doughByC: Number(found[3] ?? 0), warm: found[4] !== undefined };
  return leverId(lever) === id ? lever : null;
} // prettier-ignore

/**
 * What a lever does to taste and risk, 0 to 15 (craft): much yeast tastes of it; a slow or a cold rise tastes of more, and what has no gluten bears the hours
 * less well.
 */
export function tasteCostOf({ yeast, doughByC, warm, coldS }: Lever): number {
  const yeasty = yeast > 1 ? Math.round(5 * Math.log2(yeast)) : yeast < 1 ? Math.round(-1.5 * Math.log2(yeast)) : 0;
  return Math.min(15, yeasty + Math.round(Math.abs(doughByC) / 4) + (warm ? 1 : 0) + (coldS > 0 ? 1 + Math.round((coldS - 8 * HOUR) / (3 * HOUR)) : 0));
} // prettier-ignore

/** The steps that rise, made so many times as long. */
const scaled = (steps: readonly MethodStep[], ids: ReadonlySet<string>, times: number): MethodStep[] =>
  steps.map((step) => {
    if (!ids.has(step.id)) return step;
    const minS = step.minS ?? stepS(step);
    return { ...step, minS: minS * times, maxS: step.maxS === null ? null : step.maxS * times };
  });

/** Times as bakers write them: to five minutes. */
const rounded = (s: number): number => Math.max(300, Math.round(s / 300) * 300);

const withSteps = (formula: Formula, change: (steps: readonly MethodStep[]) => readonly MethodStep[]): Formula => ({
  ...formula,
  steps: [...change(formula.steps)],
  ...(formula.ways && { ways: formula.ways.map((way) => ({ ...way, steps: [...change(way.steps)] })) }),
}); // prettier-ignore

interface Risen {
  /** Of the middle run, as the method ends. */
  readonly volume: number;
  readonly past: boolean;
  readonly wanted: number;
  readonly top: number;
}

/** How big a dough is as its method ends, by how many times as long some of its steps take: what does not depend on that is asked once. */
function riser(formula: Formula, ids: ReadonlySet<string>, book: IngredientBook, kitchen: RunKitchen): (times: number) => Risen | null {
  const { totals, consistency } = formulaAnswers(formula, book);
  return (times) => {
    const run = runOf(withSteps(formula, (steps) => scaled(steps, ids, times)), book, totals, consistency, kitchen);
    if (!run.ok || run.value.rise.stays.length === 0) return null;
    const curve = riseCurve({ ...run.value.rise, beyondS: 0, central: true });
    if (!curve.ok) return null;
    const { end, pastAtS, wanted, top } = curve.value;
    return { volume: end.volume, past: pastAtS.value !== null, wanted, top: top.value };
  };
} // prettier-ignore

/** The last step in which a dough, or each of its breads, rises. */
function lastRises(formula: Formula): ReadonlySet<string> {
  const last = (steps: readonly MethodStep[]) => steps.findLast(({ kind }) => RISES.has(kind));
  const ways = (formula.ways ?? []).flatMap((way) => last(way.steps) ?? []);
  const trunk = last(formula.steps);
  return new Set((ways.length > 0 ? ways : trunk ? [trunk] : []).map(({ id }) => id));
}

/** Mixed so much warmer; null: nowhere says the method that it is mixed. */
function mixedAt(formula: Formula, byC: number, kitchen: RunKitchen): Formula | null {
  if (byC === 0) return formula;
  const at = formula.steps.findLastIndex(({ kind }) => kind === 'mix');
  const step = formula.steps[at];
  const doughC = (step?.tempC ?? kitchen.doughC) + byC;
  if (!step || doughC < GOOD.doughC.min || doughC > GOOD.doughC.max) return null;
  return { ...formula, steps: formula.steps.map((each, index) => (index === at ? { ...each, tempC: doughC } : each)) };
} // prettier-ignore

/** How many times as long rises have to be until a dough is so big; null: it never is within what is good, or has sunk by then. */
function timesFor(rise: (times: number) => Risen | null, volume: number, least: number): number | null {
  let low = { at: Math.log(least), over: (rise(least)?.volume ?? Infinity) - volume };
  if (low.over > 0) return null;
  const most = rise(GOOD.slower.max);
  if (!most) return null;
  // past its top it is smaller again than it was: then the crossing lies before
  let high = { at: Math.log(GOOD.slower.max), over: most.past ? Math.max(0.2, most.top - volume) : most.volume - volume };
  if (high.over < 0) return null;
  for (let round = 0; round < 14 && high.at - low.at > 0.008; round += 1) {
    // where a straight line between both ends crosses, kept from the ends so that both close in
    const cut = Math.min(0.8, Math.max(0.2, low.over / (low.over - high.over)));
    const at = low.at + cut * (high.at - low.at);
    const found = rise(Math.exp(at));
    if (!found) return null;
    const over = found.past ? Math.max(0.2, found.top - volume) : found.volume - volume;
    if (Math.abs(over) < 0.002 * volume && !found.past) return Math.exp(at);
    if (over < 0) low = { at, over };
    else high = { at, over };
  }
  const times = Math.exp((low.at + high.at) / 2);
  const found = rise(times);
  return found && !found.past && Math.abs(found.volume - volume) < 0.02 * volume ? times : null;
} // prettier-ignore

/** How big a dough is to be before it goes on: ready, or as big as its formula makes it, or nearly as big as it can be. */
const readyAt = ({ wanted, top, volume }: Risen): number => Math.min(wanted, volume, 1 + 0.9 * (top - 1));

/**
 * A formula as a lever makes it for one batch: its leaven, the warmth of its dough, where it proofs, hours in the cold; its rises made as long as it then
 * takes to be as big as the formula makes it, by the rise model. The formula itself is not touched.
 *
 * @returns `notSolvable` where the model says that no good bread comes of it: too much or too little yeast, too warm, never so big, or past it; `required`
 *   at steps where nothing rises
 */
export function withLever(formula: Formula, lever: Lever, book: IngredientBook, kitchen: RunKitchen): Result<Formula> {
  if (leverId(lever) === leverId(AS_WRITTEN)) return ok(formula);
  const last = lastRises(formula);
  const rises = new Set(allSteps(formula).flatMap(({ id, kind }) => (RISES.has(kind) ? [id] : [])));
  if (last.size === 0) return refuse('required', 'steps');
  const scales = lever.coldS > 0 ? last : rises;
  const asWritten = riser(formula, scales, book, kitchen);
  const base = asWritten(1);
  const wanted = base && readyAt(base);
  // by the model it may be ready before its baker says so: the baker's times are stretched, not replaced
  const baseTimes = wanted === null ? null : timesFor(asWritten, wanted, 0.1);
  if (wanted === null || baseTimes === null) return refuse('notSolvable', 'lever');
  const supposed = supposing({ type: 'yeast', factor: lever.yeast }, formula, kitchen, book).formula;
  const mixed = mixedAt(supposed, lever.doughByC, kitchen);
  if (!mixed || !yeastIsGood(mixed, lever, book)) return refuse('notSolvable', 'lever');
  const made = withSteps(mixed, (steps) =>
    steps.flatMap((step): MethodStep[] => {
      if (!last.has(step.id)) return [step];
      const { cover = 'film' } = step.stands ?? {};
      const { stands: _, ...plain } = step;
      const own: MethodStep = lever.warm ? { ...plain, tempC: null, stands: { place: 'warm', cover } } : step;
      if (lever.coldS === 0) return [own];
      const cold: MethodStep = { ...newStep('chill', `${step.id}-cold`), minS: lever.coldS, stands: { place: 'fridge', cover } };
      return [cold, own];
    }),
  );
  const found = timesFor(riser(made, scales, book, kitchen), wanted, 0.05);
  const times = found === null ? null : found / baseTimes;
  const noUse = lever.coldS === 0 && times !== null && Math.abs(Math.log(times)) < 0.06;
  if (times === null || noUse || times > GOOD.slower.max || (lever.coldS === 0 && times < GOOD.slower.min)) return refuse('notSolvable', 'lever');
  const done = withSteps(made, (steps) =>
    scaled(steps, scales, times).map((step) =>
      scales.has(step.id) ? { ...step, minS: rounded(step.minS ?? 0), maxS: step.maxS === null ? null : rounded(step.maxS) } : step,
    ),
  );
  const short = allSteps(done).some(({ id, minS }) => last.has(id) && (minS ?? 0) < GOOD.leastAfterColdS);
  return lever.coldS > 0 && short ? refuse('notSolvable', 'lever') : ok(done);
} // prettier-ignore

function yeastIsGood(formula: Formula, { yeast }: Lever, book: IngredientBook): boolean {
  if (yeast === 1) return true;
  const { totals, consistency } = formulaAnswers(formula, book);
  const leavening = leaveningOf(formula, book, totals, consistency, 1);
  if (!leavening || leavening.yeastG + leavening.wildG === 0) return false;
  // a starter has no share at which it is too much; how much of the dough it may be is the formula's own business
  const percent = (100 * leavening.yeastG) / Math.max(1, leavening.floursG);
  return leavening.yeastG === 0 || (percent >= GOOD.freshYeastPercent.min && percent <= GOOD.freshYeastPercent.max);
} // prettier-ignore

/** A way to make a batch, with what it does to it. */
export interface Levered {
  readonly lever: Lever;
  readonly formula: Formula;
  readonly tasteCost: number;
}

/** Every way to make a batch that a baker allows and the models call good bread; as written first. About ten milliseconds each. */
export function leveredWays(formula: Formula, allowed: readonly LeverKind[], book: IngredientBook, kitchen: RunKitchen): Levered[] {
  const ways: Levered[] = [{ lever: AS_WRITTEN, formula, tasteCost: 0 }];
  for (const { needs, lever: some } of TRIED) {
    if (!needs.every((kind) => allowed.includes(kind))) continue;
    const lever = { ...AS_WRITTEN, ...some };
    // a night in the cold brings its own yeast, where it may
    const tried = lever.coldS > 0 && allowed.includes('yeast') ? COLD_YEASTS.map((yeast) => ({ ...lever, yeast })) : [lever];
    for (const each of tried) {
      const made = withLever(formula, each, book, kitchen);
      if (!made.ok) continue;
      ways.push({ lever: each, formula: made.value, tasteCost: tasteCostOf(each) });
      break;
    }
  }
  return ways;
} // prettier-ignore
