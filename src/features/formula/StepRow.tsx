'use client';
import { ChevronDown, GripVertical, Hand, X } from 'lucide-react';
import { lazy, memo, Suspense, useRef, useState, type ComponentProps } from 'react';
import { allSteps } from '@/core/formula';
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
import { words as fieldWords } from '@/wording/screens/formula/StepFields';
import { patiently } from '@/ui/patiently';
import { useStepWords } from './method/useStepWords';

const KINDS = STEP_KINDS.map((kind) => ({ value: kind, label: STEP_WORD[kind] }));

/** What of a step is seldom set is fetched when somebody looks for it. */
const StepFields = lazy(
  patiently(() => import('./method/StepFields').then((module) => ({ default: module.StepFields }))),
);

/** Puts parts of a step, or takes one away; what is wrong with them comes back in words. */
function useStepChange(step: MethodStep) {
  const { edit } = useSheetActions();
  const { preferences } = usePreferences();
  return (part: Partial<MethodStep>, field: string, drop?: keyof MethodStep): string | null => {
    const next: MethodStep = { ...step, ...part };
    if (drop) delete next[drop as 'heat'];
    const problem = edit({ type: 'setStep', step: next }, `${field}:${step.id}`);
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
  const stepWords = useStepWords();
  const [open, setOpen] = useState(false);
  const fields = stepWords(step);

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
      <div className="col-start-2 -mt-1 min-w-0 pb-1 pl-6">
        <button
          type="button"
          aria-expanded={open}
          aria-label={fieldWords.showFields(number)}
          onClick={() => setOpen(!open)}
          data-testid="step-said"
          className="flex min-h-7 max-w-full items-center gap-1 rounded px-1.5 text-left text-xs text-soft hover:text-ink"
        >
          <ChevronDown size={14} aria-hidden className={cx('shrink-0', open && 'rotate-180')} />
          <span>
            {fields.map(({ text, assumed }, index) => (
              <span key={text} className={assumed ? 'italic' : 'text-ink'}>
                {index > 0 && ' · '}
                {text}
              </span>
            ))}
            {fields.length === 0 && fieldWords.more}
          </span>
        </button>
      </div>
      {open && (
        <Suspense fallback={null}>
          <StepFields
            step={step}
            number={number}
            onChange={(part, drop) => void change(part, 'fields', drop)}
          />
        </Suspense>
      )}
    </li>
  );
}

/** What was typed is read into fields once it is left: "lid on" sets the lid, to be seen and corrected. Notes are remarks. */
function useReadWords({ id, title, until }: MethodStep) {
  const { store, edit, settle } = useSheetActions();
  const read = useRef({ title, until });
  return () => {
    settle();
    // only what was typed since: a field that was corrected stays corrected
    const typed = {
      title: read.current.title === title ? '' : title,
      until: read.current.until === until ? '' : until,
    };
    read.current = { title, until };
    if (!typed.title && !typed.until) return;
    void import('@/core/process/fromWords').then(({ fieldsFromWords }) => {
      // the step as it is by then: the press that left the cell may have changed it
      const now = allSteps(store.state.formula).find((step) => step.id === id);
      if (!now) return;
      const filled = {
        ...fieldsFromWords({ ...now, ...typed }, [], false),
        title: now.title,
        until: now.until,
      };
      if (JSON.stringify(filled) !== JSON.stringify(now)) edit({ type: 'setStep', step: filled });
    });
  };
}

function StepCells({ step, number }: Pick<StepRowProps, 'step' | 'number'>) {
  const { settle, takeBack } = useSheetActions();
  const readWords = useReadWords(step);
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
        onLeave={readWords}
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
          onLeave: readWords,
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
