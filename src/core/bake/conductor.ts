import type { BatchSheet } from '../batch/batchSheet';
import { callOf, type Call } from '../batch/callOf';
import type { MethodStep, StepKind } from '../method/step';
import { RECOVERS_S } from '../process/processOf';
import { isRunning, isStepDone, type BakeState, type Look, type Timer } from './bakeState';

/** What heats pieces, and how long it takes between two loads, s. */
const RECOVERS: Partial<Record<StepKind, number | undefined>> = {
  bake: RECOVERS_S.oven,
  fry: RECOVERS_S.fryer,
  boil: RECOVERS_S.kettle,
  griddle: RECOVERS_S.plate,
};

/** What pieces come out of baked through, by what it is done in; what only boils is baked after. */
const DONE_IN: Partial<Record<StepKind, 'oven' | 'fryer' | 'plate'>> = {
  bake: 'oven',
  coast: 'oven',
  fry: 'fryer',
  griddle: 'plate',
};
/** Done meanwhile. */
const MEANWHILE: ReadonlySet<StepKind> = new Set(['turn', 'rotate', 'preheat']);

/** What comes out is looked at for core and colour. */
export const isLookedAt = ({ kind }: Pick<MethodStep, 'kind'>): boolean =>
  kind in DONE_IN && kind !== 'coast';

/**
 * Whether its core and its colour tell how long the rest of a batch should have: it is done when it comes out of this very step, which is neither
 * the first nor the second of two that bake.
 */
export function isTold(sheet: Pick<BatchSheet, 'steps' | 'activities'>, stepId: string): boolean {
  const activityOf = (id: string) => sheet.activities?.find((each) => each.id === id);
  const wayId = activityOf(stepId)?.wayId ?? null;
  const partOf = (id: string) => activityOf(id)?.stepId ?? id;
  const ofWay = sheet.steps.filter(
    ({ id, kind }) => (activityOf(id)?.wayId ?? null) === wayId && !MEANWHILE.has(kind),
  );
  const steps = ofWay.filter(
    ({ id }, at) => ofWay.findIndex((other) => partOf(other.id) === partOf(id)) === at,
  );
  const at = steps.findIndex(({ id }) => partOf(id) === partOf(stepId));
  const here = steps[at];
  const isAsIn = (other: MethodStep | undefined) => !!other && DONE_IN[other.kind] === DONE_IN[here!.kind];
  return !!here && isLookedAt(here) && !isAsIn(steps[at - 1]) && !isAsIn(steps[at + 1]);
}

/** A step as it is meant by now: what a first load or a trial taught may have set its time and its heat anew. */
export function asSetAnew(step: MethodStep, { anew }: Pick<BakeState, 'anew'>): MethodStep {
  const set = anew.get(step.id);
  return set ? { ...step, minS: set.durationS, maxS: null, tempC: set.tempC ?? step.tempC } : step;
}

/** One call of a round: a load, a side, a time. */
export interface RoundCall {
  readonly step: MethodStep;
  readonly call: Call;
  readonly state: 'done' | 'skipped' | 'running' | 'open';
  readonly timer: Timer | null;
  /** What came out, as it was last looked at. */
  readonly look: Look | null;
}

/** Loads, sides and times that are called one after another. */
export interface Round {
  readonly calls: readonly RoundCall[];
  /** Of the call that was asked for. */
  readonly at: number;
  /** What is called after it. */
  readonly next: RoundCall | null;
  /** It stays where it is and is only turned, or stirred: the next begins as this one ends. */
  readonly goesOn: boolean;
  /** When what heats it is hot again after the load before, ms; null: nothing was in it, or it needs no time. */
  readonly hotAgainMs: number | null;
}

/** The round that a step of a bake belongs to; null: it is done once, to everything. */
export function roundOf(
  sheet: Pick<BatchSheet, 'steps' | 'activities' | 'ways'>,
  state: BakeState,
  stepId: string,
): Round | null {
  const activityOf = (id: string) => sheet.activities?.find((each) => each.id === id);
  const mine = activityOf(stepId);
  const place = sheet.steps.findIndex(({ id }) => id === stepId);
  const isOfRound = (at: number): boolean => {
    const other = activityOf(sheet.steps[at]?.id ?? '');
    return !!other && !!(other.load ?? other.side ?? other.time) && other.wayId === mine?.wayId;
  };
  if (place === -1 || !isOfRound(place)) return null;
  let from = place;
  while (isOfRound(from - 1)) from -= 1;
  let to = place + 1;
  while (isOfRound(to)) to += 1;
  if (to - from < 2) return null;
  const calls = sheet.steps.slice(from, to).map((step): RoundCall => {
    const progress = state.steps.get(step.id);
    const done = isStepDone(state, step.id);
    return {
      step: asSetAnew(step, state),
      call: callOf(sheet, step.id)!,
      state: done ? (progress?.doneAtMs == null ? 'skipped' : 'done') : isRunning(progress?.timer) ? 'running' : 'open',
      timer: progress?.timer ?? null,
      look: state.looks.findLast((look) => look.stepId === step.id && look.trialOf === null) ?? null,
    };
  });
  const at = place - from;
  const next = calls.slice(at + 1).find((each) => each.state === 'open') ?? null;
  const here = calls[at]!;
  return { calls, at, next, goesOn: next !== null && isSameLoad(here, next), hotAgainMs: hotAgainMs(calls, at, state) };
} // prettier-ignore

const isSameLoad = (a: RoundCall, b: RoundCall): boolean => a.call.load?.at === b.call.load?.at;

/** A load that came out just now took its heat along. */
function hotAgainMs(calls: readonly RoundCall[], at: number, state: BakeState): number | null {
  const here = calls[at]!;
  const before = calls.slice(0, at).findLast((each) => each.state === 'done' && !isSameLoad(each, here));
  const doneAtMs = before ? (state.steps.get(before.step.id)?.doneAtMs ?? null) : null;
  const recoversS = before && RECOVERS[before.step.kind];
  return doneAtMs === null || !recoversS ? null : doneAtMs + recoversS * 1000;
}

/** How often a load is turned, or done again, within its step: its whole time is so many times that of one call. */
export function passesOf({ activities }: Pick<BatchSheet, 'activities'>, stepId: string): number {
  const mine = activities?.find(({ id }) => id === stepId);
  const isOfMine = (each: NonNullable<typeof activities>[number]) =>
    each.stepId === mine?.stepId && each.wayId === mine.wayId && each.load?.at === mine.load?.at;
  return mine ? (activities ?? []).filter(isOfMine).length : 1;
}

/** The calls that are done the same way as this one and still are to come: other loads and sides of the same step. */
export function alikeOpen(
  sheet: Pick<BatchSheet, 'steps' | 'activities'>,
  state: BakeState,
  stepId: string,
): string[] {
  const of = (id: string) => sheet.activities?.find((each) => each.id === id);
  const mine = of(stepId);
  return sheet.steps
    .filter(({ id }) => !isStepDone(state, id) && !isRunning(state.steps.get(id)?.timer))
    .filter(({ id }) => id === stepId || (mine && of(id)?.stepId === mine.stepId))
    .map(({ id }) => id);
} // prettier-ignore
