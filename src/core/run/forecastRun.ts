import type { Consistency } from '../consistency/consistency';
import { bakedVolume } from '../fermentation/spring';
import { PLAIN_TEMPER } from '../fermentation/stepper';
import { riseCurve, type RiseCurve } from '../fermentation/riseCurve';
import { checkBake, springsOf, type BakeQuestion, type BakeSimulation } from '../heat/bake';
import { bakeForecast, type BakeForecast, type Progress } from '../heat/forecast';
import { preheatForecast, type PreheatForecast } from '../heat/preheat';
import { oilTaken } from '../heat/oilTaken';
import { newPhase } from '../heat/programme';
import type { Range } from '../numeric/range';
import { ok, type Problem, type Result } from '../result';
import { asLearnt } from '../slice/learnSlice';
import { sliceOf, standsOverWidth, type SliceFigures, type SliceSources } from '../slice/slice';
import type { Run } from './runOf';

/** A run with everything that can be said of it. What a model refuses is null and carries its problem. */
export interface RunForecast {
  readonly rise: RiseCurve;
  /** Baked volume over that of the dough from the bowl. */
  readonly bakedVolume: number;
  readonly bake: BakeForecast | null;
  readonly bakeProblem: Problem | null;
  /** Of what is fried: oil that a piece takes up, share of its weight as it goes in. */
  readonly oilTaken: Range | null;
  readonly preheat: PreheatForecast | null;
  readonly slice: SliceFigures | null;
}

const NOTHING = { bake: null, bakeProblem: null, oilTaken: null, preheat: null, slice: null } as const;

/** What of the consistency the run asks. */
export type RunFeel = Pick<Consistency, 'rested' | 'holds' | 'clings'>;

const temperOfLearnt = (learnt: Run['rise']['learnt']) => ({
  ...PLAIN_TEMPER,
  holding: learnt?.holding.value ?? 1,
});

/** A big loaf may take five hours to cool through. */
const COOL_S = { from: 2 * 3600, perG: 14, most: 6 * 3600 } as const;

/** Which step of the method a problem of its bake is about; null: none alone. */
export function stepOfProblem(run: Pick<Run, 'bake'>, { path }: Problem): string | null {
  const phase = /^phases\.(\d+)\./.exec(path)?.[1];
  return (phase && run.bake?.phaseSteps[Number(phase)]) || null;
}

/** The bake a run leads to, once it is known how far the dough has risen. */
export function bakeQuestionOf(
  run: Pick<Run, 'rise' | 'bake'>,
  rise: RiseCurve,
  feel: RunFeel,
): BakeQuestion | null {
  const { bake } = run;
  if (!bake) return null;
  const { leavening, learnt, pressurePa } = run.rise;
  const grown = bakedVolume(rise.end, leavening, temperOfLearnt(learnt), pressurePa);
  const bubbleFreeMl = leavening.doughG / (bake.matter.densityKgPerM3 / 1000);
  const lightness = Math.min(6, Math.max(1, (grown * leavening.doughMl) / bubbleFreeMl));
  const free = bake.shape === 'hearth' || bake.shape === 'roll' || bake.shape === 'touchingRolls';
  let { lengthCm } = bake;
  if (free && lengthCm === null) {
    const volumeCm3 = (bake.massG / (bake.matter.densityKgPerM3 / 1000)) * lightness;
    const ratio = standsOverWidth(feel.rested.s, bake.shape === 'hearth' ? 0.42 : 0.55);
    lengthCm = Math.min(120, Math.max(2, Math.cbrt((4 * volumeCm3) / (Math.PI * ratio))));
  }
  const cools = Math.min(COOL_S.most, COOL_S.from + COOL_S.perG * bake.massG);
  const last = bake.phases[bake.phases.length - 1];
  const phases =
    last?.kind === 'rack'
      ? [...bake.phases.slice(0, -1), { ...last, durationS: Math.max(last.durationS, cools) }]
      : [...bake.phases, newPhase('rack', cools, 0)];
  return {
    matter: bake.matter,
    piece: {
      shape: bake.shape,
      massG: bake.massG,
      lightness,
      springs: Math.max(1, grown / rise.end.volume),
      lengthCm,
      widthCm: bake.widthCm,
    },
    eatenWarm: bake.eatenWarm,
    ...(bake.topping && { topping: bake.topping }),
    startC: Math.min(45, rise.end.tempC),
    roomC: bake.roomC,
    altitudeM: bake.altitudeM,
    oven: bake.oven,
    tin: bake.tin,
    ...(bake.plateThickM && { plateThickM: bake.plateThickM }),
    count: bake.perLoad,
    phases,
  };
}

/** What of a slice the baked body and the dough decide, colour and setting apart. */
export const bodyToDraw = (
  question: BakeQuestion,
  rise: RiseCurve,
  consistency: RunFeel,
  { body, crustMm }: Pick<BakeSimulation, 'body' | 'crustMm'>,
): Omit<SliceSources, 'brownTop' | 'brownBase' | 'setChance'> => ({
  shape: question.piece.shape,
  widthM: body.acrossM,
  heightM: body.heightM,
  porosity: body.porosity,
  consistency,
  tired: rise.end.tired,
  crustMm,
});

/**
 * Runs fermentation, heat and slice over one run. Pure and the same in a worker, on the server and in a test; pauses after each
 * simulated bake ({@link bakeForecast}).
 * @returns the limits of {@link riseCurve}: without a rise there is no run
 */
export function* forecastRun(run: Run, feel: RunFeel): Generator<Progress, Result<RunForecast>, void> {
  const rise = riseCurve(run.rise);
  if (!rise.ok) return rise;
  const { leavening, learnt, pressurePa } = run.rise;
  const shared = {
    rise: rise.value,
    bakedVolume: bakedVolume(rise.value.end, leavening, temperOfLearnt(learnt), pressurePa),
  };
  const question = bakeQuestionOf(run, rise.value, feel);
  if (!question) return ok({ ...shared, ...NOTHING });
  const checked = checkBake(question);
  if (!checked.ok) return ok({ ...shared, ...NOTHING, bakeProblem: checked.problem });
  const bake = yield* bakeForecast(question);
  if (!bake.ok) return ok({ ...shared, ...NOTHING, bakeProblem: bake.problem });
  const hot = run.bake?.preheat;
  const heated = hot
    ? preheatForecast(
        question.oven,
        hot.plate,
        hot.setC,
        question.roomC,
        hot.plate ? question.plateThickM?.[hot.plate] : undefined,
      )
    : null;
  return ok({
    ...shared,
    // a bare skin in a dry oven lets it grow less than it could
    bakedVolume: shared.bakedVolume * (springsOf(question) / (question.piece.springs ?? 1)),
    bake: bake.value,
    bakeProblem: null,
    oilTaken: oilTaken(question, bake.value),
    preheat: heated?.ok ? heated.value : null,
    slice: asLearnt(
      sliceOf({
        ...bodyToDraw(question, rise.value, feel, bake.value.simulation),
        brownTop: bake.value.brownTop.value,
        brownBase: bake.value.brownBase.value,
        setChance: bake.value.setChance,
      }),
      run.bake?.slices,
    ),
  });
}
