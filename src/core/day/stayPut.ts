import type { Board } from './board';
import type { DayActivity, DayBatch, DayProblem, PlacedBatch } from './dayProblem';
import { keyOf } from './score';

/** Puts a batch where an earlier plan has it, if it may still be there beside what is on the board; false: it may not, and nothing is put. */
export function stayPut(problem: DayProblem, board: Board, batch: DayBatch, { variantId, at }: PlacedBatch): boolean {
  const { nowSlot = 0 } = problem;
  const strands = batch.variants.find(({ id }) => id === variantId)?.strands ?? [];
  const done: { activity: DayActivity; startSlot: number; ovenId: string | null }[] = [];
  const ends = new Map<string, number>();
  const fits = strands.every((strand) => {
    let before = strand.afterId === null ? null : (ends.get(strand.afterId) ?? null);
    return strand.activities.every((activity) => {
      const { startSlot, ovenId } = at[activity.id] ?? { startSlot: -1, ovenId: null };
      const { leastSlots, mostSlots, lastsSlots, heat, within } = activity;
      const waits = before === null ? leastSlots : startSlot - before;
      const { fromSlot, toSlot } = within ?? { fromSlot: nowSlot, toSlot: problem.slots - lastsSlots };
      if (waits < leastSlots || waits > (mostSlots ?? Infinity) || startSlot < fromSlot || startSlot > toSlot) return false;
      const own = heat ? { ...activity, heat: { ...heat, ovenIds: heat.ovenIds.filter((id) => id === ovenId) } } : activity;
      if (!board.isOpen(own, startSlot)) return false;
      board.put(activity, keyOf(batch.id, activity), startSlot, ovenId);
      done.push({ activity, startSlot, ovenId });
      before = startSlot + lastsSlots;
      ends.set(strand.id, before);
      return true;
    });
  });
  if (fits && strands.length > 0) return true;
  for (const { activity, startSlot, ovenId } of done) board.take(activity, keyOf(batch.id, activity), startSlot, ovenId);
  return false;
} // prettier-ignore
