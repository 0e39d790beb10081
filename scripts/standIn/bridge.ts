import { randomUUID } from 'node:crypto';
import type { Shown } from '@/core/instrument/standIn';

/** So many are sent at once, and so many wait at most; the oldest are given up first. */
const AT_ONCE = 100;
const MOST_WAITING = 3000;

interface Waiting {
  readonly atMs: number;
  /** Text: what no instrument should send. */
  readonly shown: Shown | string;
}

/** A bridge between an instrument and a kitchen: what could not be told waits, is sent again under the same id, and says anew how long ago it was. */
export class Bridge {
  private waiting: readonly Waiting[] = [];
  private underWay: { readonly tellingId: string; readonly readings: readonly Waiting[] } | null = null;
  private isSending = false;
  /** What the kitchen says it took, and what not. */
  readonly tally = { taken: 0, refused: 0, failed: 0 };

  constructor(
    private readonly kitchen: string,
    private readonly key: string,
    private readonly now: () => number = () => performance.now(),
  ) {}

  show(shown: Shown | string): void {
    this.waiting = [...this.waiting, { atMs: this.now(), shown }].slice(-MOST_WAITING);
  }

  /** Sends what waits. @returns whether the kitchen has it */
  async send(): Promise<boolean> {
    if (this.isSending) return false;
    if (!this.underWay && this.waiting.length > 0) {
      this.underWay = { tellingId: randomUUID(), readings: this.waiting.slice(0, AT_ONCE) };
      this.waiting = this.waiting.slice(AT_ONCE);
    }
    if (!this.underWay) return true;
    this.isSending = true;
    try {
      const { tellingId, readings } = this.underWay;
      const told = readings.map(({ atMs, shown }) =>
        typeof shown === 'string' ? shown : { agoMs: Math.max(0, Math.round(this.now() - atMs)), ...shown },
      );
      const answer = await fetch(`${this.kitchen}/api/instruments/readings`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', authorization: `Bearer ${this.key}` },
        body: JSON.stringify({ tellingId, readings: told }),
      });
      if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`);
      const { taken, refused } = (await answer.json()) as { taken: number; refused: Record<string, number> };
      this.tally.taken += taken;
      this.tally.refused += Object.values(refused).reduce((sum, each) => sum + each, 0);
      this.underWay = null;
      return true;
    } catch {
      this.tally.failed += 1;
      return false;
    } finally {
      this.isSending = false;
    }
  }
}
