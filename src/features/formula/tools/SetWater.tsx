'use client';
import { useState } from 'react';
import { solveWater } from '@/core/adjust';
import type { Band } from '@/core/consistency';
import { useBook } from '../../book/BookProvider';
import { BAND_OPTIONS } from '@/wording/bands';
import { newLocalId, useSheetState } from '../../sheet/SheetContext';
import { Asked } from './Asked';
import { Proposed } from './Proposed';
import { words } from '@/wording/screens/formula/tools/SetWater';

export function SetWater({ onDone }: { onDone: () => void }) {
  const formula = useSheetState((state) => state.formula);
  const book = useBook();
  const [band, setBand] = useState<Band>('soft');
  return (
    <>
      <Asked word={words.afterItsRestItShould} value={band} options={BAND_OPTIONS} onChange={setBand} />
      <Proposed proposed={solveWater(formula, band, book, newLocalId)} onDone={onDone} />
    </>
  );
}
