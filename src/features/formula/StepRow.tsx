'use client';
import { GripVertical, Hand, X } from 'lucide-react';
import { memo, type ComponentProps } from 'react';
import { STEP_KINDS, type MethodStep } from '@/core/method';
import { ok } from '@/core/result';
import { formatDurationRange, parseDurationRangeS } from '@/core/units';
import { IconButton } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Choice } from '@/ui/Choice';
import { cx } from '@/ui/cx';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { STEP_WORD } from '@/wording/words';
import { Carried } from './carry/carry';
import type { Carry } from './carry/carryProps';
import { useSheetActions } from '../sheet/SheetContext';
import { words } from '@/wording/screens/formula/StepRow';

const KINDS = STEP_KINDS.map((kind) => ({ value: kind, label: STEP_WORD[kind] }));

/** Puts parts of a step; what is wrong with them comes back in words. */
function useStepChange(step: MethodStep) {
  const { edit } = useSheetActions();
  const { preferences } = usePreferences();
  return (part: Partial<MethodStep>, field: string): string | null => {
    const problem = edit({ type: 'setStep', step: { ...step, ...part } }, `${field}:${step.id}`);
    return problem && wordProblem(problem, preferences);
  };
}

interface StepRowProps {
  step: MethodStep;
  number: number;
  onMove: (stepId: string, by: -1 | 1) => void;
}

/** One step of the method: what, how long or until what, how warm, and whether it takes the baker's hands. */
export const StepRow = memo(function StepRow(props: StepRowProps) {
  return <Carried id={props.step.id}>{(carry) => <Row {...props} carry={carry} />}</Carried>;
});

function Row({ step, number, onMove, carry }: StepRowProps & { carry: Carry }) {
  const { edit } = useSheetActions();
  const name = step.title || STEP_WORD[step.kind];
  const change = useStepChange(step);

  return (
    <li
      {...carry.row}
      data-step={step.id}
      onKeyDown={(event) => {
        if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
        event.preventDefault();
        onMove(step.id, event.key === 'ArrowUp' ? -1 : 1);
      }}
      className={cx(
        'grid grid-cols-[1.75rem_minmax(0,1fr)_auto] gap-x-1 border-t border-rule py-1',
        carry.carried && 'relative z-10 bg-well shadow-lg',
      )}
    >
      <button
        type="button"
        {...carry.grip}
        data-grip
        aria-label={words.moveStep(number, name)}
        className="flex h-9 cursor-grab touch-none items-center justify-center text-edge hover:text-ink"
      >
        <GripVertical size={16} aria-hidden />
      </button>
      <StepCells step={step} number={number} />
      <div className="flex flex-col items-end">
        <IconButton
          label={words.removeStep(number)}
          onClick={() => edit({ type: 'removeStep', stepId: step.id })}
        >
          <X size={15} aria-hidden />
        </IconButton>
        <IconButton
          label={step.handsOn ? words.stepIsHandsOn(number) : words.stepIsHandsOff(number)}
          aria-pressed={step.handsOn}
          onClick={() => change({ handsOn: !step.handsOn }, 'hands')}
          className={step.handsOn ? 'text-ink' : 'opacity-50'}
        >
          <Hand size={16} aria-hidden fill={step.handsOn ? 'currentColor' : 'none'} />
        </IconButton>
      </div>
    </li>
  );
}

function StepCells({ step, number }: Pick<StepRowProps, 'step' | 'number'>) {
  const { settle, takeBack } = useSheetActions();
  const units = useUnits();
  const { preferences } = usePreferences();
  const change = useStepChange(step);
  const typeTime = (text: string) => {
    const range = text.trim() === '' ? ok({ minS: null, maxS: null }) : parseDurationRangeS(text);
    return range.ok ? change(range.value, 'time') : wordProblem(range.problem, preferences);
  };
  const typeTemp = (text: string) => {
    const tempC = text.trim() === '' ? ok(null) : units.parseTemperature(text);
    return tempC.ok ? change({ tempC: tempC.value }, 'temp') : wordProblem(tempC.problem, preferences);
  };
  return (
    <div className="grid min-w-0 grid-cols-2 gap-x-2 sm:grid-cols-[7.25rem_minmax(0,1fr)_9rem_6rem]">
      <span className="flex items-center">
        <span className="figure w-6 text-right text-sm text-soft">{number}</span>
        <Choice
          label={words.kindOfStep(number)}
          value={step.kind}
          options={KINDS}
          onChange={(kind) => change({ kind, tempC: null }, 'kind')}
          className="w-full min-w-0 font-semibold"
        />
      </span>
      <Cell
        label={words.stepWhatToDo(number)}
        value={step.title}
        align="left"
        inputMode="text"
        placeholder={words.inYourWords}
        maxLength={80}
        className="max-sm:order-5 max-sm:col-span-2"
        onType={(title) => change({ title }, 'title')}
        restore={() => takeBack(`title:${step.id}`)}
        onLeave={settle}
      />
      <Cell
        label={words.stepTime(number)}
        testId="time"
        value={step.minS === null ? '' : formatDurationRange(step.minS, step.maxS)}
        inputMode="text"
        placeholder={words.time}
        onType={typeTime}
        restore={() => takeBack(`time:${step.id}`)}
        onLeave={settle}
      />
      <Cell
        label={words.stepTemperature(number)}
        value={step.tempC === null ? '' : units.temperatureNumber(step.tempC)}
        unit={units.temperatureUnit}
        placeholder="–"
        className="max-sm:order-4"
        onType={typeTemp}
        restore={() => takeBack(`temp:${step.id}`)}
        onLeave={settle}
      />
      <StepWords
        word={words.until}
        className="max-sm:order-6 sm:col-start-2 sm:col-end-3"
        cell={{
          label: words.stepUntil(number),
          value: step.until,
          placeholder: words.whatToLookFor,
          inputClassName: 'text-sm italic',
          onType: (until) => change({ until }, 'until'),
          restore: () => takeBack(`until:${step.id}`),
          onLeave: settle,
        }}
      />
      <StepWords
        word={words.note}
        className="max-sm:order-7 sm:col-start-3 sm:col-end-5"
        cell={{
          label: words.stepNote(number),
          value: step.note,
          placeholder: '–',
          inputClassName: 'text-sm',
          onType: (note) => change({ note }, 'note'),
          restore: () => takeBack(`note:${step.id}`),
          onLeave: settle,
        }}
      />
    </div>
  );
}

interface StepWordsProps {
  word: string;
  className: string;
  cell: Pick<
    ComponentProps<typeof Cell>,
    'label' | 'value' | 'placeholder' | 'inputClassName' | 'onType' | 'restore' | 'onLeave'
  >;
}

/** What is said of a step in words, as long as it takes. */
function StepWords({ word, className, cell }: StepWordsProps) {
  return (
    <span className={cx('col-span-2 flex items-baseline', className)}>
      <span className="pl-1.5 text-xs whitespace-nowrap text-soft">{word}</span>
      <Cell {...cell} grows align="left" inputMode="text" maxLength={240} className="flex-1" />
    </span>
  );
}
