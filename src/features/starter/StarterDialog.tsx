'use client';
import { useId, useState } from 'react';
import type { Ingredient } from '@/core/ingredients';
import type { Starter } from '@/core/starter/starterDocument';
import type { StarterEdit } from '@/core/starter/starterEdit';
import { SCHOOLS, STARTER_LIMITS, USUAL_FEED } from '@/core/starter/starterLimits';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { newUuid } from '@/ui/newUuid';
import { Segmented } from '@/ui/Segmented';
import { words } from '@/wording/screens/starter/starters';
import { useBook, useStoredEntries } from '../book/BookProvider';
import { useSaveEntry } from '../larder/useSaveEntry';
import { NumberField } from '../quantities/NumberField';

interface StarterDialogProps {
  /** Null: a new one. */
  readonly was: Starter | null;
  readonly nowMs: number;
  /** Answers why not; null: it is done. */
  readonly edit: (edit: StarterEdit) => string | null;
  readonly onClose: () => void;
}

/** Before a flour: it becomes a mixture of the kitchen's own. */
const OF_FLOUR = 'flour ';
const isStarter = ({ roles }: Ingredient): boolean => roles[0] === 'starter';
const isFlour = ({ roles }: Ingredient): boolean => roles[0] === 'flour' || roles[0] === 'starch';

/** A starter: what it is, how it is kept, whether it has yet to be built. */
export function StarterDialog({ was, nowMs, edit, onClose }: StarterDialogProps) {
  const id = useId();
  const book = useBook();
  const { away, stored } = useStoredEntries();
  const saving = useSaveEntry();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [value, setValue] = useState<Omit<Starter, 'log'>>(
    () => was ?? { id: newUuid(), name: '', ingredientId: 'sorghum-starter', school: 'ratio', ...USUAL_FEED.ratio, begunMs: null },
  );
  const put = (part: Partial<typeof value>) => setValue((before) => ({ ...before, ...part }));
  const offered = [...book.values()].filter((each) => !away.has(each.id) || each.id === was?.ingredientId).sort((a, b) => a.name.localeCompare(b.name, 'en'));
  const isOwn = stored.some(({ id: own, entry }) => own === value.ingredientId && entry.kind === 'blend') || value.ingredientId.startsWith(OF_FLOUR);
  const differs = !isOwn && Math.abs(value.waterG / value.flourG - 1) > 0.15;
  const save = async () => {
    const name = value.name.trim();
    if (name === '') return setTrouble(words.dialog.needsName);
    let { ingredientId } = value;
    if (ingredientId.startsWith(OF_FLOUR)) {
      const flour = ingredientId.slice(OF_FLOUR.length);
      ingredientId = `own-${value.id.slice(0, 18)}`;
      const parts = [{ ingredientId: flour, massG: value.flourG }, { ingredientId: 'water', massG: value.waterG }];
      const done = await saving.save({ entry: { kind: 'blend', id: ingredientId, name, alsoCalled: [], source: '', role: 'starter', parts, densityGPerMl: null }, seen: 0, away: false });
      if (!done) return;
    }
    const { id: starterId, school, keepG, flourG, waterG, everyH, begunMs } = value;
    const part = { name, ingredientId, school, keepG, flourG, waterG, everyH, begunMs };
    const why = edit(was ? { type: 'change', starterId, part } : { type: 'add', starter: { id: starterId, ...part } });
    if (why !== null) return setTrouble(why);
    onClose();
  };
  return (
    <Dialog onClose={onClose} title={was ? words.dialog.change(was.name) : words.dialog.add} hint={words.dialog.hint}>
      <label htmlFor={`${id}-name`} className="block text-sm">{words.dialog.name}</label>
      <input id={`${id}-name`} type="text" value={value.name} maxLength={STARTER_LIMITS.name} onChange={(event) => put({ name: event.currentTarget.value })} className="min-h-10 w-full rounded border border-edge bg-surface px-2" />
      <label htmlFor={`${id}-what`} className="mt-3 block text-sm">{words.dialog.what}</label>
      <select id={`${id}-what`} className="min-h-10 w-full rounded border border-edge bg-surface px-2" value={value.ingredientId} onChange={(event) => put({ ingredientId: event.currentTarget.value })}>
        <optgroup label={words.dialog.known}>
          {offered.filter(isStarter).map((each) => <option key={each.id} value={each.id}>{each.name}</option>)}
        </optgroup>
        {!was && (
          <optgroup label={words.dialog.ofFlour}>
            {offered.filter(isFlour).map((each) => <option key={each.id} value={`${OF_FLOUR}${each.id}`}>{each.name}</option>)}
          </optgroup>
        )}
      </select>
      <p className="mt-3 text-sm">{words.dialog.school}</p>
      <Segmented label={words.dialog.school} value={value.school} onChange={(school) => put({ school, ...USUAL_FEED[school] })} options={SCHOOLS.map((school) => ({ value: school, label: words.school[school] }))} className="flex-col" />
      <div className="mt-3">
        {value.keepG === null ? <p className="text-sm text-soft">{words.dialog.keepAll}</p> : (
          <NumberField word={words.dialog.keep} measure="mass" name="keepG" value={value.keepG} bounds={STARTER_LIMITS.feedG} onChange={(keepG) => keepG !== null && put({ keepG })} />
        )}
        <NumberField word={words.dialog.flour} measure="mass" name="flourG" value={value.flourG} bounds={STARTER_LIMITS.feedG} onChange={(flourG) => flourG !== null && put({ flourG })} />
        <NumberField word={words.dialog.water} measure="mass" name="waterG" value={value.waterG} bounds={STARTER_LIMITS.feedG} onChange={(waterG) => waterG !== null && put({ waterG })} />
        <NumberField word={words.dialog.every} unit={words.dialog.hours} places={0} name="everyH" value={value.everyH} bounds={STARTER_LIMITS.everyH} onChange={(everyH) => everyH !== null && put({ everyH })} />
      </div>
      {differs && <p className="mt-1 text-sm text-soft">{words.dialog.differs}</p>}
      {!was && (
        <div className="mt-3">
          <Segmented label={words.dialog.already} value={value.begunMs === null ? 'already' : 'build'} onChange={(built) => put({ begunMs: built === 'build' ? nowMs : null })}
            options={[{ value: 'already', label: words.dialog.already }, { value: 'build', label: words.dialog.build }]} className="max-sm:flex-col" />
        </div>
      )}
      {(trouble ?? saving.trouble) && <p role="alert" className="mt-3 text-sm text-alarm">{trouble ?? saving.trouble}</p>}
      <Button look="strong" className="mt-4 min-h-11 px-6" disabled={saving.busy} onClick={() => void save()}>{words.dialog.save}</Button>
    </Dialog>
  );
} // prettier-ignore
