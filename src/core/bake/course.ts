import type { BatchSheet } from '../batch/batchSheet';
import type { IngredientBook } from '../ingredients/ingredientBook';
import { newStep, STEP_LIMITS, type MethodStep, type StepKind } from '../method/step';
import { CUE_LIMITS } from '../method/standingLimits';
import type { BakeAction } from './bakeEvent';
import { isStepDone, targetG, timerLeftS, type BakeState } from './bakeState';
import { asSetAnew } from './conductor';

export type CourseChange = Extract<BakeAction, { type: 'courseChanged' }>;
type Sheet = Pick<BatchSheet, 'steps' | 'activities' | 'stages'>;

const RISES: ReadonlySet<StepKind> = new Set(['rest', 'bulk', 'proof', 'chill']);
/** Less than this is not worth a step of its own, s. */
const LEAST_S = 300;

/** Nobody waits by the second. */
const toMinutes = (s: number): number => Math.round(s / 60) * 60;

const nothing = () => ({ puts: [], drops: [], sets: [], targets: [], lostPieces: null });

/** A dough that stands, or will, can stand in the fridge instead: not what is cold already. */
export const canChill = ({ kind }: Pick<MethodStep, 'kind'>): boolean => RISES.has(kind) && kind !== 'chill';

/** What a dough is when it comes out of the cold. */
interface ColdThen {
  /** How long what has begun goes on after it, s; null: as long as its clock had left. */
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
 * Into the fridge now, and on with it when it comes out. What has begun ends where it is, and is gone on with after the cold for as long as is said; what
 * has not begun is done after it. The cold's clock runs from now on.
 *
 * @param coldS how long it stands there, s
 * @param nowMs when
 * @returns what to do, one after the other
 */
export function coldCourse(sheet: Sheet, state: BakeState, stepId: string, coldS: number, { onS, grownPercent }: ColdThen, nowMs: number): BakeAction[] {
  const found = sheet.steps.find(({ id }) => id === stepId);
  if (!found || isStepDone(state, stepId) || !canChill(found)) return [];
  const step = asSetAnew(found, state);
  const timer = state.steps.get(stepId)?.timer ?? null;
  const number = state.lastSeq + 1;
  const cold: MethodStep = { ...newStep('chill', `cold-${number}`), minS: toMinutes(coldS), stands: { place: 'fridge' } };
  const clock: BakeAction = { type: 'timerStarted', stepId: cold.id, durationS: toMinutes(coldS) };
  if (!timer) return [{ type: 'courseChanged', by: 'cold', ...nothing(), puts: [{ atStepId: stepId, where: 'before', step: cold }] }, clock];
  const leftS = toMinutes(onS ?? Math.max(0, timerLeftS(timer, nowMs)));
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
    { type: 'stepDone', stepId },
    clock,
  ];
} // prettier-ignore

/** Lines of yeast, or of a starter, of which nothing is in yet; empty as soon as some of any is, or it is mixed. */
export function leavenToCome(sheet: Sheet, state: BakeState, book: IngredientBook): { readonly lineId: string; readonly massG: number }[] {
  const lines = sheet.stages.flatMap((stage) => stage.lines).filter(({ ingredientId }) => {
    const roles = book.get(ingredientId)?.roles;
    return roles?.includes('leaven') || roles?.includes('starter');
  });
  const isMixed = sheet.steps.some(({ id, kind }) => kind === 'mix' && isStepDone(state, id));
  if (isMixed || lines.some(({ id }) => state.weighed.has(id) || state.parts.has(id) || state.leftOut.has(id))) return [];
  return lines.map((line) => ({ lineId: line.id, massG: targetG(line, state) }));
} // prettier-ignore

/**
 * So many times the yeast, while none is in, with rises as long as it takes then.
 *
 * @param made the same method made with that much yeast: steps that keep their ids (`withLever`)
 * @returns null where there is nothing to change
 */
export function yeastCourse(sheet: Sheet, state: BakeState, times: number, made: readonly MethodStep[], book: IngredientBook): CourseChange | null {
  const leaven = leavenToCome(sheet, state, book);
  if (leaven.length === 0) return null;
  const sets = sheet.steps.flatMap((step) => {
    const durationS = made.find(({ id }) => id === step.id)?.minS ?? null;
    return durationS === null || durationS === step.minS || !RISES.has(step.kind) ? [] : [{ stepId: step.id, durationS: Math.round(durationS) }];
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
