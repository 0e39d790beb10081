'use client';
import { useEffect, useState } from 'react';
import type { Progress } from '@/core/heat';
import type { Problem } from '@/core/result';
import type { Run, RunFeel, RunForecast } from '@/core/run';
import { runClient, type RunClient } from '@/workers/client';
import { makeWorker } from '@/workers/makeWorker';

let shared: RunClient | null = null;
/** One worker for the page: the run and what is put beside it wait for one another. */
export const client = (): RunClient => (shared ??= runClient(makeWorker));

export interface Forecasting {
  /** The newest there is; may be of a moment ago while `computing`. */
  readonly forecast: RunForecast | null;
  readonly problem: Problem | null;
  readonly computing: Progress | null;
  readonly broken: boolean;
}

/** A key's worth of quiet before the worker is asked: it would only be told to leave it again. */
const QUIET_MS = 120;

interface Answered {
  /** The question it answers. */
  readonly to: string;
  readonly forecast: RunForecast | null;
  readonly problem: Problem | null;
  readonly broken: boolean;
}
const NOTHING: Answered = { to: '', forecast: null, problem: null, broken: false };
const BEGUN: Progress = { done: 0, of: 1 };

/** Asks the worker whenever the run changes; the newest question wins. `run` null: nothing to ask. */
export function useRunForecast(lane: string, run: Run | null, feel: RunFeel | null): Forecasting {
  const [answered, setAnswered] = useState(NOTHING);
  const [progress, setProgress] = useState<Progress & { readonly to: string }>({ ...BEGUN, to: '' });
  const question = run && feel ? JSON.stringify([run, feel.rested.s, feel.holds, feel.clings]) : '';
  useEffect(() => {
    if (!run || !feel) return client().leave(lane);
    let asked = true;
    const timer = setTimeout(() => {
      client()
        .ask('forecast', lane, { run, feel }, (now) => asked && setProgress({ ...now, to: question }))
        .then(
          (answer) => {
            if (!answer || !asked) return;
            setAnswered(
              answer.ok
                ? { to: question, forecast: answer.value, problem: null, broken: false }
                : { to: question, forecast: null, problem: answer.problem, broken: false },
            );
          },
          () => asked && setAnswered((before) => ({ ...before, to: question, broken: true })),
        );
    }, QUIET_MS);
    return () => {
      asked = false;
      clearTimeout(timer);
    };
    // the question says all of run and feel
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [question, lane]);
  useEffect(() => () => client().leave(lane), [lane]);
  if (question === '') return { forecast: null, problem: null, computing: null, broken: false };
  const { forecast, problem, broken, to } = answered;
  return {
    forecast,
    problem,
    broken,
    computing: to === question ? null : progress.to === question ? progress : BEGUN,
  };
}
