'use client';
import { useId } from 'react';
import type { LifeDocument } from '@/core/day/lifeDocument';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { words } from '@/wording/screens/day/HoursDialog';
import { RemoveButton } from '../kit/KitRow';
import { DayToggles } from './DayToggles';

type Away = LifeDocument['away'][number];
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];
const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/;

interface HoursListProps {
  readonly title: string;
  readonly hint?: string;
  readonly newName: string;
  readonly all: readonly Away[];
  readonly onChange: (all: Away[]) => void;
}

/** Hours that come again week by week, each of some days. */
export function HoursList({ title, hint, newName, all, onChange }: HoursListProps) {
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
