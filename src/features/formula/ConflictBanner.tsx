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
        This sheet was changed somewhere else
        {conflict.savedAtMs > 0 && ` at ${time.clock(conflict.savedAtMs)}`} (revision {conflict.revision})
        while you were changing it here.
      </p>
      <p className="mt-1 text-sm">
        Nothing was overwritten, and what you typed is still on this page. Which one goes on?
      </p>
      {theirs && (
        <details className="mt-2" open>
          <summary className="text-sm font-semibold">From theirs to yours</summary>
          <Differences differences={compareFormulas(theirs, mine)} />
        </details>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <Button look="strong" onClick={onTheirs}>
          Go on with theirs
        </Button>
        <Button onClick={onMineOnTop}>Save mine as the newest</Button>
        <Button onClick={onCopy}>Save mine as a formula of its own</Button>
      </div>
    </div>
  );
}
