'use client';
import { useEffect, useRef, useState } from 'react';
import { isStepDone, sheetNow, type BakeRecord, type BakeState } from '@/core/bake';
import { isRising } from '@/core/method';
import type { PracticeDay } from '@/core/practice/faults';
import type { Truth } from '@/core/practice/truth';
import { useBook } from '../book/BookProvider';
import type { Rising } from '../bench/useRise';
import { client } from '../run/useRunForecast';

/** What makes the questions: fetched once a practice has begun. */
const loadAsked = () =>
  Promise.all([import('@/core/run/riseNow'), import('@/core/practice/heatAsked')]).then(
    ([{ riseAsked }, { heatAsked }]) => ({ riseAsked, heatAsked }),
  );

/** Whoever presses quickly has shaped it before its steps could take a second each: asked for a little later it has begun. */
const AHEAD_MS = 60_000;
const LANES = { rise: 'truth:rise', heat: 'truth:heat' } as const;

export interface Truths {
  readonly rise: (Truth & { readonly of: 'rise' }) | null;
  readonly heat: (Truth & { readonly of: 'heat' }) | null;
}
const UNKNOWN: Truths = { rise: null, heat: null };

/** How it really goes, asked anew with whatever is done. */
export function useTruth(bake: BakeRecord, state: BakeState, { formula, kitchen }: Rising, day: PracticeDay, nowMs: () => number): Truths {
  const book = useBook();
  const [truths, setTruths] = useState(UNKNOWN);
  const askedLast = useRef({ rise: '', heat: '' });
  useEffect(() => {
    let wanted = true;
    const { steps } = sheetNow(bake.sheet, state);
    const open = steps.filter(({ id }) => !isStepDone(state, id));
    const rising = open.find((step) => isRising(step));
    const inHeat = open.find(({ id, kind }) => kind === 'cool' || state.steps.get(id)?.timer);
    void loadAsked().then(({ riseAsked, heatAsked }) => {
      if (!wanted) return;
      // what a thermometer said is no part of how it is
      const unread = { ...state, readings: [], rises: [] };
      const asked = rising && riseAsked(bake, unread, rising.id, formula, book, kitchen, nowMs() + AHEAD_MS);
      const heat = inHeat && heatAsked(bake, state, inHeat.id, formula, book, kitchen);
      const questions = {
        rise: asked ? ({ of: 'rise', asked, day } as const) : null,
        heat: heat ? ({ of: 'heat', ...heat, day } as const) : null,
      };
      for (const which of ['rise', 'heat'] as const) {
        const question = questions[which];
        const words = JSON.stringify(question);
        if (askedLast.current[which] === words) continue;
        askedLast.current[which] = words;
        const tell = (truth: Truth | null) => {
          if (askedLast.current[which] === words) setTruths((was) => ({ ...was, [which]: truth }));
        };
        if (!question) tell(null);
        else client().ask('truth', LANES[which], question).then(tell, () => tell(null));
      }
    });
    return () => {
      wanted = false;
    };
  }, [bake, book, day, formula, kitchen, nowMs, state]);
  return truths;
} // prettier-ignore
