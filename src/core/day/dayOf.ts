import type { BatchSheet } from '../batch/batchSheet';
import type { Formula } from '../formula/formula';
import { heatOven, type Kit } from '../kit';
import { ovenFor } from '../kit/ovenFor';
import { ok, refuse, type Result } from '../result';
import { DAY_LIMITS } from './dayLimits';
import { dayOven } from './dayOven';
import {
  peopleBySlot,
  type DayOven,
  type DayPlan,
  type DayProblem,
  type Due,
  type Variant,
} from './dayProblem';
import { asDayStrands, batchStrands, type Block } from './strandsOf';
import { litFor, ovenVisits } from './ovenVisits';
import { provedInOven } from './ovenProof';
import { roomResources, roomUses } from './kitRoom';
import { withFeed, whileRipe } from './fedBlock';
import { blockKey } from './score';
import type { DoughFeed } from '../starter/feedFor';
import type { Plate } from '../heat/parameters';

/** A batch that is to be made, and when it has to be ready; null: as soon as it can be. */
export interface DayBatchWish {
  readonly id: string;
  /** How it can be made, as written first: the sheet, and what that does to taste. */
  readonly ways: readonly {
    readonly id: string;
    readonly tasteCost: number;
    readonly sheet: BatchSheet;
    readonly feed?: DoughFeed;
  }[];
  readonly formula: Pick<Formula, 'bakedAs' | 'steps' | 'style' | 'ways'>;
  readonly ready: { readonly fromMs: number; readonly toMs: number } | null;
  /** So much sooner it is planned to be ready, to be surer. */
  readonly spareMin?: number;
  /** Only these; absent: the one it usually goes in, and those of its kind. */
  readonly ovenIds?: readonly string[];
}

/** People who are there, from one moment to another. */
interface DayHands {
  readonly fromMs: number;
  readonly toMs: number;
  readonly people: number;
  readonly unwanted?: true;
  /** Somebody leaves at its end. */
  readonly leaves?: true;
}

export interface DayWish {
  /** From when the slots are counted. */
  readonly fromMs: number;
  readonly endMs: number;
  readonly slotMin: number;
  readonly hands: readonly DayHands[];
  readonly kit: Kit;
  readonly batches: readonly DayBatchWish[];
}

/** A day as a problem, with what its slots and blocks mean. */
export interface Day {
  readonly problem: DayProblem;
  readonly fromMs: number;
  readonly slotMs: number;
  readonly blocks: ReadonlyMap<string, Block>;
}

/** Nothing is planned in the last minutes before somebody leaves. */
const LEAVE_MIN = 10;

function checked({ fromMs: dayMs, endMs, slotMin, hands, batches }: DayWish): Result<null> {
  const { most, slots, people, slotMin: allowed } = DAY_LIMITS;
  if (batches.length === 0) return refuse('required', 'batches');
  if (batches.length > most) return refuse('tooMany', 'batches', { max: most });
  if (!Number.isInteger(slotMin) || slotMin < allowed.min || slotMin > allowed.max) return refuse('notAllowed', 'slotMin');
  if (endMs <= dayMs) return refuse('rangeReversed', 'end');
  if ((endMs - dayMs) / 60_000 / slotMin > slots.max) return refuse('tooLong', 'end', { max: slots.max });
  for (const [at, { fromMs, toMs, people: there }] of hands.entries()) {
    if (toMs <= fromMs) return refuse('rangeReversed', `hands.${at}.to`);
    if (!Number.isInteger(there) || there < 0 || there > people.max)
      return refuse('tooLarge', `hands.${at}.people`, { max: people.max });
  }
  const ids = new Set<string>();
  for (const [at, { id, ready }] of batches.entries()) {
    if (ids.has(id)) return refuse('duplicateId', `batches.${at}.id`);
    ids.add(id);
    if (!ready) continue;
    if (ready.toMs < ready.fromMs) return refuse('rangeReversed', `batches.${at}.ready.to`);
    if (ready.toMs > endMs) return refuse('tooLarge', `batches.${at}.ready.to`);
  }
  return ok(null);
} // prettier-ignore

/** How many pieces an oven takes at once of a block's load, as a share of its room; all of it where nobody measured. */
function shareOf(sheet: BatchSheet, block: Block): number {
  const stepId = block.calls[0]?.activityId;
  const activity = sheet.activities?.find(({ id }) => id === stepId);
  const load = sheet.loads?.find((each) => each.stepId === activity?.stepId && each.wayId === block.wayId);
  if (!load || !activity?.pieces || load.fits < 1) return 1;
  return Math.min(1, activity.pieces / load.fits);
}

interface Grain {
  readonly kit: Kit;
  readonly slotMin: number;
  /** Of a moment, its slot, with its fraction. */
  readonly slotOf: (ms: number) => number;
  readonly ovens: readonly DayOven[];
  /** Gets what the blocks of every variant are. */
  readonly blocks: Map<string, Block>;
}

function promiseOf({ fromMs, toMs }: NonNullable<DayBatchWish['ready']>, spareMin: number, slotOf: Grain['slotOf']): Due {
  const to = (ms: number) => Math.floor(slotOf(ms) + 1e-9);
  if (spareMin === 0) return { fromSlot: Math.floor(slotOf(fromMs)), toSlot: to(toMs) };
  const soonerMs = toMs - 60_000 * spareMin;
  return { fromSlot: Math.floor(slotOf(Math.min(fromMs, soonerMs))), toSlot: to(soonerMs), heldSlot: to(toMs) };
} // prettier-ignore

/** The ways a batch can be made as strands of the day. */
export function batchVariants({ id, ways, formula, ready, spareMin, ovenIds }: DayBatchWish, { kit, slotMin, slotOf, ovens, blocks }: Grain): Variant[] {
  const usual = ovenFor(kit, formula);
  const alike = kit.ovens.filter(({ kind }) => kind === usual?.kind).map((oven) => oven.id);
  const promise = ready ? promiseOf(ready, spareMin ?? 0, slotOf) : { fromSlot: 0, toSlot: 0 };
  return ways.map(({ id: variantId, tasteCost, sheet, feed }) => {
    const oven = ovens.find(({ id: ovenId }) => ovenId === (ovenIds?.[0] ?? usual?.id ?? kit.ovenId));
    const plain = provedInOven(batchStrands(sheet), { steps: sheet.steps, kit, oven, slotMin });
    const strands = feed ? withFeed(plain, sheet.steps, feed) : plain;
    for (const block of strands.flatMap((strand) => strand.blocks)) blocks.set(blockKey(id, variantId, block), block);
    const uses = roomUses(strands, sheet, formula, kit);
    const placed = asDayStrands(strands, {
      slotMin,
      promise,
      // the usual one first
      ovenIds: () => ovenIds ?? [...new Set([usual?.id ?? kit.ovenId, ...alike])],
      shareOf: (block) => shareOf(sheet, block),
      usesOf: (block) => uses.get(block.id) ?? [],
    });
    return { id: variantId, tasteCost, strands: feed?.kind === 'jar' ? whileRipe(placed, plain, sheet.steps, feed, slotOf) : placed };
  });
} // prettier-ignore

/**
 * A kitchen's day as a problem for {@link searchDay}: every batch as strands, its ovens as curves, who is there as windows, on slots counted from its beginning.
 *
 * @returns `required`, `tooMany`, `rangeReversed`, `tooLarge` (after the day), `duplicateId`, at the field
 */
export function dayOf(wish: DayWish): Result<Day> {
  const fits = checked(wish);
  if (!fits.ok) return fits;
  const { fromMs, endMs, slotMin, hands, kit, batches } = wish;
  const slotMs = slotMin * 60_000;
  const slots = Math.floor((endMs - fromMs) / slotMs);
  const slotOf = (ms: number) => (ms - fromMs) / slotMs;
  const thickM: Partial<Record<Plate, number>> = {};
  for (const { kind, thickMm } of kit.plates) if (thickMm !== null) thickM[kind] ??= thickMm / 1000;
  const ovens: DayOven[] = kit.ovens.map((oven) => dayOven(oven.id, heatOven(oven, kit.roomC), kit.roomC, slotMin, thickM));
  const blocks = new Map<string, Block>();
  return ok({
    fromMs,
    slotMs,
    blocks,
    problem: {
      slotMin,
      slots,
      hands: hands.map(({ people, unwanted, leaves, ...span }) => ({
        // who comes in the middle of a slot is there from the next
        fromSlot: Math.max(0, Math.ceil(slotOf(span.fromMs) - 1e-9)),
        toSlot: Math.min(slots, Math.floor(slotOf(span.toMs) + 1e-9)),
        people,
        ...(unwanted && { unwanted }),
        ...(leaves && { leaveSlots: Math.ceil(LEAVE_MIN / slotMin) }),
      })),
      ovens,
      resources: roomResources(kit),
      batches: batches.map((batch) => ({ id: batch.id, variants: batchVariants(batch, { kit, slotMin, slotOf, ovens, blocks }) })),
    },
  });
} // prettier-ignore

/** One call of the day: what is to be done, from when, till when. */
export interface DayCall {
  readonly batchId: string;
  readonly activityId: string;
  readonly blockId: string;
  readonly fromMs: number;
  readonly toMs: number;
  readonly ovenId: string | null;
}

/** A plan as calls on the clock, the first first: a block lasts as long as its slots, its calls share them. */
export function callsOf({ problem, fromMs, slotMs, blocks }: Day, plan: DayPlan): DayCall[] {
  return problem.batches
    .flatMap(({ id: batchId, variants }) => {
      const placed = plan.batches[batchId];
      const variant = variants.find(({ id }) => id === placed?.variantId);
      return (variant?.strands ?? []).flatMap(({ activities }) =>
        activities.flatMap(({ id: blockId, lastsSlots }): DayCall[] => {
          const { startSlot, ovenId } = placed!.at[blockId]!;
          const block = blocks.get(blockKey(batchId, variant!.id, { id: blockId }));
          if (!block) return [];
          const stretch = (lastsSlots * slotMs) / Math.max(1, block.lastsS.typical);
          const startMs = fromMs + startSlot * slotMs;
          return block.calls.map(({ activityId, offsetS, lastsS }) => ({
            batchId, activityId, blockId, ovenId, fromMs: startMs + offsetS * stretch, toMs: startMs + (offsetS + lastsS) * stretch,
          }));
        }),
      );
    })
    .sort((a, b) => a.fromMs - b.fromMs);
} // prettier-ignore

/** When each oven has to be lit, each time it is cold, and how hot it is to be first. */
export function lightings({ problem, fromMs, slotMs }: Day, plan: DayPlan): { ovenId: string; atMs: number; setC: number; plate: Plate | null }[] {
  const people = peopleBySlot(problem);
  return problem.ovens.flatMap((oven) =>
    litFor(oven, ovenVisits(problem, plan, oven.id), people, problem.litSlot?.[oven.id]).map(({ litSlot, heat: { setC, plate } }) => ({
      ovenId: oven.id, atMs: Math.round(fromMs + litSlot * slotMs), setC, plate,
    })),
  );
} // prettier-ignore
