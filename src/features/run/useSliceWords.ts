'use client';
import { colourOf } from '@/core/heat';
import type { SliceFigures } from '@/core/slice';
import { useUnits } from '../preferences/PreferencesProvider';
import { COLOUR_WORD } from '../wording/run';

/** A slice in words: what its picture says, to who can't see it. */
export function useSliceWords(): (slice: SliceFigures) => string {
  const units = useUnits();
  return (slice) => {
    const streak =
      slice.streak > 0.1 ? ', a damp streak likely' : slice.streak > 0.02 ? ', a damp streak possible' : '';
    const size = `${units.length(slice.heightMm / 10)} high and ${units.length(slice.widthMm / 10)} across`;
    return `The slice to expect: ${size}, pores near ${units.thick(slice.poreMm)}, top ${COLOUR_WORD[colourOf(slice.brownTop)]}, base ${COLOUR_WORD[colourOf(slice.brownBase)]}${streak}.`;
  };
}
