'use client';
import { useState } from 'react';
import type { LifeDocument } from '@/core/day/lifeDocument';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { words } from '@/wording/screens/day/HoursDialog';
import { NOT_SHARED } from '@/core/day/shared';
import { HoursList } from './HoursList';
import { SharedKitchen } from './SharedKitchen';
import { NumberField } from '../quantities/NumberField';
import { usePreferences } from '../preferences/PreferencesProvider';

interface HoursDialogProps {
  readonly life: LifeDocument;
  readonly nowMs: number;
  readonly onChange: (life: LifeDocument) => void;
  readonly onClose: () => void;
}

const AHEAD_MS = 14 * 86_400_000;

/** When somebody is in the kitchen: what repeats by the week, who helps, what a calendar says. Each change takes effect at once. */
export function HoursDialog({ life, nowMs, onChange, onClose }: HoursDialogProps) {
  const put = (part: Partial<LifeDocument>) => onChange({ ...life, ...part });
  return (
    <Dialog onClose={onClose} title={words.title} hint={words.hint} wide>
      <NumberField word={words.people} value={life.people} bounds={{ min: 1, max: 20 }} places={0} name="people"
        onChange={(people) => people !== null && Number.isInteger(people) && put({ people, away: life.away.map((each) => ({ ...each, people: each.people === null ? null : Math.min(each.people, people) })) })} />
      <HoursList title={words.away} newName={words.newName} all={life.away} onChange={(away) => put({ away })} />
      <HoursList title={words.preferred} newName={words.newPreferred} hint={words.preferredHint}
        all={life.preferred.map((each) => ({ ...each, people: null }))}
        onChange={(preferred) => put({ preferred: preferred.map(({ people: _, ...each }) => each) })} />
      {life.preferred.length > 0 && (
        <label className="mt-2 flex min-h-9 items-center gap-2">
          <input type="checkbox" className="size-5" checked={life.otherHours} onChange={(event) => put({ otherHours: event.target.checked })} />
          {words.otherHours}
        </label>
      )}
      <FromCalendar life={life} nowMs={nowMs} onChange={onChange} />
      <SharedKitchen shared={life.shared ?? NOT_SHARED} onChange={(shared) => put({ shared })} />
    </Dialog>
  );
} // prettier-ignore

function FromCalendar({ life, nowMs, onChange }: Omit<HoursDialogProps, 'onClose'>) {
  const { timeZone } = usePreferences().ways;
  const [news, setNews] = useState<string | null>(null);
  const read = async (file: File) => {
    const { timesOff } = await import('@/core/day/calendarFile');
    const found = timesOff(await file.text(), timeZone, nowMs, nowMs + AHEAD_MS);
    if (!found.ok) return setNews(words.noCalendar);
    onChange({ ...life, once: found.value });
    setNews(words.read(found.value.length));
  };
  return (
    <section className="mt-4">
      <h3 className="text-base">{words.calendar}</h3>
      <p className="text-sm text-soft">{words.calendarHint}</p>
      <label className="mt-1 inline-flex min-h-9 items-center gap-2 text-sm">
        {words.choose}
        <input type="file" accept=".ics,text/calendar" className="text-sm" onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void read(file);
          event.target.value = '';
        }} />
      </label>
      {news && <p role="status" className="text-sm">{news}</p>}
      {life.once.length > 0 && (
        <p className="mt-1 text-sm">
          {words.once(life.once.length)} <Button look="quiet" onClick={() => { onChange({ ...life, once: [] }); setNews(null); }}>{words.clear}</Button>
        </p>
      )}
    </section>
  );
} // prettier-ignore
