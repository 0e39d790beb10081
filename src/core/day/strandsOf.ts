import type { BatchSheet } from '../batch/batchSheet';
import { processOfSheet } from '../batch/processOfSheet';
import type { Plate } from '../heat/parameters';
import type { MethodStep } from '../method/step';
import { usualHeatC } from '../method/usualTimes';
import { ONE_LOAD, RECOVERS_S, type Process } from '../process/processOf';
import { stepHeat, type StepHeat } from '../process/stepHeat';
import { FEED, RISES, type BlockKind } from './blockKind';
import type { DayActivity, Due, Strand } from './dayProblem';

type Placed = Process['activities'][number];

/** What of a batch is done in one go: calls that follow one another at one place, or under the same hands. */
export interface Block {
  readonly id: string;
  /** The calls of the batch in it, with when each begins after the block does, s. */
  readonly calls: readonly {
    readonly activityId: string;
    readonly offsetS: number;
    readonly lastsS: number;
  }[];
  readonly lastsS: { readonly min: number; readonly typical: number; readonly max: number };
  readonly kind: BlockKind;
  readonly handsOn: boolean;
  readonly resource: Placed['resource'];
  readonly wayId: string | null;
  readonly load: Placed['load'];
  /** How long what it leaves may wait, s. */
  readonly mayWaitS: number;
  readonly heat: { readonly setC: number; readonly endC: number; readonly plate: Plate | null } | null;
}

/** Blocks that follow one another, from the end of another strand or from the beginning of the batch. */
export interface BatchStrand {
  readonly id: string;
  readonly afterId: string | null;
  readonly blocks: readonly Block[];
}

/** Work under the same hands is one block up to here, s. */
const ONE_GO_S = 1800;

class Strands {
  /** Before the oven parts the pieces into loads. */
  readonly head: Block[] = [];
  readonly loads: Block[][] = [];
  /** Which load each call was of. */
  private readonly loadAt = new Map<string, number>();
  private heat: StepHeat = { moist: 'dry', on: null, inTin: false, topped: false, paper: false };

  constructor(private readonly steps: ReadonlyMap<string, MethodStep>) {}

  add(placed: Placed) {
    if (placed.beside) return;
    if (placed.resource === 'oven' && placed.load) {
      if (this.loads.length === 0) for (let at = 0; at < placed.load.of; at += 1) this.loads.push([]);
      this.append(this.loads[Math.min(placed.load.at, this.loads.length) - 1]!, placed, '');
    } else if (this.loads.length === 0) this.append(this.head, placed, '');
    // what has no load of its own is done to each load: it cools by itself, it is topped with its share of the time
    else this.loads.forEach((list, at) => this.append(list, placed, at === 0 ? '' : `~${at + 1}`, this.loads.length));
  } // prettier-ignore

  private append(list: Block[], placed: Placed, mark: string, of = 1) {
    const last = list.at(-1);
    const share = placed.hands && of > 1 ? 1 / of : 1;
    const { minS, typicalS, maxS } = placed.lasts;
    const lasts = { min: minS * share, typical: typicalS * share, max: maxS * share };
    const heat = placed.resource === 'oven' ? this.heatOf(placed) : null;
    const { resource } = placed;
    const together =
      last?.resource === resource &&
      (resource === null
        ? last.handsOn && placed.hands && last.lastsS.typical + lasts.typical <= ONE_GO_S
        : ONE_LOAD.has(resource));
    const atLoad = placed.load?.at ?? 0;
    const another = last !== undefined && placed.load !== null && this.loadAt.get(last.calls.at(-1)!.activityId) !== atLoad;
    this.loadAt.set(placed.id, atLoad);
    if (!together) {
      list.push({
        id: `${placed.id}${mark}`, kind: placed.kind, handsOn: placed.hands, resource, wayId: placed.wayId, load: placed.load,
        calls: [{ activityId: placed.id, offsetS: 0, lastsS: lasts.typical }], lastsS: lasts, mayWaitS: placed.mayWaitS, heat,
      }); // prettier-ignore
      return;
    }
    const gapS = another && resource !== null ? (RECOVERS_S[resource] ?? 0) : 0;
    list[list.length - 1] = {
      ...last,
      calls: [...last.calls, { activityId: placed.id, offsetS: last.lastsS.typical + gapS, lastsS: lasts.typical }],
      lastsS: { min: last.lastsS.min + gapS + lasts.min, typical: last.lastsS.typical + gapS + lasts.typical, max: last.lastsS.max + gapS + lasts.max },
      handsOn: last.handsOn || placed.hands,
      mayWaitS: placed.mayWaitS,
      load: another ? null : last.load,
      heat: last.heat && heat ? { ...last.heat, endC: heat.endC } : last.heat,
    };
  } // prettier-ignore

  private heatOf(placed: Placed): NonNullable<Block['heat']> {
    const step = this.steps.get(placed.id);
    if (step) this.heat = stepHeat(step, this.heat);
    const setC = step?.tempC ?? usualHeatC(placed.kind);
    const { on } = this.heat;
    const plate = on === 'tray' || on === 'griddle' ? null : on;
    // an oven that is turned off is left cooler by a quarter, about
    return { setC, endC: placed.kind === 'coast' ? Math.round(0.075 * setC) * 10 : setC, plate };
  }
}

/**
 * A batch as strands of blocks: the dough; from its end every way, or every load of the oven; each block what is done in one go. Loads of a kettle, a fryer or a
 * pan are one block, for they are minutes and under the same hands; loads of an oven are strands of their own, that others may come between.
 */
export function batchStrands(sheet: Pick<BatchSheet, 'steps' | 'activities'>): BatchStrand[] {
  const steps = new Map(sheet.steps.map((step) => [step.id, step]));
  const byWay = new Map<string | null, Strands>();
  for (const placed of processOfSheet(sheet).activities) {
    const strands = byWay.get(placed.wayId) ?? new Strands(steps);
    byWay.set(placed.wayId, strands);
    strands.add(placed);
  }
  const all: BatchStrand[] = [];
  const trunk = byWay.get(null);
  const put = (strands: Strands, id: string, afterId: string | null) => {
    let after = afterId;
    if (strands.head.length > 0) {
      all.push({ id, afterId, blocks: strands.head });
      after = id;
    }
    strands.loads.forEach((blocks, at) => all.push({ id: `${id}/${at + 1}`, afterId: after, blocks }));
  };
  if (trunk) put(trunk, 'dough', null);
  const dough = all.length > 0 ? all.at(-1)!.id : null;
  for (const [wayId, strands] of byWay) if (wayId !== null) put(strands, `way ${wayId}`, dough);
  return all;
}

/** Of the time of what rises so much is left free behind it, of what the dough bears. */
const SPARE = 0.12;

/** How it takes its place in the day: in slots, rounded so that a strand keeps its length. */
export function asDayStrands(
  strands: readonly BatchStrand[],
  { slotMin, promise, ovenIds, shareOf, usesOf }: {
    readonly slotMin: number;
    readonly promise: Due | null;
    readonly ovenIds: (block: Block) => readonly string[];
    readonly shareOf: (block: Block) => number;
    readonly usesOf: (block: Block) => DayActivity['uses'];
  },
): Strand[] {
  const slotS = slotMin * 60;
  const within = (s: number) => Math.floor(s / slotS + 1e-9);
  return strands.map(({ id, afterId, blocks }): Strand => {
    const parent = strands.find((strand) => strand.id === afterId);
    const brothers = strands.filter((strand) => strand.afterId === afterId && afterId !== null);
    // the loads before it go first
    const before = brothers.slice(0, brothers.findIndex((strand) => strand.id === id));
    const earlierS = before.reduce((sum, strand) => sum + (strand.blocks[0]?.resource === 'oven' ? strand.blocks[0].lastsS.typical + slotS : 0), 0);
    let doneS = 0;
    let doneSlots = 0;
    let mayWaitS = parent?.blocks.at(-1)?.mayWaitS ?? null;
    let out = parent?.blocks.at(-1)?.resource ?? null;
    const risen = parent?.blocks.at(-1);
    let rise = risen && RISES.has(risen.kind) ? risen.lastsS.typical : null;
    const activities = blocks.map((block, at): DayActivity => {
      doneS += block.lastsS.typical;
      const lastsSlots = Math.max(1, Math.round(doneS / slotS) - doneSlots);
      doneSlots += lastsSlots;
      // what comes out of the oven, the oil, the water cools from that moment on, whoever looks
      const byItself = out !== null && ONE_LOAD.has(out) && !block.handsOn && block.resource === null;
      const bears = byItself ? 0 : mayWaitS;
      const mostSlots = bears === null ? null : within(bears) + (at === 0 ? Math.ceil(earlierS / slotS) : 0);
      const spareSlots = rise === null ? 0 : within(SPARE * rise);
      out = block.resource;
      mayWaitS = block.mayWaitS;
      rise = RISES.has(block.kind) ? block.lastsS.typical : null;
      return {
        id: block.id,
        lastsSlots,
        leastSlots: Math.min(spareSlots, mostSlots ?? spareSlots),
        mostSlots,
        hands: afterId === null && at === 0 ? begunBy(handsOf(block, lastsSlots)) : handsOf(block, lastsSlots),
        uses: usesOf(block),
        heat: block.heat && { ...block.heat, ovenIds: ovenIds(block), share: shareOf(block) },
      };
    });
    const isLeaf = !strands.some((strand) => strand.afterId === id);
    return { id, afterId, activities, promise: isLeaf ? promise : null };
  });
} // prettier-ignore

/** Whatever a batch begins with somebody begins: what is taken out of a freezer is taken out by hand. */
const begunBy = (hands: DayActivity['hands']): DayActivity['hands'] =>
  hands.length > 0 ? hands : [{ fromSlot: 0, toSlot: 1 }];

/** Hands all through, or to put in and to take out. */
function handsOf({ handsOn, resource, kind }: Block, lastsSlots: number): DayActivity['hands'] {
  // whoever shaped it puts it in; it is taken out when the oven is lit
  if (resource === 'oven' && RISES.has(kind)) return [];
  if (kind === FEED) return [{ fromSlot: 0, toSlot: 1 }];
  if (handsOn && resource !== 'oven') return [{ fromSlot: 0, toSlot: lastsSlots }];
  if (resource !== 'oven') return [];
  return lastsSlots < 3 ? [{ fromSlot: 0, toSlot: lastsSlots }] : [{ fromSlot: 0, toSlot: 1 }, { fromSlot: lastsSlots - 1, toSlot: lastsSlots }];
} // prettier-ignore
