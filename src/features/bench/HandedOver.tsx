'use client';
import type { Handover } from '@/core/bake';
import { Button } from '@/ui/Button';
import { cx } from '@/ui/cx';
import { words } from '@/wording/screens/bench/who';
import { useDevice } from '../device/useDevice';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useKitchenTime } from '../preferences/time';
import { whoStore } from './whoStore';

/** To whom it was given and what is to be known, until whoever got it does the next thing. */
export function HandedOver({
  handover: { to, from, words: toKnow, atMs },
  className,
}: {
  handover: Handover;
  className: string;
}) {
  const time = useKitchenTime();
  const [{ who }, change] = useDevice(whoStore(useKitchen().address));
  return (
    <div
      role="status"
      data-testid="handed-over"
      className={cx(
        'mb-3 flex-wrap items-center gap-x-3 gap-y-1 rounded-lg border border-edge bg-surface px-4 py-2 text-lg',
        className,
      )}
    >
      <strong className="min-w-0">{words.isFor(to)}</strong>
      <span className="text-soft">{words.from(from, time.clock(atMs))}</span>
      {toKnow !== '' && <span className="min-w-0 flex-1 basis-60 whitespace-pre-line">{toKnow}</span>}
      {who !== to && (
        <Button size="bench" className="ml-auto min-h-12 max-w-full px-4" onClick={() => change({ who: to })}>
          {words.iAm(to)}
        </Button>
      )}
    </div>
  );
}
