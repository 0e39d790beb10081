'use client';
import { useEffect, useState } from 'react';
import type { SliceFigures } from '@/core/slice';
import { addressOf } from '@/ui/address';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';

export type Slices = Readonly<Record<string, SliceFigures | null>>;
const NO_SLICES: Slices = {};
const AGAIN_MS = 1500;
const MOST_TRIES = 4;

/** The slices of these formulas, by id; null where none can be drawn. Those that the server could not simulate yet are asked for again. */
export function useSlices(formulaIds: readonly string[]): Slices {
  const [slices, setSlices] = useState<{ of: string; known: Slices }>({ of: '', known: NO_SLICES });
  const ids = formulaIds.join(',');
  const kitchen = useKitchen();
  useEffect(() => {
    if (!ids) return;
    const leaving = new AbortController();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async (open: readonly string[], known: Slices, tries: number): Promise<void> => {
      const path = addressOf(kitchen.api('/formulas/slices'), { ids: open.join(',') });
      const answer = await ask<Slices>(path, undefined, { signal: leaving.signal });
      if (leaving.signal.aborted || answer.kind !== 'ok') return;
      const more = { ...known, ...answer.value };
      setSlices({ of: ids, known: more });
      const left = open.filter((id) => more[id] === undefined);
      if (left.length > 0 && tries < MOST_TRIES)
        timer = setTimeout(() => void look(left, more, tries + 1), AGAIN_MS);
    };
    void look(ids.split(','), NO_SLICES, 1);
    return () => {
      leaving.abort();
      clearTimeout(timer);
    };
  }, [ids, kitchen]);
  return slices.of === ids ? slices.known : NO_SLICES;
}
