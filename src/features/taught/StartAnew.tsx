'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from '@/ui/Button';
import { newUuid } from '@/ui/newUuid';
import { useTwice } from '@/ui/useTwice';
import { words } from '@/wording/screens/taught/TaughtPage';
import { ask } from '../asking/ask';
import { useKitchen, useMay } from '../kitchen/KitchenProvider';

/** Leaves every bake of a formula until now out of learning; each can be let in again on its own page. */
export function StartAnew({ name, bakeIds }: { name: string; bakeIds: readonly string[] }) {
  const kitchen = useKitchen();
  const router = useRouter();
  const may = useMay();
  const sure = useTwice();
  const [state, setState] = useState<'ready' | 'saving' | 'failed'>('ready');
  if (may !== 'all') return null;
  const leaveOut = async () => {
    setState('saving');
    for (const id of bakeIds) {
      const action = { type: 'teachingSet', teaches: false };
      // one that is left out already is refused, and that is no failure
      const answer = await ask(kitchen.api(`/bakes/${id}/taps`), {
        taps: [{ eventId: newUuid(), agoMs: 0, action }],
      });
      if (answer.kind !== 'ok') return setState('failed');
    }
    setState('ready');
    router.refresh();
  };
  return (
    <>
      <Button
        look="quiet"
        className="min-h-10"
        disabled={state === 'saving'}
        aria-label={sure.asked ? undefined : words.startAnewOf(name)}
        onClick={() => sure.press() && void leaveOut()}
      >
        {sure.asked ? words.yesStartAnew : words.startAnew}
      </Button>
      {state === 'failed' && (
        <span role="alert" className="block text-alarm">
          {words.notAll}
        </span>
      )}
    </>
  );
}
