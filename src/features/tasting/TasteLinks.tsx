'use client';
import { useCallback, useEffect, useState } from 'react';
import { TASTE_LINK_LIMITS, type ShownLink } from '@/core/network/tasteLink';
import type { NetworkPlace } from '@/core/network/pairedDevice';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Segmented } from '@/ui/Segmented';
import { useTwice } from '@/ui/useTwice';
import { words } from '@/wording/screens/tasting/TasteLinks';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useKitchenTime } from '../preferences/time';

type Hours = (typeof TASTE_LINK_LIMITS.hours)[number];

/** Links by which others taste a bake on their own phones: made, shown once, closed. */
export function TasteLinks({ bakeId, onClose }: { bakeId: string; onClose: () => void }) {
  const kitchen = useKitchen();
  const [hours, setHours] = useState<Hours>(24);
  const [links, setLinks] = useState<readonly ShownLink[]>([]);
  const [made, setMade] = useState<string | null>(null);
  const [state, setState] = useState<'ready' | 'making' | 'failed' | 'tooMany'>('ready');
  const look = useCallback(async () => {
    const answer = await ask<{ links: ShownLink[] }>(kitchen.api(`/bakes/${bakeId}/links`));
    return answer.kind === 'ok' ? answer.value.links : [];
  }, [bakeId, kitchen]);
  useEffect(() => {
    let gone = false;
    void look().then((found) => !gone && setLinks(found));
    return () => {
      gone = true;
    };
  }, [look]);
  const make = async () => {
    setState('making');
    const answer = await ask<{ token: string }>(kitchen.api(`/bakes/${bakeId}/links`), { hours });
    if (answer.kind !== 'ok') return setState(answer.kind === 'invalid' ? 'tooMany' : 'failed');
    const network = await ask<{ network: NetworkPlace | null }>(kitchen.api('/devices'));
    const place = network.kind === 'ok' ? network.value.network?.addresses[0] : undefined;
    setMade(`${place ?? window.location.origin}/taste/${answer.value.token}`);
    setLinks(await look());
    setState('ready');
  };
  return (
    <Dialog onClose={onClose} title={words.aLink} hint={words.hint}>
      <Segmented
        label={words.howLong}
        value={String(hours)}
        onChange={(value) => setHours(TASTE_LINK_LIMITS.hours.find((each) => String(each) === value) ?? 24)}
        options={TASTE_LINK_LIMITS.hours.map((each) => ({ value: String(each), label: words.hours[each] }))}
      />
      <Button look="strong" className="mt-3 min-h-11 w-full" disabled={state === 'making'} onClick={() => void make()}>
        {state === 'making' ? words.making : words.make}
      </Button>
      {(state === 'failed' || state === 'tooMany') && (
        <p role="alert" className="mt-2 text-alarm">
          {state === 'failed' ? words.notNow : words.tooMany}
        </p>
      )}
      {made !== null && <Made key={made} link={made} />}
      {links.length > 0 && (
        <section className="mt-5 border-t border-rule pt-3">
          <h3 className="text-lg">{words.open}</h3>
          <ul>
            {links.map((link) => (
              <Open key={link.id} bakeId={bakeId} link={link} onClosed={() => void look().then(setLinks)} />
            ))}
          </ul>
        </section>
      )}
    </Dialog>
  );
} // prettier-ignore

/** A link that was just made: nobody can show it again. */
function Made({ link }: { link: string }) {
  const [isCopied, setIsCopied] = useState(false);
  return (
    <div role="status" className="mt-3 rounded border border-edge bg-surface p-3">
      <p className="text-sm text-soft">{words.shownOnce}</p>
      <p className="figure mt-1 break-all select-all" data-testid="taste-link">
        {link}
      </p>
      {link.startsWith('http://127.') || link.startsWith('http://localhost') ? (
        <p className="mt-1 text-sm text-alarm">{words.onlyHere}</p>
      ) : null}
      <Button
        className="mt-2 min-h-10"
        onClick={() => void navigator.clipboard.writeText(link).then(() => setIsCopied(true))}
      >
        {isCopied ? words.copied : words.copy}
      </Button>
    </div>
  );
}

function Open({ bakeId, link, onClosed }: { bakeId: string; link: ShownLink; onClosed: () => void }) {
  const kitchen = useKitchen();
  const time = useKitchenTime();
  const sure = useTwice();
  const close = async () => {
    await ask(kitchen.api(`/bakes/${bakeId}/links/${link.id}/withdrawal`), {});
    onClosed();
  };
  return (
    <li className="flex items-center justify-between gap-3 border-t border-rule py-1 text-sm">
      <span>{words.until(time.dayAndClock(link.madeAtMs), time.dayAndClock(link.expiresAtMs))}</span>
      <Button look="quiet" className="min-h-10" onClick={() => sure.press() && void close()}>
        {sure.asked ? words.yesClose : words.close}
      </Button>
    </li>
  );
}
