'use client';
import type { BatchLine } from '@/core/batch';
import { inMeasures } from '@/core/quantity';
import { Choice } from '@/ui/Choice';
import { wordCounts } from '@/wording/measured';
import { words } from '@/wording/screens/measured/InMeasures';
import { BESIDE_WORD } from '@/wording/words';
import { useBook } from '../book/BookProvider';
import { useStoredKit } from '../kit/KitProvider';
import { BESIDE_GRAMS } from '../preferences/preferences';
import { usePreferences } from '../preferences/PreferencesProvider';

/** A line in the measures the reader prefers beside the grams: as the recipe said it, else the nearest cups, spoons and eggs; null where there is nothing to say. */
export function useInMeasures(): (
  line: Pick<BatchLine, 'ingredientId' | 'massG' | 'counts'>,
) => string | null {
  const { besideGrams, measure: system } = usePreferences().preferences;
  const book = useBook();
  const { measures: own } = useStoredKit().kit;
  return ({ ingredientId, massG, counts }) => {
    if (besideGrams === 'nothing') return null;
    if (counts) return wordCounts(counts);
    const ingredient = book.get(ingredientId);
    if (besideGrams === 'said' || !ingredient) return null;
    const found = inMeasures(massG, ingredient, { system, ...(own && { own }) });
    return found && words.about(wordCounts(found.counts));
  };
}

/** What stands beside the grams on the batch, at the bench, on paper and in the log. */
export function BesideGramsChoice() {
  const { preferences, change } = usePreferences();
  return (
    <Choice
      label={words.besideTheGrams}
      value={preferences.besideGrams}
      options={BESIDE_GRAMS.map((value) => ({ value, label: BESIDE_WORD[value] }))}
      onChange={(besideGrams) => change({ besideGrams })}
      className="no-print w-auto border-edge text-sm"
    />
  );
}
