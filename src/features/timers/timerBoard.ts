import type { RunningTimer } from '@/core/bake';

/** A timer as the server lists it, with the address of its kitchen. */
export interface KitchenTimer extends RunningTimer {
  readonly kitchen: string;
}

export interface BoardTimer extends KitchenTimer {
  /** When it ends by this device's clock. */
  readonly localEndMs: number;
}

/**
 * The timers that this page knows of: what the server says of all bakes, and, of the bake that is open at the bench, what the bench
 * itself knows, which is newer, also without a network.
 */
class TimerBoard {
  private served: readonly BoardTimer[] = [];
  private readonly own = new Map<string, readonly BoardTimer[]>();
  private readonly listeners = new Set<() => void>();
  all: readonly BoardTimer[] = [];

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private changed(): void {
    this.all = [
      ...this.served.filter(({ bakeId }) => !this.own.has(bakeId)),
      ...[...this.own.values()].flat(),
    ];
    this.listeners.forEach((listener) => listener());
  }

  /** @param offsetMs server's clock minus this device's */
  fromServer(timers: readonly KitchenTimer[], offsetMs: number): void {
    this.served = timers.map((timer) => ({ ...timer, localEndMs: timer.endsAtMs - offsetMs }));
    this.changed();
  }

  /** What the bench of a bake knows; null: it is no longer open here. */
  fromBench(bakeId: string, timers: readonly KitchenTimer[] | null, offsetMs: number): void {
    if (timers)
      this.own.set(
        bakeId,
        timers.map((timer) => ({ ...timer, localEndMs: timer.endsAtMs - offsetMs })),
      );
    else if (!this.own.delete(bakeId)) return;
    this.changed();
  }
}

export const timerBoard = new TimerBoard();
