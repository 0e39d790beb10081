'use client';
import { useEffect, useState } from 'react';
import { compareFormulas, type Formula } from '@/core/formula';
import { Button } from '@/ui/Button';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useKitchenTime } from '../preferences/time';
import { ask } from '../asking/ask';
import { Differences } from './Differences';
import { useSheetState } from '../sheet/SheetContext';
import type { LoadedFormula } from './useFormulaSheet';
import { words } from '@/wording/screens/formula/ConflictBanner';

interface ConflictBannerProps {
  formulaId: string;
  conflict: { readonly revision: number; readonly savedAtMs: number };
  onMineOnTop: () => void;
  onTheirs: () => void;
  onCopy: () => void;
}

/** Two hands on one sheet: says so, shows what differs, and lets the baker choose. Nothing is overwritten either way. */
export function ConflictBanner({ formulaId, conflict, onMineOnTop, onTheirs, onCopy }: ConflictBannerProps) {
  const time = useKitchenTime();
  const kitchen = useKitchen();
  const mine = useSheetState((state) => state.formula);
  const [theirs, setTheirs] = useState<Formula | null>(null);
  useEffect(() => {
    let gone = false;
    void ask<LoadedFormula>(kitchen.api(`/formulas/${formulaId}`)).then((head) => {
      if (!gone && head.kind === 'ok') setTheirs(head.value.formula);
    });
    return () => {
      gone = true;
    };
  }, [formulaId, conflict.revision, kitchen]);

  return (
    <div role="alert" className="mb-4 rounded-md border-2 border-alarm bg-alarm-wash px-4 py-3">
      <p className="font-semibold">
        {words.thisFormulaWasChanged}
        {conflict.savedAtMs > 0 && words.at(time.clock(conflict.savedAtMs))}
        {words.versionWhileYouWereChanging(conflict.revision)}
      </p>
      <p className="mt-1 text-sm">{words.nothingWasOverwrittenAndWhat}</p>
      {theirs && (
        <details className="mt-2" open>
          <summary className="text-sm font-semibold">{words.fromTheirsToYours}</summary>
          <Differences differences={compareFormulas(theirs, mine)} />
        </details>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <Button look="strong" onClick={onTheirs}>
          {words.goOnWithTheirs}
        </Button>
        <Button onClick={onMineOnTop}>{words.saveMineAsTheNewest}</Button>
        <Button onClick={onCopy}>{words.saveMineAsAFormula}</Button>
      </div>
    </div>
  );
}
