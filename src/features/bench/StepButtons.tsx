'use client';
import { Check, Play, Plus, RotateCcw, Square } from 'lucide-react';
import { goesInAfter, isRunning, isStepDone, type BakeRecord, type Round } from '@/core/bake';
import { timerS, type MethodStep } from '@/core/method';
import { formatDuration } from '@/core/units';
import { Button } from '@/ui/Button';
import { useSteady } from '@/ui/useSteady';
import { useTwice } from '@/ui/useTwice';
import { words } from '@/wording/screens/bench/StepView';
import { FeelButton } from './FeelButton';
import { useMissing } from './MissingFirst';
import { NotRightButton } from './NotRight';
import { Readings } from './Readings';
import { RiseMarks } from './RiseMarks';
import { RoundTarget } from './Round';
import { TrialOut } from './Trial';
import type { Bench } from './useBench';

interface StepButtonsProps {
  step: MethodStep;
  bench: Bench;
  isMixed: boolean;
  exchanged: boolean;
  /** After how long to look again at what is not there yet, s. */
  againS: number;
  onDone: () => void;
  onCourse: () => void;
  /** To what is not weighed yet. */
  onWeigh: () => void;
  now: number;
  leftS: number | null;
  /** Where it is one of several calls. */
  sheet: BakeRecord['sheet'];
  round: Round | null;
  onGo: (stepId: string | null) => void;
}

/** What can be done at a step: its clock, what is felt, marked and read, and that it is done, not yet, or not at all. */
export function StepButtons({
  step,
  bench,
  now,
  isMixed,
  leftS,
  exchanged,
  againS,
  sheet,
  round,
  onGo,
  onDone,
  onCourse,
  onWeigh,
}: StepButtonsProps) {
  const steady = useSteady(exchanged);
  const { state, tap } = bench;
  const done = isStepDone(state, step.id);
  const timer = state.steps.get(step.id)?.timer ?? null;
  const running = isRunning(timer);
  const planned = timerS(step);

  const { first, card } = useMissing(sheet, bench, onWeigh);
  const goesIn = goesInAfter(sheet, state, step.id);
  const isIn = goesIn && timerS(goesIn);
  const finish = () =>
    goesIn && isIn !== null
      ? first({ type: 'timerStarted', stepId: goesIn.id, durationS: isIn }, onDone)
      : first({ type: 'stepDone', stepId: step.id }, onDone);
  const start = (durationS: number) => first({ type: 'timerStarted', stepId: step.id, durationS });
  if (card) return card;
  const isTrial = state.trials.has(step.id);
  const isRound = round !== null && !done && !isTrial;
  const startFirst = !isRound && !done && planned !== null && timer === null;
  return (
    <div className="contents [&>*]:mt-3">
      {isRound && <RoundTarget round={round} bench={bench} now={now} steady={steady} onGo={onGo} />}
      {isTrial && !done && <TrialOut sheet={sheet} step={step} bench={bench} />}
      {startFirst && (
        <Button
          look="now"
          size="wall"
          data-primary
          data-stays
          disabled={!steady}
          className={steady ? '' : 'disabled:opacity-100'}
          onClick={() => start(planned)}
        >
          <Play size={28} aria-hidden fill="currentColor" />
          {words.start(formatDuration(planned))}
        </Button>
      )}
      {running && <ClockButtons stepId={step.id} tap={tap} />}
      {timer !== null && !running && !done && (
        <Resume onClick={() => start(Math.max(60, Math.round(leftS ?? 0)))} />
      )}
      {!done && (
        <div className="grid grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))] gap-2 empty:hidden sm:gap-3 [&_button]:px-2 [&_button]:whitespace-nowrap">
          <FeelButton step={step} bench={bench} />
          <RiseMarks step={step} bench={bench} />
          <Readings step={step} bench={bench} nowMs={now} isMixed={isMixed} />
          {timer !== null && <NotRightButton step={step} sheet={sheet} bench={bench} nowMs={now} />}
        </div>
      )}
      {done ? (
        <Button size="wall" onClick={() => tap({ type: 'stepReopened', stepId: step.id })}>
          <RotateCcw size={24} aria-hidden />
          {words.markAsNotDone}
        </Button>
      ) : isRound || isTrial ? null : (
        <Button
          look={startFirst ? 'plain' : 'now'}
          size="wall"
          {...(startFirst ? {} : { 'data-primary': true, 'data-stays': true })}
          disabled={!steady}
          className={steady ? '' : 'disabled:opacity-100'}
          onClick={finish}
        >
          <Check size={30} aria-hidden strokeWidth={3} />
          {isIn === null ? words.done : words.isIn(formatDuration(isIn))}
        </Button>
      )}
      {!done && (
        <NotSo
          step={step}
          againS={againS}
          over={running && leftS !== null && leftS <= 0}
          tap={tap}
          onSkipped={onDone}
          onCourse={onCourse}
        />
      )}
    </div>
  );
}

function Resume({ onClick }: { onClick: () => void }) {
  return (
    <Button size="bench" onClick={onClick}>
      <Play size={20} aria-hidden fill="currentColor" />
      {words.resume}
    </Button>
  );
}

/** More time, or no more. */
function ClockButtons({ stepId, tap }: { stepId: string; tap: Bench['tap'] }) {
  return (
    <div className="grid grid-cols-3 gap-2 whitespace-nowrap sm:gap-3 [&>button]:px-2">
      <Button size="bench" onClick={() => tap({ type: 'timerChanged', stepId: stepId, deltaS: 60 })}>
        <Plus size={20} aria-hidden />
        {words.n1Min}
      </Button>
      <Button size="bench" onClick={() => tap({ type: 'timerChanged', stepId: stepId, deltaS: 300 })}>
        <Plus size={20} aria-hidden />
        {words.n5Min}
      </Button>
      <Button size="bench" onClick={() => tap({ type: 'timerStopped', stepId: stepId })}>
        <Square size={18} aria-hidden fill="currentColor" />
        {words.stop}
      </Button>
    </div>
  );
}

interface NotSoProps {
  readonly step: MethodStep;
  readonly againS: number;
  readonly over: boolean;
  readonly tap: Bench['tap'];
  readonly onSkipped: () => void;
  readonly onCourse: () => void;
}

/** Its time is up and it is not there yet; or it is not done at all, which takes two presses. */
function NotSo({ step, againS, over, tap, onSkipped, onCourse }: NotSoProps) {
  const skipping = useTwice();
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
      <Button size="bench" look="quiet" onClick={onCourse}>
        {words.otherwise}
      </Button>
      <Button size="bench" look={skipping.asked ? 'alarm' : 'quiet'} onClick={skip}>
        {skipping.asked ? words.yesSkipIt : words.skipIt}
      </Button>
    </div>
  );
}
