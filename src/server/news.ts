import { BEAT_MS, type News } from '@/core/news';
import { listen } from '@/db/listening';
import { Busy } from './failure';

type Teller = (news: News) => void;

/** More pages than any kitchen has; each browser needs one, however many tabs it has open. */
const MOST_LISTENERS = 300;

/** What is told by the database, told on to every page that listens. The database is listened to while any does. */
class NewsRoom {
  private readonly tellers = new Set<Teller>();
  private isHearing = false;
  private stop: () => void = () => undefined;

  private tell = (news: News): void => this.tellers.forEach((teller) => teller(news));

  /** @returns how to leave */
  join(teller: Teller): () => void {
    if (this.tellers.size >= MOST_LISTENERS) throw new Busy();
    this.tellers.add(teller);
    if (this.tellers.size === 1) this.begin();
    else teller({ of: 'hearing', is: this.isHearing });
    return () => {
      if (this.tellers.delete(teller) && this.tellers.size === 0) this.stop();
    };
  }

  private begin(): void {
    this.isHearing = false;
    this.stop = listen(() => process.env.DATABASE_URL ?? '', {
      notice: (payload) => {
        const [of, id = ''] = payload.split(' ');
        if (of === 'bake') this.tell({ of, id });
        else if (of === 'day') this.tell({ of });
        else if (of === 'instrument') this.tell({ of, kitchen: id });
      },
      heard: (is) => {
        this.isHearing = is;
        this.tell({ of: 'hearing', is });
      },
    });
  }
}

// one for all bundles that the application is cut into
const holder = globalThis as typeof globalThis & { crumbNews?: NewsRoom };
const newsRoom = (): NewsRoom => (holder.crumbNews ??= new NewsRoom());

/** The news as they come, for one page, until it is gone. */
/** @param only a device of the network knows its own kitchen alone: its address */
export function newsStream(gone: AbortSignal, only: string | null = null): ReadableStream<Uint8Array> {
  const text = new TextEncoder();
  let leave: () => void = () => undefined;
  return new ReadableStream<Uint8Array>({
    start: (controller) => {
      const say = (news: News): void => {
        if (only !== null && news.of === 'instrument' && news.kitchen !== only) return;
        try {
          controller.enqueue(text.encode(`data: ${JSON.stringify(news)}\n\n`));
        } catch {
          // the page went away in this very moment
          leave();
        }
      };
      const beat = setInterval(() => say({ of: 'beat' }), BEAT_MS);
      let out: () => void = () => undefined;
      leave = () => {
        clearInterval(beat);
        out();
      };
      try {
        out = newsRoom().join(say);
      } catch (error) {
        clearInterval(beat);
        throw error;
      }
      // so that the answer begins
      say({ of: 'beat' });
      gone.addEventListener('abort', () => {
        leave();
        try {
          controller.close();
        } catch {
          // closed already
        }
      });
    },
    cancel: () => leave(),
  });
}
