import type { Consistency } from '../consistency/consistency';
import { afterFreezing } from '../fermentation/freezing';
import { airPressurePa } from '../doughTemperature/boilingPoint';
import { leaveningOf } from '../fermentation/leavening';
import type { RiseQuestion } from '../fermentation/riseSimulation';
import type { Stay } from '../fermentation/thermalLag';
import type { Formula } from '../formula/formula';
import { insideFormula } from '../formula/insideFormula';
import { fitOf } from '../process/fits';
import { NO_ROOM, type Room } from '../process/room';
import { eatenOf } from '../formula/parts';
import { bakedAsOf } from '../formula/usualShape';
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
import { asWay, yieldOf } from '../formula/ways';
import { stepHeat, type StepHeat } from '../process/stepHeat';
import { usualHeatC } from '../method/usualTimes';
import { BESIDE, HEATS, OF_LATER, stepS } from './stepTimes';
import { ORDINARY_KITCHEN, type RunKitchen } from './ordinaryKitchen';
import { isFrozen, staysOf } from './stayOf';
import type { SliceLearnt } from '../slice/learnSlice';

type Stretch = 'before' | 'rise' | 'heat' | 'cool' | 'beside' | 'later';

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
  /** Which step each of them is of. */
  readonly phaseSteps: readonly string[];
  readonly heats: readonly StepHeat[];
  readonly roomC: number;
  readonly altitudeM: number;
  readonly slices?: SliceLearnt;
  /** What has to be hot first, and how hot. */
  readonly preheat: { readonly plate: Plate | null; readonly setC: number } | null;
}

/** How many go in at once, where nobody said. */
const LOAD_OF: Readonly<Record<Shape, number>> = {
  tin: 1, hearth: 1, baguette: 3, roll: 9, touchingRolls: 12, disc: 1, flatbread: 1, ring: 8, ball: 6, round: 4,
}; // prettier-ignore

/** How many bake together: the baker's word, else what the kitchen has room for, else as is usual; never more than there are. */
function loadOf(formula: Formula, as: NonNullable<Formula['bakedAs']>, room: Room = NO_ROOM): number {
  if (as.perLoad) return as.perLoad;
  if (formula.style === 'crackers') return 1;
  const step = formula.steps.find(({ kind }) => HEATS.has(kind) && kind !== 'coast');
  const piece = { shape: as.shape, massG: formula.usualYield.pieceMassG, lengthCm: as.lengthCm, widthCm: as.widthCm, tin: as.tin }; // prettier-ignore
  const fit = step ? fitOf(step, piece, room, null, step.heat?.on ?? null) : null;
  return Math.min(Math.max(1, fit?.count ?? LOAD_OF[as.shape]), 60, Math.max(1, formula.usualYield.pieces));
}

/** What comes from the fryer or the plate, flat and topped things and cheese buns are eaten warm; bread and crackers cool first. */
function eatenWarm(formula: Formula): boolean {
  if (formula.style === 'crackers') return false;
  const flat = formula.style === 'pizza' || formula.style === 'flatbread' || formula.style === 'cheeseBuns';
  return flat || formula.steps.some(({ kind }) => kind === 'fry' || kind === 'griddle');
}

/** What the sheet puts on top of one piece, of whichever of its breads, with its water; seeds and flour for dusting weigh little and come along. */
function toppingOf(formula: Formula, book: IngredientBook): { massG: number; waterShare: number } | null {
  let massG = 0;
  let waterG = 0;
  const made = yieldOf(formula);
  const eaten = new Map(formula.stages.map((stage) => [stage.id, eatenOf(stage, made).value]));
  for (const { ingredient, massG: inPartG, purpose, stageId, heldBack } of insideFormula(formula, book)) {
    if (purpose !== 'on' || heldBack) continue;
    const partG = inPartG * (eaten.get(stageId) ?? 1);
    massG += partG;
    waterG += (partG * ingredient.per100g.water.value) / 100;
  }
  return massG > 0 ? { massG: massG / made.pieces, waterShare: waterG / massG } : null;
}

const WEEK_S = 7 * 86_400;

/**
 * Puts a formula's method on one clock and asks what the models need; of one that parts into several breads the first, or the one it was made of
 * (core/formula/ways.ts). Steps follow one another; preheating runs beside and ends as
 * the first piece goes in; where a step has no time a usual one is taken and the step says so.
 *
 * @returns `noFlour` without flour base; `required` at steps without any step after mixing
 */
export function runOf(
  whole: Formula,
  book: IngredientBook,
  totals: FormulaTotals,
  consistency: Consistency | null,
  kitchen: RunKitchen = ORDINARY_KITCHEN,
): Result<Run> {
  const formula = asWay(whole);
  const densityGPerMl = doughDensity(formula, book, totals.doughG);
  const leavening = leaveningOf(formula, book, totals, consistency, densityGPerMl);
  if (!leavening) return refuse('noFlour', 'stages');
  if (!formula.steps.some((step) => !BESIDE.has(step.kind))) return refuse('required', 'steps');
  const as = bakedAsOf(formula);
  const matter = crumbMatterOf(formula, book);
  const steps: TimedStep[] = [];
  const stays: Stay[] = [];
  const phases: Phase[] = [];
  const phaseSteps: string[] = [];
  const heats: StepHeat[] = [];
  const lastMix = formula.steps.map((step) => step.kind).lastIndexOf('mix');
  const firstMix = formula.steps.findIndex((step) => step.kind === 'mix');
  let heat: StepHeat = {
    moist: 'dry',
    on: as.shape === 'tin' ? null : 'tray',
    inTin: as.shape === 'tin',
    topped: false,
    paper: false,
  };
  let atS = 0;
  let riseFromS: number | null = null;
  let bakeFromS: number | null = null;
  let shaped = false;
  let heated = false;
  let ended = false;
  let doughC = kitchen.doughC;
  let fried = false;
  let frozenS = 0;
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
    if (HEATS.has(step.kind) && !ended) {
      stretch = 'heat';
      bakeFromS ??= startS;
      heated = true;
      heat = stepHeat(step, heat);
      heats.push(heat);
      const shared = {
        moist: heat.moist,
        on: heat.on,
        inTin: heat.inTin,
        topped: heat.topped,
        ...(heat.paper && { paper: true }),
      };
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
            ? { on: 'griddle' as const, turned, ...(heat.paper && { paper: true }) }
            : {};
      const sides = step.sides ?? 1;
      for (let side = 0; side < sides; side += 1) {
        const setC = step.tempC ?? usualHeatC(step.kind);
        phaseSteps.push(step.id);
        phases.push(
          newPhase(
            kind,
            durationS / sides,
            setC,
            sides > 1 && kind !== 'boil' ? { ...part, turned: side % 2 === 1 } : part,
          ),
        );
      }
    } else if (heated && (ended || OF_LATER.has(step.kind))) {
      stretch = 'later';
      ended = true;
    } else if (heated) {
      stretch = 'cool';
      phaseSteps.push(step.id);
      phases.push(newPhase('rack', durationS, 0));
    } else if (index > lastMix || (firstMix === -1 && step.kind !== 'weigh' && step.kind !== 'bloom')) {
      stretch = 'rise';
      riseFromS ??= startS;
      if (step.kind === 'divide' || step.kind === 'shape' || step.kind === 'fill') shaped = true;
      if (isFrozen(step)) frozenS += durationS;
      stays.push(...staysOf(step, formula, kitchen, shaped, leavening, as.shape));
    }
    if (step.kind === 'mix' && step.tempC !== null) doughC = Math.min(45, step.tempC);
    steps.push({ stepId: step.id, kind: step.kind, stretch, startS, endS: atS, timed });
    before = step;
  }
  if (bakeFromS !== null && phases[phases.length - 1]?.kind !== 'rack')
    phases.push(newPhase('rack', 3 * 3600, 0));
  const thawed = frozenS > 0 ? afterFreezing(leavening, frozenS / WEEK_S) : null;
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
      leavening: thawed?.ok ? thawed.value : leavening,
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
            topping: toppingOf(whole, book),
            perLoad: loadOf(formula, as, kitchen.room),
            oven: fried ? kitchen.fryer : first?.kind === 'griddle' ? ORDINARY_OVENS.griddle : kitchen.oven,
            ...(kitchen.plateThickM && { plateThickM: kitchen.plateThickM }),
            phases,
            phaseSteps,
            heats,
            roomC: kitchen.roomC,
            altitudeM: kitchen.altitudeM,
            ...(kitchen.slices && { slices: kitchen.slices }),
            preheat:
              first?.kind === 'oven'
                ? { plate: first.on === 'tray' ? null : first.on, setC: preheatStep?.tempC ?? first.setC }
                : null,
          },
    endS: Math.max(...placed.map((step) => step.endS)) + shift,
  });
}
