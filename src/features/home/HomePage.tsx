'use client';
import type { DayDocument } from '@/core/day/dayDocument';
import type { FeedDue } from '@/core/starter/feedsDue';
import type { SetAside } from '@/core/documents';
import Link from 'next/link';
import { buttonClass } from '@/ui/Button';
import { KitchenLink } from '../kitchen/KitchenProvider';
import { BakeCard, type LogbookLine } from '../logbook/BakeCard';
import { useKitchenTime } from '../preferences/time';
import { SetAsideNote } from '../shell/SetAsideNote';
import { RunningBakes, type RunningBake } from './RunningBakes';
import { StockList, type StockOfBake } from './StockList';
import { TodayDay } from './TodayDay';
import { words } from '@/wording/screens/home/HomePage';

interface HomePageProps {
  kitchen: string;
  /** The made-up one, to look round in. */
  demo: boolean;
  running: readonly RunningBake[];
  /** There is more under way than this page shows. */
  more: boolean;
  last: readonly LogbookLine[];
  stock: readonly StockOfBake[];
  setAside: readonly SetAside[];
  /** What is planned, and the ovens it names. */
  day: DayDocument;
  ovens: readonly { readonly id: string; readonly name: string }[];
  /** When starters are fed next. */
  feeds: readonly FeedDue[];
  nowMs: number;
}

/** Today: what is under way and what it needs next; below, what was baked last. */
export function HomePage({
  kitchen,
  demo,
  running,
  more,
  last,
  stock,
  setAside,
  day,
  ovens,
  feeds,
  nowMs,
}: HomePageProps) {
  const time = useKitchenTime();
  const inProgress = (
    <section aria-labelledby="running-title" className="mb-4">
      <h2 id="running-title" className="mb-2 text-lg">
        {words.inProgress}
      </h2>
      <RunningBakes bakes={running} nowMs={nowMs} />
      {more && (
        <KitchenLink href="/bench" className={buttonClass('plain', 'table', 'mt-4')}>
          {words.everythingInProgress}
        </KitchenLink>
      )}
    </section>
  );
  return (
    <>
      <div className="mb-4 flex flex-wrap items-baseline justify-between gap-2">
        <h1 className="text-3xl">{kitchen}</h1>
        <p className="text-soft">
          {time.dayAndYear(nowMs)}{' '}
          <KitchenLink href="/day" className="ml-2 text-link underline">
            {day.batches.length > 0 ? words.theDay : words.planADay}
          </KitchenLink>{' '}
          <KitchenLink href="/starters" className="ml-2 text-link underline">
            {words.starters}
          </KitchenLink>{' '}
          <KitchenLink href="/orders" className="ml-2 text-link underline">
            {words.orders}
          </KitchenLink>{' '}
          <Link href="/kitchens" className="ml-2 text-link underline lg:hidden">
            {words.otherKitchens}
          </Link>
        </p>
      </div>
      {demo && (
        <p className="mb-4 rounded border border-edge bg-surface px-3 py-2">
          {words.thisIsAMadeUp}
          <Link href="/kitchens/new" className="text-link underline">
            {words.setUpMine}
          </Link>
        </p>
      )}
      <SetAsideNote setAside={setAside} />
      {/* what is under way comes before what is planned: one call is the next */}
      {running.length > 0 && inProgress}
      <TodayDay day={day} ovens={ovens} feeds={feeds} nowMs={nowMs} />
      {running.length === 0 && day.batches.length === 0 && inProgress}
      <StockList bakes={stock} nowMs={nowMs} />
      <section aria-labelledby="last-title" className="mt-8">
        <div className="mb-2 flex items-baseline justify-between">
          <h2 id="last-title" className="text-lg">
            {words.bakedLast}
          </h2>
          <KitchenLink href="/logbook" className="text-sm text-link underline">
            {words.theWholeLogbook}
          </KitchenLink>
        </div>
        {last.length === 0 ? (
          <p className="docket p-6 text-soft">{words.whatYouBakeIs}</p>
        ) : (
          <div className="docket rounded-b-md pb-1">
            {last.map((line) => (
              <BakeCard key={line.id} line={line} />
            ))}
          </div>
        )}
      </section>
    </>
  );
}
