import { collisionOf } from './collision';
import type { DayBatch, DayProblem } from './dayProblem';
import { searchDay } from './searchDay';
import { act, inOven, oneStrand, testOven, withHands } from './testDays';

const day = (batches: DayBatch[], hands: DayProblem['hands'] = [{ fromSlot: 0, toSlot: 120, people: 1 }]): DayProblem => ({
  slotMin: 5, slots: 120, batches, hands, ovens: [testOven('oven')], resources: [],
}); // prettier-ignore
const bread = (id: string, toSlot: number, lasts = 20): DayBatch =>
  oneStrand(
    id,
    [withHands('mix', 3), act('proof', lasts, { mostSlots: 0 }), inOven('bake', 12, 200, { mostSlots: 0 })],
    { fromSlot: toSlot, toSlot },
  );
const found = (problem: DayProblem) => {
  const search = searchDay(problem, 1, 150);
  let step = search.next();
  while (!step.done) step = search.next();
  return problem.batches.map(({ id }) => collisionOf(problem, step.value.plan, id));
};

test('a bread that keeps its promise collides with nothing', () => {
  expect(found(day([bread('a', 60), bread('b', 90)]))).toEqual([null, null]);
});

test('what lies in time collides with nothing, wherever it would be put if it were looked for once more; what lies late is late by that', () => {
  const problem = day([bread('a', 60)]);
  const variantId = problem.batches[0]!.variants[0]!.id;
  const put = (startSlot: number, ovenId: string | null = null) => ({ startSlot, ovenId });
  const plan = (mix: number) => ({ batches: { a: { variantId, at: { mix: put(mix), proof: put(mix + 3), bake: put(mix + 23, 'oven') } } } });
  // it was mixed at 20; from 40 on there would be no time for it any more
  expect(collisionOf({ ...problem, nowSlot: 40 }, plan(20), 'a')).toBeNull();
  expect(collisionOf({ ...problem, nowSlot: 40 }, plan(41), 'a')).toMatchObject({ lateSlots: 16, waysOut: [{ kind: 'later', readySlot: 75 }] });
}); // prettier-ignore

test('two that want one oven at once, and no time to be early: which, how late, and what each way out costs', () => {
  // 35 slots at the least: both could be ready at 36 alone
  const [a, b] = found(day([bread('a', 36), bread('b', 36)]));
  const late = a ?? b;
  expect([a, b].filter(Boolean)).toHaveLength(1);
  const other = late?.batchId === 'a' ? 'b' : 'a';
  expect(late).toEqual({
    batchId: late?.batchId,
    lateSlots: 12,
    cause: { kind: 'batch', batchId: other },
    // behind the other: out of the oven, a slot for it to be hot again, twelve in it
    waysOut: [
      { kind: 'later', readySlot: 48 },
      // the other after it: from 36, hot again by 37
      { kind: 'otherLater', batchId: other, readySlot: 49 },
    ],
  });
});

test('nobody there: when hands are asked for and nobody has them', () => {
  const [only] = found(
    day(
      [bread('a', 50)],
      [
        { fromSlot: 0, toSlot: 12, people: 1 },
        { fromSlot: 60, toSlot: 120, people: 1 },
      ],
    ),
  );
  expect(only).toEqual({
    batchId: 'a',
    lateSlots: 45,
    // put in at 38 and taken out at 50
    cause: {
      kind: 'hands',
      slots: [
        { fromSlot: 15, toSlot: 18 },
        { fromSlot: 38, toSlot: 39 },
      ],
    },
    waysOut: [
      { kind: 'later', readySlot: 95 },
      {
        kind: 'hands',
        slots: [
          { fromSlot: 15, toSlot: 18 },
          { fromSlot: 38, toSlot: 39 },
        ],
      },
    ],
  });
});

test('too little time is nobody’s fault; what this kitchen cannot do has no way out', () => {
  expect(found(day([bread('a', 30)]))[0]).toEqual({
    batchId: 'a',
    lateSlots: 5,
    cause: { kind: 'time' },
    waysOut: [{ kind: 'later', readySlot: 35 }],
  });
  const kiln = oneStrand('k', [inOven('bake', 12, 400)], { fromSlot: 50, toSlot: 50 });
  expect(found(day([kiln]))[0]).toEqual({
    batchId: 'k',
    lateSlots: null,
    cause: { kind: 'time' },
    waysOut: [],
  });
});

test('another way to make it, another oven: offered where they keep the promise', () => {
  const late = bread('a', 30);
  const quick = { ...late.variants[0]!, id: 'yeast 2', tasteCost: 5, strands: bread('a', 30, 12).variants[0]!.strands };
  const slow = { ...late.variants[0]!, id: 'cold', tasteCost: 3, strands: bread('a', 30, 60).variants[0]!.strands };
  const problem = { ...day([late]), ovens: [testOven('oven'), testOven('deck')] };
  expect(collisionOf(problem, { batches: {} }, 'a', () => [slow, quick])).toMatchObject({
    cause: { kind: 'time' },
    // begun at three: 3 + 12 + 12 slots before thirty
    waysOut: [{ kind: 'later', readySlot: 35 }, { kind: 'lever', variant: { id: 'yeast 2' }, startSlot: 3, placed: { variantId: 'yeast 2', at: { mix: { startSlot: 3 } } } }],
  });
  // two at once in one oven: the deck oven is the other way
  const two = day([bread('a', 36), bread('b', 36)], [{ fromSlot: 0, toSlot: 120, people: 2 }]);
  const [a, b] = found({ ...two, ovens: [testOven('oven'), testOven('deck')] });
  expect((a ?? b)?.waysOut.find(({ kind }) => kind === 'oven')).toMatchObject({ ovenId: 'deck', placed: { at: { bake: { ovenId: 'deck' } } } });
}); // prettier-ignore
