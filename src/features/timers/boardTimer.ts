import type { RunningTimer } from '@/core/bake';

/** A timer as the server lists it, with the address of its kitchen. */
export interface KitchenTimer extends RunningTimer {
  readonly kitchen: string;
  /** Not a clock that has run out, but something to be begun. */
  readonly isCall?: boolean;
}

export interface BoardTimer extends KitchenTimer {
  /** When it ends by this device's clock. */
  readonly localEndMs: number;
}
