'use client';
import { useEffect, useState } from 'react';
import type { AbsorptionLearnt } from '@/core/consistency';
import { useKitchen } from '../kitchen/KitchenProvider';
import { ask } from '../asking/ask';

/** How lively one jar of yeast has shown itself in the doughs it lifted. */
export interface JarLearnt {
  readonly lotId: string;
  readonly vigour: { readonly value: number; readonly cv: number };
  readonly marks: number;
}

export interface LarderLearnt {
  readonly learnt: readonly AbsorptionLearnt[];
  readonly jars: readonly JarLearnt[];
}
const NOTHING: LarderLearnt = { learnt: [], jars: [] };

/** What hands and rise marks have taught of bags and jars, asked once when the larder is opened. */
export function useLearnt(): LarderLearnt {
  const [found, setFound] = useState(NOTHING);
  const kitchen = useKitchen();
  useEffect(() => {
    let here = true;
    void ask<LarderLearnt>(kitchen.api('/ingredients/learnt')).then(
      (answer) => here && answer.kind === 'ok' && setFound(answer.value),
    );
    return () => {
      here = false;
    };
  }, [kitchen]);
  return found;
}
