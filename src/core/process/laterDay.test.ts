import { newStep, type StepKind } from '../method';
import { laterDay } from './laterDay';

const parted = (...kinds: StepKind[]) => {
  const { today, later } = laterDay(kinds.map((kind, at) => newStep(kind, `${at}`)));
  expect([...today, ...later].map(({ id }) => id)).toEqual(kinds.map((_, at) => `${at}`));
  return `${today.map(({ kind }) => kind).join(' ')} | ${later.map(({ kind }) => kind).join(' ')}`;
};

test('the day ends with freezing, or with wrapping, or before what thaws and warms up again', () => {
  expect(parted('shape', 'freeze', 'wrap', 'thaw', 'proof', 'bake')).toBe(
    'shape freeze wrap | thaw proof bake',
  );
  // nobody wrote that it thaws
  expect(parted('shape', 'freeze', 'bake', 'cool')).toBe('shape freeze | bake cool');
  expect(parted('bake', 'cool', 'wrap', 'refresh')).toBe('bake cool wrap | refresh');
  expect(parted('bake', 'cool', 'freeze', 'hold', 'thaw', 'reheat')).toBe(
    'bake cool freeze hold | thaw reheat',
  );
  expect(parted('bake', 'cool', 'reheat')).toBe('bake cool | reheat');
  // wrapped again once it is warm: that day is the later one
  expect(parted('bake', 'cool', 'reheat', 'wrap')).toBe('bake cool | reheat wrap');
  expect(parted('bake', 'cool', 'wrap')).toBe('bake cool wrap | ');
  expect(parted('proof', 'bake', 'cool')).toBe('proof bake cool | ');
  expect(parted()).toBe(' | ');
});
