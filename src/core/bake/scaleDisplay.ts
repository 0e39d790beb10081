import type { BatchSheet } from '../batch/batchSheet';
import { inAlreadyG, type BakeState } from './bakeState';

/**
 * What already stands on the scale before a line is weighed when the baker does not zero in between: the bowl or jug and
 * every line of the same part that is in it. Target on the display = this + the line's own grams.
 *
 * @param vesselG weight of the empty bowl or jug, 0 when it was zeroed away at the start
 */
export function onScaleBeforeG(sheet: BatchSheet, state: BakeState, lineId: string, vesselG: number): number {
  const stage = sheet.stages.find(({ lines }) => lines.some(({ id }) => id === lineId));
  const inside = stage?.lines.filter(({ id }) => id !== lineId) ?? [];
  return inside.reduce((sum, { id }) => sum + inAlreadyG(id, state), vesselG);
}
