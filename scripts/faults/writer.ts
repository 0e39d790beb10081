import { randomUUID } from 'node:crypto';
import type { Crumb } from './crumb';

/** What a run found: each is a fault of ours unless it is zero. */
export interface Tally {
  lost: number;
  doubled: number;
  hung: number;
  refused: number;
  fivehundred: number;
  writes: number;
  notes: string[];
}

export const emptyTally = (): Tally => ({
  lost: 0,
  doubled: 0,
  hung: 0,
  refused: 0,
  fivehundred: 0,
  writes: 0,
  notes: [],
});

/** An answer is due within five seconds, also from a frozen database; a loaded machine may add some. */
const HUNG_MS = 9000;

interface Sent {
  readonly status: number;
  readonly body: {
    id?: string;
    revision?: number;
    version?: number;
    error?: { kind?: string; revision?: number };
  };
}

/**
 * A client as the browser's queue is one: what it wants written it sends until it is told that it is, the same under the same id, now and
 * then twice at once.
 */
export class Writer {
  readonly acknowledged = new Set<string>();
  constructor(
    private readonly crumb: Crumb,
    private readonly tally: Tally,
    private readonly random: () => number,
    /** The run is over: what is still unanswered is not tried for ever. */
    private readonly givenUp: () => boolean,
  ) {}

  private async once(path: string, body: unknown): Promise<Sent | null> {
    const from = performance.now();
    try {
      const answer = await fetch(this.crumb.url + path, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
        signal: AbortSignal.timeout(HUNG_MS),
      });
      if (answer.status === 500) {
        this.tally.fivehundred += 1;
        this.tally.notes.push(`500 at ${path}: ${this.crumb.output.slice(-700)}`);
        return null;
      }
      if (answer.status >= 500 || answer.status === 429) return null;
      return { status: answer.status, body: (await answer.json()) as Sent['body'] };
    } catch (error) {
      if ((error as Error).name === 'TimeoutError' || performance.now() - from > HUNG_MS) {
        this.tally.hung += 1;
        this.tally.notes.push(`hung: ${path} for ${Math.round(performance.now() - from)} ms`);
      }
      return null;
    }
  }

  /** Sends until there is an answer that stands. */
  async deliver(path: string, body: unknown): Promise<Sent | null> {
    while (!this.givenUp()) {
      const twice = this.random() < 0.15;
      const [first, second] = await Promise.all([
        this.once(path, body),
        twice ? this.once(path, body) : null,
      ]);
      const answer = first ?? second;
      if (answer) return answer;
      await new Promise((resolve) => setTimeout(resolve, 40 + this.random() * 160));
    }
    return null;
  }

  private unexpected(what: string, answer: Sent): void {
    this.tally.refused += 1;
    this.tally.notes.push(`${what} was refused: ${answer.status} ${JSON.stringify(answer.body)}`);
  }

  private async head<T>(path: string): Promise<T | null> {
    while (!this.givenUp()) {
      try {
        const answer = await fetch(this.crumb.url + path, { signal: AbortSignal.timeout(HUNG_MS) });
        if (answer.ok) return (await answer.json()) as T;
      } catch {
        // not there, or gone in the middle of the answer
      }
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    return null;
  }

  /** A revision with a name of its own, upon whatever is newest then. */
  async saveFormula(id: string, mark: string): Promise<void> {
    this.tally.writes += 1;
    for (let requestId = randomUUID(); !this.givenUp(); requestId = randomUUID()) {
      const head = await this.head<{ revision: number; formula: object }>(`/api/k/-/formulas/${id}`);
      if (!head) return;
      const body = { requestId, seen: head.revision, formula: { ...head.formula, name: mark } };
      const answer = await this.deliver(`/api/k/-/formulas/${id}/revisions`, body);
      if (!answer) return;
      if (answer.status < 300) return void this.acknowledged.add(mark);
      if (answer.body.error?.kind !== 'stale') return this.unexpected('a revision', answer);
    }
  }

  /** A version of the kit with a figure of its own. */
  async saveKit(mark: number): Promise<void> {
    this.tally.writes += 1;
    for (let requestId = randomUUID(); !this.givenUp(); requestId = randomUUID()) {
      const stored = await this.head<{ version: number; kit: object }>('/api/k/-/kit');
      if (!stored) return;
      const answer = await this.deliver('/api/k/-/kit', {
        requestId,
        seen: stored.version,
        kit: { ...stored.kit, warmC: mark },
      });
      if (!answer) return;
      if (answer.status < 300) return void this.acknowledged.add(String(mark));
      if (answer.body.error?.kind !== 'stale') return this.unexpected('a kit', answer);
    }
  }

  async tap(bakeId: string, mark: string): Promise<void> {
    this.tally.writes += 1;
    const tap = { eventId: randomUUID(), agoMs: 0, action: { type: 'noted', text: mark } };
    const answer = await this.deliver(`/api/k/-/bakes/${bakeId}/taps`, { taps: [tap] });
    if (!answer) return;
    if (answer.status < 300) this.acknowledged.add(mark);
    else this.unexpected('a tap', answer);
  }

  async importFormula(file: (name: string) => string, mark: string): Promise<void> {
    this.tally.writes += 1;
    const answer = await this.deliver('/api/k/-/formulas/import', {
      requestId: randomUUID(),
      file: file(mark),
    });
    if (!answer) return;
    if (answer.status < 300) this.acknowledged.add(mark);
    else this.unexpected('an import', answer);
  }
}
