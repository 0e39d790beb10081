import type { BakeQuestion, Progress, TraceFit, TracePoint } from '@/core/heat';
import type { Truth, TruthAsked } from '@/core/practice/truth';
import type { Result } from '@/core/result';
import type { RiseAsked, RiseNow, Run, RunFeel, RunForecast } from '@/core/run';

/** Questions and their answers. */
export interface Asks {
  readonly forecast: {
    readonly question: { readonly run: Run; readonly feel: RunFeel };
    readonly answer: Result<RunForecast>;
  };
  readonly rise: { readonly question: RiseAsked; readonly answer: RiseNow | null };
  readonly truth: { readonly question: TruthAsked; readonly answer: Truth | null };
  /** When each is set by the middle of the model, s; null: never. */
  readonly set: { readonly question: readonly BakeQuestion[]; readonly answer: readonly (number | null)[] };
  readonly fit: {
    readonly question: { readonly bake: BakeQuestion; readonly trace: readonly TracePoint[] };
    readonly answer: Result<TraceFit>;
  };
}
export type Ask = keyof Asks;

/** What the page says to the worker. A newer question of a lane takes the place of the older; lanes wait for one another. */
export type ToWorker =
  | {
      [A in Ask]: {
        readonly type: A;
        readonly id: number;
        readonly lane: string;
        readonly question: Asks[A]['question'];
      };
    }[Ask]
  | { readonly type: 'leave'; readonly lane: string };

/** What the worker says to the page. */
export type FromWorker =
  | ({ readonly type: 'progress'; readonly id: number } & Progress)
  | { readonly type: 'answer'; readonly id: number; readonly result: Asks[Ask]['answer'] }
  | { readonly type: 'left'; readonly id: number }
  | { readonly type: 'broke'; readonly id: number; readonly why: string };
