import type { BakeAction, BakeEvent } from '@/core/bake';
import type { Tap } from '@/core/requests';
import type { Problem } from '@/core/result';
import type { Answer } from '../asking/ask';
import type { Queue, Waiting } from '../queue/queue';
import { againAfterMs } from '../queue/retry';
import { refusalOf, tapsBody, type WaitingTap as WaitingBody } from '../queue/routes';
import { wordTap } from '@/wording/taps';

/** A tap waiting for the server, with the moment it was made by this device's clock. */
interface WaitingTap {
  readonly eventId: string;
  readonly madeAtMs: number;
  readonly action: BakeAction;
  readonly by?: string;
}

/** What is new in a bake's log, as the server answers. */
export interface News {
  readonly events: readonly BakeEvent[];
  /** Which data these are; another one after a backup was restored. */
  readonly epoch: string;
  readonly nowMs: number;
}

interface Receipt extends News {
  readonly results: readonly { readonly eventId: string; readonly problem: Problem | null }[];
}

export interface OutboxState {
  readonly waiting: readonly WaitingTap[];
  readonly events: readonly BakeEvent[];
  /** Server clock minus this device's, ms. */
  readonly offsetMs: number;
  readonly reachable: boolean;
  readonly refused: Problem | null;
}

/** A bake's log as this device knew it last. */
export interface StoredLog {
  readonly epoch: string;
  readonly events: readonly BakeEvent[];
}

/** Where the log is written down on the device: a page that is opened without the server may be older than what was known here. */
export interface LogPlace {
  readonly load: () => Promise<StoredLog | null>;
  readonly save: (log: StoredLog) => void;
}

export interface OutboxDeps {
  /** Asks for what is new, to be handed to `look`. */
  readonly ask: () => void;
  /** Who is at this device; null: nobody said. */
  readonly who: () => string | null;
  /** False: this device looks on, and the server would take nothing from it. */
  readonly mayPress: boolean;
  readonly log: LogPlace;
  readonly post: (taps: readonly Tap[], after: number) => Promise<Answer<Receipt>>;
  readonly queue: Queue;
  readonly lane: string;
  readonly now: () => number;
  readonly newId: () => string;
  readonly wait: (ms: number, then: () => void) => () => void;
}

const AT_ONCE = 50;

/**
 * Carries taps from the bench to the server, each once and in order, through dead networks, restarts and reloads. A tap is
 * written down before it is sent and struck out only when the server says it has it; the server knows repeats by their id.
 */
export class Outbox {
  private sending = false;
  /** What was new came while taps were on their way. */
  private hasMissed = false;
  private failures = 0;
  private atOnce = AT_ONCE;
  private cancelWait: () => void = () => undefined;
  private letGo: () => void = () => undefined;
  private listeners = new Set<() => void>();
  /** The data that the log in `state` is of; null: it has to be read anew. */
  private epoch: string | null;
  state: OutboxState;

  constructor(
    private readonly deps: OutboxDeps,
    /** As the page has it, and when that came to this device by its clock. */
    start: News & { readonly arrivedAtMs: number },
  ) {
    this.epoch = start.epoch;
    this.state = {
      waiting: [],
      events: start.events,
      offsetMs: start.nowMs - start.arrivedAtMs,
      reachable: true,
      refused: null,
    };
  }

  /** Takes up what an earlier page left unsent. Called once the browser's storage may be touched. */
  async open(): Promise<void> {
    const { queue, lane } = this.deps;
    const release = queue.hold(lane);
    const unsubscribe = queue.subscribe(() => this.reread());
    this.letGo = () => {
      release();
      unsubscribe();
    };
    await queue.open();
    await queue.adopt(this.mine().map(({ id }) => id));
    this.reread();
    void this.flush();
    await this.openLog();
  }

  private async openLog(): Promise<void> {
    const before = await this.deps.log.load();
    const isNewer = (before?.events.at(-1)?.seq ?? 0) > (this.state.events.at(-1)?.seq ?? 0);
    if (before && isNewer && before.epoch === this.epoch) this.become({ events: before.events });
    else this.saveLog();
  }

  private saveLog(): void {
    if (this.epoch !== null) this.deps.log.save({ epoch: this.epoch, events: this.state.events });
  }

  private mine(): Waiting[] {
    return this.deps.queue.lane(this.deps.lane).filter(({ refused }) => !refused);
  }

  private reread(): void {
    const waiting = this.mine().map(({ id, madeAtMs, body }) => ({
      eventId: id,
      madeAtMs,
      ...(body as WaitingBody),
    }));
    const same =
      waiting.length === this.state.waiting.length &&
      waiting.every((tap, index) => tap.eventId === this.state.waiting[index]?.eventId);
    if (!same) this.become({ waiting });
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private become(part: Partial<OutboxState>): void {
    const isLogNew = part.events !== undefined && part.events !== this.state.events;
    this.state = { ...this.state, ...part };
    if (isLogNew) this.saveLog();
    this.listeners.forEach((listener) => listener());
  }

  tap(action: BakeAction): void {
    const { queue, lane, newId, who } = this.deps;
    // said at once: shown as done until the server refuses it, it would be believed
    if (!this.deps.mayPress) return this.become({ refused: { code: 'onlyLooks', path: '' } });
    const by = who();
    this.become({ refused: null });
    // shown at once, sent when it is written down
    void queue
      .put({ id: newId(), lane, what: wordTap(action), body: { action, ...(by !== null && { by }) } })
      .then(() => this.flush());
  }

  async flush(): Promise<void> {
    const waiting = this.mine();
    if (this.sending || waiting.length === 0) return;
    this.cancelWait();
    this.sending = true;
    const batch = waiting.slice(0, this.atOnce);
    const after = this.after;
    const answer = await this.deps.post(tapsBody(batch, this.deps.now()).taps, after);
    this.sending = false;
    if (this.hasMissed) {
      this.hasMissed = false;
      this.deps.ask();
    }
    if (answer.kind === 'ok') return this.received(batch, answer.value, after);
    if (answer.kind === 'unreachable') {
      this.become({ reachable: false });
      this.cancelWait = this.deps.wait(againAfterMs(this.failures++), () => void this.flush());
    } else if (batch.length > 1) {
      // One of them is not to be taken: send them singly, so that it does not take the others down with it.
      this.atOnce = 1;
      void this.flush();
    } else {
      // The server understood and will never take it: it is saved to be shown, and not sent for ever.
      const refused = refusalOf(answer, this.deps.now());
      const [tap] = batch;
      if (tap) await this.deps.queue.refuse(tap.id, refused);
      this.become({ refused: refused?.problem ?? { code: 'notAllowed', path: '' } });
      void this.flush();
    }
  }

  /** Number of the newest event that is known here: the server is asked for no more than what came after it. */
  get after(): number {
    return this.epoch === null ? 0 : (this.state.events.at(-1)?.seq ?? 0);
  }

  /** The log with what is new in it, or as it is read from its beginning. */
  private logWith(news: News, after: number): Pick<OutboxState, 'events' | 'offsetMs'> {
    const offsetMs = news.nowMs - this.deps.now();
    const known = this.state.events;
    if (after > 0 && news.epoch !== this.epoch) {
      // other data were put in the place of those we know: from the beginning, next time
      this.epoch = null;
      return { events: known, offsetMs };
    }
    const other = news.epoch !== this.epoch;
    this.epoch = news.epoch;
    if (other) return { events: news.events, offsetMs };
    const last = known.at(-1)?.seq ?? 0;
    const fresh = news.events.filter(({ seq }) => seq > last);
    return { events: fresh.length === 0 ? known : [...known, ...fresh], offsetMs };
  }

  private received(batch: readonly Waiting[], receipt: Receipt, after: number): void {
    this.failures = 0;
    const problems = new Map(receipt.results.map(({ eventId, problem }) => [eventId, problem]));
    const bad = batch.filter(({ id }) => (problems.get(id)?.code ?? 'alreadyDone') !== 'alreadyDone');
    // first the log that has them, then the list that no longer does: in between nothing is missing
    this.become({
      ...this.logWith(receipt, after),
      reachable: true,
      ...(bad[0] ? { refused: problems.get(bad[0].id) ?? null } : {}),
    });
    for (const { id } of bad) {
      void this.deps.queue.refuse(id, {
        why: 'invalid',
        problem: problems.get(id) ?? null,
        atMs: this.deps.now(),
      });
    }
    void this.deps.queue.remove(batch.filter((tap) => !bad.includes(tap)).map(({ id }) => id));
    if (this.mine().length === 0) this.atOnce = AT_ONCE;
    else void this.flush();
  }

  /** The server's log as read by itself, for what other tablets did meanwhile. */
  look(answer: Answer<News>, after: number): void {
    if (answer.kind === 'unreachable') return this.become({ reachable: false });
    if (answer.kind !== 'ok') return;
    if (this.sending) {
      // taken in now, taps that it has already would be shown twice; and the answer to them may be older than this
      this.hasMissed = true;
      return;
    }
    const log = this.logWith(answer.value, after);
    if (log.events !== this.state.events || !this.state.reachable) this.become({ ...log, reachable: true });
    if (this.state.waiting.length > 0) void this.flush();
  }

  dispose(): void {
    this.cancelWait();
    this.letGo();
  }
}
