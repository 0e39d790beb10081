'use client';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { KitchenEntry } from '@/core/ingredients';
import { newUuid } from '@/ui/newUuid';
import { useKitchen } from '../kitchen/KitchenProvider';
import { ask } from '../asking/ask';
import { browserQueue } from '../queue/browserQueue';
import { usePreferences } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/larder/useSaveEntry';

interface Wish {
  readonly entry: KitchenEntry;
  readonly seen: number;
  readonly away: boolean;
}

/** Where in an entry a refusal belongs, in words. */
const placeOf = (path: string): string => {
  if (/per100g/.test(path)) return words.whatIsIn100G;
  if (path.split('.').at(-1) === 'name') return words.name;
  if (path.split('.').at(-1) === 'bag') return words.whichBag;
  const part = /parts\.(\d+)/.exec(path)?.[1];
  return part === undefined ? '' : words.part(Number(part) + 1);
};

const nameOf = (entry: KitchenEntry): string =>
  entry.kind === 'bag' ? entry.bag : entry.kind === 'lot' ? entry.code : entry.name;

/**
 * Saves an ingredient; the same wish sent again is saved once. It is written down in the browser's queue first: where the server does not
 * answer it is sent by itself later. Tells whether it was saved, and why not in `trouble`.
 */
export function useSaveEntry() {
  const router = useRouter();
  const kitchen = useKitchen();
  const { preferences } = usePreferences();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [queue] = useState(browserQueue);
  const wish = useRef<{ what: string; requestId: string } | null>(null);
  const save = async (body: Wish): Promise<boolean> => {
    const what = JSON.stringify(body);
    if (wish.current?.what !== what) {
      // another wish than the one that waits: that one is taken back
      if (wish.current) void queue.remove([wish.current.requestId]);
      wish.current = { what, requestId: newUuid() };
    }
    const { requestId } = wish.current;
    const lane = kitchen.lane(`ingredient:${body.entry.id}`);
    const request = { requestId, ...body };
    setBusy(true);
    setTrouble(null);
    const letGo = queue.hold(lane);
    await queue.put({ id: requestId, lane, what: words.ingredient(nameOf(body.entry)), body: request });
    const answer = await ask(kitchen.api('/ingredients'), request);
    letGo();
    setBusy(false);
    if (answer.kind !== 'unreachable') void queue.remove([requestId]);
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
          ? words.somebodyChangedThisIngredientIn
          : answer.kind === 'unreachable'
            ? words.theServerDidNotAnswer
            : words.theServerDidNotTake,
    );
    return false;
  };
  return { save, busy, trouble };
}
