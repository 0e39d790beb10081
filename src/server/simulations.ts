import { learnRise, type LearnRiseOf, type RiseLearning, type RiseObservation } from '@/core/fermentation';
import {
  advise,
  axesOf,
  type Advised,
  type AdviceQuestion,
  type Axes,
  type BakeAsked,
} from '@/core/diagnosis';
import { forecastOf, type Forecast, type ForecastQuestion } from '@/core/record';
import { quickSlice, type SliceQuestion } from '@/core/run';
import type { SliceFigures } from '@/core/slice';

/** What takes the processor for longer than a request may hold up the others. */
export interface Simulated {
  readonly slice: { readonly question: SliceQuestion; readonly answer: SliceFigures | null };
  readonly rise: {
    readonly question: { readonly observations: readonly RiseObservation[]; readonly of: LearnRiseOf };
    readonly answer: RiseLearning | null;
  };
  readonly forecast: {
    readonly question: ForecastQuestion & { readonly madeAtMs: number };
    readonly answer: Forecast | null;
  };
  readonly axes: { readonly question: BakeAsked; readonly answer: Axes | null };
  readonly advice: { readonly question: AdviceQuestion & { readonly axes: Axes }; readonly answer: Advised };
}
export type SimulationKind = keyof Simulated;

/** One simulation as it goes to a thread. */
export type SimulationJob = {
  [K in SimulationKind]: { readonly kind: K; readonly question: Simulated[K]['question'] };
}[SimulationKind];

/** The work itself, on whatever thread. */
export function simulate(job: SimulationJob): Simulated[SimulationKind]['answer'] {
  switch (job.kind) {
    case 'slice':
      return quickSlice(job.question);
    case 'rise':
      return learnRise(job.question.observations, job.question.of);
    case 'forecast':
      return forecastOf(job.question, job.question.madeAtMs);
    case 'axes':
      return axesOf(job.question);
    case 'advice':
      return advise(job.question);
  }
}

/**
 * Runs a job and resolves with its answer.
 * @throws NotComputed when nobody waits for it any more, or too much is waiting already
 */
export type RunSimulation = (job: SimulationJob, nobody?: AbortSignal) => Promise<unknown>;

const holder = globalThis as typeof globalThis & { crumbSimulations?: RunSimulation };

/** The host lends its threads; without a host (tests, scripts) the work is done here. */
export function lendThreads(run: RunSimulation | undefined): void {
  if (run) holder.crumbSimulations = run;
  else delete holder.crumbSimulations;
}

export async function simulation<K extends SimulationKind>(
  kind: K,
  question: Simulated[K]['question'],
  nobody?: AbortSignal,
): Promise<Simulated[K]['answer']> {
  const job = { kind, question } as SimulationJob;
  const run = holder.crumbSimulations ?? ((here) => Promise.resolve(simulate(here)));
  return (await run(job, nobody)) as Simulated[K]['answer'];
}
