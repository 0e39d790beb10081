import type { BatchSheet } from './batchSheet';

/** Which of several calls a step of a sheet is, and of which bread; null where it is done once, to all of the dough. */
export interface Call {
  readonly wayName: string | null;
  readonly load: { readonly at: number; readonly of: number } | null;
  readonly side: { readonly at: number; readonly of: number } | null;
  readonly time: { readonly at: number; readonly of: number } | null;
  readonly pieces: number | null;
}

export function callOf(sheet: Pick<BatchSheet, 'activities' | 'ways'>, stepId: string): Call | null {
  const found = sheet.activities?.find(({ id }) => id === stepId);
  if (!found) return null;
  const { wayId, load, side, time, pieces } = found;
  const wayName = sheet.ways?.find((way) => way.wayId === wayId)?.name ?? null;
  return { wayName, load, side, time, pieces };
}
