import type { Consistency } from '../consistency/consistency';
import { airPressurePa } from '../doughTemperature/boilingPoint';
import { FERMENTATION } from '../fermentation/parameters';
import { leaveningOf, type Leavening } from '../fermentation/leavening';
import type { Learnt, RiseQuestion } from '../fermentation/riseCurve';
import type { PlaceKind, Standing, Stay } from '../fermentation/thermalLag';
import { isDoughStage, type Formula } from '../formula/formula';
import { insideFormula } from '../formula/insideFormula';
import { USUAL_SHAPE } from '../formula/usualShape';
import type { FormulaTotals } from '../formula/totals';
import { crumbMatterOf, type CrumbMatter } from '../heat/crumbMatter';
import { ORDINARY_OVENS, type Oven } from '../heat/oven';
import type { Plate } from '../heat/parameters';
import { newPhase, type Phase } from '../heat/programme';
import type { IngredientBook } from '../ingredients/ingredientBook';
import type { Shape, TinKind } from '../method/heating';
import type { MethodStep } from '../method/step';
import { ok, refuse, type Result } from '../result';
import { doughDensity } from '../vessel/vessel';
import { stepHeat, type StepHeat } from './stepHeat';

/** The kitchen as the run needs it: plain figures. */
export interface RunKitchen {
  readonly roomC: number;
  readonly fridgeC: number;
  readonly altitudeM: number;
  readonly doughC: number;
  readonly oven: Oven;
  readonly fryer: Oven;
  /** Thickness of plates that were measured, m. */
  readonly plateThickM?: Partial<Record<Plate, number>>;
  readonly learnt?: Learnt;
}

export const ORDINARY_KITCHEN: RunKitchen = {
  roomC: 21,
  fridgeC: 5,
  altitudeM: 0,
  doughC: 26,
  oven: ORDINARY_OVENS.static,
  fryer: ORDINARY_OVENS.fryer,
};

type Stretch = 'before' | 'rise' | 'heat' | 'cool' | 'beside';

/** A step with its place on the one clock; 0 is when the first begins. */
export interface TimedStep {
  readonly stepId: string;
  readonly kind: MethodStep['kind'];
  readonly stretch: Stretch;
  readonly startS: number;
  readonly endS: number;
  /** The time is the baker's own; otherwise a usual one was taken. */
  readonly timed: boolean;
}

/** What the models are asked of a formula made in a kitchen, on one clock from the first step to the cut. */
export interface Run {
  readonly steps: readonly TimedStep[];
  readonly rise: RiseQuestion;
  readonly riseFromS: number;
  readonly bake: RunBake | null;
  readonly endS: number;
}
interface RunBake {
  readonly fromS: number;
  readonly matter: CrumbMatter;
  readonly shape: Shape;
  readonly lengthCm: number | null;
  readonly widthCm: number | null;
  readonly tin: TinKind | null;
  readonly massG: number;
  readonly perLoad: number;
  /** Eaten as it no longer burns the tongue, rather than cut when cool. */
  readonly eatenWarm: boolean;
  /** Sauce and cheese on one piece; null where nothing lies on it. */
  readonly topping: { readonly massG: number; readonly waterShare: number } | null;
  readonly oven: Oven;
  readonly plateThickM?: Partial<Record<Plate, number>>;
  readonly phases: readonly Phase[];
  readonly heats: readonly StepHeat[];
  readonly roomC: number;
  readonly altitudeM: number;
  /** What has to be hot first, and how hot. */
  readonly preheat: { readonly plate: Plate | null; readonly setC: number } | null;
}

/** How many go in at once, where nobody said. */
const LOAD_OF: Readonly<Record<Shape, number>> = {
  tin: 1, hearth: 1, baguette: 3, roll: 9, touchingRolls: 12, disc: 1, flatbread: 1, ring: 8, ball: 6, round: 4,
}; // prettier-ignore

/** Minutes of a step without a time. */
const USUAL_MIN: Partial<Record<MethodStep['kind'], number>> = {
  weigh: 10, bloom: 10, mix: 8, fold: 4, divide: 6, shape: 8, score: 1, rest: 20, bulk: 90, proof: 50, chill: 720,
  boil: 1.5, griddle: 2, fry: 5, bake: 40, coast: 10, cool: 90, free: 5, rotate: 0, preheat: 30,
}; // prettier-ignore

export const HEATS: ReadonlySet<MethodStep['kind']> = new Set(['boil', 'griddle', 'fry', 'bake', 'coast']);
export const BESIDE: ReadonlySet<MethodStep['kind']> = new Set(['preheat', 'rotate']);
const PRESSES: ReadonlySet<MethodStep['kind']> = new Set(['fold', 'divide', 'shape']);

/** The middle of a step's time, s. */
export const stepS = (step: MethodStep): number =>
  step.minS === null ? (USUAL_MIN[step.kind] ?? 5) * 60 : (step.minS + (step.maxS ?? step.minS)) / 2;

/** What comes from the fryer or the plate, flat and topped things and cheese buns are eaten warm; bread and crackers cool first. */
function eatenWarm(formula: Formula): boolean {
  if (formula.style === 'crackers') return false;
  const flat = formula.style === 'pizza' || formula.style === 'flatbread' || formula.style === 'cheeseBuns';
  return flat || formula.steps.some(({ kind }) => kind === 'fry' || kind === 'griddle');
}

/** What the sheet puts on top of one piece, with its water; seeds and flour for dusting weigh little and come along. */
function toppingOf(formula: Formula, book: IngredientBook): { massG: number; waterShare: number } | null {
  let massG = 0;
  let waterG = 0;
  for (const { ingredient, massG: partG, dough } of insideFormula(formula, book)) {
    if (dough) continue;
    massG += partG;
    waterG += (partG * ingredient.per100g.water.value) / 100;
  }
  const pieces = Math.max(1, formula.usualYield.pieces);
  return massG > 0 ? { massG: massG / pieces, waterShare: waterG / massG } : null;
}

/** What one piece is made into: the baker's word, else what the style usually is. Never guessed from the words of a method. */
export function bakedAsOf(formula: Formula): NonNullable<Formula['bakedAs']> {
  if (formula.bakedAs) return formula.bakedAs;
  const shape = USUAL_SHAPE[formula.style];
  return { shape, lengthCm: null, widthCm: null, tin: shape === 'tin' ? 'dark' : null, perLoad: null };
}

function stayOf(
  step: MethodStep,
  formula: Formula,
  kitchen: RunKitchen,
  shaped: boolean,
  leavening: Leavening,
  as: Shape,
): Stay {
  const cold = step.kind === 'chill';
  const tempC = step.tempC ?? (cold ? kitchen.fridgeC : kitchen.roomC);
  const place: PlaceKind =
    tempC <= 15 && cold ? 'fridge' : tempC >= kitchen.roomC + 3 && tempC >= 20 ? 'warm' : 'room';
  const standing: Standing = !shaped
    ? 'bowl'
    : as === 'tin'
      ? 'tin'
      : as === 'disc' || as === 'flatbread'
        ? 'sheet'
        : 'pieces';
  const { fold, divide, shape } = FERMENTATION.pressedOut;
  const out =
    step.kind === 'fold' ? fold : step.kind === 'divide' ? divide : step.kind === 'shape' ? shape : 0;
  return {
    place,
    tempC: PRESSES.has(step.kind) ? kitchen.roomC : tempC,
    durationS: stepS(step),
    standing,
    pieceG: Math.max(1, shaped ? formula.usualYield.pieceMassG : leavening.doughG),
    pressedOut: out,
  };
}

/**
 * Puts a formula's method on one clock and asks what the models need. Steps follow one another; preheating runs beside and ends as
 * the first piece goes in; where a step has no time a usual one is taken and the step says so.
 *
 * @returns `noFlour` without flour base; `required` at steps without any step after mixing
 */
export function runOf(
  formula: Formula,
  book: IngredientBook,
  totals: FormulaTotals,
  consistency: Consistency | null,
  kitchen: RunKitchen = ORDINARY_KITCHEN,
): Result<Run> {
  const densityGPerMl = doughDensity(formula, book, totals.doughG);
  const leavening = leaveningOf(formula, book, totals, consistency, densityGPerMl);
  if (!leavening) return refuse('noFlour', 'stages');
  if (!formula.steps.some((step) => !BESIDE.has(step.kind))) return refuse('required', 'steps');
  const as = bakedAsOf(formula);
  const matter = crumbMatterOf({ stages: formula.stages.filter(isDoughStage) }, book);
  const steps: TimedStep[] = [];
  const stays: Stay[] = [];
  const phases: Phase[] = [];
  const heats: StepHeat[] = [];
  const lastMix = formula.steps.map((step) => step.kind).lastIndexOf('mix');
  const firstMix = formula.steps.findIndex((step) => step.kind === 'mix');
  let heat: StepHeat = {
    moist: 'dry',
    on: as.shape === 'tin' ? null : 'tray',
    inTin: as.shape === 'tin',
    topped: false,
  };
  let atS = 0;
  let riseFromS: number | null = null;
  let bakeFromS: number | null = null;
  let shaped = false;
  let heated = false;
  let doughC = kitchen.doughC;
  let fried = false;
  let before: MethodStep | null = null;
  for (const [index, step] of formula.steps.entries()) {
    const durationS = stepS(step);
    const timed = step.minS !== null;
    if (BESIDE.has(step.kind)) {
      steps.push({
        stepId: step.id,
        kind: step.kind,
        stretch: 'beside',
        startS: atS,
        endS: atS + durationS,
        timed,
      });
      continue;
    }
    const startS = atS;
    atS += durationS;
    let stretch: Stretch = 'before';
    if (HEATS.has(step.kind)) {
      stretch = 'heat';
      bakeFromS ??= startS;
      heated = true;
      heat = stepHeat(step, heat, formula.steps);
      heats.push(heat);
      const shared = { moist: heat.moist, on: heat.on, inTin: heat.inTin, topped: heat.topped };
      if (step.kind === 'fry') fried = true;
      const turned =
        step.kind === 'griddle' && before?.kind === 'griddle' && !(phases.at(-1)?.turned ?? false);
      const kind =
        step.kind === 'bake'
          ? 'oven'
          : step.kind === 'coast'
            ? 'coast'
            : step.kind === 'fry'
              ? 'fry'
              : step.kind === 'boil'
                ? 'boil'
                : 'griddle';
      const part =
        kind === 'oven' || kind === 'coast'
          ? {
              ...shared,
              ...(kind === 'coast' ? { moist: 'dry' as const } : {}),
              door: kind === 'oven' && before?.kind !== 'bake' && before?.kind !== 'coast',
            }
          : kind === 'griddle'
            ? { on: 'griddle' as const, turned }
            : {};
      phases.push(
        newPhase(
          kind,
          durationS,
          step.tempC ?? (kind === 'fry' ? 165 : kind === 'griddle' ? 220 : 200),
          part,
        ),
      );
    } else if (heated) {
      stretch = 'cool';
      phases.push(newPhase('rack', durationS, 0));
    } else if (index > lastMix || (firstMix === -1 && step.kind !== 'weigh' && step.kind !== 'bloom')) {
      stretch = 'rise';
      riseFromS ??= startS;
      if (step.kind === 'divide' || step.kind === 'shape') shaped = true;
      stays.push(stayOf(step, formula, kitchen, shaped, leavening, as.shape));
    }
    if (step.kind === 'mix' && step.tempC !== null) doughC = Math.min(45, step.tempC);
    steps.push({ stepId: step.id, kind: step.kind, stretch, startS, endS: atS, timed });
    before = step;
  }
  if (bakeFromS !== null && phases[phases.length - 1]?.kind !== 'rack')
    phases.push(newPhase('rack', 3 * 3600, 0));
  const loadS = bakeFromS ?? atS;
  // what heats up beside ends when the first piece goes in
  const placed = steps.map((step) =>
    step.kind === 'preheat'
      ? { ...step, startS: loadS - (step.endS - step.startS), endS: loadS }
      : step.kind === 'rotate'
        ? { ...step, startS: Math.max(0, step.startS - 60), endS: step.startS }
        : step,
  );
  const earliest = Math.min(0, ...placed.map((step) => step.startS));
  const shift = -earliest;
  const first = phases.find(
    (phase) => phase.kind === 'oven' || phase.kind === 'fry' || phase.kind === 'griddle',
  );
  const preheatStep = formula.steps.find((step) => step.kind === 'preheat');
  const pieceG = formula.usualYield.pieceMassG;
  const sheet = formula.style === 'crackers' ? Math.max(1, formula.usualYield.pieces) : 1;
  return ok({
    steps: placed.map((step) => ({ ...step, startS: step.startS + shift, endS: step.endS + shift })),
    rise: {
      leavening,
      doughC,
      stays,
      beyondS: Math.min(
        43_200,
        Math.max(
          5400,
          stays.reduce((sum, stay) => sum + stay.durationS, 0),
        ),
      ),
      pressurePa: airPressurePa(kitchen.altitudeM),
      ...(kitchen.learnt && { learnt: kitchen.learnt }),
    },
    riseFromS: (riseFromS ?? loadS) + shift,
    bake:
      bakeFromS === null || !matter || phases.length === 0
        ? null
        : {
            fromS: bakeFromS + shift,
            matter,
            shape: as.shape,
            lengthCm:
              as.lengthCm ??
              (formula.style === 'crackers' ? Math.min(120, 12 * Math.sqrt((pieceG * sheet) / 30)) : null),
            widthCm: as.widthCm,
            tin: as.tin,
            massG: pieceG * sheet,
            eatenWarm: eatenWarm(formula),
            topping: toppingOf(formula, book),
            perLoad:
              as.perLoad ??
              Math.min(
                LOAD_OF[as.shape],
                formula.style === 'crackers' ? 1 : Math.max(1, formula.usualYield.pieces),
              ),
            oven: fried ? kitchen.fryer : first?.kind === 'griddle' ? ORDINARY_OVENS.griddle : kitchen.oven,
            ...(kitchen.plateThickM && { plateThickM: kitchen.plateThickM }),
            phases,
            heats,
            roomC: kitchen.roomC,
            altitudeM: kitchen.altitudeM,
            preheat:
              first?.kind === 'oven'
                ? { plate: first.on === 'tray' ? null : first.on, setC: preheatStep?.tempC ?? first.setC }
                : null,
          },
    endS: Math.max(...placed.map((step) => step.endS)) + shift,
  });
}
