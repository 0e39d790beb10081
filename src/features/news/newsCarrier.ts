import { BEAT_MS, readNews, type News } from '@/core/news';
import { againAfterMs } from '../queue/retry';

/** What tabs of one browser say to one another. */
export type TabWord = { readonly news: News } | { readonly asks: true };

export interface CarrierDeps {
  /** Opens the stream. @returns how to close it */
  readonly open: (on: { readonly heard: (text: string) => void; readonly ended: () => void }) => () => void;
  /**
   * Calls `begin` once this tab is the one that carries the stream for all of this browser, and `end` when it no longer is.
   * @param steal from a tab that has the task and does not do it
   */
  readonly takeTask: (steal: boolean, begin: () => void, end: () => void) => void;
  readonly tell: (word: TabWord) => void;
  readonly listen: (heard: (word: TabWord) => void) => void;
  readonly isSeen: () => boolean;
  readonly now: () => number;
  readonly wait: (ms: number, then: () => void) => () => void;
}

/** After so long without a beat nobody carries it, whatever they think. */
const SILENCE_MS = 3 * BEAT_MS;
const CHECK_MS = 5000;

/**
 * What is new on the server, one stream for all tabs of a browser: a browser opens few connections to one place, and tabs are many. One
 * tab carries it and tells the others; when it goes, or falls silent, another does.
 */
export class NewsCarrier {
  private readonly listeners = new Set<(news: News) => void>();
  private close: (() => void) | null = null;
  private cancelOpen: () => void = () => undefined;
  private failures = 0;
  private carries = false;
  private heardAtMs: number;
  /** Whether what is new is told; while not, it has to be asked for. */
  isHearing = false;

  constructor(private readonly deps: CarrierDeps) {
    this.heardAtMs = deps.now();
  }

  start(): void {
    const { deps } = this;
    deps.listen((word) => {
      if ('news' in word) return this.receive(word.news);
      if (this.carries) deps.tell({ news: { of: 'hearing', is: this.isHearing } });
    });
    deps.tell({ asks: true });
    this.takeTask(false);
    this.check();
  }

  subscribe = (listener: (news: News) => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private takeTask(steal: boolean): void {
    this.deps.takeTask(
      steal,
      () => {
        this.carries = true;
        this.heardAtMs = this.deps.now();
        // what came between the stream before and this one was told to nobody
        this.tellAll({ of: 'hearing', is: false });
        this.open();
      },
      () => {
        this.carries = false;
        this.shut();
        // it was taken away: it waits for its turn like any other
        this.takeTask(false);
      },
    );
  }

  private shut(): void {
    this.cancelOpen();
    this.close?.();
    this.close = null;
  }

  private open(): void {
    this.shut();
    this.close = this.deps.open({
      heard: (text) => {
        const news = readNews(text);
        if (!news) return;
        this.failures = 0;
        this.tellAll(news);
      },
      ended: () => this.lost(),
    });
  }

  private lost(): void {
    this.shut();
    this.tellAll({ of: 'hearing', is: false });
    this.cancelOpen = this.deps.wait(againAfterMs(this.failures++), () => this.open());
  }

  private tellAll(news: News): void {
    this.receive(news);
    this.deps.tell({ news });
  }

  private receive(news: News): void {
    this.heardAtMs = this.deps.now();
    if (news.of === 'hearing') {
      if (news.is === this.isHearing) return;
      this.isHearing = news.is;
    }
    if (news.of !== 'beat') this.listeners.forEach((listener) => listener(news));
  }

  /** A connection or a tab may be dead without saying so. */
  private check(): void {
    this.deps.wait(CHECK_MS, () => {
      this.check();
      if (this.deps.now() - this.heardAtMs < SILENCE_MS) return;
      if (this.carries) this.lost();
      else {
        this.receive({ of: 'hearing', is: false });
        if (this.deps.isSeen()) this.takeTask(true);
      }
    });
  }
}
