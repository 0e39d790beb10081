'use client';
import { useState } from 'react';
import type { Tasting } from '@/core/tasting';
import { newUuid } from '@/ui/newUuid';
import { words } from '@/wording/screens/tasting/TasteLinks';
import { ask } from '../asking/ask';
import { TastingForm } from './TastingForm';

interface LinkTasteProps {
  readonly token: string;
  readonly name: string;
  /** The day it was baked, as it is written where it was. */
  readonly day: string;
  readonly rungs: readonly { readonly id: string; readonly code: string }[];
  readonly first: Tasting['occasion'];
}

/** The card for somebody who has a link and nothing else: it needs no kitchen around it. */
export function LinkTaste({ token, name, day, rungs, first }: LinkTasteProps) {
  const [state, setState] = useState<'filling' | 'sent' | 'failed' | 'gone'>('filling');
  // one card, however often it has to be sent
  const [ids] = useState(() => new Map<string, string>());
  const send = async (tasting: Tasting): Promise<boolean> => {
    const content = JSON.stringify(tasting);
    const tastingId = ids.get(content) ?? newUuid();
    ids.set(content, tastingId);
    const answer = await ask(`/api/tasting/${token}`, { tastingId, tasting });
    const isSent = answer.kind === 'ok';
    setState(isSent ? 'sent' : answer.kind === 'refused' && answer.why === 'notFound' ? 'gone' : 'failed');
    window.scrollTo({ top: 0 });
    return isSent;
  };
  if (state === 'gone') return <LinkGone />;
  return (
    <main data-awake="true" className="mx-auto w-full max-w-4xl px-4 py-6">
      <h1 className="text-2xl sm:text-3xl">{words.tasting(name)}</h1>
      <p className="text-soft">{words.ofTheDay(day)}</p>
      {state === 'sent' && (
        <p role="status" className="my-3 rounded border border-edge bg-surface px-3 py-2">
          {words.thanks}
        </p>
      )}
      {state === 'failed' && (
        <p role="alert" className="my-3 rounded border border-alarm bg-alarm-wash px-3 py-2 text-alarm">
          {words.notSent}
        </p>
      )}
      <TastingForm rungs={rungs} lane={null} card={undefined} first={first} onCard={send} />
    </main>
  );
}

/** It has ended, was closed, or never was one: which of them is nobody's business. */
export function LinkGone() {
  return (
    <main className="mx-auto mt-10 w-full max-w-lg px-4">
      <div className="docket rounded-b-md p-6">
        <h1 className="text-3xl">{words.gone}</h1>
        <p className="mt-2 text-soft">{words.goneHint}</p>
      </div>
    </main>
  );
}
