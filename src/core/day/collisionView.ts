import { collisionOf, nearestPin, type WayOut } from './collision';
import type { DayPlan, Variant } from './dayProblem';
import type { CollisionView, Span, WayOutView } from './dayView';
import type { BlockKind } from './blockKind';
import { fedWays } from './fedWays';
import { formulaKey, variantsBeyond, type KitchenDay, type KitchenProblem } from './kitchenDay';
import { AS_WRITTEN, LEVER_KINDS, leverOf, tasteCostOf } from './levers';
import { playPlan } from './play';
import { blockKey } from './score';

/** Days on which a way out is played to tell how sure it is. */
const DRAWS = 100;

interface More {
  readonly variants: readonly Variant[];
  readonly blocks: KitchenProblem['day']['blocks'];
}
const NO_MORE: More = { variants: [], blocks: new Map() };

/** Ways to make a batch that nobody has allowed yet. */
function moreVariants(all: KitchenDay, kitchen: KitchenProblem, batchId: string): More {
  const wanted = all.day.batches.find(({ id }) => id === batchId);
  const formula = wanted && all.formulas.get(formulaKey(wanted));
  // what has begun is what it is
  if (!wanted || !formula || wanted.takenOut || wanted.bakeId !== null || kitchen.begunIds.has(batchId))
    return NO_MORE;
  const ways = kitchen.waysOf({ ...wanted, levers: [...LEVER_KINDS] }, formula);
  const wish = kitchen.wishes.find(({ id }) => id === batchId);
  if (!ways.ok || !wish) return NO_MORE;
  const fed = fedWays(wanted, ways.value, kitchen.jars, all.kit.roomC, all.nowMs);
  return variantsBeyond(wish, fed.ways, kitchen.day, all.kit);
}

function stepOf({ day, ways }: KitchenProblem, batchId: string, blockId: string): BlockKind | null {
  const kinds = (ways.get(batchId) ?? []).map(
    ({ id }) => day.blocks.get(blockKey(batchId, id, { id: blockId }))?.kind,
  );
  return kinds.find((kind) => kind !== undefined) ?? null;
}

/** What a batch of a day that is laid out collides with and what would help, by the clock; what is made another way with how sure it then is. Null: nothing. */
export function collisionView(all: KitchenDay, kitchen: KitchenProblem, batchId: string, plan: DayPlan): CollisionView | null {
  const { day } = kitchen;
  const { problem } = day;
  const ms = (slot: number) => Math.round(day.fromMs + slot * day.slotMs);
  const spans = (slots: readonly { readonly fromSlot: number; readonly toSlot: number }[]): Span[] =>
    slots.map(({ fromSlot, toSlot }) => ({ fromMs: ms(fromSlot), toMs: ms(toSlot) }));
  const pins = Object.keys(all.day.batches.find(({ id }) => id === batchId)?.pins ?? {});
  if (pins.length > 0 && !plan.batches[batchId]) {
    // one by one: of several it is the last that was put where it cannot be
    const near = pins.toReversed().flatMap((blockId): WayOutView[] => {
      const slot = nearestPin(problem, plan, batchId, blockId);
      const step = stepOf(kitchen, batchId, blockId);
      return slot === null || !step ? [] : [{ kind: 'pinAt', blockId, step, startMs: ms(slot) }];
    });
    return { lateMs: null, cause: { kind: 'pin' }, waysOut: [...near.slice(0, 1), { kind: 'unpin' }] };
  }
  let more = NO_MORE;
  const found = collisionOf(problem, plan, batchId, () => {
    more = moreVariants(all, kitchen, batchId);
    return more.variants;
  });
  if (!found) return null;
  const chanceOf = (placed: DayPlan['batches'][string]): number => {
    const batches = problem.batches.map((batch) => (batch.id === batchId ? { ...batch, variants: [...batch.variants, ...more.variants] } : batch));
    const beside = { ...day, problem: { ...problem, batches }, blocks: new Map([...day.blocks, ...more.blocks]) };
    const played = playPlan(beside, { batches: { ...plan.batches, [batchId]: placed } }, { seed: 1, draws: DRAWS });
    return played.find((each) => each.batchId === batchId)?.chance ?? 0;
  };
  const told = (out: WayOut): WayOutView => {
    switch (out.kind) {
      case 'later':
        return { kind: out.kind, readyMs: ms(out.readySlot) };
      case 'hands':
        return { kind: out.kind, spans: spans(out.slots) };
      case 'otherLater':
        return { kind: out.kind, batchId: out.batchId, readyMs: ms(out.readySlot) };
      case 'oven':
        return { kind: out.kind, ovenId: out.ovenId, chance: chanceOf(out.placed) };
      case 'lever': {
        const lever = leverOf(out.variant.id) ?? AS_WRITTEN;
        return { kind: out.kind, variantId: out.variant.id, lever, tasteCost: tasteCostOf(lever), startMs: ms(out.startSlot), chance: chanceOf(out.placed) };
      }
      default:
        return out;
    }
  };
  const { lateSlots, cause, waysOut } = found;
  return {
    lateMs: lateSlots === null ? null : lateSlots * day.slotMs,
    cause: cause.kind === 'hands' ? { kind: 'hands', spans: spans(cause.slots) } : cause,
    waysOut: waysOut.map(told),
  };
} // prettier-ignore
