'use client';
import { Check, Hand, Minus, Play, Plus, RotateCcw, Square } from 'lucide-react';
import { useState } from 'react';
import {
  endOfMixing,
  isRunning,
  isStepDone,
  lookAgainS,
  timerLeftS,
  type BakeRecord,
  type Timer,
} from '@/core/bake';
import { callOf, type Call } from '@/core/batch';
import { timerS, type MethodStep } from '@/core/method';
import { formatClock, formatDuration, formatDurationRange } from '@/core/units';
import { Button } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { useSteady } from '@/ui/useSteady';
import { useTwice } from '@/ui/useTwice';
import { useUnits } from '../preferences/PreferencesProvider';
import { wordCall } from '@/wording/calls';
import { STEP_WORD } from '@/wording/words';
import { FeelButton } from './FeelButton';
import { Readings } from './Readings';
import { RiseMarks } from './RiseMarks';
import type { Bench } from './useBench';
import { useNow } from '../clock/useNow';
import { words } from '@/wording/screens/bench/StepView';

interface StepViewProps {
  bake: BakeRecord;
  bench: Bench;
  nowMs: number;
  chosen: string | null;
  onChoose: (stepId: string | null) => void;
}

/** One step at a time, very large; all of them beneath, so that an oven can be lit while the dough still rests. */
export function StepView({ bake, bench, nowMs, chosen, onChoose }: StepViewProps) {
  const { sheet } = bake;
  const { state } = bench;
  const [ticked, setTicked] = useState(false);
  const open = sheet.steps.find((step) => !isStepDone(state, step.id)) ?? null;
  const current = sheet.steps.find((step) => step.id === chosen) ?? open;
  const next = sheet.steps.find((step) => step.id !== current?.id && !isStepDone(state, step.id));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
      {current ? (
        <OneStep
          key={current.id}
          step={current}
          call={callOf(sheet, current.id)}
          number={sheet.steps.indexOf(current) + 1}
          of={sheet.steps.length}
          bench={bench}
          nowMs={nowMs}
          next={next ?? null}
          isMixed={endOfMixing(sheet, state).mixedAtMs !== null}
          exchanged={ticked}
          onDone={() => {
            setTicked(true);
            onChoose(null);
          }}
        />
      ) : (
        <section className="docket rounded-b-xl p-6">
          <p className="figure text-5xl">{words.everyStepIsDone}</p>
          <p className="mt-3 text-lg text-soft">{words.waitForItToBe}</p>
        </section>
      )}
      <ol aria-label={words.allSteps}>
        {sheet.steps.map((step, index) => (
          <StepLine
            key={step.id}
            step={step}
            call={callOf(sheet, step.id)}
            number={index + 1}
            bench={bench}
            nowMs={nowMs}
            current={step.id === current?.id}
            onChoose={() => onChoose(step.id)}
          />
        ))}
      </ol>
    </div>
  );
}

interface StepLineProps {
  step: MethodStep;
  call: Call | null;
  number: number;
  bench: Bench;
  nowMs: number;
  current: boolean;
  onChoose: () => void;
}

function StepLine({ step, call, number, bench, nowMs, current, onChoose }: StepLineProps) {
  const progress = bench.state.steps.get(step.id);
  const done = isStepDone(bench.state, step.id);
  const skipped = done && progress?.doneAtMs == null;
  const now = useNow(bench.outbox.offsetMs, nowMs);
  const timer = progress?.timer;
  const left = isRunning(timer) ? timerLeftS(timer, now) : null;
  return (
    <li className="border-t border-rule">
      <button
        type="button"
        onClick={onChoose}
        aria-current={current ? 'step' : undefined}
        className={cx(
          'flex min-h-13 w-full items-center gap-3 px-2 text-left text-lg',
          current && 'bg-well',
          done && 'text-soft',
        )}
      >
        <span
          className={cx(
            'flex size-7 shrink-0 items-center justify-center rounded-full border-2 text-sm font-semibold',
            done && !skipped ? 'border-ink bg-ink text-surface' : 'border-edge',
          )}
        >
          {skipped ? (
            <Minus size={18} strokeWidth={3} aria-label={words.skipped} />
          ) : done ? (
            <Check size={18} strokeWidth={3} aria-label={words.stepDone} />
          ) : (
            number
          )}
        </span>
        <span className="min-w-0 flex-1">
          {STEP_WORD[step.kind]}
          {(step.title || call) && (
            <span className="block truncate text-sm text-soft">
              {[step.title, wordCall(call)].filter(Boolean).join(' · ')}
            </span>
          )}
        </span>
        {left !== null ? (
          <span className="rounded bg-now px-2 font-semibold text-now-ink">
            {left < 0 ? '+' : ''}
            {formatClock(left)}
          </span>
        ) : (
          <span className="text-sm text-soft">
            {step.minS !== null && formatDurationRange(step.minS, step.maxS)}
          </span>
        )}
      </button>
    </li>
  );
}

interface OneStepProps {
  step: MethodStep;
  call: Call | null;
  number: number;
  of: number;
  bench: Bench;
  nowMs: number;
  next: MethodStep | null;
  isMixed: boolean;
  exchanged: boolean;
  onDone: () => void;
}

function OneStep({ step, call, number, of, bench, nowMs, next, isMixed, exchanged, onDone }: OneStepProps) {
  const { state, outbox } = bench;
  const now = useNow(outbox.offsetMs, nowMs);
  const done = isStepDone(state, step.id);
  const skipped = done && state.steps.get(step.id)?.doneAtMs == null;
  const timer = state.steps.get(step.id)?.timer ?? null;
  const leftS = timer ? timerLeftS(timer, now) : null;
  const over = isRunning(timer) && leftS !== null && leftS <= 0;
  return (
    <section
      aria-label={words.stepNow}
      className={cx('docket flex flex-col rounded-b-xl p-5 sm:p-7', over && 'border-alarm')}
    >
      <p className="flex items-center gap-3 text-lg text-soft">
        {words.stepOf(number, of)}
        {step.handsOn && (
          <span className="flex items-center gap-1.5">
            <Hand size={18} aria-hidden />
            {words.hands}
          </span>
        )}
        {done && (
          <strong className={skipped ? '' : 'text-good'}>{skipped ? words.skipped : words.stepDone}</strong>
        )}
      </p>
      <h2 className="text-5xl leading-none sm:text-6xl">{STEP_WORD[step.kind]}</h2>
      {call && (
        <p className="mt-2 text-2xl leading-snug font-semibold sm:text-3xl" data-testid="call">
          {wordCall(call)}
        </p>
      )}
      {step.title && <p className="mt-2 text-2xl leading-snug sm:text-3xl">{step.title}</p>}

      <StepFigures step={step} timer={done ? null : timer} leftS={leftS} />
      {step.until && (
        <p className="mt-4 text-2xl leading-snug">
          <span className="text-soft">{words.until}</span>
          {step.until}
        </p>
      )}
      {step.note && <p className="mt-3 border-l-4 border-now pl-3 text-xl">{step.note}</p>}

      <StepButtons
        step={step}
        bench={bench}
        now={now}
        isMixed={isMixed}
        leftS={leftS}
        exchanged={exchanged}
        onDone={onDone}
      />
      {next && !done && (
        <p className="mt-5 border-t border-rule pt-3 text-xl text-soft">
          {words.then}
          <strong className="text-ink">{STEP_WORD[next.kind]}</strong>
          {next.title && `: ${next.title}`}
        </p>
      )}
    </section>
  );
}

interface StepFiguresProps {
  step: MethodStep;
  /** The timer of a step that is not done. */
  timer: Timer | null;
  leftS: number | null;
}

/** What the step is about, as large as it goes: its clock once it runs, before that how long and how warm. */
function StepFigures({ step, timer, leftS }: StepFiguresProps) {
  const units = useUnits();
  if (timer === null || leftS === null)
    return (
      <p className="mt-5 flex flex-wrap items-baseline gap-x-6 gap-y-2">
        {step.minS !== null && (
          <span className="figure text-6xl sm:text-7xl">{formatDurationRange(step.minS, step.maxS)}</span>
        )}
        {step.tempC !== null && (
          <span className="figure text-5xl sm:text-6xl">{units.temperature(step.tempC)}</span>
        )}
      </p>
    );
  const running = isRunning(timer);
  const over = running && leftS <= 0;
  const ahead = over ? words.timeIsUpLookAt : words.of(formatDuration(timer.durationS));
  return (
    <>
      <div className="mt-5" role="timer" aria-label={over ? words.timeIsUp : words.timeLeft}>
        <span
          data-testid="clock"
          className={cx('figure block text-[clamp(5.5rem,24vw,11rem)]', over && 'text-alarm')}
        >
          {over ? '+' : ''}
          {formatClock(leftS)}
        </span>
        <span className={cx('text-xl', over ? 'font-semibold text-alarm' : 'text-soft')}>
          {running ? ahead : words.stopped}
        </span>
      </div>
      {step.tempC !== null && <p className="figure mt-3 text-4xl">{units.temperature(step.tempC)}</p>}
    </>
  );
}

interface StepButtonsProps extends Pick<OneStepProps, 'step' | 'bench' | 'exchanged' | 'onDone' | 'isMixed'> {
  now: number;
  leftS: number | null;
}

function StepButtons({ step, bench, now, isMixed, leftS, exchanged, onDone }: StepButtonsProps) {
  const steady = useSteady(exchanged);
  const { state, tap } = bench;
  const done = isStepDone(state, step.id);
  const timer = state.steps.get(step.id)?.timer ?? null;
  const running = isRunning(timer);
  const planned = timerS(step);

  const finish = () => {
    if (!tap({ type: 'stepDone', stepId: step.id })) onDone();
  };
  const start = (durationS: number) => tap({ type: 'timerStarted', stepId: step.id, durationS });
  const startFirst = !done && planned !== null && timer === null;
  return (
    <div className="mt-6 grid gap-3">
      {startFirst && (
        <Button
          look="now"
          size="wall"
          data-primary
          disabled={!steady}
          className={steady ? '' : 'disabled:opacity-100'}
          onClick={() => start(planned)}
        >
          <Play size={28} aria-hidden fill="currentColor" />
          {words.start(formatDuration(planned))}
        </Button>
      )}
      {running && (
        <div className="grid grid-cols-3 gap-2 whitespace-nowrap sm:gap-3 [&>button]:px-2">
          <Button size="bench" onClick={() => tap({ type: 'timerChanged', stepId: step.id, deltaS: 60 })}>
            <Plus size={20} aria-hidden />
            {words.n1Min}
          </Button>
          <Button size="bench" onClick={() => tap({ type: 'timerChanged', stepId: step.id, deltaS: 300 })}>
            <Plus size={20} aria-hidden />
            {words.n5Min}
          </Button>
          <Button size="bench" onClick={() => tap({ type: 'timerStopped', stepId: step.id })}>
            <Square size={18} aria-hidden fill="currentColor" />
            {words.stop}
          </Button>
        </div>
      )}
      {timer !== null && !running && !done && (
        <Button size="bench" onClick={() => start(Math.max(60, Math.round(leftS ?? 0)))}>
          <Play size={20} aria-hidden fill="currentColor" />
          {words.resume}
        </Button>
      )}
      {!done && (
        <div className="grid grid-cols-[repeat(auto-fit,minmax(14rem,1fr))] gap-3 empty:hidden">
          <FeelButton step={step} bench={bench} />
          <RiseMarks step={step} bench={bench} />
          <Readings step={step} bench={bench} nowMs={now} isMixed={isMixed} />
        </div>
      )}
      {done ? (
        <Button size="wall" onClick={() => tap({ type: 'stepReopened', stepId: step.id })}>
          <RotateCcw size={24} aria-hidden />
          {words.markAsNotDone}
        </Button>
      ) : (
        <Button
          look={startFirst ? 'plain' : 'now'}
          size="wall"
          {...(startFirst ? {} : { 'data-primary': true })}
          disabled={!steady}
          className={steady ? '' : 'disabled:opacity-100'}
          onClick={finish}
        >
          <Check size={30} aria-hidden strokeWidth={3} />
          {words.done}
        </Button>
      )}
      {!done && (
        <NotSo step={step} over={running && leftS !== null && leftS <= 0} tap={tap} onSkipped={onDone} />
      )}
    </div>
  );
}

interface NotSoProps {
  readonly step: MethodStep;
  readonly over: boolean;
  readonly tap: Bench['tap'];
  readonly onSkipped: () => void;
}

/** Its time is up and it is not there yet; or it is not done at all, which takes two presses. */
function NotSo({ step, over, tap, onSkipped }: NotSoProps) {
  const skipping = useTwice();
  const againS = lookAgainS(step);
  const skip = () => {
    if (skipping.press() && !tap({ type: 'stepSkipped', stepId: step.id })) onSkipped();
  };
  return (
    <div className="grid grid-cols-[repeat(auto-fit,minmax(14rem,1fr))] gap-3">
      {over && (
        <Button size="bench" onClick={() => tap({ type: 'notYet', stepId: step.id, againS })}>
          {words.notYet(formatDuration(againS))}
        </Button>
      )}
      <Button size="bench" look={skipping.asked ? 'alarm' : 'quiet'} onClick={skip}>
        {skipping.asked ? words.yesSkipIt : words.skipIt}
      </Button>
    </div>
  );
}
