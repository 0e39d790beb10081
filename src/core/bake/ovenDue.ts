import type { BatchSheet } from '../batch/batchSheet';
import type { Plate } from '../heat/parameters';
import type { MethodStep } from '../method/step';
import { isRunning, isStepDone, timerLeftS, type BakeState } from './bakeState';

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

/** How long until a step may begin if all before it goes as it is meant, at its shortest: what is running by its clock; heating up runs beside it. */
function untilS({ steps }: Pick<BatchSheet, 'steps'>, state: BakeState, before: number, nowMs: number): number {
  return steps.slice(0, before).reduce((sum, step) => {
    if (step.kind === 'preheat' || isStepDone(state, step.id)) return sum;
    const timer = state.steps.get(step.id)?.timer;
    return sum + (isRunning(timer) ? Math.max(0, timerLeftS(timer, nowMs)) : (step.minS ?? USUAL_S));
  }, 0);
} // prettier-ignore

/** The oven a bake asks for next, that nobody has said is lit; null: none is wanted, it is lit, or what goes in has no temperature. */
export function ovenDue(sheet: Pick<BatchSheet, 'steps'>, state: BakeState, heatUpS: (wanted: OvenWanted) => number | null, nowMs: number): OvenDue | null {
  if (state.endedAtMs !== null) return null;
  const { steps } = sheet;
  const at = steps.findIndex(({ kind, id }) => BAKES.has(kind) && !isStepDone(state, id));
  const load = steps[at];
  if (!load) return null;
  // it has had a load already, or this one is in
  if (isRunning(state.steps.get(load.id)?.timer) || steps.slice(0, at).some(({ kind, id }) => BAKES.has(kind) && isStepDone(state, id))) return null;
  if (state.lit.length > 0) return null;
  const preheats = steps.slice(0, at).filter(({ kind }) => kind === 'preheat');
  if (preheats.some(({ id }) => isStepDone(state, id) || state.steps.get(id)?.timer)) return null;
  const preheat = preheats.at(-1) ?? null;
  // often hotter than what it bakes at: the door is opened
  const setC = preheat?.tempC ?? load.tempC;
  if (setC === null) return null;
  const wanted: OvenWanted = { ovenId: load.heat?.ovenId ?? preheat?.heat?.ovenId ?? null, setC, plate: load.heat?.on ?? preheat?.heat?.on ?? null };
  // by the oven model; where that does not know, as the method says
  const leadS = heatUpS(wanted) ?? preheat?.minS ?? null;
  if (leadS === null) return null;
  const wantedMs = nowMs + 1000 * untilS(sheet, state, at, nowMs);
  return { ...wanted, stepId: load.id, preheatId: preheat?.id ?? null, wantedMs, atMs: wantedMs - 1000 * leadS };
} // prettier-ignore
