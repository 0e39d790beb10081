import { differences, flatten, wordDifference } from '../../../tests/golden/compare';
import stored from './figures.json';
import { heatFigures } from './testFigures';

test('every figure of the test doughs is what it was: ./crumb golden renew takes over what was meant to change', () => {
  expect(differences(stored, flatten(heatFigures()), 1e-4, 1e-8).slice(0, 20).map(wordDifference)).toEqual(
    [],
  );
  expect(Object.keys(stored).length).toBeGreaterThan(1500);
});
