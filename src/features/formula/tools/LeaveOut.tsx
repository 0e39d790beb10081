'use client';
import { useState } from 'react';
import { avoidableIn, leaveOut, type Avoided } from '@/core/adjust';
import { useBook } from '../../book/BookProvider';
import { newLocalId, useSheetState } from '../../sheet/SheetContext';
import { Asked } from './Asked';
import { Proposed } from './Proposed';
import { words } from '@/wording/screens/formula/tools/LeaveOut';

const AVOIDED_WORD: Record<Avoided, string> = {
  egg: 'egg', milk: words.milkAndDairy, maize: 'maize', oats: 'oats', treeNuts: words.treeNuts, soya: 'soya', lupin: 'lupin',
  sesame: 'sesame', potato: 'potato', psyllium: 'psyllium', xanthan: 'xanthan', rice: 'rice', wheat: words.wheatStarch,
}; // prettier-ignore

export function LeaveOut({ onDone }: { onDone: () => void }) {
  const formula = useSheetState((state) => state.formula);
  const book = useBook();
  const avoidable = avoidableIn(formula, book);
  const [avoided, setAvoided] = useState<Avoided | null>(avoidable[0] ?? null);
  if (!avoided) return <p className="mt-2 text-soft">{words.thereIsNothingIn}</p>;
  return (
    <>
      <Asked
        word={words.without}
        value={avoided}
        options={avoidable.map((each) => ({ value: each, label: AVOIDED_WORD[each] }))}
        onChange={setAvoided}
      />
      <Proposed proposed={leaveOut(formula, avoided, book, newLocalId)} onDone={onDone} />
    </>
  );
}
