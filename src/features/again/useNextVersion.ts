'use client';
import { useState } from 'react';
import type { Formula } from '@/core/formula';
import { newUuid } from '@/ui/newUuid';
import { wordProblem } from '@/wording/problems';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';

/** What is saved as the version after the newest one. */
interface NextVersion {
  readonly formulaId: string;
  /** The newest version there was when it was asked. */
  readonly head: number;
  readonly formula: Formula;
  /** What was wished for: the same wish, sent again, is saved once. */
  readonly wish: string;
}
interface Reasons {
  readonly changedMeanwhile: string;
  readonly notSaved: string;
}
export type Saving = 'ready' | 'saving' | { readonly reason: string };

/** Saves a formula as its next version; answers with its number, or null and says why. */
export function useNextVersion(reasons: Reasons) {
  const kitchen = useKitchen();
  const { preferences } = usePreferences();
  const [requests] = useState(() => new Map<string, string>());
  const [saving, setSaving] = useState<Saving>('ready');
  const save = async ({ formulaId, head, formula, wish }: NextVersion): Promise<number | null> => {
    setSaving('saving');
    const requestId = requests.get(wish) ?? newUuid();
    requests.set(wish, requestId);
    const answer = await ask<{ revision: number }>(kitchen.api(`/formulas/${formulaId}/revisions`), {
      requestId,
      seen: head,
      formula,
    });
    if (answer.kind === 'ok') return answer.value.revision;
    const reason =
      answer.kind === 'invalid' && answer.problems[0]
        ? wordProblem(answer.problems[0], preferences)
        : answer.kind === 'stale'
          ? reasons.changedMeanwhile
          : reasons.notSaved;
    setSaving({ reason });
    return null;
  };
  return { saving, save };
}
