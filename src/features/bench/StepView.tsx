'use client';
import { Hand, TriangleAlert } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useEffect, useRef, useState } from 'react';
import {
  asSetAnew,
  endOfMixing,
  isRunning,
  isStepDone,
  pieceWeights,
  roundOf,
  stepCautions,
  timerLeftS,
  type BakeRecord,
  type Timer,
} from '@/core/bake';
import { callOf, type Call } from '@/core/batch';
import type { MethodStep } from '@/core/method';
import { formatClock, formatDuration, formatDurationRange } from '@/core/units';
import { cx } from '@/ui/cx';
import { patiently } from '@/ui/patiently';
import { useUnits } from '../preferences/PreferencesProvider';
import { wordCall } from '@/wording/calls';
import { STEP_CAUTION_WORD } from '@/wording/stepCautions';
import { STEP_WORD } from '@/wording/words';
import { useBook } from '../book/BookProvider';
import { againS, RiseForecast } from './RiseForecast';
import { TinNow } from './TinNow';
import { RoundBoard } from './Round';
import { StepButtons } from './StepButtons';
import { StepLine } from './StepLine';
import { Trial } from './Trial';
import type { Bench } from './useBench';
import { useRise, type Rising } from './useRise';
import { useNow } from '../clock/useNow';
import { useInstruments } from '../instruments/InstrumentsProvider';
import { words } from '@/wording/screens/bench/StepView';

export const loadLive = () => import('./LiveProbes').then((module) => module.LiveProbes);
const LiveProbes = dynamic(patiently(loadLive), { ssr: false });
export const loadFeltWrong = () => import('./FeltCard').then((module) => module.FeltCard);
const FeltCard = dynamic(patiently(loadFeltWrong), { ssr: false });

interface StepViewProps {
  bake: BakeRecord;
  bench: Bench;
  nowMs: number;
  rising: Rising | null;
  chosen: string | null;
  onChoose: (stepId: string | null) => void;
  /** To go on otherwise from here. */
  onCourse: () => void;
  onWeigh: () => void;
}

/** One step at a time, very large; all of them beneath, so that an oven can be lit while the dough still rests. */
export function StepView({ bake, bench, nowMs, rising, chosen, onChoose, onCourse, onWeigh }: StepViewProps) {
  const { sheet } = bake;
  const { state } = bench;
  const [ticked, setTicked] = useState(false);
  const steps = sheet.steps.map((step) => asSetAnew(step, state));
  const open = steps.find((step) => !isStepDone(state, step.id)) ?? null;
  const current = steps.find((step) => step.id === chosen) ?? open;
  const [opened] = useState(current?.id);
  const next = steps.find((step) => step.id !== current?.id && !isStepDone(state, step.id));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
      {current ? (
        <OneStep
          key={current.id}
          step={current}
          bake={bake}
          rising={rising}
          number={steps.indexOf(current) + 1}
          of={steps.length}
          bench={bench}
          nowMs={nowMs}
          next={next ?? null}
          pieces={PARTED.has(current.kind) ? pieceWeights(sheet, state) : NO_PIECES}
          isMixed={endOfMixing(sheet, state).mixedAtMs !== null}
          exchanged={ticked || (current.id !== opened && current.id !== chosen)}
          onCourse={onCourse}
          onWeigh={onWeigh}
          onGo={(stepId) => {
            setTicked(true);
            onChoose(stepId);
          }}
        />
      ) : (
        <section className="docket rounded-b-xl p-6">
          <p className="figure text-5xl">{words.everyStepIsDone}</p>
          <p className="mt-3 text-lg text-soft">{words.waitForItToBe}</p>
        </section>
      )}
      <ol aria-label={words.allSteps}>
        {steps.map((step, index) => (
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

interface OneStepProps {
  step: MethodStep;
  bake: BakeRecord;
  rising: Rising | null;
  number: number;
  of: number;
  bench: Bench;
  nowMs: number;
  next: MethodStep | null;
  /** What each weighs, where it is divided or shaped. */
  pieces: ReturnType<typeof pieceWeights>;
  isMixed: boolean;
  exchanged: boolean;
  onCourse: () => void;
  onWeigh: () => void;
  /** To another step; null: to whatever is next. */
  onGo: (stepId: string | null) => void;
}

/** Another step stands where the eye is, wherever the one before was left. */
function useTop() {
  const top = useRef<HTMLElement>(null);
  useEffect(() => {
    if ((top.current?.getBoundingClientRect().top ?? 0) < 0) top.current?.scrollIntoView({ block: 'start' });
  }, []);
  return top;
}

const NO_PIECES: ReturnType<typeof pieceWeights> = [];
/** Where a dough is parted. */
const PARTED: ReadonlySet<MethodStep['kind']> = new Set(['divide', 'shape']);

function OneStep({
  step,
  bake,
  rising,
  number,
  of,
  bench,
  nowMs,
  next,
  pieces,
  isMixed,
  exchanged,
  onCourse,
  onWeigh,
  onGo,
}: OneStepProps) {
  const { state, outbox } = bench;
  const { sheet } = bake;
  const top = useTop();
  const hasInstruments = useInstruments().length > 0;
  const call = callOf(sheet, step.id);
  const round = roundOf(sheet, state, step.id);
  const now = useNow(outbox.offsetMs, nowMs);
  const done = isStepDone(state, step.id);
  const skipped = done && state.steps.get(step.id)?.doneAtMs == null;
  const timer = state.steps.get(step.id)?.timer ?? null;
  const leftS = timer ? timerLeftS(timer, now) : null;
  const over = isRunning(timer) && leftS !== null && leftS <= 0;
  const rise = useRise(bake, state, done ? null : step, rising, now);
  return (
    <section
      ref={top}
      aria-label={words.stepNow}
      className={cx('docket flex flex-col rounded-b-xl p-5 sm:p-7 low:p-3', over && 'border-alarm')}
    >
      <StepHead step={step} call={call} at={words.stepOf(number, of)} done={done} skipped={skipped} />
      <PieceFigures pieces={pieces} />
      <StepFigures step={step} timer={done ? null : timer} leftS={leftS} />
      {!done && hasInstruments && <LiveProbes step={step} bench={bench} nowMs={now} isMixed={isMixed} />}
      {rise && (
        <RiseForecast
          rise={rise}
          now={now}
          endsMs={timer ? timer.startedAtMs + timer.durationS * 1000 : null}
        />
      )}
      {!done && <TinNow step={step} state={state} />}
      {step.until && (
        <p className="mt-4 text-2xl leading-snug">
          <span className="text-soft">{words.until}</span>
          {step.until}
        </p>
      )}
      {step.note && <p className="mt-3 border-l-4 border-now pl-3 text-xl">{step.note}</p>}
      {!done && timer === null && <StepCautions sheet={sheet} stepId={step.id} />}

      {!done && <FeltCard sheet={sheet} stepId={step.id} bench={bench} />}
      <StepButtons
        step={step}
        bench={bench}
        now={now}
        isMixed={isMixed}
        leftS={leftS}
        exchanged={exchanged}
        againS={againS(step, rise, now)}
        sheet={sheet}
        round={round}
        onGo={onGo}
        onDone={() => onGo(null)}
        onCourse={onCourse}
        onWeigh={onWeigh}
      />
      {/* once its clock runs, that and the next press come first */}
      {!done && timer !== null && <StepCautions sheet={sheet} stepId={step.id} />}
      {round && <RoundBoard round={round} now={now} onGo={onGo} />}
      {!done && <Trial sheet={sheet} step={step} round={round} bench={bench} />}
      {next && !done && !round?.next && (
        <p className="mt-5 border-t border-rule pt-3 text-xl text-soft">
          {words.then}
          <strong className="text-ink">{STEP_WORD[next.kind]}</strong>
          {next.title && `: ${next.title}`}
        </p>
      )}
    </section>
  );
}

interface StepHeadProps {
  step: MethodStep;
  call: Call | null;
  at: string;
  done: boolean;
  skipped: boolean;
}

/** Which step it is, and which call of it. */
function StepHead({ step, call, at, done, skipped }: StepHeadProps) {
  return (
    <>
      <p className="flex items-center gap-3 text-lg text-soft low:hidden">
        {at}
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
      <h2 className="text-5xl leading-none sm:text-6xl low:text-2xl">{STEP_WORD[step.kind]}</h2>
      {call && (
        <p
          className="mt-2 text-2xl leading-snug font-semibold sm:text-3xl low:mt-0 low:text-lg"
          data-testid="call"
        >
          {wordCall(call)}
        </p>
      )}
      {step.title && <p className="mt-2 text-2xl leading-snug sm:text-3xl">{step.title}</p>}
    </>
  );
}

/** What each piece weighs, by what was really weighed. */
function PieceFigures({ pieces }: Pick<OneStepProps, 'pieces'>) {
  const units = useUnits();
  return (
    <>
      {pieces.map(({ name, count, pieceG, plannedG, whole }) => (
        <p key={name} className="mt-4 text-2xl" data-testid="piece-weight">
          {name && <span className="text-soft">{name} </span>}
          <span className="figure text-6xl sm:text-7xl">
            {count > 1 ? `${count} × ` : ''}
            {units.mass(Math.round(pieceG))}
          </span>
          {whole && (
            <span className="block text-xl text-soft">
              {words.orWhole(whole.count, units.mass(plannedG), units.mass(Math.round(whole.overG)))}
            </span>
          )}
        </p>
      ))}
    </>
  );
}

/** What can hurt somebody here: told once, where it is. */
function StepCautions({ sheet, stepId }: { sheet: BakeRecord['sheet']; stepId: string }) {
  const book = useBook();
  return stepCautions(sheet, stepId, book).map((caution) => (
    <p key={caution} className="mt-3 flex gap-2 text-lg leading-snug" data-testid="step-caution">
      <TriangleAlert size={22} aria-hidden className="mt-0.5 shrink-0 text-alarm" />
      {STEP_CAUTION_WORD[caution]}
    </p>
  ));
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
      <p className="mt-5 flex flex-wrap items-baseline gap-x-6 gap-y-2 low:mt-1">
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
  const ahead = over
    ? words.timeIsUpLookAt
    : words.of(
        formatDuration(timer.durationS < 600 ? timer.durationS : Math.round(timer.durationS / 60) * 60),
      );
  return (
    <>
      <div className="mt-5 low:mt-1" role="timer" aria-label={over ? words.timeIsUp : words.timeLeft}>
        <span
          data-testid="clock"
          className={cx(
            'figure block low:text-6xl',
            // hours take two more figures
            Math.abs(leftS) < 3600 ? 'text-[clamp(5.5rem,24vw,11rem)]' : 'text-[clamp(4rem,17vw,9rem)]',
            over && 'text-alarm',
          )}
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
