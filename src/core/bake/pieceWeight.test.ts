import { loafSheet } from '../batch/testBatch';
import type { BakeAction } from './bakeEvent';
import { bakeState } from './bakeState';
import { pieceWeights } from './pieceWeight';

const sheet = loafSheet(120);
const dough = sheet.stages[0]!.lines;
const after = (actions: BakeAction[]) => bakeState(0, actions.map((action, at) => ({ seq: at + 1, atMs: at, action }))); // prettier-ignore
const weigh = (times: number): BakeAction[] =>
  dough.map(({ id, massG }) => ({ type: 'weighed', lineId: id, massG: massG * times }));

test('what a piece weighs by what was really weighed, and how many whole ones there are', () => {
  expect(sheet.doughG).toBeCloseTo(980);
  expect(pieceWeights(sheet, after(weigh(1)))).toEqual([
    { name: '', count: 8, plannedG: 120, pieceG: 120, whole: null },
  ]);
  const [more] = pieceWeights(sheet, after(weigh(1.2)));
  expect(more!.pieceG).toBeCloseTo(144);
  // 1,176 g: nine, and 96 left
  expect(more!.whole!.count).toBe(9);
  expect(more!.whole!.overG).toBeCloseTo(96);
  expect(pieceWeights(sheet, after(weigh(0.7)))[0]).toMatchObject({ count: 8, whole: { count: 5 } });
  // a spoon of flour that went in is dough as well
  const extra: BakeAction = { type: 'added', ingredientId: 'white-rice-flour', massG: 98, note: '' };
  expect(pieceWeights(sheet, after([...weigh(1), extra]))[0]!.pieceG).toBeCloseTo(132);
});

test('nothing is told while some of it is not in; what is left out is not waited for', () => {
  const most = weigh(1).slice(0, -1);
  expect(pieceWeights(sheet, after(most))).toEqual([]);
  const out: BakeAction = { type: 'leftOut', lineId: dough.at(-1)!.id };
  expect(pieceWeights(sheet, after([...most, out]))[0]!.pieceG).toBeLessThan(120);
  const ways = { ...sheet, ways: [{ wayId: 'tin', name: 'Tin', count: 1, doughG: 500, bakedG: 440, overG: 0, putBy: undefined }, { wayId: 'rolls', name: 'Rolls', count: 4, doughG: 110, bakedG: 97, overG: 40, putBy: undefined }] };
  expect(pieceWeights(ways, after(weigh(1.1))).map(({ name, pieceG }) => [name, Math.round(pieceG)])).toEqual([['Tin', 550], ['Rolls', 121]]);
}); // prettier-ignore
