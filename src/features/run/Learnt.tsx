'use client';
import { useEffect, useState } from 'react';
import type { RiseLearning } from '@/core/fermentation';
import type { SliceLearning } from '@/core/slice';
import { formatDecimal } from '@/core/units';
import { useKitchen } from '../kitchen/KitchenProvider';
import { ask } from '../asking/ask';
import { useNumbers } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/run/Learnt';

interface FormulaLearnt {
  /** By marks of its rise; null: nothing yet. */
  readonly learning: RiseLearning | null;
  /** By pictures of its cuts; null: nothing yet. */
  readonly slices: SliceLearning | null;
}
const NOTHING: FormulaLearnt = { learning: null, slices: null };

/** What this formula's bakes have taught, asked once when the run is opened. */
export function useLearnt(formulaId: string | null): FormulaLearnt {
  const [learnt, setLearnt] = useState(NOTHING);
  const kitchen = useKitchen();
  useEffect(() => {
    let here = true;
    if (formulaId)
      void ask<FormulaLearnt>(kitchen.api(`/formulas/${formulaId}/learnt`)).then(
        (answer) => here && answer.kind === 'ok' && setLearnt(answer.value),
      );
    return () => {
      here = false;
    };
  }, [formulaId, kitchen]);
  return learnt;
}

const factor = ({ value, cv }: RiseLearning['learnt']['vigour']): string =>
  `× ${formatDecimal(value, 2)} (± ${formatDecimal(128.16 * cv, 0)} %)`;

interface LearntLineProps extends FormulaLearnt {
  on: boolean;
  onTurn: (on: boolean) => void;
}

/** Says what was learnt and from how much; may be left out of the computation. */
export function LearntLine({ learning, slices, on, onTurn }: LearntLineProps) {
  return (
    <label className="mt-2 flex items-start gap-2 text-sm" data-testid="learnt">
      <input
        type="checkbox"
        className="mt-1 size-4 shrink-0 accent-(--ink)"
        checked={on}
        onChange={(event) => onTurn(event.currentTarget.checked)}
      />
      <span>
        {learning && <OfTheRise {...learning} />}
        {slices && <OfTheSlice {...slices} isFirst={!learning} />}
      </span>
    </label>
  );
}

function OfTheRise({ learnt, marks, miss }: RiseLearning) {
  const numbers = useNumbers();
  return (
    <>
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
      <span className="text-soft">{marks > 1 && words.theMarksLieOfIts(numbers.decimal(100 * miss, 0))}</span>
    </>
  );
}

function OfTheSlice({ form, bakes, missBefore, miss, isFirst }: SliceLearning & { isFirst: boolean }) {
  const numbers = useNumbers();
  const times = (value: number) => numbers.fixed(value, 2);
  const percent = (share: number) => numbers.decimal(100 * share, 0);
  return (
    <>
      {isFirst ? words.useWhatCuts(bakes) : words.andCuts(bakes)}
      <strong className="figure">× {times(form.value)}</strong>
      {words.asHigh(times(form.low), times(form.high))}
      {missBefore !== null && miss !== null && (
        <span className="text-soft">{words.wasOff(percent(missBefore), percent(miss))}</span>
      )}
    </>
  );
}
