import { SlidersHorizontal } from 'lucide-react';
import { useId, useState } from 'react';
import { SCORES_ASKED, TOLD_ASKED, type ScoreAsked, type ToldAsked } from '@/core/bake';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { words } from '@/wording/screens/logbook/LogbookFilters';

/** What of its bakes the logbook is asked for beyond words and verdict, as it stands in the address. */
export interface Narrowed {
  /** Days, "2026-11-28"; '': any. */
  readonly since: string;
  readonly until: string;
  readonly score: ScoreAsked['id'] | null;
  readonly told: ToldAsked | null;
}

interface LogbookFiltersProps {
  readonly asked: Narrowed;
  readonly onAsk: (part: Partial<Record<keyof Narrowed, string>>) => void;
}

const SCORE_OPTIONS = [{ value: '', label: words.anyScore }, ...SCORES_ASKED.map((score) => ({ value: score.id, label: words.score(score) }))] as const; // prettier-ignore
const TOLD_OPTIONS = [{ value: '', label: words.anything }, ...TOLD_ASKED.map((value) => ({ value, label: words.told[value] }))] as const; // prettier-ignore
const NOTHING = { since: '', until: '', score: '', told: '' } as const;
const FIELD = 'mt-0.5 min-h-11 w-full rounded border border-edge bg-surface px-2 font-normal';

/** Further filters, put away until they are wanted; how many hold something back stands on their button. */
export function LogbookFilters({ asked, onAsk }: LogbookFiltersProps) {
  const [isWanted, setWanted] = useState<boolean | null>(null);
  const id = useId();
  const count = [asked.since, asked.until, asked.score, asked.told].filter(Boolean).length;
  const isOpen = isWanted ?? count > 0;
  return (
    <>
      <Button aria-expanded={isOpen} aria-controls={id} onClick={() => setWanted(!isOpen)}>
        <SlidersHorizontal size={17} aria-hidden />
        {words.filter(count)}
      </Button>
      <div
        id={id}
        hidden={!isOpen}
        role="group"
        aria-label={words.filter(0)}
        className="grid w-full grid-cols-[repeat(auto-fit,minmax(min(100%,10rem),1fr))] items-end gap-3 text-sm font-semibold"
      >
        <Day label={words.since} value={asked.since} onDay={(since) => onAsk({ since })} />
        <Day label={words.until} value={asked.until} onDay={(until) => onAsk({ until })} />
        <div>
          {words.scores}
          <Choice label={words.scores} value={asked.score ?? ''} onChange={(score) => onAsk({ score })} options={SCORE_OPTIONS} className={FIELD} />
        </div>
        <div>
          {words.tellsOf}
          <Choice label={words.tellsOf} value={asked.told ?? ''} onChange={(told) => onAsk({ told })} options={TOLD_OPTIONS} className={FIELD} />
        </div>
        {count > 0 && (
          <Button look="quiet" className="justify-self-start" onClick={() => onAsk(NOTHING)}>
            {words.clear}
          </Button>
        )}
      </div>
    </>
  );
} // prettier-ignore

/** A day that is being typed passes through the years of the Romans: it is asked for when it can be meant. */
const FIRST_DAY = '1970-01-01';

function Day({ label, value, onDay }: { label: string; value: string; onDay: (day: string) => void }) {
  const [text, setText] = useState(value);
  const [shown, setShown] = useState(value);
  // another address, by the way back or by clearing: the field says what the page shows
  if (shown !== value) {
    setShown(value);
    setText(value);
  }
  return (
    <label className="block">
      {label}
      <input
        type="date"
        min={FIRST_DAY}
        max="9999-12-31"
        value={text}
        onChange={({ currentTarget: { value: typed } }) => {
          setText(typed);
          if (typed === '' || typed >= FIRST_DAY) onDay(typed);
        }}
        className={FIELD}
      />
    </label>
  );
}
