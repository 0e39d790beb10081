import { loafSheet } from '../batch/testBatch';
import { libraryBook } from '../ingredients';
import type { BakeAction } from './bakeEvent';
import { bakeState } from './bakeState';
import { stillToWeigh } from './toWeigh';
import { doughFigures } from './doughFigures';
import { insteadOf, takeInstead } from './insteadOf';
import { wrongAmount } from './wrongAmount';

const sheet = loafSheet(120);
const after = (actions: readonly BakeAction[]) => bakeState(0, actions.map((action, at) => ({ seq: at + 1, atMs: at, action }))); // prettier-ignore
const feels = (actions: readonly BakeAction[]) =>
  doughFigures(sheet, after(actions), libraryBook).consistency!.rested.s;

test('no egg: what does its work goes in for it, and the dough feels as it was meant to', () => {
  const [first, ...others] = insteadOf(sheet, after([]), 'egg-whole', libraryBook);
  // 50 g: water, oil, protein, bind
  expect(first!.adds.slice(0, 4)).toEqual([
    { ingredientId: 'water', massG: 38 },
    { ingredientId: 'sunflower-oil', massG: 5 },
    { ingredientId: 'pea-protein', massG: 5 },
    { ingredientId: 'psyllium-powder', massG: 1.5 },
  ]);
  expect(others).toHaveLength(1);
  const taken = takeInstead(after([]), 'egg-whole', first!, 'no egg');
  expect(taken[0]).toEqual({ type: 'leftOut', lineId: 'egg-whole' });
  expect(taken.slice(1).every((action) => action.type === 'added')).toBe(true);
  expect(feels(taken)).toBeCloseTo(feels([]), 1);
  expect(stillToWeigh(sheet, after(taken)).now.map(({ id }) => id)).not.toContain('egg-whole');
}); // prettier-ignore

test('half of the flour was left in the bag: another grain of the dough for the rest; a starch for a starch alone', () => {
  const part: BakeAction[] = [{ type: 'weighedPart', lineId: 'white-rice-flour', massG: 180 }];
  const found = insteadOf(sheet, after(part), 'white-rice-flour', libraryBook);
  expect(found.map(({ adds }) => adds[0]!.ingredientId)).toEqual(['sorghum-flour', 'light-buckwheat-flour']);
  for (const { adds } of found) {
    expect(adds[0]!.massG).toBe(120);
    expect(adds.map(({ ingredientId }) => ingredientId)).not.toContain('white-rice-flour');
    expect(adds.map(({ ingredientId }) => ingredientId)).not.toContain('tapioca-starch');
  }
  const taken = [...part, ...takeInstead(after(part), 'white-rice-flour', found[0]!, '')];
  // what is in is meant to be so: nothing is asked again, and nothing is wrong
  expect(after(taken).weighed.get('white-rice-flour')?.massG).toBe(180);
  expect(wrongAmount(sheet, after(taken), libraryBook)).toBeNull();
  expect(
    insteadOf(sheet, after([{ type: 'weighed', lineId: 'salt', massG: 10 }]), 'salt', libraryBook),
  ).toEqual([]);
  expect(insteadOf(sheet, after([]), 'no-such-line', libraryBook)).toEqual([]);
});
