import type { ServerResponse } from 'node:http';
import PQueue from 'p-queue';

export interface TurnsOptions {
  /** So many at once. */
  readonly atOnce: number;
  /** So many may wait. */
  readonly mostWaiting: number;
  /** Whoever waits for something else, or reads slowly, keeps his turn no longer than this, ms. */
  readonly mostMs: number;
}

/**
 * Making an answer takes the processor for a while, and whatever comes meanwhile waits: so answers are made a few at a time, in the order
 * they were asked for, and not at all for those who have left.
 */
export class Turns {
  readonly #queue: PQueue;

  constructor(private readonly options: TurnsOptions) {
    this.#queue = new PQueue({ concurrency: options.atOnce });
  }

  /** @returns `full`: too many are waiting already, nothing was done; `gone`: who asked has left before his turn */
  async take(response: ServerResponse, work: () => Promise<void>): Promise<'done' | 'gone' | 'full'> {
    if (this.#queue.size >= this.options.mostWaiting) return 'full';
    if (response.destroyed) return 'gone';
    const leaving = new AbortController();
    const leave = (): void => leaving.abort();
    response.once('close', leave);
    let begun = false;
    let failure: Error | null = null;
    try {
      await this.#queue.add(
        async () => {
          begun = true;
          const made = work().catch((error: unknown) => {
            failure = error as Error;
          });
          await Promise.race([made, closed(response), later(this.options.mostMs)]);
        },
        { signal: leaving.signal },
      );
    } catch (error) {
      if (!leaving.signal.aborted) throw error;
    }
    if (failure !== null) throw failure as Error;
    return begun ? 'done' : 'gone';
  }
}

const closed = (response: ServerResponse): Promise<void> =>
  new Promise((resolve) => void response.once('close', resolve));

const later = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms).unref());
