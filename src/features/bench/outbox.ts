import type { BakeAction, BakeEvent } from '@/core/bake';
import type { Tap } from '@/core/requests';
import type { Problem } from '@/core/result';
import type { Answer } from '../asking/ask';

/** A tap waiting for the server, with the moment it was made by this device's clock. */
export interface WaitingTap {
  readonly eventId: string;
  readonly madeAtMs: number;
  readonly action: BakeAction;
}

interface Receipt {
  readonly results: readonly { readonly eventId: string; readonly problem: Problem | null }[];
  readonly events: readonly BakeEvent[];
  readonly nowMs: number;
}

export interface OutboxState {
  readonly waiting: readonly WaitingTap[];
  readonly events: readonly BakeEvent[];
  /** Server clock minus this device's, ms. */
  readonly offsetMs: number;
  readonly reachable: boolean;
  readonly refused: Problem | null;
}

export interface OutboxDeps {
  readonly post: (taps: readonly Tap[]) => Promise<Answer<Receipt>>;
  readonly store: { load: () => WaitingTap[]; save: (taps: readonly WaitingTap[]) => void };
  readonly now: () => number;
  readonly newId: () => string;
  readonly wait: (ms: number, then: () => void) => () => void;
}

const RETRY_MS = [500, 1000, 2000, 4000];
const AT_ONCE = 50;

/**
 * Carries taps from the bench to the server, each once and in order, through dead networks, restarts and reloads. A tap is
 * written down before it is sent and struck out only when the server says it has it; the server knows repeats by their id.
 */
export class Outbox {
  private sending = false;
  private failures = 0;
  private atOnce = AT_ONCE;
  private cancelWait: () => void = () => undefined;
  private listeners = new Set<() => void>();
  state: OutboxState;

  constructor(
    private readonly deps: OutboxDeps,
    start: { events: readonly BakeEvent[]; nowMs: number },
  ) {
    this.state = {
      waiting: [],
      events: start.events,
      offsetMs: start.nowMs - deps.now(),
      reachable: true,
      refused: null,
    };
  }

  /** Takes up what an earlier page left unsent. Called once the browser's storage may be touched. */
  open(): void {
    this.become({ waiting: this.deps.store.load() });
    void this.flush();
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private become(part: Partial<OutboxState>): void {
    this.state = { ...this.state, ...part };
    this.listeners.forEach((listener) => listener());
  }

  tap(action: BakeAction): void {
    const tap = { eventId: this.deps.newId(), madeAtMs: this.deps.now(), action };
    const waiting = [...this.state.waiting, tap];
    this.deps.store.save(waiting);
    this.become({ waiting, refused: null });
    void this.flush();
  }

  async flush(): Promise<void> {
    if (this.sending || this.state.waiting.length === 0) return;
    this.cancelWait();
    this.sending = true;
    const batch = this.state.waiting.slice(0, this.atOnce);
    const sentAtMs = this.deps.now();
    const answer = await this.deps.post(
      batch.map(({ eventId, madeAtMs, action }) => ({
        eventId,
        agoMs: Math.max(0, sentAtMs - madeAtMs),
        action,
      })),
    );
    this.sending = false;
    if (answer.kind === 'ok') this.received(batch, answer.value);
    else if (answer.kind === 'unreachable') {
      this.become({ reachable: false });
      this.cancelWait = this.deps.wait(
        RETRY_MS[Math.min(this.failures++, RETRY_MS.length - 1)] ?? 4000,
        () => {
          void this.flush();
        },
      );
    } else if (batch.length > 1) {
      // One of them is not to be taken: send them singly, so that it does not take the others down with it.
      this.atOnce = 1;
      void this.flush();
    } else {
      // The server understood and will never take it: say so once instead of sending it for ever.
      const problem: Problem =
        answer.kind === 'invalid' && answer.problems[0]
          ? answer.problems[0]
          : { code: 'notAllowed', path: '' };
      this.strike(batch, { refused: problem });
      void this.flush();
    }
  }

  private received(batch: readonly WaitingTap[], receipt: Receipt): void {
    this.failures = 0;
    const refused =
      receipt.results.find(({ problem }) => problem && problem.code !== 'alreadyDone')?.problem ?? null;
    this.strike(batch, {
      events: receipt.events,
      offsetMs: receipt.nowMs - this.deps.now(),
      reachable: true,
      ...(refused ? { refused } : {}),
    });
    if (this.state.waiting.length > 0) void this.flush();
  }

  private strike(batch: readonly WaitingTap[], part: Partial<OutboxState>): void {
    const gone = new Set(batch.map(({ eventId }) => eventId));
    const waiting = this.state.waiting.filter(({ eventId }) => !gone.has(eventId));
    if (waiting.length === 0) this.atOnce = AT_ONCE;
    this.deps.store.save(waiting);
    this.become({ waiting, ...part });
  }

  /** The server's log as read by itself, for what other tablets did meanwhile. */
  look(answer: Answer<{ events: readonly BakeEvent[]; nowMs: number }>): void {
    if (answer.kind === 'unreachable') return this.become({ reachable: false });
    if (answer.kind !== 'ok' || this.sending) return;
    const offsetMs = answer.value.nowMs - this.deps.now();
    const newer = answer.value.events.length > this.state.events.length;
    if (newer || !this.state.reachable) {
      this.become({ events: newer ? answer.value.events : this.state.events, offsetMs, reachable: true });
    }
    if (this.state.waiting.length > 0) void this.flush();
  }

  dispose(): void {
    this.cancelWait();
  }
}
