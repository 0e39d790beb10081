import type { Problem } from '@/core/result';
import type { Answer } from '../asking/ask';
import { againAfterMs } from './retry';

export type SaveState =
  | { readonly kind: 'saved'; readonly revision: number; readonly savedAtMs: number }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'unreachable'; readonly full: boolean }
  /** The sheet can't be saved as it stands; what is wrong is said at its field. */
  | { readonly kind: 'held'; readonly problems: readonly Problem[] }
  | { readonly kind: 'refused'; readonly why: string }
  | { readonly kind: 'conflict'; readonly revision: number; readonly savedAtMs: number };

interface Saved {
  readonly revision: number;
  readonly savedAtMs: number;
}

/** One state to be saved: what it was made on, and the id by which the server knows it again. */
export interface SaveWish<T> {
  readonly requestId: string;
  readonly seen: number;
  readonly value: T;
}

export interface SaverDeps<T> {
  /** @param leaving the page goes away: the request has to outlive it, if it can */
  readonly post: (wish: SaveWish<T>, leaving: boolean) => Promise<Answer<Saved>>;
  readonly check: (value: T) => readonly Problem[];
  readonly newId: () => string;
  readonly wait: (ms: number, then: () => void) => () => void;
  /** Keeps what is not saved yet where a reload finds it again; null when all is saved. */
  readonly remember: (wish: SaveWish<T> | null) => void;
}

const PAUSE_MS = 450;

/**
 * Saves a document by itself, each state once. One request at a time; one whose fate is unknown is sent again word for word
 * (the server knows it by its id) before anything newer, so a save is neither lost nor doubled however the network behaves.
 */
export class Saver<T> {
  private wanted: T;
  private wantedId: string;
  private stored: T;
  private seen: number;
  private pending: SaveWish<T> | null = null;
  private sending = false;
  private failures = 0;
  private storedAtMs: number;
  private cancelWait: () => void = () => undefined;
  private listeners = new Set<() => void>();
  state: SaveState;

  constructor(
    private readonly deps: SaverDeps<T>,
    start: { value: T; revision: number; savedAtMs: number },
  ) {
    this.wanted = start.value;
    this.wantedId = '';
    this.stored = start.value;
    this.seen = start.revision;
    this.storedAtMs = start.savedAtMs;
    this.state = { kind: 'saved', revision: start.revision, savedAtMs: start.savedAtMs };
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private become(state: SaveState): void {
    this.state = state;
    this.listeners.forEach((listener) => listener());
  }

  get revision(): number {
    return this.seen;
  }

  get settled(): boolean {
    return this.state.kind === 'saved' && this.wanted === this.stored;
  }

  change(value: T, requestId = this.deps.newId()): void {
    if (value === this.wanted) return;
    this.wanted = value;
    this.wantedId = requestId;
    this.rememberWanted();
    if (this.state.kind === 'conflict') return;
    const problems = this.deps.check(value);
    if (problems.length > 0) {
      this.cancelWait();
      this.become({ kind: 'held', problems });
      return;
    }
    if (this.state.kind !== 'unreachable' && this.state.kind !== 'waiting') this.become({ kind: 'waiting' });
    this.later(PAUSE_MS);
  }

  private rememberWanted(): void {
    this.deps.remember({ requestId: this.wantedId, seen: this.seen, value: this.wanted });
  }

  private later(ms: number): void {
    this.cancelWait();
    this.cancelWait = this.deps.wait(ms, () => void this.flush());
  }

  /** Sends what is to be sent now. */
  async flush(leaving = false): Promise<void> {
    if (this.sending || this.state.kind === 'conflict' || this.state.kind === 'held') return;
    if (!this.pending) {
      if (this.wanted === this.stored) return this.rest();
      this.pending = { requestId: this.wantedId, seen: this.seen, value: this.wanted };
    }
    this.cancelWait();
    const request = this.pending;
    this.sending = true;
    if (this.state.kind !== 'unreachable') this.become({ kind: 'saving' });
    const answer = await this.deps.post(request, leaving);
    this.sending = false;
    this.receive(request, answer);
  }

  /** All that is on the sheet is saved: also after a change that was taken back before it was sent. */
  private rest(): void {
    // not a word to the storage while nothing was changed here: an earlier page's draft may still be waiting in it
    if (this.state.kind === 'saved') return;
    this.deps.remember(null);
    this.become({ kind: 'saved', revision: this.seen, savedAtMs: this.storedAtMs });
  }

  private receive(request: SaveWish<T>, answer: Answer<Saved>): void {
    switch (answer.kind) {
      case 'ok': {
        this.failures = 0;
        this.pending = null;
        this.seen = answer.value.revision;
        this.stored = request.value;
        this.storedAtMs = answer.value.savedAtMs;
        if (this.wanted !== this.stored) {
          this.rememberWanted();
          if (this.state.kind === 'held') return;
          this.become({ kind: 'waiting' });
          this.later(PAUSE_MS);
          return;
        }
        this.rest();
        return;
      }
      case 'unreachable':
        this.become({ kind: 'unreachable', full: answer.full });
        this.later(againAfterMs(this.failures++));
        return;
      case 'stale':
        this.pending = null;
        this.become({ kind: 'conflict', revision: answer.revision, savedAtMs: answer.savedAtMs });
        return;
      case 'invalid':
        this.pending = null;
        this.become({ kind: 'held', problems: answer.problems });
        return;
      case 'refused':
        this.pending = null;
        this.become({ kind: 'refused', why: answer.why });
    }
  }

  /** Waits until all is saved, or nothing more can be done about it, or the time is up. @returns whether all is saved */
  async drained(withinMs: number): Promise<boolean> {
    let late = false;
    const cancel = this.deps.wait(withinMs, () => {
      late = true;
      this.listeners.forEach((listener) => listener());
    });
    while (!late && ['waiting', 'saving'].includes(this.state.kind)) {
      const changed = new Promise<void>((resolve) => {
        const stop = this.subscribe(() => {
          stop();
          resolve();
        });
      });
      void this.flush();
      await changed;
    }
    cancel();
    return this.settled;
  }

  /** The reader has decided a conflict for this version: it becomes the next revision, on top of the other. */
  saveOnTop(): void {
    if (this.state.kind !== 'conflict') return;
    this.seen = this.state.revision;
    // another wish than the one that was refused
    this.wantedId = this.deps.newId();
    this.rememberWanted();
    this.become({ kind: 'waiting' });
    void this.flush();
  }

  /** The sheet now shows what the server has. */
  adopt(value: T, { revision, savedAtMs }: Saved): void {
    this.cancelWait();
    this.wanted = value;
    this.stored = value;
    this.storedAtMs = savedAtMs;
    this.seen = revision;
    this.pending = null;
    this.deps.remember(null);
    this.become({ kind: 'saved', revision, savedAtMs });
  }

  dispose(): void {
    this.cancelWait();
    this.listeners.clear();
  }
}
