'use client';
import { useState } from 'react';
import { swapIngredient } from '@/core/adjust';
import { massByIngredient } from '@/core/formula';
import { isFlourBase } from '@/core/ingredients';
import { useBook, useStoredEntries, useNameOf } from '../../book/BookProvider';
import { newLocalId, useSheetState } from '../../sheet/SheetContext';
import { Asked } from './Asked';
import { Proposed } from './Proposed';
import { words } from '@/wording/screens/formula/tools/Swap';

export function Swap({ onDone }: { onDone: () => void }) {
  const formula = useSheetState((state) => state.formula);
  const book = useBook();
  const { away } = useStoredEntries();
  const nameOf = useNameOf();
  const onSheet = [...massByIngredient(formula).keys()];
  const [fromId, setFromId] = useState(
    () => onSheet.find((id) => book.get(id)?.roles[0] === 'binder') ?? onSheet[0] ?? '',
  );
  const [toId, setToId] = useState(
    ['psyllium-husk', 'psyllium-powder'].includes(fromId) ? 'xanthan' : 'psyllium-husk',
  );
  const from = book.get(fromId);
  // a flour for any flour or starch, anything else for its like
  const alike = [...book.values()]
    .filter(
      (each) =>
        from &&
        each.id !== fromId &&
        !away.has(each.id) &&
        (isFlourBase(from) ? isFlourBase(each) : each.roles[0] === from.roles[0]),
    )
    .map(({ id }) => id);
  const options = (ids: readonly string[]) => ids.map((id) => ({ value: id, label: nameOf(id) }));
  const chosen = alike.includes(toId) ? toId : '';
  return (
    <>
      <Asked word={words.insteadOf} value={fromId} options={options(onSheet)} onChange={setFromId} />
      <Asked
        word={words.use}
        value={chosen}
        options={[{ value: '', label: words.choose }, ...options(alike)]}
        onChange={setToId}
      />
      {chosen && (
        <Proposed proposed={swapIngredient(formula, fromId, chosen, book, newLocalId)} onDone={onDone} />
      )}
    </>
  );
}
