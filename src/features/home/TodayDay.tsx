'use client';
import { useMemo, useState } from 'react';
import { agendaOf } from '@/core/day/agenda';
import type { DayDocument } from '@/core/day/dayDocument';
import type { FeedDue } from '@/core/starter/feedsDue';
import { words } from '@/wording/screens/home/HomePage';
import { clockOffsetMs, useNow } from '../clock/useNow';
import { DayProvider } from '../day/DayContext';
import { NextCall } from '../day/NextCall';
import { DayClockStrip } from './DayClockStrip';
import { OvenNow } from './OvenNow';

interface TodayDayProps {
  readonly day: DayDocument;
  readonly ovens: readonly { readonly id: string; readonly name: string }[];
  /** When starters are fed next. */
  readonly feeds: readonly FeedDue[];
  readonly nowMs: number;
}

/** What the day asks for next, as it is saved: nothing is computed here, so that it is there at once. */
export function TodayDay({ day, ovens, feeds, nowMs: drawnMs }: TodayDayProps) {
  const [offsetMs] = useState(() => clockOffsetMs(drawnMs));
  const nowMs = Math.floor(useNow(offsetMs, drawnMs) / 60_000) * 60_000;
  const calls = useMemo(() => agendaOf(day, feeds), [day, feeds]);
  // what is at the bench stands below, with its timers
  const own = useMemo(
    () => agendaOf({ ...day, batches: day.batches.filter(({ bakeId }) => bakeId === null) }, feeds),
    [day, feeds],
  );
  const value = useMemo(() => ({ day, view: null, ovens, nowMs }), [day, ovens, nowMs]);
  if (calls.length === 0) return null;
  return (
    <DayProvider value={value}>
      <section aria-labelledby="today-day">
        <h2 id="today-day" className="sr-only">
          {words.theDay}
        </h2>
        <NextCall calls={own} />
        <OvenNow calls={calls} />
        <DayClockStrip calls={calls} />
      </section>
    </DayProvider>
  );
}
