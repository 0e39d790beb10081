'use client';
import { useEffect, useState } from 'react';
import type { RiseLearning } from '@/core/fermentation';
import { formatDecimal } from '@/core/units';
import { useKitchen } from '../kitchen/KitchenProvider';
import { ask } from '../asking/ask';
import { useNumbers } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/run/Learnt';

/** What this formula's marks have taught, asked once when the run is opened; null: nothing yet. */
export function useLearnt(formulaId: string | null): RiseLearning | null {
  const [learning, setLearning] = useState<RiseLearning | null>(null);
  const kitchen = useKitchen();
  useEffect(() => {
    let here = true;
    if (formulaId)
      void ask<{ learning: RiseLearning | null }>(kitchen.api(`/formulas/${formulaId}/learnt`)).then(
        (answer) => here && answer.kind === 'ok' && setLearning(answer.value.learning),
      );
    return () => {
      here = false;
    };
  }, [formulaId, kitchen]);
  return learning;
}

const factor = ({ value, cv }: RiseLearning['learnt']['vigour']): string =>
  `× ${formatDecimal(value, 2)} (± ${formatDecimal(128.16 * cv, 0)} %)`;

interface LearntLineProps {
  learning: RiseLearning;
  on: boolean;
  onTurn: (on: boolean) => void;
}

/** Says what was learnt and from how much; may be left out of the computation. */
export function LearntLine({ learning, on, onTurn }: LearntLineProps) {
  const numbers = useNumbers();
  const { learnt, marks, miss } = learning;
  return (
    <label className="mt-2 flex items-start gap-2 text-sm" data-testid="learnt">
      <input
        type="checkbox"
        className="mt-1 size-4 shrink-0 accent-(--ink)"
        checked={on}
        onChange={(event) => onTurn(event.currentTarget.checked)}
      />
      <span>
        {words.useWhatAtTheBench(marks === 1 ? words.oneMark : words.marks(marks))}
        <strong className="figure">{numbers.mark(factor(learnt.vigour))}</strong>
        {learnt.holding.cv > 0 ? (
          <>
            {words.asFastAndHolds}
            <strong className="figure">{numbers.mark(factor(learnt.holding))}</strong>
            {words.asMuch}
          </>
        ) : (
          words.asFast
        )}
        <span className="text-soft">
          {marks > 1 && words.theMarksLieOfIts(numbers.decimal(100 * miss, 0))}
        </span>
      </span>
    </label>
  );
}
