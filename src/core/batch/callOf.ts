import type { Activity } from '../process/activities';
import type { BatchSheet } from './batchSheet';

/** Which of several calls a step of a sheet is, and of which bread; null where it is done once, to all of the dough. */
export interface Call extends Pick<Activity, 'load' | 'side' | 'time' | 'pieces' | 'mix'> {
  readonly wayName: string | null;
}

export function callOf(sheet: Pick<BatchSheet, 'activities' | 'ways'>, stepId: string): Call | null {
  const found = sheet.activities?.find(({ id }) => id === stepId);
  if (!found) return null;
  const { wayId, load, side, time, pieces, mix } = found;
  const wayName = sheet.ways?.find((way) => way.wayId === wayId)?.name ?? null;
  return { wayName, load, side, time, pieces, ...(mix && { mix }) };
}
