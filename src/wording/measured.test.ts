import { wordCount, wordCounts } from './measured';

test.each([
  [1.5, '1 ½'], [0.333, '⅓'], [0.97, '1'], [2.69, '2 ⅔'], [3, '3'], [0.05, 'a little under ⅛'], [0.12, '⅛'], [19.99, '20'], [41.3, '41'], [0.874, '⅞'],
])('%d is said as %s', (count, text) => {
  expect(wordCount(count)).toBe(text);
}); // prettier-ignore

test('measures as they were said, scaled', () => {
  expect(wordCounts([{ count: 1.5, measure: 'cup' }])).toBe('1 ½ cups');
  expect(wordCounts([{ count: 2, measure: 'cup' }, { count: -1, measure: 'tbsp' }])).toBe('2 cups less 1 tbsp');
  expect(wordCounts([{ count: 0.5, measure: 'cup' }, { count: 2, measure: 'tsp' }])).toBe('½ cup and 2 tsp');
  expect(wordCounts([{ count: 3, measure: 'large' }])).toBe('3 large');
}); // prettier-ignore
