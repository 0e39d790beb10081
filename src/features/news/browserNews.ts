import { NewsCarrier, type TabWord } from './newsCarrier';

const NAME = 'crumb-news';

function takeTask(steal: boolean, begin: () => void, end: () => void): void {
  // without a secure connection tabs cannot agree: each carries its own
  if (!navigator.locks) return begin();
  let hasBegun = false;
  navigator.locks
    .request(NAME, { steal }, () => {
      hasBegun = true;
      begin();
      return new Promise(() => undefined);
    })
    .catch(() => {
      if (hasBegun) end();
    });
}

function openStream({ heard, ended }: { heard: (text: string) => void; ended: () => void }): () => void {
  // then everything is asked for
  if (typeof EventSource === 'undefined') return () => undefined;
  const source = new EventSource('/api/news');
  source.onmessage = ({ data }: MessageEvent<string>) => heard(data);
  // it would try again by itself, but not after every kind of failure, and not with our patience
  source.onerror = ended;
  return () => source.close();
}

const holder = globalThis as typeof globalThis & { crumbCarrier?: NewsCarrier };

/** What is new, for every part of this page that wants to know. */
export function browserNews(): NewsCarrier {
  if (holder.crumbCarrier) return holder.crumbCarrier;
  // where each carries its own nobody has to be told
  const agree = typeof BroadcastChannel !== 'undefined' && !!navigator.locks;
  const channel = agree ? new BroadcastChannel(NAME) : null;
  const carrier = new NewsCarrier({
    open: openStream,
    takeTask,
    tell: (word) => channel?.postMessage(word),
    listen: (heard) => channel?.addEventListener('message', ({ data }: MessageEvent<TabWord>) => heard(data)),
    isSeen: () => document.visibilityState === 'visible',
    now: () => Date.now(),
    wait: (ms, then) => {
      const timer = setTimeout(then, ms);
      return () => clearTimeout(timer);
    },
  });
  holder.crumbCarrier = carrier;
  carrier.start();
  return carrier;
}
