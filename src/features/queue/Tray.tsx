'use client';
import { CloudOff, Inbox } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { usePreferences } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { wordProblem } from '../wording/problems';
import type { Refused, Waiting } from './queue';
import { useDrain, useWaiting } from './useQueue';

/** What is on its way is no news; what is still here after so long is. */
const SLOW_MS = 4000;

const REASON: Readonly<Record<Refused['why'], string>> = {
  stale: 'Something else was saved there in between. Open it again to see both.',
  invalid: 'It can’t be saved as it is.',
  otherContent: 'It was sent before with something else in it.',
  notFound: 'What it belongs to is not in this kitchen (any more).',
  tooBig: 'It is too large to be saved.',
  forbidden: 'This page may not write to this server.',
  broken: 'The server could not take it.',
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
        {refused.length > 0 ? `${refused.length} not taken` : `${slow.length} waiting`}
      </Button>
      {open && (
        <Dialog
          wide
          onClose={() => setOpen(false)}
          title="Not on the server yet"
          hint={
            queue.fragile
              ? 'This browser keeps nothing when the page is closed: leave it open until all is sent.'
              : 'Saved in this browser, also when it is closed. What waits is sent by itself.'
          }
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
          'Waiting for the server.'
        )}
      </p>
      <details className="mt-1 text-sm">
        <summary className="cursor-pointer text-link underline">What it was, whole</summary>
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
          {copied ? 'Copied' : 'Copy it'}
        </Button>
        {refused && <Button onClick={onAgain}>Send it again</Button>}
        <Button look="quiet" className="text-alarm" onClick={() => (sure ? onRemove() : setSure(true))}>
          {sure ? 'Yes, remove it for good' : 'Remove it'}
        </Button>
      </div>
    </li>
  );
}
