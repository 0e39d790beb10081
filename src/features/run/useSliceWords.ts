'use client';
import { colourOf } from '@/core/heat';
import type { SliceFigures } from '@/core/slice';
import { useUnits } from '../preferences/PreferencesProvider';
import { COLOUR_WORD } from '@/wording/run';
import { words } from '@/wording/screens/run/useSliceWords';

/** A slice in words: what its picture says, to who can't see it. */
export function useSliceWords(): (slice: SliceFigures) => string {
  const units = useUnits();
  return (slice) => {
    const streak =
      slice.streak > 0.1 ? words.aDampStreakLikely : slice.streak > 0.02 ? words.aDampStreakPossible : '';
    const size = words.highAndAcross(units.length(slice.heightMm / 10), units.length(slice.widthMm / 10));
    return words.theSliceToExpectPores(
      size,
      units.thick(slice.poreMm),
      COLOUR_WORD[colourOf(slice.brownTop)],
      COLOUR_WORD[colourOf(slice.brownBase)],
      streak,
    );
  };
}
