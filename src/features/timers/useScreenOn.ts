'use client';
import { useEffect } from 'react';

export const canKeepScreenOn = (): boolean => 'wakeLock' in navigator && window.isSecureContext;

/** The screen stays on while something runs, where the browser can; taken up again whenever the page is seen again. */
export function useScreenOn(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !canKeepScreenOn()) return undefined;
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const take = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (got) => {
          if (gone) void got.release();
          else lock = got;
        },
        // low battery: the browser may refuse
        () => undefined,
      );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, [wanted]);
}
