'use client';
import { useState } from 'react';
import { wallField, wallFieldMs } from '@/core/day/dayEdit';
import type { Kit } from '@/core/kit';
import type { StarterEvent } from '@/core/starter/starterDocument';
import { STARTER_LIMITS, STARTER_PLACES, type StarterPlace } from '@/core/starter/starterLimits';
import type { NextFeed } from '@/core/starter/starterNow';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { newUuid } from '@/ui/newUuid';
import { words } from '@/wording/screens/starter/starters';
import { usePreferences } from '../preferences/PreferencesProvider';
import { NumberField } from '../quantities/NumberField';

/** How warm it is where a starter stands. */
export const placeC = (kit: Kit, place: StarterPlace): number =>
  Math.min(
    STARTER_LIMITS.tempC.max,
    Math.max(STARTER_LIMITS.tempC.min, { room: kit.roomC, warm: kit.warmC, fridge: kit.fridgeC }[place]),
  );

interface FeedFormProps {
  readonly feed: Pick<NextFeed, 'keepG' | 'flourG' | 'waterG' | 'discardG'>;
  readonly kit: Kit;
  readonly nowMs: number;
  /** Answers why not; null: it is written down. */
  readonly onFed: (event: StarterEvent) => string | null;
  readonly onClose: () => void;
}

/** What was fed, as it was due until somebody says otherwise. */
export function FeedForm({ feed, kit, nowMs, onFed, onClose }: FeedFormProps) {
  const { timeZone } = usePreferences().ways;
  const [amounts, setAmounts] = useState({ keptG: Math.round(feed.keepG), flourG: feed.flourG, waterG: feed.waterG });
  const [atMs, setAtMs] = useState(nowMs);
  const [place, setPlace] = useState<StarterPlace>('room');
  const [rest, setRest] = useState<'jar' | 'away'>('jar');
  const [trouble, setTrouble] = useState<string | null>(null);
  const field = (word: string, name: keyof typeof amounts) => (
    <NumberField word={word} measure="mass" name={name} value={amounts[name]} bounds={name === 'keptG' ? STARTER_LIMITS.massG : STARTER_LIMITS.feedG}
      onChange={(value) => value !== null && setAmounts((was) => ({ ...was, [name]: value }))} />
  );
  return (
    <div className="mt-3 rounded border border-edge px-3 py-2" data-testid="feed-form">
      {field(words.form.kept, 'keptG')}
      {field(words.form.flour, 'flourG')}
      {field(words.form.water, 'waterG')}
      <label className="mt-2 flex flex-wrap items-center gap-2 text-sm">
        {words.form.when}
        <input type="datetime-local" value={wallField(timeZone, atMs)} className="min-h-10 rounded border border-edge bg-surface px-2"
          onChange={(event) => setAtMs(wallFieldMs(timeZone, event.target.value) ?? atMs)} />
      </label>
      <div className="mt-2 flex flex-wrap gap-4 text-sm">
        <span className="flex items-center gap-2">
          {words.form.where}
          <Choice label={words.form.where} value={place} onChange={setPlace} className="min-h-10" options={STARTER_PLACES.map((value) => ({ value, label: words.place[value] }))} />
        </span>
        {feed.discardG > 0 && (
          <span className="flex items-center gap-2">
            {words.form.rest}
            <Choice label={words.form.rest} value={rest} onChange={setRest} className="min-h-10" options={[{ value: 'jar', label: words.form.jar }, { value: 'away', label: words.form.away }]} />
          </span>
        )}
      </div>
      {trouble && <p role="alert" className="mt-2 text-sm text-alarm">{trouble}</p>}
      <div className="mt-3 flex flex-wrap gap-2">
        <Button look="strong" size="bench" onClick={() => {
          const why = onFed({ kind: 'fed', id: newUuid(), atMs, place, tempC: placeC(kit, place), rest, ...amounts });
          setTrouble(why);
          if (why === null) onClose();
        }}>{words.tell}</Button>
        <Button size="bench" onClick={onClose}>{words.dialog.cancel}</Button>
      </div>
    </div>
  );
} // prettier-ignore
