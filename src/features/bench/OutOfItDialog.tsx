'use client';
import { useMemo } from 'react';
import { insteadOf, takeInstead, type BakeAction, type BakeState, type Instead } from '@/core/bake';
import type { BatchLine, BatchSheet } from '@/core/batch';
import type { Formula } from '@/core/formula';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { BAND_WORD } from '@/wording/bands';
import { words } from '@/wording/screens/bench/OutOfItDialog';
import { useBook, useNameOf } from '../book/BookProvider';
import { EaterChecks } from '../eaters/EaterChecks';
import { useUnits } from '../preferences/PreferencesProvider';

interface OutOfItDialogProps {
  readonly line: BatchLine;
  readonly sheet: BatchSheet;
  readonly state: BakeState;
  readonly onClose: () => void;
  readonly onDone: (actions: readonly BakeAction[]) => void;
}

/** What goes in for it, alone: that is what an eater has to hear of now. */
const stagesOf = ({ adds }: Instead): Formula['stages'] => [
  { id: 'instead', kind: 'main', name: '', lines: adds.map(({ ingredientId, massG }) => ({ id: ingredientId, ingredientId, massG, note: '' })) },
]; // prettier-ignore

/** There is none, or no more, of something in the middle of weighing: what can go in for it, a press each. */
export function OutOfItDialog({ line, sheet, state, onClose, onDone }: OutOfItDialogProps) {
  const book = useBook();
  const nameOf = useNameOf();
  const units = useUnits();
  const choices = useMemo(() => insteadOf(sheet, state, line.id, book), [sheet, state, line.id, book]);
  return (
    <Dialog onClose={onClose} title={words.title(line.name)} hint={choices.length > 0 ? words.hint : words.nothingKnown}>
      <ul className="grid gap-3">
        {choices.map((choice, at) => (
          <li key={at}>
            <Button size="bench" className="w-full flex-col items-start gap-0 py-2 text-left" onClick={() => onDone(takeInstead(state, line.id, choice, words.note(line.name)))}>
              <span>{choice.adds.map(({ ingredientId, massG }) => words.add(units.mass(massG), nameOf(ingredientId).toLowerCase())).join(', ')}</span>
              {choice.dough.band && <span className="text-base font-normal">{words.thenItIs(BAND_WORD[choice.dough.band].short)}</span>}
            </Button>
            <EaterChecks stages={stagesOf(choice)} brief className="mt-1" />
          </li>
        ))}
      </ul>
    </Dialog>
  );
} // prettier-ignore
