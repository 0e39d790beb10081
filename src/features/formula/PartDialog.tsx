'use client';
import { useEffect, useState } from 'react';
import type { Formula } from '@/core/formula';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { FindField } from '@/ui/FindField';
import { words } from '@/wording/screens/formula/PartSource';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useSheetActions } from '../sheet/SheetContext';
import type { LoadedFormula } from './useFormulaSheet';

interface Named {
  readonly id: string;
  readonly name: string;
}

interface PartDialogProps {
  part: string;
  onTake: (formulaId: string, from: Formula) => void;
  /** Makes it one; absent where there is nothing to make one of. */
  onMake?: () => Promise<void>;
  onClose: () => void;
}

/** Which of the kitchen's formulas a part is made by. */
export function PartDialog({ part, onTake, onMake, onClose }: PartDialogProps) {
  const kitchen = useKitchen();
  const { formulaId: self } = useSheetActions();
  const [find, setFind] = useState('');
  const [found, setFound] = useState<readonly Named[] | null>(null);
  const [trouble, setTrouble] = useState(false);
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    let left = false;
    void ask<readonly Named[]>(kitchen.api(`/formulas?find=${encodeURIComponent(find)}`)).then((answer) => {
      if (left) return;
      setTrouble(answer.kind !== 'ok');
      if (answer.kind === 'ok') setFound(answer.value.filter(({ id }) => id !== self));
    });
    return () => {
      left = true;
    };
  }, [find, kitchen, self]);
  const take = async (id: string) => {
    const answer = await ask<LoadedFormula>(kitchen.api(`/formulas/${id}`));
    if (answer.kind === 'ok') onTake(id, answer.value.formula);
    else setTrouble(true);
  };
  return (
    <Dialog onClose={onClose} title={words.which(part)} hint={words.hint}>
      {onMake && (
        <Button
          className="mb-4 min-h-11"
          disabled={busy}
          onClick={() => {
            setBusy(true);
            void onMake();
          }}
        >
          {words.makeOwn}
        </Button>
      )}
      <FindField label={words.find} value={find} onFind={setFind} className="w-full" />
      {trouble && (
        <p role="alert" className="mt-2 text-sm text-alarm">
          {words.theServerDidNotAnswer}
        </p>
      )}
      {found?.length === 0 && <p className="mt-2 text-sm text-soft">{words.none}</p>}
      <ul className="mt-2 max-h-80 overflow-y-auto">
        {found?.map(({ id, name }) => (
          <li key={id} className="border-t border-rule first:border-0">
            <Button
              look="quiet"
              className="min-h-11 w-full justify-start text-left"
              onClick={() => void take(id)}
            >
              {name}
            </Button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
