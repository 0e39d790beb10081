'use client';
import { useEffect, useState } from 'react';
import type { SliceFigures } from '@/core/slice';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';
import { againAfterMs } from '../queue/retry';

/** The slice that was to be expected of a bake, asked for until the server has answered; null: not known yet, or there is none. */
export function useExpectedSlice(bakeId: string): SliceFigures | null {
  const kitchen = useKitchen();
  const [slice, setSlice] = useState<SliceFigures | null>(null);
  useEffect(() => {
    const leaving = new AbortController();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async (failures: number): Promise<void> => {
      const { signal } = leaving;
      const answer = await ask<{ slice: SliceFigures | null }>(
        kitchen.api(`/bakes/${bakeId}/slice`),
        undefined,
        { signal },
      );
      if (signal.aborted) return;
      if (answer.kind === 'ok') setSlice(answer.value.slice);
      else if (answer.kind === 'unreachable')
        timer = setTimeout(() => void look(failures + 1), againAfterMs(failures));
    };
    void look(0);
    return () => {
      leaving.abort();
      clearTimeout(timer);
    };
  }, [bakeId, kitchen]);
  return slice;
}
