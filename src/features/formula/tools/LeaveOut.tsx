'use client';
import { useState } from 'react';
import { avoidableIn, leaveOut, type Avoided } from '@/core/adjust';
import { useBook } from '../../book/BookProvider';
import { newLocalId, useSheetState } from '../../sheet/SheetContext';
import { Asked } from './Asked';
import { Proposed } from './Proposed';

const AVOIDED_WORD: Record<Avoided, string> = {
  egg: 'egg', milk: 'milk and dairy', maize: 'maize', oats: 'oats', treeNuts: 'tree nuts', soya: 'soya', lupin: 'lupin',
  sesame: 'sesame', potato: 'potato', psyllium: 'psyllium', xanthan: 'xanthan', rice: 'rice', wheat: 'wheat starch',
}; // prettier-ignore

export function LeaveOut({ onDone }: { onDone: () => void }) {
  const formula = useSheetState((state) => state.formula);
  const book = useBook();
  const avoidable = avoidableIn(formula, book);
  const [avoided, setAvoided] = useState<Avoided | null>(avoidable[0] ?? null);
  if (!avoided)
    return <p className="mt-2 text-soft">There is nothing on this sheet that people usually leave out.</p>;
  return (
    <>
      <Asked
        word="Without"
        value={avoided}
        options={avoidable.map((each) => ({ value: each, label: AVOIDED_WORD[each] }))}
        onChange={setAvoided}
      />
      <Proposed proposed={leaveOut(formula, avoided, book, newLocalId)} onDone={onDone} />
    </>
  );
}
