import {
  energyKjPer100g,
  energySdKjPer100g,
  ingredientLibrary,
  isFlourBase,
  libraryBook,
  saltSdPer100g,
  searchIngredients,
  type Estimate,
} from '.';

const named = (text: string) => searchIngredients(libraryBook, text).map(({ id }) => id);

test('every entry adds up, is told apart, and says where it comes from', () => {
  expect(ingredientLibrary.length).toBeGreaterThanOrEqual(90);
  expect(libraryBook.size).toBe(ingredientLibrary.length);
  expect(new Set(ingredientLibrary.map(({ name }) => name)).size).toBe(ingredientLibrary.length);
  for (const ingredient of ingredientLibrary) {
    const parts: readonly Estimate[] = Object.values(
      ingredient.per100g as unknown as Record<string, Estimate>,
    );
    const sum = parts.reduce((total, part) => total + part.value, 0);
    expect([ingredient.id, sum >= 98 && sum <= 102]).toEqual([ingredient.id, true]);
    expect(parts.every(({ value, sd }) => value >= 0 && sd >= 0 && sd <= value)).toBe(true);
    expect(ingredient.saltPer100g).toBeLessThanOrEqual(ingredient.per100g.ash.value);
    expect(ingredient.densityScooped).toBeGreaterThanOrEqual(ingredient.densitySpooned);
    expect(ingredient.source.length).toBeGreaterThan(20);
  }
});

test('flours and starches have what the water balance needs; doses are in order', () => {
  for (const ingredient of ingredientLibrary) {
    // a mixture drinks as its parts do
    for (const part of ingredient.madeOf?.map(({ ingredientId }) => libraryBook.get(ingredientId)!) ?? [
      ingredient,
    ])
      if (isFlourBase(part)) expect(part.absorption?.gPerG.value ?? 0).toBeGreaterThan(0.3);
    // the precooked one has been through it already
    const precooked = ingredient.id === 'pregelatinised-starch';
    if (ingredient.per100g.starch.value > 40 && isFlourBase(ingredient) && !precooked && !ingredient.madeOf) {
      const gel = ingredient.gelatinisationC;
      expect(gel && gel.onset < gel.peak && gel.onset > 50 && gel.peak < 80).toBe(true);
    }
    const { usualShare, mostShare } = ingredient;
    if (usualShare)
      expect(usualShare.from <= usualShare.to && usualShare.to <= (mostShare ?? Infinity)).toBe(true);
    if (ingredient.absorption) expect(ingredient.absorption.tauMin).toBeGreaterThan(0);
  }
});

test('a mixture is as watery and as starchy as what it is made of', () => {
  for (const mixture of ingredientLibrary.filter(({ madeOf }) => madeOf)) {
    for (const part of ['water', 'starch', 'protein', 'fibre'] as const) {
      const inside = mixture.madeOf!.reduce(
        (sum, { ingredientId, share }) => sum + share * libraryBook.get(ingredientId)!.per100g[part].value,
        0,
      );
      expect(Math.abs(inside - mixture.per100g[part].value)).toBeLessThan(0.3);
    }
  }
});

test('energy follows from composition', () => {
  expect(energyKjPer100g(libraryBook.get('water')!)).toBe(0);
  expect(energyKjPer100g(libraryBook.get('sugar')!)).toBeCloseTo(1698, 0);
  expect(energyKjPer100g(libraryBook.get('olive-oil')!)).toBeCloseTo(3696, 0);
  expect(energyKjPer100g(libraryBook.get('white-rice-flour')!)).toBeGreaterThan(1400);
});

test('figures without a spread of their own have their rule’s', () => {
  for (const ingredient of ingredientLibrary) {
    const energy = energyKjPer100g(ingredient);
    expect(energySdKjPer100g(ingredient)).toBeLessThanOrEqual(0.4 * energy);
    if (energy > 50) expect(energySdKjPer100g(ingredient)).toBeGreaterThan(0.001 * energy);
    const sd = saltSdPer100g(ingredient);
    expect(sd >= 0 && sd <= ingredient.saltPer100g && ingredient.saltPer100g + sd <= 100).toBe(true);
  }
});

test('search finds things by the names they have elsewhere', () => {
  expect(named('cornflour')[0]).toBe('maize-starch');
  expect(named('tapioca flour')[0]).toBe('tapioca-starch');
  expect(named('flaxseed')).toContain('ground-linseed');
  expect(named('gram flour')[0]).toBe('chickpea-flour');
  expect(named('PSYLLIUM  pow')).toEqual(['psyllium-powder']);
  expect(named('water')[0]).toBe('water');
  expect(named('no such thing')).toEqual([]);
  expect(named('')).toHaveLength(ingredientLibrary.length);
});
