'use client';
import { useEffect, useState } from 'react';
import type { AdviceResult } from '@/core/advice';
import type { Advised } from '@/core/diagnosis';
import type { Formula } from '@/core/formula';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';

/** What a bake says of what to do next, with the formula it was made of. */
export interface AdviceAnswer {
  readonly advised: Advised | null;
  readonly checked: { readonly checkedBy: string | null; readonly result: AdviceResult } | null;
}
export interface BakedFormula {
  readonly formula: Formula;
  readonly head: number;
}
type Found = (AdviceAnswer & { readonly baked: BakedFormula | null }) | 'asking' | 'away';

/**
 * Asks for advice on a bake, and again when what is known of it has changed.
 * @param known changes whenever there is more to go by on the server
 */
export function useAdvice(bakeId: string, known: string): { readonly found: Found; readonly askAgain: () => void } {
  const kitchen = useKitchen();
  const [found, setFound] = useState<Found>('asking');
  const [tries, setTries] = useState(0);
  useEffect(() => {
    const leaving = new AbortController();
    const { signal } = leaving;
    void Promise.all([
      ask<AdviceAnswer>(kitchen.api(`/bakes/${bakeId}/advice`), undefined, { signal }),
      ask<BakedFormula>(kitchen.api(`/bakes/${bakeId}/formula`), undefined, { signal }),
    ]).then(([advice, baked]) => {
      if (signal.aborted) return;
      setFound(advice.kind === 'ok' ? { ...advice.value, baked: baked.kind === 'ok' ? baked.value : null } : 'away');
    });
    return () => leaving.abort();
  }, [bakeId, kitchen, known, tries]);
  return { found, askAgain: () => setTries((count) => count + 1) };
} // prettier-ignore
