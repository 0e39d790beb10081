'use client';
import { Plus } from 'lucide-react';
import { memo, useCallback, useEffect, useMemo, useRef } from 'react';
import { methodTime, STEP_KINDS, type MethodStep } from '@/core/method';
import { formatDurationRange, formatDuration } from '@/core/units';
import { Button } from '@/ui/Button';
import { Menu } from '@/ui/Menu';
import { STEP_WORD } from '@/wording/words';
import { CarryArea, CarryList } from './carry/carry';
import { newLocalId, useSheetActions, useSheetState } from '../sheet/SheetContext';
import { StepRow } from './StepRow';
import { words } from '@/wording/screens/formula/MethodEditor';
import { Term } from '../help/Term';

/** The method beneath the sheet: ordered steps, moved by drag or by keys. */
export const MethodEditor = memo(function MethodEditor() {
  const { edit } = useSheetActions();
  const steps = useSheetState((state) => state.formula.steps);
  const latest = useRef(steps);
  useEffect(() => {
    latest.current = steps;
  });
  const onDrop = (stepId: string, overId: string) => {
    const toIndex = steps.findIndex((step) => step.id === overId);
    if (toIndex >= 0) edit({ type: 'moveStep', stepId, toIndex });
  };
  const onMove = useCallback(
    (stepId: string, by: -1 | 1) => {
      const toIndex = latest.current.findIndex((step) => step.id === stepId) + by;
      if (toIndex >= 0 && toIndex < latest.current.length) edit({ type: 'moveStep', stepId, toIndex });
    },
    [edit],
  );
  const nameOf = useCallback((id: string) => {
    const index = latest.current.findIndex((step) => step.id === id);
    const step = latest.current[index];
    return step ? words.step(index + 1, step.title || STEP_WORD[step.kind]) : words.thatPlace;
  }, []);
  const order = steps.map((step) => step.id).join(' ');
  const ids = useMemo(() => order.split(' ').filter(Boolean), [order]);

  return (
    <section aria-labelledby="method-title" className="docket rounded-b-md px-2 pt-4 pb-3 sm:px-4">
      <MethodHead steps={steps} />
      <CarryArea nameOf={nameOf} onDrop={onDrop}>
        <CarryList id="steps" ids={ids} as="ol">
          {steps.map((step, index) => (
            <StepRow key={step.id} step={step} number={index + 1} onMove={onMove} />
          ))}
        </CarryList>
      </CarryArea>
      {steps.length === 0 && (
        <p className="border-t border-rule py-4 text-sm text-soft">{words.noStepsYetPutDown}</p>
      )}
      <div className="border-t border-rule pt-2">
        <Menu
          columns
          trigger={
            <Button look="quiet" className="text-soft">
              <Plus size={16} aria-hidden />
              {words.addAStep}
            </Button>
          }
          choices={STEP_KINDS.map((kind) => ({
            key: kind,
            words: STEP_WORD[kind],
            onSelect: () => edit({ type: 'addStep', kind, id: newLocalId(), atIndex: latest.current.length }),
          }))}
        />
      </div>
    </section>
  );
});

function MethodHead({ steps }: { steps: readonly MethodStep[] }) {
  const time = methodTime(steps);
  return (
    <header className="flex flex-wrap items-baseline justify-between gap-2 pb-2">
      <h2 id="method-title" className="scroll-mt-20 text-xl">
        {words.method}
      </h2>
      {time.minS > 0 && (
        <p className="text-sm text-soft">
          <strong className="text-ink">{formatDurationRange(time.minS, time.maxS)}</strong>
          {words.inTotal}
          <Term id="handsOn">{words.handsOn}</Term> {formatDuration(time.handsOnS)}
          {time.untimed > 0 && words.withoutATime(time.untimed)}
        </p>
      )}
    </header>
  );
}
