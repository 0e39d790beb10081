'use client';
import { useEffect, useState } from 'react';
import type { SliceFigures } from '@/core/slice';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';
import { againAfterMs } from '../queue/retry';

export interface BakeSlices {
  readonly slice: SliceFigures | null;
  /** The next one, with what the cuts of this formula taught; null: this bake's was not read. */
  readonly next: SliceFigures | null;
  /** Cuts of this formula that were read. */
  readonly cuts: number;
}
/** A bake that teaches nothing has no next slice, however often it is asked. */
const MOST_TRIES = 3;
const NONE: BakeSlices = { slice: null, next: null, cuts: 0 };

/**
 * The slice that was to be expected of a bake, asked for until the server has answered; none: not known yet, or there is none to draw.
 *
 * @param read what was read of its cut by now: asked for anew when that changes
 */
export function useExpectedSlice(bakeId: string, read: number): BakeSlices {
  const kitchen = useKitchen();
  const [slices, setSlices] = useState(NONE);
  useEffect(() => {
    const leaving = new AbortController();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async (tries: number): Promise<void> => {
      const { signal } = leaving;
      const answer = await ask<BakeSlices>(kitchen.api(`/bakes/${bakeId}/slice`), undefined, { signal });
      if (signal.aborted) return;
      if (answer.kind === 'ok') setSlices(answer.value);
      // what was just read here may not have come to the server yet
      const isBehind = answer.kind === 'ok' && read > 0 && answer.value.next === null && tries < MOST_TRIES;
      if (answer.kind === 'unreachable' || isBehind)
        timer = setTimeout(() => void look(tries + 1), againAfterMs(tries));
    };
    void look(0);
    return () => {
      leaving.abort();
      clearTimeout(timer);
    };
  }, [bakeId, kitchen, read]);
  return slices;
}
