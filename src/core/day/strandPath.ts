import type { Placed } from './dayProblem';
import type { BySlot } from './leastWithin';
import { NEVER, type Ahead, type Try } from './strandCosts';

type Drawn = Try['drawn'];

/**
 * Of the starts that cost the same one: the last of a batch's first activity, for what need not begin early does not; the soonest of what follows, for slack
 * is worth most at the end. While a plan is looked for now and then any of them: what stands in nobody's way is seen only by trying.
 *
 * @param from to: the starts in question
 */
export function oneOfLeast({ from: first, values }: BySlot, from: number, to: number, wanted: Wanted, drawn: Drawn): number {
  let least = NEVER;
  let many = 0;
  let best = -1;
  const last = Math.min(values.length - 1, to - first);
  for (let at = Math.max(0, from - first); at <= last; at += 1) {
    const mine = values[at]!;
    if (mine === NEVER || mine > least) continue;
    if (wanted === 'soonest') return first + at;
    many = mine < least ? 1 : many + 1;
    if (mine < least || (drawn ? drawn() * many < 1 : wanted === 'last')) best = first + at;
    least = mine;
  }
  return best;
} // prettier-ignore

/** `soonest`: whatever it costs, so that others find room behind it. */
export type Wanted = 'first' | 'last' | 'soonest';
/** Forwards through a strand from its first start: each next one as the backward pass chose. */
export function follow(
  { strand, openings, ahead: costs }: Ahead,
  firstSlot: number,
  drawn: Drawn,
  wanted: Wanted = 'first',
): Record<string, Placed> {
  const at: Record<string, Placed> = {};
  let start = firstSlot;
  strand.activities.forEach((activity, index) => {
    if (index > 0) {
      const end = start + strand.activities[index - 1]!.lastsSlots;
      start = oneOfLeast(costs[index]!, end + activity.leastSlots, end + (activity.mostSlots ?? NEVER), wanted, drawn); // prettier-ignore
    }
    const oven = activity.heat
      ? (activity.heat.ovenIds[openings[index]!.oven?.[start - openings[index]!.from] ?? 0] ?? null)
      : null;
    at[activity.id] = { startSlot: start, ovenId: oven };
  });
  return at;
}
