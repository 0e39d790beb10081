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
/** The thread's program comes over the kitchen's network, which is no fault of any text. */
const MOST_COMING_MS = 60_000;

export interface ReadingClient {
  readonly ask: (question: Omit<ReadingQuestion, 'id'>) => Promise<Reading>;
  /** Ends what is being read, and the thread; who asks again gets another. */
  readonly cancel: () => void;
}

interface Wish {
  readonly question: ReadingQuestion;
  readonly end: (reading: Reading) => void;
  /** Lets the limit that runs go. */
  stop: () => void;
}

/** Reads texts one at a time in a thread; the newest wins, and none takes longer than the limit, which runs from when the thread has it. */
export function readingClient(
  makePort: () => ReadingPort,
  wait: (ms: number, then: () => void) => () => void = (ms, then) => {
    const timer = setTimeout(then, ms);
    return () => clearTimeout(timer);
  },
): ReadingClient {
  let thread: { readonly port: ReadingPort; hears: boolean } | null = null;
  let current: Wish | null = null;
  let ids = 0;
  const end = (reading: Reading): void => {
    const wish = current;
    current = null;
    wish?.stop();
    wish?.end(reading);
  };
  const drop = (reading: Reading): void => {
    thread?.port.terminate();
    thread = null;
    end(reading);
  };
  /** A thread that reads cannot hear: it is ended. One that is still on its way has nothing of the old text, and is waited for. */
  const leave = (): void => {
    if (!current) return;
    if (thread?.hears) drop({ kind: 'left' });
    else end({ kind: 'left' });
  };
  const hand = ({ port }: NonNullable<typeof thread>): void => {
    if (!current) return;
    current.stop();
    current.stop = wait(MOST_MS, () => drop({ kind: 'tooLong' }));
    port.postMessage(current.question);
  };
  const begin = (): NonNullable<typeof thread> => {
    const made = { port: makePort(), hears: false };
    made.port.onmessage = ({ data }) => {
      if (thread !== made) return;
      if (data.kind === 'hears') {
        made.hears = true;
        hand(made);
      } else if (data.id === current?.question.id) end({ kind: 'read', read: data.read });
    };
    made.port.onerror = () => {
      if (thread === made) drop({ kind: 'broken' });
    };
    return made;
  };
  return {
    ask: (question) => {
      leave();
      return new Promise((resolve) => {
        current = {
          question: { ...question, id: (ids += 1) },
          end: resolve,
          stop: wait(MOST_COMING_MS, () => drop({ kind: 'broken' })),
        };
        thread ??= begin();
        if (thread.hears) hand(thread);
      });
    },
    cancel: () => drop({ kind: 'left' }),
  };
}
