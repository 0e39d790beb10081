'use client';
import { BellRing } from 'lucide-react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { formatClock } from '@/core/units';
import { Button, buttonClass } from '@/ui/Button';
import { useKitchen } from '../kitchen/KitchenProvider';
import { kitchenPlace } from '../kitchen/place';
import { ask } from '../asking/ask';
import { useNow } from '../clock/useNow';
import { wordCall } from '@/wording/calls';
import { STEP_WORD } from '@/wording/words';
import { ring } from './bell';
import { timerBoard, type BoardTimer, type KitchenTimer } from './timerBoard';
import { words } from '@/wording/screens/timers/TimerBell';

const LOOK_MS = 8000;
/** A timer that ended longer ago than this before the page was opened is shown, and does not ring: somebody has heard it. */
const STALE_MS = 300_000;
const NONE: readonly BoardTimer[] = [];

/** It may be in another kitchen than the page that rings. */
const benchOf = ({ kitchen, bakeId }: BoardTimer): string => kitchenPlace(kitchen).page(`/bench/${bakeId}`);

const keyOf = ({ bakeId, stepId, endsAtMs }: BoardTimer): string => `${bakeId} ${stepId} ${endsAtMs}`;

/** Rings whichever timer is up, on whatever page is open, and says which it was until somebody has seen it. */
export function TimerBell() {
  const path = usePathname();
  const kitchen = useKitchen();
  const timers = useSyncExternalStore(
    timerBoard.subscribe,
    () => timerBoard.all,
    () => NONE,
  );
  const now = useNow(0, 0);
  const [seen, setSeen] = useState<ReadonlySet<string>>(new Set());
  const rang = useRef(new Set<string>());

  useEffect(() => {
    let gone = false;
    const look = async () => {
      const answer = await ask<{ timers: KitchenTimer[]; nowMs: number }>(kitchen.api('/timers'));
      if (!gone && answer.kind === 'ok')
        timerBoard.fromServer(answer.value.timers, answer.value.nowMs - Date.now());
    };
    void look();
    const timer = setInterval(() => void look(), LOOK_MS);
    const again = () => void look();
    window.addEventListener('focus', again);
    window.addEventListener('online', again);
    return () => {
      gone = true;
      clearInterval(timer);
      window.removeEventListener('focus', again);
      window.removeEventListener('online', again);
    };
  }, [kitchen]);

  const over = now === 0 ? [] : timers.filter(({ localEndMs }) => localEndMs <= now);
  useEffect(() => {
    for (const timer of over) {
      const key = keyOf(timer);
      if (rang.current.has(key)) continue;
      rang.current.add(key);
      if (now - timer.localEndMs < STALE_MS) ring();
    }
  });

  // the bench of that very bake says it itself, larger
  const shown = over.filter((timer) => !seen.has(keyOf(timer)) && path !== benchOf(timer));
  if (shown.length === 0) return null;
  return (
    <ul role="alert" className="fixed inset-x-2 bottom-16 z-40 mx-auto grid max-w-xl gap-2 wide:bottom-4">
      {shown.map((timer) => (
        <li
          key={keyOf(timer)}
          className="flex min-w-0 flex-wrap items-center gap-3 rounded-xl border-2 border-alarm bg-surface px-4 py-3 shadow-lg"
        >
          <BellRing size={26} aria-hidden className="shrink-0 text-alarm" />
          <span className="min-w-48 flex-1">
            <strong className="block text-lg leading-tight">
              {words.timeIsUp(
                [timer.stepTitle || STEP_WORD[timer.stepKind], wordCall(timer.call)]
                  .filter(Boolean)
                  .join(', '),
              )}
            </strong>
            <span className="block truncate text-sm text-soft">
              {words.ago(timer.bakeName, formatClock((now - timer.localEndMs) / 1000))}
            </span>
          </span>
          <Link
            href={`${benchOf(timer)}?at=steps&step=${timer.stepId}`}
            className={buttonClass('now', 'table', 'min-h-12 px-4 max-sm:flex-1')}
          >
            {words.goToIt}
          </Link>
          <Button
            className="min-h-12 max-sm:flex-1"
            onClick={() => setSeen(new Set([...seen, keyOf(timer)]))}
          >
            {words.dismiss}
          </Button>
        </li>
      ))}
    </ul>
  );
}
