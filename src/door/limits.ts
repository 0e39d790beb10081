/** Per client and second: what a busy bench with a few tablets never reaches, and a program gone wild does. */
const PACE = {
  write: { perSecond: 60, burst: 240 },
  read: { perSecond: 200, burst: 1200 },
  // a bridge before many instruments, and each of these
  bridge: { perSecond: 300, burst: 1200 },
  instrument: { perSecond: 10, burst: 60 },
  // codes are tried by hand: by one client, and by all together
  pair: { perSecond: 0.2, burst: 5 },
  pairAll: { perSecond: 0.5, burst: 20 },
} as const;

export type Pace = keyof typeof PACE;

interface Bucket {
  tokens: number;
  filledAtMs: number;
}

/** So many clients are told apart; the one that was quiet longest is forgotten first, which only gives it a full bucket again. */
const MOST_CLIENTS = 1000;

/** A token bucket for each client and pace. */
export class Limits {
  private readonly buckets = new Map<string, Bucket>();

  /** @returns false when this client should wait */
  take(client: string, pace: Pace, nowMs: number): boolean {
    const key = `${pace} ${client}`;
    const { perSecond, burst } = PACE[pace];
    const bucket = this.buckets.get(key) ?? { tokens: burst, filledAtMs: nowMs };
    bucket.tokens = Math.min(
      burst,
      bucket.tokens + (Math.max(0, nowMs - bucket.filledAtMs) / 1000) * perSecond,
    );
    bucket.filledAtMs = nowMs;
    // taken out and put in again: the order of the map is the order of last use
    this.buckets.delete(key);
    this.buckets.set(key, bucket);
    if (this.buckets.size > MOST_CLIENTS) this.buckets.delete(this.buckets.keys().next().value ?? '');
    if (bucket.tokens < 1) return false;
    bucket.tokens -= 1;
    return true;
  }
}
