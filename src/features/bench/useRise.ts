'use client';
import { useEffect, useRef, useState } from 'react';
import type { BakeRecord, BakeState } from '@/core/bake';
import type { Formula } from '@/core/formula';
import { isRising, type MethodStep } from '@/core/method';
import type { RiseNow, RunKitchen } from '@/core/run';
import { useBook } from '../book/BookProvider';
import { client } from '../run/useRunForecast';

/** What tells how a bake's dough rises: what it was made of, and the kitchen with what earlier bakes have taught. */
export interface Rising {
  readonly formula: Formula;
  readonly kitchen: RunKitchen;
}

/** What makes the question of a bake: fetched when the page stands, for a bench has to be there at once. */
export const loadRiseAsked = () => import('@/core/run/riseNow').then(({ riseAsked }) => riseAsked);

const LANE = 'rise';
/** What is asked changes with what happens, hardly with the clock. */
const SLOT_MS = 600_000;

interface Answered {
  readonly stepId: string | null;
  readonly rise: RiseNow | null;
}

/**
 * How the dough of a step stands and when it is ready; null: nothing rises there, or it is not known yet. The answer before stays until the next is there.
 *
 * @param step null: it is done
 */
export function useRise(bake: BakeRecord, state: BakeState, step: MethodStep | null, rising: Rising | null, nowMs: number): RiseNow | null {
  const book = useBook();
  const [answered, setAnswered] = useState<Answered>({ stepId: null, rise: null });
  const askedLast = useRef('');
  const slot = Math.ceil(nowMs / SLOT_MS);
  const stepId = step && isRising(step) ? step.id : null;
  useEffect(() => {
    if (!rising || stepId === null) return;
    let wanted = true;
    void loadRiseAsked().then((riseAsked) => {
      if (!wanted) return;
      const asked = riseAsked(bake, state, stepId, rising.formula, book, rising.kitchen, slot * SLOT_MS);
      const question = JSON.stringify([stepId, asked]);
      if (question === askedLast.current) return;
      askedLast.current = question;
      // what was asked once is answered, however often this was looked at meanwhile; only the newest counts
      const tell = (rise: RiseNow | null) => {
        if (askedLast.current === question) setAnswered({ stepId, rise });
      };
      if (!asked) tell(null);
      // a thread that is gone: the step goes by its clock
      else client().ask('rise', LANE, asked).then(tell, () => tell(null));
    });
    return () => {
      wanted = false;
    };
  }, [bake, book, rising, slot, state, stepId]);
  useEffect(
    () => () => {
      askedLast.current = ''; // nobody is there any more
      client().leave(LANE);
    },
    [],
  );
  return stepId !== null && answered.stepId === stepId ? answered.rise : null;
} // prettier-ignore
