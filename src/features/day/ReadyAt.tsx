'use client';
import { useState } from 'react';
import { usualTimes, wallFieldMs } from '@/core/day/dayEdit';
import { Button } from '@/ui/Button';
import { Reason } from '@/ui/Reason';
import { words } from '@/wording/screens/day/ReadyAt';
import { usePreferences } from '../preferences/PreferencesProvider';
import { NumberField } from '../quantities/NumberField';
import { readWhole } from '../quantities/readWhole';
import { useDayWords } from './DayContext';
import { PutBy, type TakenOutOfDay } from './PutBy';

interface ReadyAtProps {
  readonly name: string;
  readonly nowMs: number;
  /** What was put by: it is asked as well how many of it. */
  readonly takenOut?: TakenOutOfDay | undefined;
  /** Answers why not; null: it is taken. */
  readonly onReady: (ready: { fromMs: number; toMs: number } | null, pieces: number) => string | null;
  readonly onClose: () => void;
}

/** The one question: when. What is usual is one press away; any other time, or a window, is a field. */
export function ReadyAt({ name, nowMs, takenOut, onReady, onClose }: ReadyAtProps) {
  const say = useDayWords();
  const { timeZone } = usePreferences().ways;
  const [toText, setToText] = useState('');
  const [fromText, setFromText] = useState('');
  const [why, setWhy] = useState<string | null>(null);
  const [pieces, setPieces] = useState(takenOut?.leftPieces ?? 0);
  const take = (ready: { fromMs: number; toMs: number } | null) => setWhy(onReady(ready, pieces));
  const takeTyped = () => {
    const toMs = wallFieldMs(timeZone, toText);
    if (toMs === null) return setWhy(words.sayWhen);
    take({ fromMs: wallFieldMs(timeZone, fromText) ?? toMs, toMs });
  };
  return (
    <section aria-labelledby="ready-at" className="docket mb-4 rounded-b-md px-5 py-4" data-testid="ready-at">
      <h2 id="ready-at" className="text-2xl">{words.when(name)}</h2>
      {takenOut && (
        <>
          <PutBy {...takenOut} pieces={null} />
          <div className="mt-2 max-w-48"><NumberField word={words.pieces} value={pieces} bounds={{ min: 1, max: takenOut.leftPieces }} places={0} name="pieces" read={readWhole} onChange={(value) => value !== null && setPieces(value)} /></div>
        </>
      )}
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
