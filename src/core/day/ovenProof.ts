import type { BatchSheet } from '../batch';
import type { Kit } from '../kit';
import type { DayOven } from './dayProblem';
import { coldSlots } from './ovenChange';
import { PROOF_MOST_C } from './proofWarmth';
import { RISES } from './blockKind';
import type { BatchStrand, Block } from './strandsOf';

/** Where a dough rises in an oven that is off, its lamp on or a little warm. */
const OVEN_PLACES: ReadonlySet<string> = new Set(['oven', 'ovenLight']);
/** So warm is that where nobody said, °C. */
const LAMP_C = 30;
export const outBlockId = (id: string): string => `${id} out`;

interface Around {
  readonly steps: BatchSheet['steps'];
  readonly kit: Kit;
  /** In which it bakes. */
  readonly oven: DayOven | undefined;
  readonly slotMin: number;
}

/** What the oven has to be hot for next, from some place of a strand on, in what parts from it too. */
function nextHeat(
  strands: readonly BatchStrand[],
  { id }: BatchStrand,
  blocks: readonly Block[],
): Block['heat'] {
  const own = blocks.find(({ heat }) => heat !== null)?.heat;
  if (own) return own;
  for (const part of strands) {
    const found = part.afterId === id ? nextHeat(strands, part, part.blocks) : null;
    if (found) return found;
  }
  return null;
}

/**
 * Strands in which what rises in the oven takes its room while it does, and comes out of it in time for the oven to heat: the rest of its rise it stands beside
 * it. Where the oven takes longer to heat than the dough to rise it never goes in.
 */
export function provedInOven(strands: readonly BatchStrand[], { steps, kit, oven, slotMin }: Around): readonly BatchStrand[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  if (!steps.some(({ stands }) => OVEN_PLACES.has(stands?.place ?? ''))) return strands;
  return strands.map((strand) => ({
    ...strand,
    blocks: strand.blocks.flatMap((block, at): Block[] => {
      const step = byId.get(block.calls[0]?.activityId ?? '');
      if (!RISES.has(block.kind) || !OVEN_PLACES.has(step?.stands?.place ?? '')) return [block];
      const next = nextHeat(strands, strand, strand.blocks.slice(at + 1));
      const heatS = next && oven ? coldSlots(oven, next) * slotMin * 60 : 0;
      const { min, typical, max } = block.lastsS;
      const inS = typical - heatS;
      if (inS < slotMin * 60) return [block];
      const lamp = kit.places.find(({ kind }) => kind === 'ovenLight')?.tempC ?? LAMP_C;
      const warmC = Math.min(PROOF_MOST_C, step?.tempC ?? lamp);
      const within: Block = { ...block, lastsS: { min: Math.min(inS, min), typical: inS, max: inS }, mayWaitS: 0, resource: 'oven', heat: { setC: warmC, endC: warmC, plate: null } };
      if (heatS === 0) return [{ ...within, lastsS: block.lastsS, mayWaitS: block.mayWaitS }];
      // how surely it is risen is known at its end
      const beside: Block = { ...block, id: outBlockId(block.id), lastsS: { min: Math.max(60, min - inS), typical: heatS, max: Math.max(heatS, max - inS) }, calls: block.calls.map((call) => ({ ...call, offsetS: 0, lastsS: heatS })) };
      return [within, beside];
    }),
  }));
} // prettier-ignore
