const WORDS: Readonly<Record<string, string>> = {
  formula: '',
  stages: 'part',
  lines: 'line',
  steps: 'step',
  ingredients: 'ingredient',
  parts: 'part',
  name: 'name',
  about: 'about it',
  massG: 'weight',
  note: 'remark',
  ingredientId: 'ingredient',
  usualYield: 'usual yield',
  pieces: 'pieces',
  pieceMassG: 'weight of a piece',
  minS: 'time',
  maxS: 'time',
  tempC: 'temperature',
  per100g: 'what is in 100 g',
  recipeIngredient: 'ingredients',
};

/**
 * Where in a file something is, in words: "formula.stages.0.lines.2.massG" is "Part 1, line 3, weight: ". What there is no word for is
 * left out: an inner name on the screen helps nobody.
 */
export function wordPath(path: string): string {
  const segments = path.split('.');
  const words: string[] = [];
  for (const [index, segment] of segments.entries()) {
    const word = Object.hasOwn(WORDS, segment) ? WORDS[segment] : undefined;
    if (!word) continue;
    const next = segments[index + 1] ?? '';
    words.push(/^\d+$/.test(next) ? `${word} ${Number(next) + 1}` : word);
  }
  const place = words.join(', ');
  return place ? `${place.charAt(0).toUpperCase()}${place.slice(1)}: ` : '';
}
