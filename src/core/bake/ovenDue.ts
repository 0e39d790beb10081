import type { BatchSheet } from '../batch/batchSheet';
import type { Plate } from '../heat/parameters';
import type { MethodStep } from '../method/step';
import { asSetAnew } from './conductor';
import { isRunning, isStepDone, type BakeState } from './bakeState';

/** Steps for which an oven has to be hot. */
const BAKES: ReadonlySet<MethodStep['kind']> = new Set(['bake', 'reheat', 'refresh']);
/** Work nobody gave a time takes about so long, s. */
const USUAL_S = 300;

/** An oven that has to be lit so that it is hot when its first load is ready to go in. */
export interface OvenDue {
  /** What goes in. */
  readonly stepId: string;
  /** The step of the method that says to light it; null: the method takes it for granted. */
  readonly preheatId: string | null;
  readonly ovenId: string | null;
  readonly setC: number;
  readonly plate: Plate | null;
  /** When it has to be lit, and when it is wanted hot, ms; before now: it is late. */
  readonly atMs: number;
  readonly wantedMs: number;
}

/** What an oven is asked to be. */
export interface OvenWanted {
  readonly ovenId: string | null;
  readonly setC: number;
  readonly plate: Plate | null;
}

/** What a step waits for: clocks that run beside one another, and what is still to be begun after them, s. */
export interface Wait {
  readonly endsMs: readonly number[];
  readonly thenS: number;
}

/** When it is its turn, if all before it goes as it is meant, at its shortest; as late as now. */
export const turnMs = ({ endsMs, thenS }: Wait, nowMs: number): number =>
  Math.max(nowMs, ...endsMs) + 1000 * thenS;

/** What the step at a place waits for: what is running by its clock, the rest at its shortest; heating up runs beside it. */
export function waitBefore({ steps }: Pick<BatchSheet, 'steps'>, state: BakeState, before: number): Wait {
  const left = steps.slice(0, before).filter(({ kind, id }) => kind !== 'preheat' && !isStepDone(state, id));
  const clocks = left.map((step) => {
    const { id, minS } = asSetAnew(step, state);
    const timer = state.steps.get(id)?.timer;
    return isRunning(timer) ? { endMs: timer.startedAtMs + timer.durationS * 1000 } : { s: minS ?? USUAL_S };
  });
  return {
    endsMs: clocks.flatMap(({ endMs }) => endMs ?? []),
    thenS: clocks.reduce((sum, { s = 0 }) => sum + s, 0),
  };
}

/** An oven a bake asks for, however late it is. */
export interface OvenAsked extends OvenWanted {
  readonly stepId: string;
  readonly preheatId: string | null;
  readonly wait: Wait;
  /** How long it takes to be hot. */
  readonly leadS: number;
}

/** The oven a bake asks for next, that nobody has said is lit; null: none is wanted, it is lit, or what goes in has no temperature. */
export function ovenAsked(sheet: Pick<BatchSheet, 'steps'>, state: BakeState, heatUpS: (wanted: OvenWanted) => number | null): OvenAsked | null {
  if (state.endedAtMs !== null) return null;
  const { steps } = sheet;
  const at = steps.findIndex(({ kind, id }) => BAKES.has(kind) && !isStepDone(state, id));
  const load = steps[at];
  if (!load) return null;
  // it has had a load already, or this one is in
  if (isRunning(state.steps.get(load.id)?.timer) || steps.slice(0, at).some(({ kind, id }) => BAKES.has(kind) && isStepDone(state, id))) return null;
  // or a trial of it was in
  if (state.lit.length > 0 || state.looks.some((look) => look.stepId === load.id)) return null;
  const preheats = steps.slice(0, at).filter(({ kind }) => kind === 'preheat');
  if (preheats.some(({ id }) => isStepDone(state, id) || state.steps.get(id)?.timer)) return null;
  const preheat = preheats.at(-1) ?? null;
  // often hotter than what it bakes at: the door is opened
  const setC = preheat?.tempC ?? load.tempC;
  if (setC === null) return null;
  const wanted: OvenWanted = { ovenId: load.heat?.ovenId ?? preheat?.heat?.ovenId ?? null, setC, plate: load.heat?.on ?? preheat?.heat?.on ?? null };
  // by the oven model; where that does not know, as the method says
  const leadS = heatUpS(wanted) ?? preheat?.minS ?? null;
  return leadS === null ? null : { ...wanted, stepId: load.id, preheatId: preheat?.id ?? null, wait: waitBefore(sheet, state, at), leadS };
} // prettier-ignore

/** When the oven that is asked for has to be lit. */
export function ovenDue(sheet: Pick<BatchSheet, 'steps'>, state: BakeState, heatUpS: (wanted: OvenWanted) => number | null, nowMs: number): OvenDue | null {
  const asked = ovenAsked(sheet, state, heatUpS);
  if (!asked) return null;
  const { wait, leadS, ...oven } = asked;
  const wantedMs = turnMs(wait, nowMs);
  return { ...oven, wantedMs, atMs: wantedMs - 1000 * leadS };
} // prettier-ignore
