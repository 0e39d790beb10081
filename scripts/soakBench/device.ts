import { randomUUID } from 'node:crypto';
import type { BakeEvent } from '@/core/bake';
import type { Tap } from '@/core/requests';
import type { Answer } from '@/features/asking/ask';
import { Outbox, type LogPlace, type News, type StoredLog } from '@/features/bench/outbox';
import { NewsCarrier } from '@/features/news/newsCarrier';
import { memoryStore } from '@/features/queue/browserQueue';
import { Queue } from '@/features/queue/queue';

const ANSWER_MS = 9000;
/** As the pages do while nothing is told, sooner. */
const ASK_MS = 700;

type Receipt = News & { readonly results: { eventId: string; problem: null }[] };

const wait = (ms: number, then: () => void) => {
  const timer = setTimeout(then, ms);
  return () => clearTimeout(timer);
};

/**
 * A tablet at the bench: the page's own queue, outbox and stream, on a network that is cut, repeats and delays. What it has written down
 * outlives its pages.
 */
export class Device {
  private readonly store = memoryStore();
  private stored: StoredLog | null = null;
  private outbox: Outbox | null = null;
  private news: NewsCarrier | null = null;
  private ticking: ReturnType<typeof setInterval> | undefined;
  private readonly streams = new Set<AbortController>();
  private isCut = false;
  private isOver = false;

  constructor(
    private readonly url: string,
    private readonly bakeId: string,
    private readonly random: () => number,
    /** The page as the service worker has it: what was known when it was put by. */
    private readonly page: News,
  ) {}

  get events(): readonly BakeEvent[] {
    return this.outbox?.state.events ?? [];
  }

  get waiting(): number {
    return this.outbox?.state.waiting.length ?? 0;
  }

  /** The network goes, also under what is on its way, and comes back. */
  cut(isCut: boolean): void {
    this.isCut = isCut;
    if (isCut) this.streams.forEach((stream) => stream.abort());
  }

  tap(text: string): void {
    this.outbox?.tap({ type: 'noted', text });
  }

  private async ask<T>(path: string, body?: unknown): Promise<Answer<T>> {
    const away: Answer<T> = { kind: 'unreachable', full: false };
    if (this.isCut) return away;
    try {
      const answer = await fetch(this.url + path, {
        ...(body !== undefined && { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
        signal: AbortSignal.timeout(ANSWER_MS),
      });
      const value = (await answer.json()) as T;
      // gone while the answer was on its way: it was done, and is not known
      if (this.isCut || !answer.ok) return away;
      return { kind: 'ok', value };
    } catch {
      return away;
    }
  } // prettier-ignore

  private async post(taps: readonly Tap[], after: number): Promise<Answer<Receipt>> {
    const send = () => this.ask<Receipt>(`/api/k/-/bakes/${this.bakeId}/taps`, { taps, after });
    const chance = this.random();
    // a network that says it again: at once, or long after it was answered
    if (chance < 0.1) void send();
    if (chance > 0.9) setTimeout(() => void send(), 200 + this.random() * 800);
    if (this.random() < 0.3) await new Promise((resolve) => setTimeout(resolve, this.random() * 300));
    const answer = await send();
    return this.random() < 0.1 ? { kind: 'unreachable', full: false } : answer;
  }

  private look = async (): Promise<void> => {
    const { outbox } = this;
    if (!outbox) return;
    const { after } = outbox;
    const answer = await this.ask<News>(`/api/k/-/bakes/${this.bakeId}?after=${after}`);
    if (outbox === this.outbox) outbox.look(answer, after);
  };

  private openStream = ({ heard, ended }: { heard: (text: string) => void; ended: () => void }) => {
    const control = new AbortController();
    this.streams.add(control);
    const read = async () => {
      const answer = await fetch(`${this.url}/api/news`, { signal: control.signal });
      let text = '';
      const decoder = new TextDecoder();
      for await (const part of answer.body as unknown as AsyncIterable<Uint8Array>) {
        text += decoder.decode(part, { stream: true });
        const lines = text.split('\n\n');
        text = lines.pop() ?? '';
        for (const line of lines) if (line.startsWith('data: ')) heard(line.slice(6));
      }
    };
    const over = () => {
      this.streams.delete(control);
      if (!this.isOver) ended();
    };
    if (this.isCut) wait(20, over);
    else read().then(over, over);
    return () => control.abort();
  };

  /** Opens its page: new, or as it was put by, however much has happened since. */
  async open(): Promise<void> {
    const log: LogPlace = { load: () => Promise.resolve(this.stored), save: (saved) => (this.stored = saved) };
    const outbox = new Outbox(
      {
        ask: () => void this.look(),
        post: (taps, after) => this.post(taps, after),
        who: () => null,
        mayPress: true,
        queue: new Queue({ store: this.store, now: () => Date.now(), tab: randomUUID() }),
        log,
        lane: `taps:${this.bakeId}`,
        now: () => Date.now(),
        newId: randomUUID,
        wait: (ms, then) => wait(Math.min(ms, 1000), then),
      },
      { ...this.page, arrivedAtMs: Date.now() },
    );
    // what a page that died had written down is another tab's by now; here it is this one's
    this.outbox = outbox;
    await outbox.open();
    void this.look();
    this.news ??= this.listen();
    this.ticking ??= setInterval(() => {
      if (!this.news?.isHearing) void this.look();
    }, ASK_MS);
  } // prettier-ignore

  private listen(): NewsCarrier {
    const news = new NewsCarrier({
      open: this.openStream,
      takeTask: (_steal, begin) => begin(),
      tell: () => undefined,
      listen: () => undefined,
      isSeen: () => true,
      now: () => Date.now(),
      wait: (ms, then) => wait(Math.min(ms, 1000), () => !this.isOver && then()),
    });
    news.subscribe((each) => {
      if (each.of === 'hearing' ? each.is : each.of === 'bake' && each.id === this.bakeId) void this.look();
    });
    news.start();
    return news;
  }

  /** The page dies in the middle of whatever it does; another is opened from what is written down. */
  async reload(): Promise<void> {
    this.outbox?.dispose();
    await this.open();
  }

  close(): void {
    this.isOver = true;
    clearInterval(this.ticking);
    this.outbox?.dispose();
    this.streams.forEach((stream) => stream.abort());
  }
}
