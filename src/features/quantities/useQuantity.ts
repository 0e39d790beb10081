'use client';
import { useEffect } from 'react';
import type { Ingredient } from '@/core/ingredients';
import type { OwnMeasure, Weighed } from '@/core/quantity';
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
  const weigh = useWeighing(own);
  return (text, ingredient) => {
    const weighed = weigh(text, ingredient);
    return weighed.ok ? ok(weighed.value.massG) : weighed;
  };
}

/** The same with its doubt: between which weights it lies. */
export function useWeighing(
  own: readonly OwnMeasure[],
): (text: string, ingredient: Ingredient | null) => Result<Weighed> {
  const units = useUnits();
  const { preferences } = usePreferences();
  useEffect(() => void loadQuantities().catch(() => undefined), []);
  return (text, ingredient) => {
    const massG = units.parseMass(text);
    if (massG.ok) return ok({ massG: massG.value, lowG: massG.value, highG: massG.value, by: 'mass' });
    const read = readQuantity(text, ingredient, {
      system: preferences.measure,
      bareUnitG: units.massUnit === 'g' ? 1 : GRAMS_PER_OUNCE,
      baseG: null,
      own,
    });
    if (!read) return massG;
    return read;
  };
}
