'use client';
import { useEffect, useRef } from 'react';
import type { News } from '@/core/news';
import { browserNews } from './browserNews';

/** What comes within so long is one look. */
const TOGETHER_MS = 120;

/**
 * Looks when there is something new: told by the server, or asked for every `everyMs` while nothing can be told; and whenever the page is
 * come back to, or the network is back.
 *
 * @param isWanted what of the news is worth a look
 * @param atOnce also when the page has just come: what it was drawn with may be old by then
 */
export function useNews(
  isWanted: (news: News) => boolean,
  look: () => void,
  everyMs: number,
  { atOnce = true } = {},
): void {
  const latest = useRef({ isWanted, look });
  useEffect(() => {
    latest.current = { isWanted, look };
  }, [isWanted, look]);
  useEffect(() => {
    const news = browserNews();
    let soon: ReturnType<typeof setTimeout> | undefined;
    const again = () => {
      soon ??= setTimeout(() => {
        soon = undefined;
        latest.current.look();
      }, TOGETHER_MS);
    };
    const leave = news.subscribe((each) => {
      // nothing was told for a while: from now on it is, and what was missed is asked for
      if (each.of === 'hearing' ? each.is : latest.current.isWanted(each)) again();
    });
    if (atOnce) latest.current.look();
    const timer = setInterval(() => {
      if (!news.isHearing) latest.current.look();
    }, everyMs);
    const seen = () => {
      if (document.visibilityState === 'visible') again();
    };
    window.addEventListener('focus', again);
    window.addEventListener('online', again);
    document.addEventListener('visibilitychange', seen);
    return () => {
      leave();
      clearTimeout(soon);
      clearInterval(timer);
      window.removeEventListener('focus', again);
      window.removeEventListener('online', again);
      document.removeEventListener('visibilitychange', seen);
    };
  }, [everyMs, atOnce]);
}
