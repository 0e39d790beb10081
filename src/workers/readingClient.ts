import type { Result } from '@/core/result';
import type { ReadText } from '@/core/formats/readText';
import type { ReadingAnswer, ReadingQuestion } from './readingProtocol';

/** What a reading thread is to the page: so that a test can put another in its place. */
export interface ReadingPort {
  postMessage(message: ReadingQuestion): void;
  onmessage: ((event: { readonly data: ReadingAnswer }) => void) | null;
  onerror: ((event: unknown) => void) | null;
  terminate(): void;
}

export type Reading =
  | { readonly kind: 'read'; readonly read: Result<ReadText> }
  /** It took longer than any recipe does: the thread was ended. */
  | { readonly kind: 'tooLong' }
  | { readonly kind: 'broken' }
  /** A newer text took its place, or nobody waits any more. */
  | { readonly kind: 'left' };

/** The longest recipes are read in a fraction of this, also on a slow tablet. */
const MOST_MS = 5000;

export interface ReadingClient {
  readonly ask: (question: Omit<ReadingQuestion, 'id'>) => Promise<Reading>;
  /** Ends what is being read. */
  readonly cancel: () => void;
}

/** Reads texts one at a time in a thread; the newest wins, and none takes longer than the limit. */
export function readingClient(
  makePort: () => ReadingPort,
  wait: (ms: number, then: () => void) => () => void = (ms, then) => {
    const timer = setTimeout(then, ms);
    return () => clearTimeout(timer);
  },
): ReadingClient {
  let port: ReadingPort | null = null;
  let current: { id: number; end: (reading: Reading) => void } | null = null;
  let ids = 0;
  /** A thread that is busy cannot hear: it is ended, and the next text gets a new one. */
  const drop = (reading: Reading): void => {
    if (!current) return;
    port?.terminate();
    port = null;
    current.end(reading);
  };
  return {
    ask: (question) => {
      drop({ kind: 'left' });
      return new Promise((resolve) => {
        const id = (ids += 1);
        const stop = wait(MOST_MS, () => {
          if (current?.id === id) drop({ kind: 'tooLong' });
        });
        current = {
          id,
          end: (reading) => {
            stop();
            current = null;
            resolve(reading);
          },
        };
        port ??= makePort();
        port.onmessage = ({ data }) => {
          if (data.id === current?.id) current.end({ kind: 'read', read: data.read });
        };
        port.onerror = () => drop({ kind: 'broken' });
        port.postMessage({ ...question, id });
      });
    },
    cancel: () => drop({ kind: 'left' }),
  };
}
