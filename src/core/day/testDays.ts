import { seededRandom } from '../numeric/seededRandom';
import type { DayActivity, DayBatch, DayOven, DayProblem, Heat, Strand } from './dayProblem';

/** An oven that takes two slots for a hundred degrees up, four for a hundred down, in slots of five minutes. */
export const testOven = (id: string, slotMin = 5): DayOven => ({
  id,
  heats: {
    air: Array.from({ length: 31 }, (_, tenth) => Math.max(0, (tenth - 2) * 0.2) * (5 / slotMin)),
    stone: Array.from({ length: 31 }, (_, tenth) => Math.max(0, (tenth - 2) * 0.35) * (5 / slotMin)),
  },
  cools: Array.from({ length: 31 }, (_, tenth) => (30 - tenth) * 0.4 * (5 / slotMin)),
  recoverSlots: 1,
});

export const act = (id: string, lastsSlots: number, more: Partial<DayActivity> = {}): DayActivity => ({
  id,
  lastsSlots,
  leastSlots: 0,
  mostSlots: null,
  hands: [],
  uses: [],
  heat: null,
  ...more,
});

/** Busy from its beginning to its end. */
export const withHands = (id: string, lastsSlots: number, more: Partial<DayActivity> = {}): DayActivity =>
  act(id, lastsSlots, { hands: [{ fromSlot: 0, toSlot: lastsSlots }], ...more });

export const inOven = (id: string, lastsSlots: number, setC: number, more: Partial<DayActivity> = {}, heat: Partial<Heat> = {}): DayActivity =>
  act(id, lastsSlots, {
    hands: [{ fromSlot: 0, toSlot: 1 }],
    heat: { ovenIds: ['oven'], setC, endC: setC, share: 1, plate: null, ...heat },
    ...more,
  }); // prettier-ignore

export const oneStrand = (id: string, activities: readonly DayActivity[], promise: Strand['promise']): DayBatch => ({
  id,
  variants: [{ id: 'plain', tasteCost: 0, strands: [{ id: 'dough', afterId: null, activities, promise }] }],
}); // prettier-ignore

interface Size {
  readonly batches: number;
  /** Activities of a batch, about. */
  readonly steps: number;
  readonly slots: number;
  readonly ovens: number;
  readonly people: number;
}

/** A day nobody planned: batches that rise, are shaped, baked in loads, with hours off, racks, a mixer, and levers. The same for the same seed. */
export function randomDay(seed: number, { batches, steps, slots, ovens, people }: Size): DayProblem {
  const random = seededRandom(seed);
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const one = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]!;
  const ovenIds = Array.from({ length: ovens }, (_, at) => (at === 0 ? 'oven' : `oven${at + 1}`));
  const dough = (slower: number): DayActivity[] => [
    withHands('mix', whole(1, 4), { uses: [{ resourceId: 'mixer', amount: 1 }] }),
    ...(steps > 4 ? [act('bulk', Math.round(whole(4, 16) * slower), { mostSlots: 4 })] : []),
    ...(steps > 5 ? [withHands('divide', whole(1, 2), { mostSlots: whole(2, 5) })] : []),
    ...(steps > 3 ? [withHands('shape', whole(1, 4), { mostSlots: whole(2, 6) })] : []),
    act('proof', Math.round(whole(4, 12) * slower), { mostSlots: 1 }),
  ];
  const baked = (id: string, setC: number, share: number): DayActivity[] => [
    inOven(`bake${id}`, whole(3, 9), setC, { mostSlots: whole(2, 8) }, { ovenIds, share, plate: random() < 0.3 ? 'stone' : null, endC: random() < 0.2 ? setC - 40 : setC }),
    ...(steps > 2 ? [act(`cool${id}`, whole(4, 12), { mostSlots: 0, uses: [{ resourceId: 'rack', amount: whole(1, 2) }] })] : []),
  ]; // prettier-ignore
  return {
    slotMin: 5,
    slots,
    batches: Array.from({ length: batches }, (_, index): DayBatch => {
      const due = whole(Math.floor(slots * 0.5), slots - 12);
      const promise = { fromSlot: due - whole(0, 3), toSlot: due };
      const loads = steps > 6 ? whole(1, 3) : 1;
      const setC = one([180, 200, 220, 240]);
      const share = one([0.5, 0.5, 1]);
      const strands = (slower: number): Strand[] => {
        const trunk = dough(slower);
        if (loads === 1)
          return [{ id: 'dough', afterId: null, activities: [...trunk, ...baked('', setC, share)], promise }];
        const first = baked('1', setC, share);
        return [
          { id: 'dough', afterId: null, activities: trunk, promise: null },
          ...Array.from({ length: loads }, (_, at): Strand => {
            // the same load each time, each a visit later than the one before
            const rank = at * (first[0]!.lastsSlots + 1);
            const activities = first.map((each, place) => ({
              ...each,
              id: `${each.id.slice(0, -1)}${at + 1}`,
              ...(place === 0 && { mostSlots: each.mostSlots! + (share === 1 ? rank : 0), leastSlots: 0 }),
            }));
            return { id: `load${at + 1}`, afterId: 'dough', activities, promise };
          }),
        ];
      };
      return {
        id: `b${index}`,
        variants: [
          { id: 'plain', tasteCost: 0, strands: strands(1) },
          ...(random() < 0.5 ? [{ id: 'slower', tasteCost: whole(1, 4), strands: strands(1.5) }] : []),
        ],
      };
    }),
    hands: [
      { fromSlot: 0, toSlot: Math.floor(slots * 0.55), people },
      { fromSlot: Math.floor(slots * 0.55) + whole(2, 14), toSlot: slots, people },
      { fromSlot: Math.floor(slots * 0.9), toSlot: slots, people: 1, unwanted: true },
    ],
    ovens: ovenIds.map((id) => testOven(id)),
    resources: [
      { id: 'mixer', capacity: 1 },
      { id: 'rack', capacity: 3 },
    ],
  };
}
