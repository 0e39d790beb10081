'use client';
import { Check, Minus } from 'lucide-react';
import { isRunning, isStepDone, timerLeftS } from '@/core/bake';
import type { Call } from '@/core/batch';
import type { MethodStep } from '@/core/method';
import { formatClock, formatDurationRange } from '@/core/units';
import { cx } from '@/ui/cx';
import { wordCall } from '@/wording/calls';
import { words } from '@/wording/screens/bench/StepView';
import { STEP_WORD } from '@/wording/words';
import { useNow } from '../clock/useNow';
import type { Bench } from './useBench';

interface StepLineProps {
  step: MethodStep;
  call: Call | null;
  number: number;
  bench: Bench;
  nowMs: number;
  current: boolean;
  onChoose: () => void;
}

/** A step in the list of all: done or not, and its clock where one runs. */
export function StepLine({ step, call, number, bench, nowMs, current, onChoose }: StepLineProps) {
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
