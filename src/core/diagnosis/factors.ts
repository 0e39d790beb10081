import { riseCurve } from '../fermentation/riseCurve';
import { YEAST_KINDS } from '../formula/yeast';
import { isDoughStage, type Formula, type Line } from '../formula/formula';
import type { Figures } from '../calibrated';
import { CENTRAL_DRAW, simulateBake, type HeatDraw } from '../heat/bake';
import { heatingEndS } from '../heat/forecast';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { doughAnswers } from '../notices/doughAnswers';
import { bakeQuestionOf, bodyToDraw } from '../run/forecastRun';
import type { RunKitchen } from '../run/ordinaryKitchen';
import { runOf } from '../run/runOf';
import { HEATS } from '../run/stepTimes';
import { sliceOf } from '../slice/slice';
import { asOneBread, asWay } from '../formula/ways';

/**
 * What of a bake may have been otherwise than it was written, whether or not somebody saw it. Amounts, times and vigour as natural
 * logarithms of what they were over what they were meant to be; warmth in °C more. 0: as written.
 */
export const FACTORS = [
  'water', 'binder', 'salt', 'leaven', 'vigour', 'holding', 'doughC', 'proof', 'bake', 'ovenC', 'plate', 'size',
] as const; // prettier-ignore
export type Factor = (typeof FACTORS)[number];
export type Departure = Partial<Readonly<Record<Factor, number>>>;

/** How a bake came out, in the models' own figures. */
export interface Ends {
  /** Saturation of the rested dough, and how it coheres. */
  readonly s: number;
  readonly holds: number;
  readonly clings: number;
  /** Volume over that from the bowl as it goes in; how much of what it could hold that is; how tired it is. */
  readonly grown: number;
  readonly ready: number;
  readonly tired: number;
  readonly doughC: number;
  /** At the moments of {@link BakeAsked.marksAtS}. */
  readonly marks: readonly number[];
  readonly gas: number;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly poreMm: number;
  readonly evenness: number;
  readonly coreC: number;
  readonly lost: number;
  readonly brownTop: number;
  readonly brownBase: number;
  /** By how much of the whole bake it was set before it came out; below zero: it was not. */
  readonly setMargin: number;
  readonly crustMm: number;
  /** From coming out until it may be cut, s. */
  readonly firmAfterS: number;
}

/** A bake as it is asked about: as it was written, one bread of it. */
export interface BakeAsked {
  readonly formula: Formula;
  readonly book: IngredientBook;
  readonly kitchen: RunKitchen;
  /** When it was marked how far the dough had risen, s from the end of mixing. */
  readonly marksAtS: readonly number[];
}

/** What differs from the models' middle beside the bake itself: for made-up truths. */
export interface OtherModel {
  readonly heat: HeatDraw;
  readonly figures: Figures;
}

/** Which factor an ingredient's amount belongs to; null: to none that is asked about. */
export function factorOf(ingredientId: string, book: IngredientBook): Factor | null {
  if (YEAST_KINDS.some((kind) => kind === ingredientId)) return 'leaven';
  const [role] = book.get(ingredientId)?.roles ?? [];
  if (ingredientId === 'water' || role === 'liquid') return 'water';
  if (role === 'binder') return 'binder';
  if (role === 'salt') return 'salt';
  return role === 'leaven' ? 'leaven' : null;
}

/** A formula as it is with such departures, as far as a formula can say them. */
function departed({ formula: whole, book }: BakeAsked, x: Departure): Formula {
  const formula = asOneBread(whole);
  const times = (factor: Factor) => Math.exp(x[factor] ?? 0);
  const line = (each: Line): Line => {
    const factor = factorOf(each.ingredientId, book);
    return factor && x[factor] ? { ...each, massG: each.massG * times(factor) } : each;
  };
  const stretched = (s: number | null, by: number) => (s === null ? null : Math.max(1, Math.round(s * by)));
  return {
    ...formula,
    // a sauce's water is none of the dough's
    stages: formula.stages.map((stage) => (isDoughStage(stage) ? { ...stage, lines: stage.lines.map(line) } : stage)),
    steps: formula.steps.map((step) => {
      if (step.kind === 'mix' && step.tempC !== null && x.doughC)
        return { ...step, tempC: step.tempC + x.doughC };
      const by = step.kind === 'bulk' || step.kind === 'proof' ? times('proof') : HEATS.has(step.kind) ? times('bake') : 1;
      return by === 1 ? step : { ...step, minS: stretched(step.minS, by), maxS: stretched(step.maxS, by) };
    }),
    usualYield: { ...formula.usualYield, pieceMassG: formula.usualYield.pieceMassG * times('size') },
  };
} // prettier-ignore

function kitchenOf({ kitchen }: BakeAsked, { vigour = 0, holding = 0, doughC = 0, ovenC = 0 }: Departure): RunKitchen {
  const known = kitchen.learnt ?? { vigour: { value: 1, cv: 0 }, holding: { value: 1, cv: 0 } };
  const off = (oven: RunKitchen['oven']) => ({ ...oven, offsetC: oven.offsetC + ovenC });
  return {
    ...kitchen,
    doughC: Math.min(44, Math.max(1, kitchen.doughC + doughC)),
    oven: off(kitchen.oven),
    fryer: off(kitchen.fryer),
    learnt: {
      vigour: { ...known.vigour, value: known.vigour.value * Math.exp(vigour) },
      holding: { ...known.holding, value: known.holding.value * Math.exp(holding) },
    },
  };
} // prettier-ignore

const POINTS = 120;

/**
 * A whole bake by the models' middle, on the coarse grid: rise, bake, cooling, slice. 20 to 50 ms.
 *
 * @returns null where it has no rise or no bake that could be computed
 */
export function endsOf(asked: BakeAsked, x: Departure, other?: OtherModel): Ends | null {
  const formula = departed(asked, x);
  const { totals, consistency } = doughAnswers(formula, asked.book);
  if (!consistency) return null;
  const run = runOf(asWay(formula), asked.book, totals, consistency, kitchenOf(asked, x));
  if (!run.ok) return null;
  const longest = Math.max(0, ...asked.marksAtS);
  const stays = run.value.rise.stays.reduce((sum, stay) => sum + stay.durationS, 0);
  const rise = riseCurve({ ...run.value.rise, beyondS: Math.max(60, longest - stays + 60), central: true });
  if (!rise.ok) return null;
  const question = bakeQuestionOf(run.value, rise.value, consistency);
  if (!question) return null;
  const draw = other?.heat ?? CENTRAL_DRAW;
  const baked = simulateBake(question, { ...draw, contact: draw.contact * Math.exp(x.plate ?? 0) }, 'coarse', POINTS, 'cut', other?.figures); // prettier-ignore
  if (!baked.ok) return null;
  const { atS, coreC, lost, brownTop, brownBase, setAtS, cutAtS, crustMm } = baked.value;
  const endS = heatingEndS(question);
  const last = Math.max(0, atS.findLastIndex((tS) => tS <= endS)); // prettier-ignore
  const core = coreC[last] ?? 0;
  const slice = sliceOf({ ...bodyToDraw(question, rise.value, consistency, baked.value), brownTop: 1, brownBase: 1, setChance: 1 }); // prettier-ignore
  const { volume, atS: risenAtS, canHold, end } = rise.value;
  const grownAt = (tS: number) => {
    const at = risenAtS.findIndex((each) => each >= tS);
    if (at <= 0) return volume[at === 0 ? 0 : volume.length - 1] ?? 1;
    const [from, to] = [risenAtS[at - 1]!, risenAtS[at]!];
    return volume[at - 1]! + ((tS - from) / (to - from)) * (volume[at]! - volume[at - 1]!);
  };
  return {
    s: consistency.rested.s,
    holds: consistency.holds,
    clings: consistency.clings,
    grown: end.volume,
    ready: (end.volume - 1) / Math.max(0.05, canHold.value - 1),
    tired: end.tired,
    doughC: run.value.rise.doughC,
    marks: asked.marksAtS.map(grownAt),
    gas: slice.gas,
    heightMm: slice.heightMm * (1 + Math.max(-0.3, slice.crown)),
    widthMm: slice.widthMm,
    poreMm: slice.poreMm,
    evenness: slice.evenness,
    coreC: core,
    lost: lost[last] ?? 0,
    brownTop: brownTop[last] ?? 0,
    brownBase: brownBase[last] ?? 0,
    setMargin:
      setAtS === null ? Math.min(0, core - (baked.value.boilsC - 4)) / 30 - 0.03 : (endS - setAtS) / endS,
    crustMm,
    firmAfterS: Math.max(60, (cutAtS ?? atS[atS.length - 1] ?? endS) - endS),
  };
}
