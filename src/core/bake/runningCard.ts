import * as z from 'zod';
import { nthSchema } from '../batch/batchSheet';
import { callOf } from '../batch/callOf';
import { PLATE_KINDS } from '../method/heating';
import { STEP_KINDS } from '../method/step';
import type { BakeRecord } from './bakeRecord';
import { inAlreadyG, isRunning, isStepDone, targetG, type BakeState } from './bakeState';
import { nextThing, stillToWeigh } from './toWeigh';
import { ovenAsked, waitBefore, type OvenWanted, type Wait } from './ovenDue';
import { runningTimers } from './runningTimers';
import { sheetNow } from './sheetNow';

const call = z
  .object({
    wayName: z.string().nullable(),
    load: nthSchema,
    side: nthSchema,
    time: nthSchema,
    pieces: z.number().nullable(),
  })
  .nullable();
const wait = z.object({ endsMs: z.array(z.number()), thenS: z.number() });
const stepWords = { stepKind: z.enum(STEP_KINDS), stepTitle: z.string(), call };

/** What a list shows of a bake under way: what it needs next, and its timers, the next to end first. */
export const runningCardSchema = z.object({
  name: z.string(),
  next: z.discriminatedUnion('kind', [
    z.object({
      kind: z.literal('weigh'),
      name: z.string(),
      massG: z.number(),
      done: z.number(),
      of: z.number(),
    }),
    z.object({ kind: z.literal('step'), stepId: z.string(), ...stepWords }),
    z.object({ kind: z.literal('log') }),
  ]),
  /** The step after whatever is running, and what it waits for; null: nothing is running, or nothing comes after it. */
  then: z.object({ stepId: z.string(), ...stepWords, wait }).nullable(),
  /** The oven that is to be lit for it. */
  oven: z
    .object({
      stepId: z.string(),
      ovenId: z.string().nullable(),
      ovenName: z.string(),
      setC: z.number(),
      plate: z.enum(PLATE_KINDS).nullable(),
      wait,
      leadS: z.number(),
    })
    .nullable(),
  /** Since when all of it stands still. */
  pausedAtMs: z.number().nullable(),
  /** Whose it is; null: nobody said. */
  withWhom: z.string().nullable(),
  timers: z.array(
    z.object({
      bakeId: z.string(),
      bakeName: z.string(),
      stepId: z.string(),
      ...stepWords,
      /** The sign to watch for. */
      until: z.string(),
      /** By the server's clock, ms since 1970. */
      endsAtMs: z.number(),
      mayUntilMs: z.number().nullable(),
    }),
  ),
});
export type RunningCard = z.infer<typeof runningCardSchema>;

/** The kitchen's ovens, as far as a card asks: how long one takes to be hot, and what it is called. */
export interface CardOvens {
  readonly heatUpS: (wanted: OvenWanted) => number | null;
  readonly nameOf: (ovenId: string | null) => string;
}

/** The card of a bake under way, from its sheet and what has happened to it. */
export function runningCard(
  bake: Pick<BakeRecord, 'id' | 'sheet'>,
  state: BakeState,
  ovens: CardOvens,
): RunningCard {
  const sheet = sheetNow(bake.sheet, state);
  return {
    name: sheet.name,
    next: nextOf(sheet, state),
    then: thenOf(sheet, state),
    // what stands still calls for no oven
    oven: state.pause ? null : ovenOf(sheet, state, ovens),
    timers: runningTimers(bake, state),
    pausedAtMs: state.pause?.atMs ?? null,
    withWhom: state.withWhom,
  };
}

const open = ({ endsMs, thenS }: Wait) => ({ endsMs: [...endsMs], thenS });

const wordsOf = (sheet: BakeRecord['sheet'], step: BakeRecord['sheet']['steps'][number]) => ({
  stepId: step.id,
  stepKind: step.kind,
  stepTitle: step.title,
  call: callOf(sheet, step.id),
});

function thenOf(sheet: BakeRecord['sheet'], state: BakeState): RunningCard['then'] {
  const { steps } = sheet;
  const isOpen = ({ id }: { readonly id: string }) => !isStepDone(state, id);
  const runs = ({ id }: { readonly id: string }) => isRunning(state.steps.get(id)?.timer);
  if (state.endedAtMs !== null || !steps.some((step) => isOpen(step) && runs(step))) return null;
  const at = steps.findIndex((step) => isOpen(step) && !runs(step) && step.kind !== 'preheat');
  const step = steps[at];
  return step ? { ...wordsOf(sheet, step), wait: open(waitBefore(sheet, state, at)) } : null;
}

function ovenOf(sheet: BakeRecord['sheet'], state: BakeState, { heatUpS, nameOf }: CardOvens): RunningCard['oven'] {
  const asked = ovenAsked(sheet, state, heatUpS);
  if (!asked) return null;
  const { stepId, ovenId, setC, plate, wait: before, leadS } = asked;
  return { stepId, ovenId, ovenName: nameOf(ovenId), setC, plate, wait: open(before), leadS };
} // prettier-ignore

function nextOf(sheet: BakeRecord['sheet'], state: BakeState): RunningCard['next'] {
  const next = nextThing(sheet, state);
  if (next.kind === 'log' || next.kind === 'ended') return { kind: 'log' };
  if (next.kind === 'weigh') {
    const line = stillToWeigh(sheet, state).now[0]!;
    return {
      kind: 'weigh',
      name: line.name,
      massG: Math.abs(targetG(line, state) - inAlreadyG(line.id, state)),
      done: next.done,
      of: next.of,
    };
  }
  const step = sheet.steps.find(({ id }) => id === next.stepId);
  return step ? { kind: 'step', ...wordsOf(sheet, step) } : { kind: 'log' };
}
