import type { RiseLearning } from '@/core/fermentation';
import type { Progress } from '@/core/heat';
import type { Problem, Result } from '@/core/result';
import type { Run, RunForecast, RunKitchen } from '@/core/run';
import type { SliceLearning } from '@/core/slice';

/** The day of what stands on the sheet: the question, and what the worker has answered so far. */
export interface SheetRun {
  readonly kitchen: RunKitchen;
  /** The run as the method has it, or why there is none. */
  readonly made: Result<Run>;
  /** The newest there is; may be of a moment ago while `computing`. */
  readonly forecast: RunForecast | null;
  readonly problem: Problem | null;
  readonly computing: Progress | null;
  readonly broken: boolean;
  /** What this formula's marks at the bench taught; null: nothing yet. */
  readonly learning: RiseLearning | null;
  /** What pictures of its cuts taught; null: none was read. */
  readonly slices: SliceLearning | null;
}

/**
 * Computed once for the whole sheet, by a part that is fetched after the sheet stands, and looked at from wherever it is shown: the answer
 * card, the timeline. Null until the first of it is there.
 */
export class RunStore {
  private listeners = new Set<() => void>();
  run: SheetRun | null = null;
  /** Does it use what was learnt? */
  taught = true;
  /** Of a dough that parts, the bread that is looked at; null: the first. */
  wayId: string | null = null;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  put(run: SheetRun): void {
    this.run = run;
    this.listeners.forEach((listener) => listener());
  }

  setWay(wayId: string | null): void {
    this.wayId = wayId;
    this.listeners.forEach((listener) => listener());
  }

  setTaught(taught: boolean): void {
    this.taught = taught;
    this.listeners.forEach((listener) => listener());
  }
}
