/**
 * The kitchen's clock: the machine's, but going evenly. A machine's clock may be set while a dough rises (a flat battery, a time
 * server that answers late, a hand); timers are lengths, and must not jump with it. So time goes on from where it was by a clock
 * that cannot be set, and the machine's own is believed again once nothing is under way.
 */
export interface Clocks {
  /** The machine's clock, ms since 1970. */
  readonly wallMs: () => number;
  /** A clock that only ever goes on, ms since some moment. */
  readonly steadyMs: () => number;
}

/** The machine's clock and ours may differ by so much without a word: clocks are nudged all the time. */
const NUDGE_MS = 2000;

export class KitchenClock {
  private aheadMs: number;
  private toldMs = 0;

  constructor(
    private readonly clocks: Clocks,
    /** What wall minus steady was before this process, where that is known. */
    before: number | null = null,
  ) {
    const here = clocks.wallMs() - clocks.steadyMs();
    this.aheadMs = before !== null && Math.abs(here - before) <= NUDGE_MS ? here : (before ?? here);
  }

  nowMs(): number {
    return Math.round(this.clocks.steadyMs() + this.aheadMs);
  }

  /** Wall minus steady clock, to be remembered for the next process of this boot. */
  get ahead(): number {
    return this.aheadMs;
  }

  /** By how much the machine's clock was set since it was believed last, ms; 0: it goes as it should. */
  jumpedMs(): number {
    const offMs = this.clocks.wallMs() - this.nowMs();
    return Math.abs(offMs) <= NUDGE_MS ? 0 : offMs;
  }

  /** A jump not told of yet. */
  newJumpMs(): number {
    const jumpMs = this.jumpedMs();
    const fresh = Math.abs(jumpMs - this.toldMs) > NUDGE_MS ? jumpMs : 0;
    this.toldMs = jumpMs;
    return fresh;
  }

  /** Believes the machine's clock again. */
  settle(): void {
    this.aheadMs = this.clocks.wallMs() - this.clocks.steadyMs();
    this.toldMs = 0;
  }
}

const holder = globalThis as typeof globalThis & { crumbClock?: KitchenClock };

/** The clock of this process; the host may have set it up with what it knows of the process before. */
export function kitchenClock(): KitchenClock {
  return (holder.crumbClock ??= new KitchenClock({ wallMs: Date.now, steadyMs: () => performance.now() }));
}

export function setKitchenClock(clock: KitchenClock): void {
  holder.crumbClock = clock;
}
