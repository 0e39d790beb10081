'use client';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { KitchenEntry } from '@/core/ingredients';
import { newUuid } from '@/ui/newUuid';
import { ask } from '../asking/ask';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '../wording/problems';

interface Wish {
  readonly entry: KitchenEntry;
  readonly seen: number;
  readonly away: boolean;
}

/** Where in an entry a refusal belongs, in words. */
const placeOf = (path: string): string => {
  if (/per100g/.test(path)) return 'What is in 100 g: ';
  if (/name$/.test(path)) return 'Name: ';
  if (/bag$/.test(path)) return 'Which bag: ';
  const part = /parts\.(\d+)/.exec(path)?.[1];
  return part === undefined ? '' : `Part ${Number(part) + 1}: `;
};

/** Keeps an ingredient; the same wish sent again is kept once. Tells whether it was kept, and why not in `trouble`. */
export function useSaveEntry() {
  const router = useRouter();
  const { preferences } = usePreferences();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const wish = useRef<{ what: string; requestId: string } | null>(null);
  const save = async (body: Wish): Promise<boolean> => {
    const what = JSON.stringify(body);
    if (wish.current?.what !== what) wish.current = { what, requestId: newUuid() };
    setBusy(true);
    setTrouble(null);
    const answer = await ask('/api/ingredients', { requestId: wish.current.requestId, ...body });
    setBusy(false);
    if (answer.kind === 'ok') {
      wish.current = null;
      router.refresh();
      return true;
    }
    const problem = answer.kind === 'invalid' ? answer.problems[0] : undefined;
    setTrouble(
      problem
        ? `${placeOf(problem.path)}${wordProblem(problem, preferences)}`
        : answer.kind === 'stale'
          ? 'Somebody changed this ingredient in between. Reload the page to see how it is now.'
          : 'The server did not answer. Nothing was changed; press again.',
    );
    return false;
  };
  return { save, busy, trouble };
}
