import { callOf, type Call } from '../batch/callOf';
import type { BakeRecord } from './bakeRecord';
import { asSetAnew } from './conductor';
import { isRunning, type BakeState } from './bakeState';
import { sheetNow } from './sheetNow';

/** A timer under way, with what it is the timer of. */
export interface RunningTimer {
  readonly bakeId: string;
  readonly bakeName: string;
  readonly stepId: string;
  readonly stepKind: BakeRecord['sheet']['steps'][number]['kind'];
  readonly stepTitle: string;
  /** Which of several calls it is. */
  readonly call: Call | null;
  /** The sign to watch for, in the baker's words. */
  readonly until: string;
  /** By the server's clock, ms since 1970. */
  readonly endsAtMs: number;
  /** Until when it may wait after that by its method; null: the method does not say. */
  readonly mayUntilMs: number | null;
}

/** The timers of a bake that have been started and not been answered, the next to end first. None once it has ended. */
export function runningTimers(
  { id, sheet }: Pick<BakeRecord, 'id' | 'sheet'>,
  state: BakeState,
): RunningTimer[] {
  if (state.endedAtMs !== null) return [];
  const now = sheetNow(sheet, state);
  return now.steps
    .flatMap((step): RunningTimer[] => {
      const timer = state.steps.get(step.id)?.timer;
      const { maxS } = asSetAnew(step, state);
      if (!isRunning(timer)) return [];
      return [
        {
          bakeId: id,
          bakeName: sheet.name,
          stepId: step.id,
          stepKind: step.kind,
          stepTitle: step.title,
          call: callOf(now, step.id),
          until: step.until,
          endsAtMs: timer.startedAtMs + timer.durationS * 1000,
          // whoever gave it longer knows why
          mayUntilMs: maxS === null ? null : timer.startedAtMs + Math.max(maxS, timer.durationS) * 1000,
        },
      ];
    })
    .sort((a, b) => a.endsAtMs - b.endsAtMs);
}
