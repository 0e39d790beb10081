import type { BakeAction, BakeEvent } from './bakeEvent';

/** What is looked for in a log: what happened at a moment, to which step or line where it has one. */
export interface Moment {
  readonly type: BakeAction['type'];
  readonly atMs: number;
  readonly stepId?: string;
  readonly lineId?: string;
}

/** Who did it; null: nobody said, or there is no such moment. */
export function whoDid(events: readonly BakeEvent[], { type, atMs, stepId, lineId }: Moment): string | null {
  const event = events.find(
    ({ action, atMs: at }) =>
      at === atMs &&
      action.type === type &&
      (stepId === undefined || ('stepId' in action && action.stepId === stepId)) &&
      (lineId === undefined || ('lineId' in action && action.lineId === lineId)),
  );
  return event?.by ?? null;
}

/** Who was at it, and how much each did, most first. */
export function handsOf(events: readonly BakeEvent[]): readonly { readonly who: string; readonly count: number }[] {
  const counts = new Map<string, number>();
  for (const { by } of events) if (by !== undefined) counts.set(by, (counts.get(by) ?? 0) + 1);
  return [...counts].map(([who, count]) => ({ who, count })).sort((a, b) => b.count - a.count);
} // prettier-ignore
