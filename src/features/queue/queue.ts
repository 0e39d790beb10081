import type { Problem } from '@/core/result';

/** Why the server will never take something as it is. */
export interface Refused {
  readonly why: 'stale' | 'invalid' | 'otherContent' | 'notFound' | 'tooBig' | 'forbidden' | 'broken';
  readonly problem: Problem | null;
  readonly atMs: number;
}

/** One thing that was typed or tapped and that the server has not said yet that it has. */
export interface Waiting {
  readonly id: string;
  /** What it belongs to: things of one lane are sent in order. `form:` lanes are not sent, only saved. */
  readonly lane: string;
  /** What it is, in a person's words. */
  readonly what: string;
  readonly body: unknown;
  /** By this device's clock. */
  readonly madeAtMs: number;
  /** The tab that made it. */
  readonly tab: string;
  readonly refused: Refused | null;
}

/** Where it is written down so that a closed lid or a dead battery does not take it. */
export interface QueueStore {
  readonly all: () => Promise<Waiting[]>;
  readonly put: (entries: readonly Waiting[]) => Promise<void>;
  readonly remove: (ids: readonly string[]) => Promise<void>;
}

export interface QueueDeps {
  readonly store: QueueStore;
  readonly now: () => number;
  readonly tab: string;
}

type Adding = Pick<Waiting, 'id' | 'lane' | 'what' | 'body'>;

/**
 * The one place where a browser keeps what is still to be sent: changes of a sheet, taps at the bench, the kit, ingredients, half-written
 * forms. What is put in is seen at once and written down in order; it leaves when the server has it, or by hand.
 */
export class Queue {
  private entries = new Map<string, Waiting>();
  private writing: Promise<void> = Promise.resolve();
  private readonly listeners = new Set<() => void>();
  private readonly held = new Map<string, number>();
  private opened: Promise<void> | null = null;
  /** All that waits, oldest first; another list whenever something changed. */
  snapshot: readonly Waiting[] = [];
  /** The browser does not write down what it is given: what waits lives as long as the page. */
  fragile = false;

  constructor(private readonly deps: QueueDeps) {}

  get tab(): string {
    return this.deps.tab;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private changed(): void {
    this.snapshot = [...this.entries.values()].sort((a, b) => a.madeAtMs - b.madeAtMs);
    this.listeners.forEach((listener) => listener());
  }

  /** Reads what earlier pages left. Called once the browser's storage may be touched; later calls wait for the first. */
  open(): Promise<void> {
    return (this.opened ??= this.refresh());
  }

  /** Takes up what other tabs have written down since, and lets go of what they have got rid of. */
  async refresh(): Promise<void> {
    try {
      await this.writing;
      const stored = await this.deps.store.all();
      const mine = [...this.entries.values()].filter((entry) => entry.tab === this.deps.tab);
      this.entries = new Map([...stored, ...mine].map((entry) => [entry.id, entry]));
    } catch {
      this.fragile = true;
    }
    this.changed();
  }

  private write(work: () => Promise<void>): Promise<void> {
    this.writing = this.writing.then(work).catch(() => {
      if (this.fragile) return;
      this.fragile = true;
      this.changed();
    });
    return this.writing;
  }

  /** What waits in a lane, oldest first. */
  lane(name: string): Waiting[] {
    return this.snapshot.filter((entry) => entry.lane === name);
  }

  /**
   * Puts something in, or another in the place of one with the same id.
   * @returns when it is written down; or cannot be (`fragile`)
   */
  put({ id, lane, what, body }: Adding): Promise<void> {
    const entry: Waiting = {
      id,
      lane,
      what,
      body,
      madeAtMs: this.after(),
      tab: this.deps.tab,
      refused: null,
    };
    this.entries.set(id, entry);
    this.changed();
    return this.write(() => this.deps.store.put([entry]));
  }

  /** A moment after all that is here: two taps within a millisecond keep their order. */
  private after(): number {
    const last = this.snapshot.at(-1)?.madeAtMs ?? 0;
    const now = this.deps.now();
    return last >= now && last < now + 1000 ? last + 0.001 : now;
  }

  /** The server has it, or it was taken out by hand. */
  remove(ids: readonly string[]): Promise<void> {
    const known = ids.filter((id) => this.entries.delete(id));
    if (known.length > 0) this.changed();
    return this.write(() => this.deps.store.remove(ids));
  }

  /** The server will never take it: it stays, with the reason, until somebody has seen it. */
  refuse(id: string, refused: Refused | null): Promise<void> {
    const before = this.entries.get(id);
    if (!before) return Promise.resolve();
    const entry = { ...before, refused };
    this.entries.set(id, entry);
    this.changed();
    return this.write(() => this.deps.store.put([entry]));
  }

  /** Says that a page of this tab sends this lane itself, until the returned function is called. */
  hold(lane: string): () => void {
    this.held.set(lane, (this.held.get(lane) ?? 0) + 1);
    return () => {
      const left = (this.held.get(lane) ?? 1) - 1;
      if (left > 0) this.held.set(lane, left);
      else this.held.delete(lane);
    };
  }

  isHeld(lane: string): boolean {
    return this.held.has(lane);
  }

  /** Makes what a tab that is gone left here this tab's own. */
  adopt(ids: readonly string[]): Promise<void> {
    const taken = ids.flatMap((id) => {
      const entry = this.entries.get(id);
      return entry && entry.tab !== this.deps.tab ? [{ ...entry, tab: this.deps.tab }] : [];
    });
    if (taken.length === 0) return Promise.resolve();
    for (const entry of taken) this.entries.set(entry.id, entry);
    this.changed();
    return this.write(() => this.deps.store.put(taken));
  }
}
