'use client';
import { useEffect, useState } from 'react';
import type { SliceFigures } from '@/core/slice';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';

/** The slice that was to be expected of a bake; null: not known yet, or there is none. */
export function useExpectedSlice(bakeId: string): SliceFigures | null {
  const kitchen = useKitchen();
  const [slice, setSlice] = useState<SliceFigures | null>(null);
  useEffect(() => {
    const leaving = new AbortController();
    void ask<{ slice: SliceFigures | null }>(kitchen.api(`/bakes/${bakeId}/slice`), undefined, {
      signal: leaving.signal,
    }).then((answer) => !leaving.signal.aborted && answer.kind === 'ok' && setSlice(answer.value.slice));
    return () => leaving.abort();
  }, [bakeId, kitchen]);
  return slice;
}
