import type { Strand } from './dayProblem';

/** What two strands that are alike but for how long they may wait have in common. */
export function likeness(strand: Strand): string {
  const known = likenesses.get(strand);
  if (known !== undefined) return known;
  const { afterId, activities, promise } = strand;
  const like = JSON.stringify([afterId, promise, activities.map(({ lastsSlots, leastSlots, hands, uses, heat, within }) => [lastsSlots, leastSlots, hands, uses, heat, within])]);
  likenesses.set(strand, like);
  return like;
} // prettier-ignore
const likenesses = new WeakMap<Strand, string>();

const ordersByStrands = new WeakMap<readonly Strand[], readonly (readonly Strand[])[]>();

/**
 * Orders in which strands that part from the dough are given their places: the one that comes first may take what another needs. Those of one bread, load by
 * load, and those that are alike stay as they are.
 */
export function ordersOf(strands: readonly Strand[]): readonly (readonly Strand[])[] {
  const known = ordersByStrands.get(strands);
  if (known) return known;
  const [trunk, ...rest] = strands;
  if (!trunk) return [];
  const groups = new Map<string, Strand[]>();
  const groupByLikeness = new Map<string, string>();
  for (const strand of rest) {
    const bread = strand.id.split('/')[0]!;
    const isLoad = strand.afterId === trunk.id && !rest.some(({ afterId }) => afterId === strand.id);
    const like = isLoad ? likeness(strand) : bread;
    const group = groupByLikeness.get(like) ?? bread;
    groupByLikeness.set(like, group);
    groups.set(group, [...(groups.get(group) ?? []), strand]);
  }
  const all = [...groups.values()];
  const turns = all.length < 3 ? [all, ...(all.length === 2 ? [all.toReversed()] : [])] : all.map((_, at) => [...all.slice(at), ...all.slice(0, at)]).flatMap((turned) => [turned, [turned[0]!, ...turned.slice(1).toReversed()]]);
  const orders = turns.map((order) => [trunk, ...order.flat()]);
  ordersByStrands.set(strands, orders);
  return orders;
} // prettier-ignore
