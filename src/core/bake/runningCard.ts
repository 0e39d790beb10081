import * as z from 'zod';
import { nthSchema } from '../batch/batchSheet';
import { callOf } from '../batch/callOf';
import { STEP_KINDS } from '../method/step';
import type { BakeRecord } from './bakeRecord';
import { inAlreadyG, nextThing, stillToWeigh, targetG, type BakeState } from './bakeState';
import { runningTimers } from './runningTimers';

const call = z
  .object({
    wayName: z.string().nullable(),
    load: nthSchema,
    side: nthSchema,
    time: nthSchema,
    pieces: z.number().nullable(),
  })
  .nullable();
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
    z.object({ kind: z.literal('step'), ...stepWords }),
    z.object({ kind: z.literal('log') }),
  ]),
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
    }),
  ),
});
export type RunningCard = z.infer<typeof runningCardSchema>;

/** The card of a bake under way, from its sheet and what has happened to it. */
export function runningCard(bake: Pick<BakeRecord, 'id' | 'sheet'>, state: BakeState): RunningCard {
  const { sheet } = bake;
  return { name: sheet.name, next: nextOf(sheet, state), timers: runningTimers(bake, state) };
}

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
  return step
    ? { kind: 'step', stepKind: step.kind, stepTitle: step.title, call: callOf(sheet, step.id) }
    : { kind: 'log' };
}
