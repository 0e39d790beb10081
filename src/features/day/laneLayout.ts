import { HOT, type BlockLook } from '@/core/day/blockKind';
import { cx } from '@/ui/cx';
import type { BatchView, BlockView, DayView } from '@/core/day/dayView';

const HOUR_MS = 3_600_000;

/** The stretch of the clock that is drawn, in whole hours. */
export function drawnSpan({ batches, ovens, nowMs }: DayView): {
  readonly fromMs: number;
  readonly toMs: number;
} {
  const starts = batches.flatMap(({ blocks }) => blocks.map(({ startMs }) => startMs));
  const ends = batches.flatMap(({ blocks }) => blocks.map(({ endMs }) => endMs));
  const lit = ovens.flatMap(({ lit: each }) => each.map(({ atMs }) => atMs));
  const first = Math.min(nowMs, ...starts, ...lit);
  const last = Math.max(nowMs + 2 * HOUR_MS, ...ends);
  return {
    fromMs: Math.floor((first - 0.25 * HOUR_MS) / HOUR_MS) * HOUR_MS,
    toMs: Math.ceil((last + 0.5 * HOUR_MS) / HOUR_MS) * HOUR_MS,
  };
}

/** A batch's blocks in rows: strands that lie over one another go below one another. */
export function rowsOf({ blocks }: BatchView): readonly (readonly BlockView[])[] {
  const strands = new Map<string, BlockView[]>();
  for (const block of blocks) strands.set(block.strandId, [...(strands.get(block.strandId) ?? []), block]);
  const rows: BlockView[][] = [];
  for (const strand of strands.values()) {
    const from = Math.min(...strand.map(({ startMs }) => startMs));
    const row = rows.find((each) => each.every(({ endMs }) => endMs <= from));
    if (row) row.push(...strand);
    else rows.push([...strand]);
  }
  return rows;
}

export const lookOf = ({ kind, hands, startMs, endMs }: BlockView): BlockLook => {
  if (HOT.has(kind)) return 'heat';
  return hands.some(({ fromMs, toMs }) => fromMs <= startMs && toMs >= endMs) ? 'hands' : 'waits';
};

/** The colours of a block, on the lanes and on Today's clock alike. What is over is pale, but can be read: paler text could not. */
export const colourOf = (look: BlockLook, isOver: boolean): string =>
  isOver
    ? cx('border-dashed border-edge bg-surface text-soft')
    : cx(look === 'heat' && 'border-alarm bg-alarm-wash text-ink', look === 'hands' && 'border-ink bg-strong text-strong-ink', look === 'waits' && 'border-edge bg-surface text-ink'); // prettier-ignore
