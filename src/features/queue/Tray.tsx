'use client';
import { CloudOff, Inbox } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { usePreferences } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { wordProblem } from '@/wording/problems';
import type { Refused, Waiting } from './queue';
import { useDrain, useWaiting } from './useQueue';
import { words } from '@/wording/screens/queue/Tray';

/** What is on its way is no news; what is still here after so long is. */
const SLOW_MS = 4000;

const REASON: Readonly<Record<Refused['why'], string>> = {
  stale: words.somethingElseWasSavedThere,
  invalid: words.itCantBeSavedAs,
  otherContent: words.itWasSentBeforeWith,
  notFound: words.whatItBelongsToIs,
  tooBig: words.itIsTooLargeTo,
  forbidden: words.thisPageMayNotWrite,
  broken: words.theServerCouldNotTake,
};

/** The queue in the frame of every page: how much waits, what was not taken, and a way to take it out again. */
export function Tray() {
  useDrain();
  const { queue, waiting } = useWaiting();
  const [open, setOpen] = useState(false);
  const [nowMs, setNowMs] = useState(0);
  const sendable = waiting.filter(({ lane }) => !lane.startsWith('form:'));
  useEffect(() => {
    if (sendable.length === 0) return;
    const timer = setInterval(() => setNowMs(Date.now()), 1000);
    return () => clearInterval(timer);
  }, [sendable.length]);
  const refused = sendable.filter((entry) => entry.refused);
  const slow = sendable.filter(({ refused: done, madeAtMs }) => !done && nowMs - madeAtMs > SLOW_MS);
  if (refused.length + slow.length === 0) return null;
  return (
    <>
      <Button
        look="quiet"
        className="min-h-10 gap-1.5 px-2 text-sm font-semibold text-alarm"
        onClick={() => setOpen(true)}
      >
        {refused.length > 0 ? <Inbox size={17} aria-hidden /> : <CloudOff size={17} aria-hidden />}
        {refused.length > 0 ? words.notSaved(refused.length) : words.waiting(slow.length)}
      </Button>
      {open && (
        <Dialog
          wide
          onClose={() => setOpen(false)}
          title={words.notOnTheServerYet}
          hint={queue.fragile ? words.thisBrowserKeepsNothingWhen : words.savedInThisBrowserAlso}
        >
          <ul className="grid gap-3">
            {[...refused, ...slow].map((entry) => (
              <Entry
                key={entry.id}
                entry={entry}
                onAgain={() => void queue.refuse(entry.id, null)}
                onRemove={() => void queue.remove([entry.id])}
              />
            ))}
          </ul>
        </Dialog>
      )}
    </>
  );
}

function Entry({ entry, onAgain, onRemove }: { entry: Waiting; onAgain: () => void; onRemove: () => void }) {
  const time = useKitchenTime();
  const { preferences } = usePreferences();
  const [copied, setCopied] = useState(false);
  const [sure, setSure] = useState(false);
  const { what, madeAtMs, refused, body } = entry;
  const text = JSON.stringify(body, null, 2);
  return (
    <li className="border-t border-rule pt-2">
      <p className="font-semibold">{what}</p>
      <p className="text-sm text-soft">
        {time.dayAndYear(madeAtMs)}, {time.clock(madeAtMs)}.{' '}
        {refused ? (
          <span className="text-alarm">
            {refused.problem && refused.problem.code !== 'notAllowed'
              ? wordProblem(refused.problem, preferences)
              : REASON[refused.why]}
          </span>
        ) : (
          words.waitingForTheServer
        )}
      </p>
      <details className="mt-1 text-sm">
        <summary className="cursor-pointer text-link underline">{words.showWhatItWas}</summary>
        <pre className="mt-1 max-h-40 overflow-auto rounded bg-well p-2 text-xs whitespace-pre-wrap">
          {text}
        </pre>
      </details>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          onClick={() => {
            void navigator.clipboard?.writeText(text).then(() => setCopied(true));
          }}
        >
          {copied ? words.copied : words.copyIt}
        </Button>
        {refused && <Button onClick={onAgain}>{words.sendItAgain}</Button>}
        <Button look="quiet" className="text-alarm" onClick={() => (sure ? onRemove() : setSure(true))}>
          {sure ? words.yesRemoveItForGood : words.removeIt}
        </Button>
      </div>
    </li>
  );
}
