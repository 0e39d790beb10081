'use client';
import { X } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useRef, useState, useTransition } from 'react';
import { addressOf } from '@/ui/address';
import { Button, buttonClass } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { FindField } from '@/ui/FindField';
import { KitchenLink, useKitchen, useKitchenRouter } from '../kitchen/KitchenProvider';
import { AGAIN_WORD } from '@/wording/words';
import { BakeCard, type LogbookLine } from './BakeCard';
import { LogbookFilters, type Narrowed } from './LogbookFilters';
import { words } from '@/wording/screens/logbook/LogbookPage';
import { patiently } from '@/ui/patiently';

const ScoreChart = dynamic(
  patiently(() => import('./ScoreChart').then((module) => module.ScoreChart)),
  { ssr: false },
);

/** What of the logbook is asked for, as it stands in the address. */
interface LogbookQuery extends Narrowed {
  readonly find: string;
  readonly again: LogbookLine['again'] | 'givenUp';
  readonly order: 'newest' | 'oldest';
  /** Only of this formula. */
  readonly formula: { readonly id: string; readonly name: string } | null;
  /** Only with this bag in it. */
  readonly lot: { readonly id: string; readonly name: string } | null;
}

interface LogbookPageProps {
  lines: readonly LogbookLine[];
  query: LogbookQuery;
  /** Where the next, older page begins; null on the last. */
  next: string | null;
  /** This is not the newest page. */
  further: boolean;
}

const AGAIN_OPTIONS = [
  { value: '', label: words.anyVerdict },
  { value: 'yes', label: `Again? ${AGAIN_WORD.yes}` },
  { value: 'changed', label: `Again? ${AGAIN_WORD.changed}` },
  { value: 'no', label: `Again? ${AGAIN_WORD.no}` },
  { value: 'givenUp', label: words.abandoned },
] as const;

/** So many lie side by side before nobody sees anything any more. */
const MOST_PICKED = 6;

interface PickableLineProps {
  line: LogbookLine;
  isPicked: boolean;
  /** No more can be chosen. */
  isFull: boolean;
  onPick: () => void;
}

/** A line of the book that can be chosen for a comparison. */
function PickableLine({ line, isPicked, isFull, onPick }: PickableLineProps) {
  return (
    <div className="flex items-stretch">
      <label className="grid min-w-11 cursor-pointer place-items-center border-t border-rule">
        <input
          type="checkbox"
          className="size-5 accent-ink"
          aria-label={words.choose(line.name)}
          checked={isPicked}
          disabled={!isPicked && isFull}
          onChange={onPick}
        />
      </label>
      <div className="min-w-0 flex-1">
        <BakeCard line={line} />
      </div>
    </div>
  );
}

/** What was chosen, at hand wherever the list has been scrolled to. */
function Picked({ ids, onClear }: { ids: readonly string[]; onClear: () => void }) {
  return (
    <p
      role="status"
      className="sticky bottom-3 z-10 mt-3 flex flex-wrap items-center gap-3 rounded-lg border border-edge bg-surface px-4 py-2 shadow-lg"
    >
      <span className="mr-auto">{words.chosen(ids.length, MOST_PICKED)}</span>
      <Button look="quiet" onClick={onClear}>
        {words.chooseNone}
      </Button>
      {ids.length > 1 && (
        <KitchenLink
          href={`/logbook/compare?bakes=${ids.join(',')}`}
          className={buttonClass('strong', 'table', 'min-h-10 px-4')}
        >
          {words.sideBySide(ids.length)}
        </KitchenLink>
      )}
    </p>
  );
}

/** Every bake that is over, newest first, a page at a time. */
export function LogbookPage({ lines, query, next, further }: LogbookPageProps) {
  const router = useKitchenRouter();
  const [searching, start] = useTransition();
  // also over other pages of the book
  const [picked, setPicked] = useState<readonly string[]>([]);
  const { find, again, order, formula, lot, since, until, score, told } = query;
  const address = (part: {
    find?: string;
    again?: string | null;
    since?: string;
    until?: string;
    score?: string;
    told?: string;
    formula?: null;
    lot?: null;
    order?: string;
    after?: string | null;
  }) =>
    addressOf('/logbook', {
      find,
      again,
      since,
      until,
      score,
      told,
      formula: formula?.id,
      lot: lot?.id,
      order: order === 'newest' ? null : order,
      ...part,
    });
  // what was asked for and has not come yet: the next wish is added to it
  const waiting = useRef<Parameters<typeof address>[0]>({});
  const go = (part: Parameters<typeof address>[0]) => {
    waiting.current = searching ? { ...waiting.current, ...part } : part;
    const wanted = address(waiting.current);
    start(() => router.replace(wanted));
  };
  const asked = [find, again, formula, lot, since, until, score, told].some(Boolean);
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-3xl">{words.logbook}</h1>
        <FindField
          label={words.searchAllBakes}
          value={find}
          onFind={(text) => go({ find: text })}
          className="w-full sm:w-64"
        />
        <Choice
          label={words.verdict}
          value={again ?? ''}
          onChange={(value) => go({ again: value })}
          options={AGAIN_OPTIONS}
          className="min-h-10 border-edge bg-surface px-2"
        />
        <Choice
          label={words.sortBy}
          value={order}
          onChange={(value) => go({ order: value === 'newest' ? '' : value })}
          options={[
            { value: 'newest', label: words.newestFirst },
            { value: 'oldest', label: words.oldestFirst },
          ]}
          className="min-h-10 border-edge bg-surface px-2"
        />
        <LogbookFilters asked={query} onAsk={go} />
      </div>
      {formula && (
        <p className="mb-3">
          <KitchenLink
            href={address({ formula: null })}
            className={buttonClass('plain', 'table', 'max-w-full')}
          >
            <span className="truncate">{words.only(formula.name)}</span>
            <X size={16} aria-hidden className="shrink-0" />
            <span className="sr-only">{words.showAllFormulas}</span>
          </KitchenLink>
        </p>
      )}
      {lot && (
        <p className="mb-3">
          <KitchenLink href={address({ lot: null })} className={buttonClass('plain', 'table', 'max-w-full')}>
            <span className="truncate">{words.withBag(lot.name)}</span>
            <X size={16} aria-hidden className="shrink-0" />
            <span className="sr-only">{words.showAllBags}</span>
          </KitchenLink>
        </p>
      )}
      {formula && <ScoreChart lines={lines} />}
      {lines.length === 0 ? (
        <p className="docket p-6 text-soft">
          {asked || further ? words.noBakeMatchesThat : words.nothingHereYetEveryBake}
        </p>
      ) : (
        <div className="docket rounded-b-md pb-1" aria-busy={searching}>
          {lines.map((line) => (
            <PickableLine
              key={line.id}
              line={line}
              isPicked={picked.includes(line.id)}
              isFull={picked.length >= MOST_PICKED}
              onPick={() =>
                setPicked(
                  picked.includes(line.id) ? picked.filter((id) => id !== line.id) : [...picked, line.id],
                )
              }
            />
          ))}
        </div>
      )}
      <LogLinks formulaId={formula?.id ?? null} />
      {picked.length > 0 && <Picked ids={picked} onClear={() => setPicked([])} />}
      <Pager
        start={further ? address({}) : null}
        next={next && address({ after: next })}
        older={order === 'newest'}
      />
    </>
  );
}

/** What else there is to have of the log. */
function LogLinks({ formulaId }: { formulaId: string | null }) {
  const kitchen = useKitchen();
  const of = formulaId === null ? '' : `formula=${formulaId}`;
  const className = 'inline-flex min-h-6 items-center text-link underline';
  return (
    <p className="no-print mt-4 flex flex-wrap gap-x-5 gap-y-2 text-sm">
      <KitchenLink href={`/logbook/patterns?${of}`} className={className}>
        {words.whatGoesWith}
      </KitchenLink>
      <KitchenLink href="/logbook/learnt" className={className}>
        {words.taught}
      </KitchenLink>
      <KitchenLink href="/logbook/advice" className={className}>
        {words.adviceSoFar}
      </KitchenLink>
      <a href={kitchen.api(`/logbook?form=csv&${of}`)} download className={className}>
        {words.asTable}
      </a>
      <a href={kitchen.api(`/logbook?form=json&${of}`)} download className={className}>
        {words.asJson}
      </a>
    </p>
  );
}

/** The way to further pages. */
function Pager({ start, next, older }: { start: string | null; next: string | null; older: boolean }) {
  return (
    <p className="mt-4 flex flex-wrap gap-3">
      {start !== null && (
        <KitchenLink href={start} className={buttonClass('plain')}>
          {words.backToTheStart}
        </KitchenLink>
      )}
      {next !== null && (
        <KitchenLink href={next} className={buttonClass('plain')}>
          {older ? words.olderBakes : words.newerBakes}
        </KitchenLink>
      )}
    </p>
  );
}
