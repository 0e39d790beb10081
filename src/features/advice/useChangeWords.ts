'use client';
import type { Change } from '@/core/advice';
import { CHANGE_WORD } from '@/wording/diagnosis';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';

/** A change in a few words. */
export function useChangeWords() {
  const numbers = useNumbers();
  const units = useUnits();
  return ({ kind, by }: Change): string => {
    const byDegrees = kind === 'oven' || kind === 'dough';
    const much = byDegrees
      ? `${numbers.decimal(Math.abs(by * units.degreesPerC), 0)}°`
      : `${numbers.decimal(100 * Math.abs(by - 1), 0)} %`;
    return CHANGE_WORD[kind](byDegrees ? by > 0 : by > 1, much);
  };
}
