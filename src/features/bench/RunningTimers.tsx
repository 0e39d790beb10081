'use client';
import { isRunning, timerLeftS, type BakeRecord } from '@/core/bake';
import { formatClock } from '@/core/units';
import { cx } from '@/ui/cx';
import { words } from '@/wording/screens/bench/BenchPage';
import { STEP_WORD } from '@/wording/words';
import { useNow } from '../clock/useNow';
import { useKitchenTime } from '../preferences/time';
import type { Bench } from './useBench';

interface RunningTimersProps {
  bake: BakeRecord;
  bench: Bench;
  nowMs: number;
  except: string | null;
  onGo: (stepId: string) => void;
}

/** Timers that run beside what is on the screen, so that none is forgotten. */
export function RunningTimers({ bake, bench, nowMs, except, onGo }: RunningTimersProps) {
  const time = useKitchenTime();
  const now = useNow(bench.outbox.offsetMs, nowMs);
  const running = bake.sheet.steps.filter(
    (step) => step.id !== except && isRunning(bench.state.steps.get(step.id)?.timer),
  );
  if (running.length === 0) return null;
  return (
    <ul className="mb-3 flex flex-wrap gap-2">
      {running.map((step) => {
        const timer = bench.state.steps.get(step.id)?.timer;
        if (!timer) return null;
        const left = timerLeftS(timer, now);
        return (
          <li key={step.id} className="flex-1">
            <button
              type="button"
              onClick={() => onGo(step.id)}
              className={cx(
                'flex min-h-14 w-full items-center justify-between gap-4 rounded-xl px-4 text-left text-lg',
                left < 0 ? 'bg-alarm text-surface' : 'bg-now text-now-ink',
              )}
            >
              <span>
                {STEP_WORD[step.kind]}{' '}
                <span className="text-sm">
                  {words.until(time.clock(timer.startedAtMs + timer.durationS * 1000))}
                </span>
              </span>
              <span className="figure text-3xl">
                {left < 0 ? '+' : ''}
                {formatClock(left)}
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
