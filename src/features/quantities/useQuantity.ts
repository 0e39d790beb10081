'use client';
import { useEffect } from 'react';
import type { Ingredient } from '@/core/ingredients';
import type { OwnMeasure } from '@/core/quantity';
import { ok, type Result } from '@/core/result';
import { GRAMS_PER_OUNCE } from '@/core/units';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { loadQuantities, readQuantity } from './readQuantity';

/**
 * Reads what a weight cell holds in whatever words: "350", "1 1/2 cups", "a packet". Weights alone until the reader is there.
 * @param own the kitchen's own cups and scoops
 */
export function useQuantity(
  own: readonly OwnMeasure[],
): (text: string, ingredient: Ingredient | null) => Result<number> {
  const units = useUnits();
  const { preferences } = usePreferences();
  useEffect(() => void loadQuantities().catch(() => undefined), []);
  return (text, ingredient) => {
    const massG = units.parseMass(text);
    if (massG.ok) return massG;
    const read = readQuantity(text, ingredient, {
      system: preferences.measure,
      bareUnitG: units.massUnit === 'g' ? 1 : GRAMS_PER_OUNCE,
      baseG: null,
      own,
    });
    if (!read) return massG;
    return read.ok ? ok(read.value.massG) : read;
  };
}
