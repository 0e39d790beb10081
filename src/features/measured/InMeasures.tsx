'use client';
import { useEffect, useState } from 'react';
import type { BatchLine } from '@/core/batch';
import type { inMeasures as InMeasures } from '@/core/quantity/inMeasures';
import { Choice } from '@/ui/Choice';
import { patiently } from '@/ui/patiently';
import { wordCounts } from '@/wording/measured';
import { words } from '@/wording/screens/measured/InMeasures';
import { BESIDE_WORD } from '@/wording/words';
import { useBook } from '../book/BookProvider';
import { useStoredKit } from '../kit/KitProvider';
import { BESIDE_GRAMS } from '../preferences/preferences';
import { usePreferences } from '../preferences/PreferencesProvider';

const loadMeasuring = patiently(() => import('@/core/quantity/inMeasures'));

/** What turns grams into cups and spoons is fetched by who wants them. */
function useMeasuring(wanted: boolean): typeof InMeasures | null {
  const [found, setFound] = useState<{ inMeasures: typeof InMeasures } | null>(null);
  useEffect(() => {
    if (!wanted) return undefined;
    let left = false;
    void loadMeasuring().then(({ inMeasures }) => !left && setFound({ inMeasures }));
    return () => {
      left = true;
    };
  }, [wanted]);
  return found?.inMeasures ?? null;
}

/** A line in the measures the reader prefers beside the grams: as the recipe said it, else the nearest cups, spoons and eggs; null where there is nothing to say. */
export function useInMeasures(): (
  line: Pick<BatchLine, 'ingredientId' | 'massG' | 'counts'>,
) => string | null {
  const { besideGrams, measure: system } = usePreferences().preferences;
  const book = useBook();
  const { measures: own } = useStoredKit().kit;
  const inMeasures = useMeasuring(besideGrams === 'spoons');
  return ({ ingredientId, massG, counts }) => {
    if (besideGrams === 'nothing') return null;
    if (counts) return wordCounts(counts);
    const ingredient = book.get(ingredientId);
    if (besideGrams === 'said' || !ingredient || !inMeasures) return null;
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
