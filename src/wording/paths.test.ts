import { wordPath } from './paths';

test.each([
  ['formula.stages.0.lines.2.massG', 'Part 1, line 3, weight: '],
  ['ingredients.4.parts.0.ingredientId', 'Ingredient 5, part 1, ingredient: '],
  ['recipeIngredient', 'Ingredients: '],
  ['formula', ''],
  ['version', ''],
  ['some.inner.constructor.0', ''],
])('%s is said as “%s”', (path, words) => {
  expect(wordPath(path)).toBe(words);
});
