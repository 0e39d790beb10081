'use client';
import { useCallback, useRef, useState } from 'react';
import type { BatchRequest } from '@/core/batch';
import type { LadderWish } from '@/core/trial';
import { newUuid } from '@/ui/newUuid';
import { ask } from '../asking/ask';
import type { LoadedFormula } from '../formula/useFormulaSheet';
import { useKitchen, useKitchenRouter } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/batch/BatchPage';

/** What is to be baked: a batch, or a ladder of it. */
export interface BakeWish {
  readonly batch: BatchRequest;
  readonly ladder?: LadderWish;
}

/** Starts a bake and goes to its bench. One wish, one bake: the id changes only when what is asked for does. */
export function useStart({ id, revision }: Pick<LoadedFormula, 'id' | 'revision'>) {
  const kitchen = useKitchen();
  const router = useKitchenRouter();
  const { preferences } = usePreferences();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const sent = useRef<{ what: string; requestId: string } | null>(null);
  const start = useCallback(
    async (wish: BakeWish): Promise<void> => {
      const what = JSON.stringify(wish);
      if (sent.current?.what !== what) sent.current = { what, requestId: newUuid() };
      setBusy(true);
      setTrouble(null);
      const { requestId } = sent.current;
      const answer = await ask<{ id: string }>(kitchen.api('/bakes'), {
        requestId,
        formulaId: id,
        revision,
        ...wish,
      });
      if (answer.kind === 'ok') return router.push(`/bench/${answer.value.id}`);
      setBusy(false);
      setTrouble(
        answer.kind === 'invalid' && answer.problems[0]
          ? wordProblem(answer.problems[0], preferences)
          : words.theServerDidNotAnswer,
      );
    },
    [id, kitchen, preferences, revision, router],
  );
  return { start, busy, trouble };
}
