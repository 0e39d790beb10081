import { loafSheet } from '../batch/testBatch';
import { ordinaryScales } from '../batch/scale';
import { libraryBook } from '../ingredients';
import type { BakeRecord } from './bakeRecord';
import type { BakeAction } from './bakeEvent';
import { compareBakes, type ComparedRow } from './compareBakes';
import { emptyOutcome } from './outcome';

const MIN = 60_000;
const bake = (id: string, factor: number, ...timed: readonly (readonly [number, BakeAction])[]): BakeRecord => ({
  id, formulaId: 'f', revision: 1, startedAtMs: 0, sheet: loafSheet(980, ordinaryScales, factor),
  events: timed.map(([atMin, action], index) => ({ seq: index + 1, atMs: atMin * MIN, action })),
}); // prettier-ignore
const lines = (factor: number) =>
  loafSheet(980, ordinaryScales, factor).stages.flatMap((stage) => stage.lines);
const weighed = (factor: number, lineId: string, by = 1): readonly [number, BakeAction] => [
  1,
  { type: 'weighed', lineId, massG: lines(factor).find(({ id }) => id === lineId)!.massG * by },
];
const closed = (scores: Partial<typeof emptyOutcome.scores>): readonly [number, BakeAction] => [
  300,
  { type: 'closed', outcome: { ...emptyOutcome, scores: { ...emptyOutcome.scores, ...scores } } },
];
const anew = (tempC: number): readonly [number, BakeAction] => [90, { type: 'setAnew', stepIds: ['proof'], durationS: 2400, tempC }]; // prettier-ignore
const find = (rows: readonly ComparedRow[], part: object) =>
  rows.find(({ about }) => Object.entries(part).every(([key, value]) => about[key as keyof typeof about] === value)); // prettier-ignore

test('a batch of another size is no difference; a fifth more water is, and comes first', () => {
  const alike = compareBakes([bake('a', 1), bake('b', 2)], libraryBook);
  expect(alike.filter(({ group, differs }) => group === 'amounts' && differs)).toEqual([]);
  const rows = compareBakes([bake('a', 1), bake('b', 2, weighed(2, 'water', 1.2))], libraryBook);
  const water = find(rows, { of: 'amount', ingredientId: 'water' })!;
  expect(water.differs).toBe(true);
  expect(Number(water.values[1]) / Number(water.values[0])).toBeCloseTo(1.2, 2);
  expect(rows[0]!.about).toMatchObject({ of: 'hydration' });
  expect(rows.findIndex(({ differs }) => !differs)).toBeGreaterThan(rows.indexOf(water));
});

test('what one has and another has not is nothing of it; what nobody said is not known', () => {
  const rows = compareBakes(
    [
      bake('a', 1, [2, { type: 'added', ingredientId: 'psyllium-husk', massG: 8, note: '' }], closed({ crumb: 5 })),
      bake('b', 1, [9, { type: 'added', ingredientId: 'honey', massG: 8, note: '' }]),
    ],
    libraryBook,
  );
  expect(find(rows, { of: 'amount', ingredientId: 'honey' })!.values[0]).toBe(0);
  expect(find(rows, { of: 'outcome', score: 'crumb' })).toMatchObject({ values: [5, null], differs: false });
  expect(find(rows, { of: 'outcome', score: 'crust' })).toBeUndefined();
  expect(find(rows, { of: 'core' })).toBeUndefined();
}); // prettier-ignore

test('times are told from their clocks, heat as it was set anew, readings and scores as they were', () => {
  const proof = (minutes: number): (readonly [number, BakeAction])[] => [
    [30, { type: 'timerStarted', stepId: 'proof', durationS: 3600 }],
    [30 + minutes, { type: 'stepDone', stepId: 'proof' }],
  ];
  const room = (tempC: number): readonly [number, BakeAction] => [5, { type: 'reading', of: 'room', tempC, stepId: null }]; // prettier-ignore
  const rows = compareBakes(
    [
      bake('a', 1, ...proof(60), room(19), anew(28), closed({ crumb: 2 })),
      bake('b', 1, ...proof(64), room(24), anew(33), closed({ crumb: 4 })),
      bake('c', 1, ...proof(95), room(19.5), anew(28), closed({ crumb: 4 })),
    ],
    libraryBook,
  ); // prettier-ignore
  expect(find(rows, { of: 'time', kind: 'proof' })).toMatchObject({
    values: [3600, 3840, 5700],
    differs: true,
  });
  expect(find(rows, { of: 'room' })).toMatchObject({ values: [19, 24, 19.5], differs: true });
  expect(find(rows, { of: 'heat', kind: 'proof' })).toMatchObject({ values: [28, 33, 28], differs: true });
  expect(find(rows, { of: 'outcome', score: 'crumb' })).toMatchObject({ values: [2, 4, 4], differs: true });
  // what was done comes before what came of it
  const groups = [...new Set(rows.map(({ group }) => group))];
  expect(groups).toEqual(['amounts', 'times', 'heat', 'scores']);
  const [near] = compareBakes([bake('a', 1, ...proof(60)), bake('b', 1, ...proof(61))], libraryBook).filter(({ about }) => about.of === 'time'); // prettier-ignore
  expect(near!.differs).toBe(false);
});
