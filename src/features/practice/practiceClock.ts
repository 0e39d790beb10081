import type { PageClock } from '../clock/pageClock';

/** How much faster than a real kitchen it goes. */
export const SPEEDS = [1, 10, 60, 600] as const;
export type Speed = (typeof SPEEDS)[number];

/** The clock of a kitchen that is only practised: as fast as one likes, and ahead at one go. */
export class PracticeClock implements PageClock {
  private readonly listeners = new Set<() => void>();
  private fromMs: number;
  private sinceMs: number;
  private shownMs: number;
  private goes: Speed = 1;

  /** @param real this device's clock, ms */
  constructor(
    startsMs: number,
    private readonly real: () => number = () => performance.now(),
  ) {
    this.fromMs = startsMs;
    this.shownMs = startsMs;
    this.sinceMs = real();
  }

  now = (): number => this.fromMs + (this.real() - this.sinceMs) * this.goes;
  read = (): number => this.shownMs;
  speed = (): Speed => this.goes;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private again(fromMs: number): void {
    this.fromMs = fromMs;
    this.sinceMs = this.real();
    this.tick();
  }

  setSpeed(speed: Speed): void {
    const fromMs = this.now();
    this.goes = speed;
    this.again(fromMs);
  }

  /** So much later, all at once; never earlier. */
  jump(ms: number): void {
    this.again(this.now() + Math.max(0, ms));
  }

  /** Back to a moment that was run past, before anything was done after it. */
  stopAt(ms: number): void {
    const fromMs = Math.min(ms, this.now());
    this.goes = 1;
    this.again(fromMs);
  }

  /** Shows what time it is by now. */
  tick(): void {
    this.shownMs = this.now();
    this.listeners.forEach((listener) => listener());
  }
}
