import { libraryBook } from '../ingredients';
import { measureLearnt } from './measureLearnt';

const of = (id: string) => {
  const found = libraryBook.get(id);
  if (!found) throw new Error(id);
  return found;
};

test('a cup weighed full of a flour: what the books hold for possible, and what is known now', () => {
  const flour = of('white-rice-flour');
  const { before, now, weighings } = measureLearnt({ measure: 'cup', ingredientId: flour.id, weighedG: [132, 138, 135] }, flour);
  // 236.6 to 250 ml, spooned to scooped, and a hand that fills it by eye
  expect(before?.lowG).toBeLessThan(236.6 * flour.densitySpooned);
  expect(before?.highG).toBeGreaterThan(250 * flour.densityScooped);
  // between them as a recipe reads a cup, in the middle of the three countries' sizes
  expect(before?.g).toBeCloseTo(((236.588 + 250 + 284.131) / 3) * Math.sqrt(flour.densitySpooned * flour.densityScooped), 6);
  // a mean of 135, a spread of 3 g: 1.28 of it are eight of ten
  expect(now.g).toBeCloseTo(135, 9);
  expect(now.highG - now.g).toBeCloseTo(1.2816 * 3, 2);
  expect(weighings).toBe(3);
  expect(now.highG - now.lowG).toBeLessThan((before!.highG - before!.lowG) / 4);
}); // prettier-ignore

test('no book knows a mug; weighed once it is known to a twentieth', () => {
  const { before, now } = measureLearnt({ measure: 'mug', ingredientId: null, weighedG: [247] }, of('water'));
  expect(before).toBeNull();
  expect([now.lowG, now.highG]).toEqual([expect.closeTo(234.65, 2), expect.closeTo(259.35, 2)]);
  expect(
    measureLearnt({ measure: 'cup', ingredientId: 'own-gone', weighedG: [120] }, null).before,
  ).toBeNull();
});
