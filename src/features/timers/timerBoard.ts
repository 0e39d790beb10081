import { DeviceStore } from '../device/deviceStore';
import { isRecord } from '../device/found';
import type { BoardTimer, KitchenTimer } from './boardTimer';
import { byThisClock, type KitchenOven } from './ovenBell';

const hasTexts = (found: Readonly<Record<string, unknown>>, ...names: readonly string[]): boolean =>
  names.every((name) => typeof found[name] === 'string');

/** No more than what rings is looked at; the rest came from our own server and is as it was. */
const isTimer = (found: unknown): found is BoardTimer =>
  isRecord(found) &&
  hasTexts(found, 'bakeId', 'stepId', 'kitchen', 'bakeName') &&
  typeof found.localEndMs === 'number';

function isOven(found: unknown): found is KitchenOven {
  if (!isRecord(found) || !hasTexts(found, 'kitchen', 'bakeId')) return false;
  const { oven } = found;
  if (!isRecord(oven) || !hasTexts(oven, 'stepId') || typeof oven.leadS !== 'number') return false;
  const { wait } = oven;
  return isRecord(wait) && typeof wait.thenS === 'number' && Array.isArray(wait.endsMs) && wait.endsMs.every((ms) => typeof ms === 'number');
} // prettier-ignore

interface Rings {
  readonly timers: readonly BoardTimer[];
  readonly ovens: readonly KitchenOven[];
}

function readRings(found: unknown): Rings | null {
  if (!isRecord(found)) return null;
  const { timers, ovens } = found;
  return Array.isArray(timers) && timers.every(isTimer) && Array.isArray(ovens) && ovens.every(isOven) ? { timers, ovens } : null;
} // prettier-ignore

/** Saved, so that they ring after a reload without the server. */
const lastTimers = new DeviceStore<Rings>('crumb-timers', readRings, { timers: [], ovens: [] });

/**
 * The timers that this page knows of: what the server says of all bakes, and, of the bake that is open at the bench, what the bench
 * itself knows, which is newer, also without a network.
 */
class TimerBoard {
  private served: readonly BoardTimer[] = [];
  private readonly own = new Map<string, readonly BoardTimer[]>();
  private readonly listeners = new Set<() => void>();
  private servedOvens: readonly KitchenOven[] = [];
  all: readonly BoardTimer[] = [];
  /** Ovens to be lit, of bakes whose bench is not open here: that one calls by itself. By this device's clock. */
  ovens: readonly KitchenOven[] = [];

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private changed(): void {
    this.all = [
      ...this.served.filter(({ bakeId }) => !this.own.has(bakeId)),
      ...[...this.own.values()].flat(),
    ];
    this.ovens = this.servedOvens.filter(({ bakeId }) => !this.own.has(bakeId));
    this.listeners.forEach((listener) => listener());
  }

  /** @param offsetMs server's clock minus this device's */
  fromServer(timers: readonly KitchenTimer[], ovens: readonly KitchenOven[], offsetMs: number): void {
    this.servedOvens = ovens.map((oven) => byThisClock(oven, offsetMs));
    this.served = timers.map((timer) => ({ ...timer, localEndMs: timer.endsAtMs - offsetMs }));
    lastTimers.change({ timers: this.served, ovens: this.servedOvens });
    this.changed();
  }

  /** What this device was told last, where it is told nothing now. */
  fromDevice(): void {
    if (this.served.length > 0) return;
    const last = lastTimers.read();
    this.served = last.timers;
    this.servedOvens = last.ovens;
    this.changed();
  }

  /** What the bench of a bake knows; null: it is no longer open here. */
  fromBench(bakeId: string, timers: readonly KitchenTimer[] | null, offsetMs: number): void {
    if (timers)
      this.own.set(
        bakeId,
        timers.map((timer) => ({ ...timer, localEndMs: timer.endsAtMs - offsetMs })),
      );
    else {
      const last = this.own.get(bakeId);
      if (!last) return;
      // until the server says what it knows: what was begun without it rings on other pages as well
      this.own.delete(bakeId);
      this.served = [...this.served.filter((timer) => timer.bakeId !== bakeId), ...last];
      lastTimers.change({ timers: this.served });
    }
    this.changed();
  }
}

export const timerBoard = new TimerBoard();
