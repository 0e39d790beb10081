'use client';
import type { BakeState } from '@/core/bake';
import type { BatchSheet } from '@/core/batch';
import { timerS } from '@/core/method';
import type { PracticeDay } from '@/core/practice/faults';
import { formatDuration } from '@/core/units';
import { Button, buttonClass } from '@/ui/Button';
import { words } from '@/wording/screens/practice/PracticePage';
import { STEP_WORD } from '@/wording/words';
import { KitchenLink } from '../kitchen/KitchenProvider';

interface PracticeEndProps {
  readonly sheet: BatchSheet;
  readonly state: BakeState;
  readonly presses: number;
  readonly day: PracticeDay;
  readonly formulaId: string;
  readonly onAgain: () => void;
}

const minutes = (s: number): string => formatDuration(Math.max(60, Math.round(s / 60) * 60));

/** What was so, now that it is over. */
export function PracticeEnd({ sheet, state, presses, day, formulaId, onAgain }: PracticeEndProps) {
  const tookS = ((state.endedAtMs ?? state.startedAtMs) - state.startedAtMs) / 1000;
  const waits = sheet.steps.flatMap((step) => {
    const { timer, doneAtMs } = state.steps.get(step.id) ?? {};
    const plannedS = timerS(step);
    return timer && doneAtMs != null && plannedS !== null ? [{ step, plannedS, reallyS: (doneAtMs - timer.startedAtMs) / 1000 }] : [];
  });
  return (
    <div className="mx-auto max-w-2xl px-4 py-6" data-testid="practice-end">
      <h1 className="text-3xl">{words.ended}</h1>
      <p className="mt-2 text-xl">{words.took(minutes(tookS), presses)}</p>
      <section className="docket mt-5 rounded-b-xl p-4">
        <h2 className="text-xl">{words.wasSo}</h2>
        {day.faults.length === 0 ? <p className="mt-1 text-lg">{words.nothingWrong}</p> : (
          <ul className="mt-1 list-disc pl-5 text-lg">{day.faults.map((fault) => <li key={fault}>{words.truth[fault]}</li>)}</ul>
        )}
        {waits.length > 0 && (
          <ul className="mt-3 border-t border-rule pt-2">
            {waits.map(({ step, plannedS, reallyS }) => <li key={step.id}>{words.stepTook(STEP_WORD[step.kind], minutes(reallyS), minutes(plannedS))}</li>)}
          </ul>
        )}
      </section>
      <div className="mt-5 grid gap-3 sm:grid-cols-2">
        <Button look="now" size="bench" onClick={onAgain}>{words.again}</Button>
        <KitchenLink href={`/formulas/${formulaId}`} className={buttonClass('plain', 'bench')}>{words.toTheFormula}</KitchenLink>
      </div>
    </div>
  );
} // prettier-ignore
