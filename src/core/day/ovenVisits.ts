import type { DayOven, DayPlan, DayProblem, Heat } from './dayProblem';
import { changeSlots, coldSlots } from './ovenChange';
import { PROOF_MOST_C } from './proofWarmth';
import { variantOf } from './score';

/** A visit of an oven, as the plan has it or as it has been. */
export interface OvenVisit {
  readonly startSlot: number;
  readonly endSlot: number;
  readonly heat: Pick<Heat, 'setC' | 'endC' | 'plate'>;
}

/** Everything that is in an oven through the day, the first first. */
export function ovenVisits(problem: DayProblem, plan: DayPlan, ovenId: string): OvenVisit[] {
  const visits: OvenVisit[] = [];
  const put = (startSlot: number, lastsSlots: number, heat: Heat) => visits.push({ startSlot, endSlot: startSlot + lastsSlots, heat });
  for (const fact of problem.facts ?? [])
    if (fact.ovenId === ovenId && fact.activity.heat) put(fact.startSlot, fact.activity.lastsSlots, fact.activity.heat);
  for (const [batchId, placed] of Object.entries(plan.batches))
    for (const { activities } of variantOf(problem, batchId, placed)?.strands ?? [])
      for (const { id, lastsSlots, heat } of activities) {
        const at = placed.at[id];
        if (heat && at?.ovenId === ovenId) put(at.startSlot, lastsSlots, heat);
      }
  return visits.sort((a, b) => a.startSlot - b.startSlot);
} // prettier-ignore

/** A dough rises in it. */
const isWarm = ({ heat }: OvenVisit): boolean => heat.setC <= PROOF_MOST_C;

/** A visit for which an oven is lit, and when. */
export interface LitVisit extends OvenVisit {
  readonly litSlot: number;
}

/**
 * Visits for which an oven is lit: the first, the first that bakes after a dough has risen in it, and each so long after another that heating it again takes less than keeping it hot. Somebody has to be there to
 * light it: where nobody is when it has to be, it is lit before he leaves, and where nobody was since the last load, it is left on.
 *
 * @param visits the first first
 * @param people how many are there, slot by slot
 * @param onSinceSlot where it is known that it is on
 */
export function litFor(oven: DayOven, visits: readonly OvenVisit[], people: Int16Array, onSinceSlot?: number): LitVisit[] {
  let last: OvenVisit | null = null;
  return visits.flatMap((visit): LitVisit[] => {
    const before: OvenVisit | null = last;
    if (!before || visit.endSlot > before.endSlot) last = visit;
    const cold = coldSlots(oven, visit.heat);
    // what was put into an oven that never gets so hot says nothing of when it was lit
    if (!Number.isFinite(cold)) return [];
    let litSlot = visit.startSlot - cold;
    if (!before) return [{ ...visit, litSlot: onSinceSlot ?? litSlot }];
    // a lamp is no fire: it is lit when the dough is out of it
    if (isWarm(before) && !isWarm(visit)) return [{ ...visit, litSlot: Math.max(before.endSlot, visit.startSlot - changeSlots(oven, before.heat, visit.heat)) }];
    if (litSlot - changeSlots(oven, before.heat, visit.heat) <= before.endSlot) return [];
    while (litSlot > before.endSlot && people[litSlot] === 0) litSlot -= 1;
    return litSlot > before.endSlot ? [{ ...visit, litSlot }] : [];
  });
} // prettier-ignore
