'use client';
import { useEffect, useMemo, useState } from 'react';
import type { BakeRecord, BakeState } from '@/core/bake';
import type { Formula } from '@/core/formula';
import { riseAsked, type RiseNow, type RunKitchen } from '@/core/run';
import { useBook } from '../book/BookProvider';
import { client } from '../run/useRunForecast';

/** What tells how a bake's dough rises: what it was made of, and the kitchen with what earlier bakes have taught. */
export interface Rising {
  readonly formula: Formula;
  readonly kitchen: RunKitchen;
}

const LANE = 'rise';
/** What is asked changes with what happens, hardly with the clock. */
const SLOT_MS = 600_000;

/** How the dough of a step stands and when it is ready; null: nothing rises there, or it is not known yet. The one before stays until the next is there. */
export function useRise(bake: BakeRecord, state: BakeState, stepId: string | null, rising: Rising | null, nowMs: number): RiseNow | null {
  const book = useBook();
  const slot = Math.ceil(nowMs / SLOT_MS);
  const asked = useMemo(
    () => (rising && stepId ? riseAsked(bake, state, stepId, rising.formula, book, rising.kitchen, slot * SLOT_MS) : null),
    [bake, book, rising, slot, state, stepId],
  );
  const question = asked ? JSON.stringify(asked) : '';
  const [answered, setAnswered] = useState<{ readonly stepId: string | null; readonly rise: RiseNow | null }>({ stepId: null, rise: null });
  useEffect(() => {
    if (!asked) return client().leave(LANE);
    let wanted = true;
    client()
      .ask('rise', LANE, asked)
      .then(
        (rise) => wanted && setAnswered({ stepId, rise }),
        // the thread is gone: the step goes by its clock
        () => wanted && setAnswered({ stepId, rise: null }),
      );
    return () => {
      wanted = false;
    };
    // the question says all of what is asked
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [question]);
  return asked && answered.stepId === stepId ? answered.rise : null;
} // prettier-ignore
