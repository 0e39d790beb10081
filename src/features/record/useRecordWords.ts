'use client';
import { recordWords } from '@/wording/record';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';

/** Rows of a record in this reader's units. */
export function useRecordWords() {
  const { decimal } = useNumbers();
  const { temperature } = useUnits();
  return recordWords({ decimal, temperature });
}
