import type { BoardTimer } from './boardTimer';

export type Ring = 'early' | 'due';

/** What a device can do to be noticed; each does nothing where it is forbidden. */
export interface Calls {
  /** A tune of its own for each timer. */
  readonly ring: (ring: Ring, tune: number) => void;
  readonly speak: (ring: Ring, timer: BoardTimer) => void;
  readonly shake: () => void;
  /** Something beside the page, where it is allowed; the same timer is one notice however often it rings. */
  readonly notify: (timer: BoardTimer, key: string) => void;
}

/** A timer that is up. */
export interface Due {
  readonly key: string;
  readonly timer: BoardTimer;
  /** So long after its time this device noticed, because it slept or was not there, ms; null: it was called in time. */
  readonly missedMs: number | null;
}

interface Known {
  readonly sinceMs: number;
  calledEarly: boolean;
  rangMs: number | null;
  missedMs: number | null;
  /** Over for long when this page came. */
  isOld: boolean;
}

/** So long before its time it is called softly, where it was known long enough before that. */
const EARLY_MS = 120_000;
const EARLY_KNOWN_MS = 60_000;
/** Noticed so much later it was missed. */
const LATE_MS = 30_000;
/** What was up for so long before this page was there has been heard by somebody: it is shown. */
const STALE_MS = 300_000;
/** It rings again so long after it rang last: often at first, then now and then, then no more. */
const AGAIN: readonly { readonly withinMs: number; readonly afterMs: number }[] = [
  { withinMs: 120_000, afterMs: 15_000 },
  { withinMs: 1_800_000, afterMs: 60_000 },
];
/** Tunes that can be told from one another. */
export const TUNES = 6;

export const keyOf = ({ bakeId, stepId, endsAtMs }: BoardTimer): string => `${bakeId} ${stepId} ${endsAtMs}`;

/** The same timer has the same tune on every device. */
export function tuneOf({ bakeId, stepId }: Pick<BoardTimer, 'bakeId' | 'stepId'>): number {
  let sum = 0;
  for (const letter of `${bakeId} ${stepId}`) sum = (31 * sum + letter.codePointAt(0)!) % 65_521;
  return sum % TUNES;
}

/**
 * Calls whichever timer is up: a little before, at its time, and again until somebody answers. It has no clock of its own; whoever has one calls {@link tick} about
 * every second, and where that was not possible for a while it says what was missed, and by how much.
 */
export class BellRinger {
  private readonly known = new Map<string, Known>();
  private readonly answered = new Set<string>();

  constructor(private readonly calls: Calls) {}

  /** Somebody has heard it. */
  answer(key: string): void {
    this.answered.add(key);
  }

  /** What is up now, and rings. */
  tick(nowMs: number, timers: readonly BoardTimer[], { muted, early, spoken }: { readonly muted: boolean; readonly early: boolean; readonly spoken: boolean }): Due[] {
    const call = (ring: Ring, timer: BoardTimer) => {
      if (muted) return;
      this.calls.ring(ring, tuneOf(timer));
      if (spoken) this.calls.speak(ring, timer);
    };
    const due: Due[] = [];
    for (const timer of timers) {
      const key = keyOf(timer);
      const { localEndMs } = timer;
      const one = this.known.get(key) ?? { sinceMs: nowMs, calledEarly: false, rangMs: null, missedMs: null, isOld: false };
      this.known.set(key, one);
      if (nowMs < localEndMs) {
        const isTime = nowMs >= localEndMs - EARLY_MS && one.sinceMs <= localEndMs - EARLY_MS - EARLY_KNOWN_MS;
        if (early && isTime && !one.calledEarly) {
          one.calledEarly = true;
          call('early', timer);
        }
        continue;
      }
      if (this.answered.has(key)) continue;
      const overMs = nowMs - localEndMs;
      if (one.rangMs === null) {
        const wasThere = one.sinceMs <= localEndMs;
        if (overMs >= LATE_MS) one.missedMs = overMs;
        one.rangMs = nowMs;
        // the page came long after it: it is shown, and rings no more
        one.isOld = !wasThere && overMs >= STALE_MS;
        if (!one.isOld) {
          call('due', timer);
          this.calls.shake();
          this.calls.notify(timer, key);
        }
      } else if (!one.isOld) {
        const again = AGAIN.find(({ withinMs }) => overMs < withinMs);
        if (again && nowMs - one.rangMs >= again.afterMs) {
          one.rangMs = nowMs;
          call('due', timer);
          this.calls.shake();
        }
      }
      due.push({ key, timer, missedMs: one.missedMs });
    }
    // what is no timer any more is forgotten
    const there = new Set(timers.map(keyOf));
    for (const key of [...this.known.keys()]) if (!there.has(key)) this.known.delete(key);
    return due;
  } // prettier-ignore
}
