'use client';
import { CloudOff } from 'lucide-react';
import { useCallback, useState, useSyncExternalStore } from 'react';
import { Button } from '@/ui/Button';
import { words } from '@/wording/screens/offline/OfflineNote';
import { browserNews } from '../news/browserNews';
import { useKitchenTime } from '../preferences/time';
import { keptAtMs } from './keptPage';

/** Says that this page is shown as it was put by, and since when it could be had anew. */
export function OfflineNote({ path, atBench }: { path: string; atBench: boolean }) {
  const time = useKitchenTime();
  const [first] = useState(path);
  const isBack = useSyncExternalStore(
    useCallback((listener) => browserNews().subscribe(listener), []),
    () => browserNews().isHearing,
    () => false,
  );
  const atMs = path === first ? keptAtMs() : null;
  // the bench brings itself up to date
  if (atMs === null || (isBack && atBench)) return null;
  return (
    <p
      role="status"
      className="no-print flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-edge bg-well px-3 py-1.5 text-sm font-semibold sm:px-5"
    >
      <CloudOff size={18} aria-hidden className="shrink-0" />
      {isBack ? words.backAgain : words.asItWas(time.clock(atMs))}
      {isBack && (
        <Button className="min-h-10" onClick={() => window.location.reload()}>
          {words.loadItNew}
        </Button>
      )}
    </p>
  );
}
