import { libraryBook } from '../ingredients';
import { line, plainLoaf } from '../formula/testFormulas';
import { KEPT, keepingOf } from './keeping';

const lean = {
  ...plainLoaf(),
  stages: [
    { id: 'a', kind: 'main' as const, name: 'A', lines: [line('white-rice-flour', 500), line('water', 450)] },
  ],
};
const soft = (formula: typeof lean, kept: (typeof KEPT)[number] = 'wrapped') =>
  keepingOf(formula, libraryBook, kept)!.softH.value;
const plus = (id: string, g: number) => ({
  ...lean,
  stages: [{ ...lean.stages[0]!, lines: [...lean.stages[0]!.lines, line(id, g)] }],
});

test('a lean bread is soft for half a day wrapped, less bare and least in the fridge; frozen it waits', () => {
  expect(soft(lean)).toBe(12);
  expect(KEPT.map((way) => soft(lean, way))).toEqual([12, 5, 4, 720]);
  for (const way of KEPT) {
    const { softH, refreshedH } = keepingOf(lean, libraryBook, way)!;
    expect(refreshedH.value).toBeGreaterThan(1.5 * softH.value);
    for (const { low, value, high } of [softH, refreshedH]) {
      expect(low).toBeLessThan(value);
      expect(high).toBeGreaterThan(value);
    }
  }
});

test('psyllium, fat, sugar and egg keep it soft, within bounds; no flour, no wonder', () => {
  // 4 % psyllium: 1.4 times as long
  expect(soft(plus('psyllium-husk', 20))).toBeCloseTo(12 * 1.4, 9);
  for (const id of ['butter', 'sugar', 'egg-whole']) expect(soft(plus(id, 60))).toBeGreaterThan(12);
  expect(soft(plus('butter', 2000))).toBe(24);
  expect(keepingOf({ ...lean, stages: [] }, libraryBook, 'wrapped')!.softH.value).toBe(12);
  expect(keepingOf({ ...lean, style: 'crackers' }, libraryBook, 'wrapped')).toBeNull();
});
