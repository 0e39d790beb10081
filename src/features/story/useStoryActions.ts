'use client';
import { useState } from 'react';
import { newUuid } from '@/ui/newUuid';
import { useKitchenRouter, useKitchen } from '../kitchen/KitchenProvider';
import { ask } from '../asking/ask';
import type { Revision, Story } from './story';
import { words } from '@/wording/screens/story/useStoryActions';

interface Told {
  readonly formulaId: string;
  readonly name: string;
  readonly head: number;
}

/** What can be done with a state of a formula, and what went wrong with the last of it. */
export function useStoryActions({ formulaId, name, head }: Told) {
  const router = useKitchenRouter();
  const kitchen = useKitchen();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [requestIds] = useState(() => new Map<string, string>());
  // one request, however often it is pressed
  const requestIdFor = (what: string): string => {
    const known = requestIds.get(what) ?? newUuid();
    requestIds.set(what, known);
    return known;
  };
  const olderThan = async (oldest: number): Promise<readonly Revision[]> => {
    const answer = await ask<Story>(kitchen.api(`/formulas/${formulaId}/story?before=${oldest}`));
    if (answer.kind === 'ok') return answer.value.revisions;
    setTrouble(words.theServerDidNotAnswer);
    return [];
  };
  const branchFrom = async (number: number) => {
    const answer = await ask<{ id: string }>(kitchen.api('/formulas'), {
      requestId: requestIdFor(`branch ${number}`),
      copyOf: formulaId,
      revision: number,
      name: `${name.slice(0, 60)}, from ${number}`,
    });
    if (answer.kind === 'ok') router.push(`/formulas/${answer.value.id}`);
    else setTrouble(words.theCopyCouldNot);
  };
  const restore = async ({ number, formula }: Revision) => {
    const answer = await ask(kitchen.api(`/formulas/${formulaId}/revisions`), {
      requestId: requestIdFor(`restore ${number}`),
      seen: head,
      formula,
    });
    if (answer.kind === 'ok') {
      router.push(`/formulas/${formulaId}`);
      router.refresh();
    } else setTrouble(answer.kind === 'stale' ? words.somebodySavedANewer : words.itCouldNotBe);
  };
  return { trouble, olderThan, branchFrom, restore };
}
