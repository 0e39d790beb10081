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
const NONE: BakeSlices = { slice: null, next: null, cuts: 0 };

/**
 * The slice that was to be expected of a bake, asked for until the server has answered; none: not known yet, or there is none to draw.
 *
 * @param known what the server knows of the bake by now, as a number that grows: asked for anew with it. Null: something is still on its way there
 */
export function useExpectedSlice(bakeId: string, known: number | null): BakeSlices {
  const kitchen = useKitchen();
  const [slices, setSlices] = useState(NONE);
  useEffect(() => {
    if (known === null) return;
    const leaving = new AbortController();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async (failures: number): Promise<void> => {
      const { signal } = leaving;
      const answer = await ask<BakeSlices>(kitchen.api(`/bakes/${bakeId}/slice`), undefined, { signal });
      if (signal.aborted) return;
      if (answer.kind === 'ok') setSlices(answer.value);
      else if (answer.kind === 'unreachable')
        timer = setTimeout(() => void look(failures + 1), againAfterMs(failures));
    };
    void look(0);
    return () => {
      leaving.abort();
      clearTimeout(timer);
    };
  }, [bakeId, kitchen, known]);
  return slices;
}
