'use client';
import { useId, useState } from 'react';
import type { LifeDocument } from '@/core/day/lifeDocument';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Dialog } from '@/ui/Dialog';
import { words } from '@/wording/screens/day/HoursDialog';
import { DayToggles } from './DayToggles';
import { RemoveButton } from '../kit/KitRow';
import { NumberField } from '../quantities/NumberField';
import { usePreferences } from '../preferences/PreferencesProvider';

interface HoursDialogProps {
  readonly life: LifeDocument;
  readonly nowMs: number;
  readonly onChange: (life: LifeDocument) => void;
  readonly onClose: () => void;
}

type Away = LifeDocument['away'][number];
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];
const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/;
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
    </Dialog>
  );
} // prettier-ignore

interface HoursListProps {
  readonly title: string;
  readonly hint?: string;
  readonly newName: string;
  readonly all: readonly Away[];
  readonly onChange: (all: Away[]) => void;
}

function HoursList({ title, hint, newName, all, onChange }: HoursListProps) {
  const id = useId();
  return (
    <section aria-labelledby={id} className="mt-4">
      <h3 id={id} className="text-base">{title}</h3>
      {hint && <p className="text-sm text-soft">{hint}</p>}
      <ul>
        {all.map((each, at) => (
          <HoursRow key={at} hours={each} onChange={(next) => onChange(all.map((other, index) => (index === at ? next : other)))} onRemove={() => onChange(all.filter((_, index) => index !== at))} />
        ))}
      </ul>
      <Button className="mt-1" onClick={() => onChange([...all, { name: newName, days: EVERY_DAY, from: '14:00', to: '17:00', people: null }])}>{words.add}</Button>
    </section>
  );
} // prettier-ignore

function HoursRow({ hours, onChange, onRemove }: { hours: Away; onChange: (hours: Away) => void; onRemove: () => void }) {
  const clock = (key: 'from' | 'to', other: string) => (
    <Cell label={words[key]} value={hours[key]} inputMode="text" align="left" maxLength={5} className="w-20 border-b border-edge"
      onType={(text) => {
        const typed = /^\d:/.test(text.trim()) ? `0${text.trim()}` : text.trim();
        if (!CLOCK.test(typed)) return words.clock;
        if (typed === other) return words.same;
        onChange({ ...hours, [key]: typed });
        return null;
      }}
      restore={() => onChange(hours)} />
  );
  return (
    <li className="flex flex-wrap items-center gap-2 border-b border-rule py-2">
      <Cell label={words.name} value={hours.name} inputMode="text" align="left" maxLength={40} className="w-28" inputClassName="font-semibold"
        onType={(text) => { onChange({ ...hours, name: text.trim() }); return null; }} restore={() => onChange(hours)} />
      {/* hours of no day are none: they are taken away by their own button */}
      <DayToggles label={hours.name} nameOf={(day) => words.day(hours.name, day)} days={hours.days} onChange={(days) => onChange({ ...hours, days })} />
      <span className="flex items-center gap-1 text-sm">{words.from} {clock('from', hours.to)} {words.to} {clock('to', hours.from)}</span>
      <RemoveButton name={hours.name} onRemove={onRemove} />
    </li>
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
