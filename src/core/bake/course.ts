import type { BatchSheet } from '../batch/batchSheet';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { isRising } from '../method/risingSteps';
import { CUE_LIMITS } from '../method/standingLimits';
import { newStep, STEP_LIMITS, type MethodStep } from '../method/step';
import { onceS } from '../method/usualTimes';
import type { BakeAction } from './bakeEvent';
import { RIM_PERCENT } from './bakeLimits';
import { isStepDone, targetG, timerLeftS, type BakeState } from './bakeState';
import { asSetAnew } from './conductor';

export type CourseChange = Extract<BakeAction, { type: 'courseChanged' }>;
type Sheet = Pick<BatchSheet, 'steps' | 'activities' | 'stages'>;

/** Less than this is not worth a step of its own, s. */
const LEAST_S = 300;

/** Nobody waits by the second. */
const toMinutes = (s: number): number => Math.round(s / 60) * 60;

const nothing = () => ({ puts: [], drops: [], sets: [], targets: [], lostPieces: null });

/** A dough that stands can stand in the fridge instead: not what is cold already. */
const canStandCold = (step: MethodStep): boolean => isRising(step) && step.kind !== 'chill';

/** What can go into the fridge now: a step in which a dough rises that has begun, or is the next. */
export function canChill({ steps }: Pick<Sheet, 'steps'>, state: BakeState, stepId: string): boolean {
  const step = steps.find(({ id }) => id === stepId);
  if (!step || !canStandCold(step) || isStepDone(state, stepId)) return false;
  return (
    state.steps.get(stepId)?.timer != null || steps.find(({ id }) => !isStepDone(state, id))?.id === stepId
  );
}

/** What a dough is when it comes out of the cold. */
interface ColdThen {
  /** How long it is gone on with after it, s; null: as long as its clock had left, or as is planned. */
  readonly onS: number | null;
  /** By how much it has grown by then since its step began, %; null: nobody knows, and no height is waited for any more. */
  readonly grownPercent: number | null;
}

/** A height that is waited for, counted from when it comes out; what is left of it, but for a last bit. */
function cueAfter(cue: MethodStep['cue'], grownPercent: number | null): Pick<MethodStep, 'cue'> {
  if (!cue || (cue.kind === 'grown' && grownPercent === null)) return {};
  if (cue.kind !== 'grown') return { cue };
  const leftPercent = 100 * ((100 + cue.percent) / (100 + (grownPercent ?? 0)) - 1);
  return leftPercent < CUE_LIMITS.grownPercent.min ? {} : { cue: { kind: 'grown', percent: Math.round(leftPercent * 10) / 10 } };
} // prettier-ignore

/**
 * Into the fridge now, and on with it when it comes out: the step ends where it is (one that has not begun is skipped), the cold follows, its clock running
 * from now on, and after it the same step for as long as is said.
 *
 * @param coldS how long it stands there, s
 * @param nowMs when
 * @returns what to do, one after the other; nothing where `canChill` says no
 */
export function coldCourse(sheet: Sheet, state: BakeState, stepId: string, coldS: number, { onS, grownPercent }: ColdThen, nowMs: number): BakeAction[] {
  const found = sheet.steps.find(({ id }) => id === stepId);
  if (!found || !canChill(sheet, state, stepId)) return [];
  const step = asSetAnew(found, state);
  const timer = state.steps.get(stepId)?.timer ?? null;
  const number = state.lastSeq + 1;
  const cold: MethodStep = { ...newStep('chill', `cold-${number}`), minS: toMinutes(coldS), stands: { place: 'fridge' } };
  const planned = timer ? Math.max(0, timerLeftS(timer, nowMs)) : onceS(step);
  const leftS = toMinutes(onS ?? planned);
  const { maxS: _, takes: __, again: ___, cue, ...same } = step;
  const on: MethodStep = { ...same, id: `on-${number}`, minS: Math.min(leftS, STEP_LIMITS.durationS.max), maxS: null, ...cueAfter(cue, grownPercent) };
  return [
    {
      type: 'courseChanged', by: 'cold', ...nothing(),
      puts: [
        { atStepId: stepId, where: 'after', step: cold },
        ...(leftS >= LEAST_S ? [{ atStepId: cold.id, where: 'after' as const, step: on }] : []),
      ],
    },
    { type: timer ? 'stepDone' : 'stepSkipped', stepId },
    { type: 'timerStarted', stepId: cold.id, durationS: toMinutes(coldS) },
  ];
} // prettier-ignore

/** Lines of yeast, or of a starter, of which nothing is in yet; empty as soon as some of any is, it is mixed, or its amount was changed already. */
export function leavenToCome(sheet: Sheet, state: BakeState, book: IngredientBook): { readonly lineId: string; readonly massG: number }[] {
  const lines = sheet.stages.flatMap((stage) => stage.lines).filter(({ ingredientId }) => {
    const roles = book.get(ingredientId)?.roles;
    return roles?.includes('leaven') || roles?.includes('starter');
  });
  const isMixed = sheet.steps.some(({ id, kind }) => kind === 'mix' && isStepDone(state, id));
  const isChanged = state.courses.some(({ by }) => by === 'yeast');
  if (isMixed || isChanged || lines.some(({ id }) => state.weighed.has(id) || state.parts.has(id) || state.leftOut.has(id))) return [];
  return lines.map((line) => ({ lineId: line.id, massG: targetG(line, state) }));
} // prettier-ignore

/**
 * So many times the yeast, while none is in, with rises as much longer as it takes then.
 *
 * @param written the method as its formula has it; `made` the same with that much yeast (`withLever`): steps that keep their ids
 * @returns null where there is nothing to change
 */
export function yeastCourse(sheet: Sheet, state: BakeState, times: number, written: readonly MethodStep[], made: readonly MethodStep[], book: IngredientBook): CourseChange | null {
  const leaven = leavenToCome(sheet, state, book);
  if (leaven.length === 0) return null;
  const sets = sheet.steps.flatMap((step) => {
    const [before, after] = [written, made].map((steps) => steps.find(({ id }) => id === step.id)?.minS ?? null);
    // of this bake's own time: it may have been begun otherwise than its formula says
    const durationS = before && after ? Math.round((onceS(step) * after) / before / 60) * 60 : null;
    return durationS === null || after === before || !isRising(step) ? [] : [{ stepId: step.id, durationS }];
  });
  return { type: 'courseChanged', by: 'yeast', ...nothing(), sets, targets: leaven.map(({ lineId, massG }) => ({ lineId, massG: Math.round(massG * times * 100) / 100 })) };
} // prettier-ignore

/**
 * The load of a call is lost: nothing more is done with it, in this step and in those that take the same loads.
 *
 * @returns null for what is no load of several pieces, or done already
 */
export function lostCourse(sheet: Sheet, state: BakeState, stepId: string): CourseChange | null {
  const activity = sheet.activities?.find(({ id }) => id === stepId);
  if (!activity?.load) return null;
  const mine = sheet.activities?.filter(({ wayId, load, pieces }) => wayId === activity.wayId && load?.at === activity.load?.at && load?.of === activity.load?.of && pieces === activity.pieces);
  const drops = (mine ?? []).map(({ id }) => id).filter((id) => !isStepDone(state, id));
  if (drops.length === 0) return null;
  return { type: 'courseChanged', by: 'lost', ...nothing(), drops, lostPieces: activity.pieces };
} // prettier-ignore

/** Pieces that were lost on the way. */
export const lostPieces = ({ courses }: Pick<BakeState, 'courses'>): number =>
  courses.reduce((sum, { lostPieces: lost }) => sum + (lost ?? 0), 0);

/** Loaves that are to go into the oven, and of which none has been in it: they can still be put into another tin. */
export function canChangeTin({ steps }: Pick<Sheet, 'steps'>, state: BakeState): boolean {
  const bakes = steps.filter(({ kind }) => kind === 'bake');
  return bakes.length > 0 && bakes.every(({ id }) => !isStepDone(state, id) && !state.steps.get(id)?.timer);
}

/**
 * Another tin for all of them: baked so many times as long, and grown no further than to its rim.
 *
 * @param times as long as in the tin that was planned, whichever it is in by now; null: nobody knows, the times are as planned and the core decides
 * @returns null where `canChangeTin` says no
 */
export function tinCourse(sheet: Sheet, state: BakeState, tin: { readonly name: string; readonly rimPercent: number }, times: number | null): CourseChange | null {
  if (!canChangeTin(sheet, state)) return null;
  // a second one is not so many times of what the first one made of it
  const planned = state.courses.find(({ by }) => by === 'tin')?.before ?? state;
  const sets = sheet.steps.flatMap((each) => {
    if (each.kind !== 'bake') return [];
    const step = asSetAnew(each, planned);
    const durationS = times === null ? step.minS : Math.max(60, toMinutes(onceS(step) * times));
    return durationS === null || durationS === asSetAnew(each, state).minS ? [] : [{ stepId: step.id, durationS }];
  });
  const rimPercent = Math.min(RIM_PERCENT.max, Math.max(RIM_PERCENT.min, Math.round(tin.rimPercent)));
  return { type: 'courseChanged', by: 'tin', ...nothing(), sets, tin: { name: tin.name, rimPercent } };
} // prettier-ignore

/** No dough of this kind grows so far, %: in such a tin it does not come to the rim. */
export const BEYOND_RIM_PERCENT = 180;

/** The tin it goes into by now, where that is not the one that was planned. */
export const tinNow = ({ courses }: Pick<BakeState, 'courses'>) =>
  courses.findLast(({ tin }) => tin !== null)?.tin ?? null;
