'use client';
import { useState } from 'react';
import { usualTimes, wallFieldMs } from '@/core/day/dayEdit';
import { Button } from '@/ui/Button';
import { Reason } from '@/ui/Reason';
import { words } from '@/wording/screens/day/ReadyAt';
import { usePreferences } from '../preferences/PreferencesProvider';
import { useDayWords } from './DayContext';

interface ReadyAtProps {
  readonly name: string;
  readonly nowMs: number;
  /** Answers why not; null: it is taken. */
  readonly onReady: (ready: { fromMs: number; toMs: number } | null) => string | null;
  readonly onClose: () => void;
}

/** The one question: when. What is usual is one press away; any other time, or a window, is a field. */
export function ReadyAt({ name, nowMs, onReady, onClose }: ReadyAtProps) {
  const say = useDayWords();
  const { timeZone } = usePreferences().ways;
  const [toText, setToText] = useState('');
  const [fromText, setFromText] = useState('');
  const [why, setWhy] = useState<string | null>(null);
  const take = (ready: { fromMs: number; toMs: number } | null) => setWhy(onReady(ready));
  const takeTyped = () => {
    const toMs = wallFieldMs(timeZone, toText);
    if (toMs === null) return setWhy(words.sayWhen);
    take({ fromMs: wallFieldMs(timeZone, fromText) ?? toMs, toMs });
  };
  return (
    <section aria-labelledby="ready-at" className="docket mb-4 rounded-b-md px-5 py-4" data-testid="ready-at">
      <h2 id="ready-at" className="text-2xl">{words.when(name)}</h2>
      <div className="mt-3 grid gap-2 sm:grid-cols-2 lg:grid-cols-5">
        <Choice big={words.startNow} small={words.asSoon} onClick={() => take(null)} />
        {usualTimes(timeZone, nowMs).map((each) => (
          <Choice key={each.name} big={say.at(each.ms)} small={words.usual[each.name]} onClick={() => take({ fromMs: each.ms, toMs: each.ms })} />
        ))}
      </div>
      <form className="mt-3 flex flex-wrap items-center gap-2 text-sm" onSubmit={(event) => { event.preventDefault(); takeTyped(); }}>
        <label className="flex items-center gap-2">
          {words.another}
          <input type="datetime-local" step={300} value={toText} onChange={(event) => setToText(event.target.value)} className="min-h-11 rounded border border-edge bg-surface px-2" />
        </label>
        <label className="flex items-center gap-2">
          {words.window}
          <input type="datetime-local" step={300} value={fromText} onChange={(event) => setFromText(event.target.value)} className="min-h-11 rounded border border-edge bg-surface px-2" />
        </label>
        <Button type="submit" look="strong" className="min-h-11">{words.layOut}</Button>
        <Button look="quiet" className="min-h-11" onClick={onClose}>{words.notNow}</Button>
      </form>
      <Reason>{why ?? undefined}</Reason>
    </section>
  );
} // prettier-ignore

function Choice({ big, small, onClick }: { big: string; small: string; onClick: () => void }) {
  return (
    <Button className="min-h-16 flex-col items-start gap-0 px-4 text-left" onClick={onClick}>
      <span className="text-sm font-normal text-soft">{small}</span>
      <span className="figure text-2xl">{big}</span>
    </Button>
  );
}
