'use client';
import { useState } from 'react';
import { wallField, wallFieldMs } from '@/core/day/dayEdit';
import { EXCLUSIONS, type Exclusion } from '@/core/eaters';
import { ORDER_LIMITS, type Order } from '@/core/orders/orderDocument';
import type { OrderEdit } from '@/core/orders/orderEdit';
import type { ProblemCode } from '@/core/result';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { newUuid } from '@/ui/newUuid';
import { Segmented } from '@/ui/Segmented';
import { EXCLUSION_WORD } from '@/wording/eaters';
import { words } from '@/wording/screens/orders/orders';
import { DayToggles } from '../day/DayToggles';
import { Tick } from '../eaters/AllergenTicks';
import { usePreferences } from '../preferences/PreferencesProvider';
import { readWhole } from '../quantities/readWhole';

interface OrderDialogProps {
  readonly formulas: readonly { readonly id: string; readonly name: string }[];
  readonly nowMs: number;
  /** Answers why not; null: it is done. */
  readonly edit: (edit: OrderEdit) => ProblemCode | null;
  readonly onClose: () => void;
}

const TROUBLE = words.dialog.trouble;
const DAY_MS = 86_400_000;

/** An order is taken: for whom, what, how many, by when, without what. */
export function OrderDialog({ formulas, nowMs, edit, onClose }: OrderDialogProps) {
  const { timeZone } = usePreferences().ways;
  const [who, setWho] = useState('');
  const [formulaId, setFormulaId] = useState(formulas[0]?.id ?? '');
  const [pieces, setPieces] = useState('6');
  const [kind, setKind] = useState<Order['when']['kind']>('once');
  const [atMs, setAtMs] = useState(() => Math.ceil((nowMs + DAY_MS) / 3_600_000) * 3_600_000);
  const [days, setDays] = useState<readonly number[]>([6]);
  const [clock, setClock] = useState('08:00');
  const [avoids, setAvoids] = useState<readonly Exclusion[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const save = () => {
    const count = readWhole(pieces);
    if (!count.ok || count.value < ORDER_LIMITS.pieces.min || count.value > ORDER_LIMITS.pieces.max) return setTrouble(TROUBLE.pieces(ORDER_LIMITS.pieces.min, ORDER_LIMITS.pieces.max));
    const when: Order['when'] = kind === 'once' ? { kind, atMs } : { kind, days: [...days], clock };
    const formulaName = formulas.find(({ id }) => id === formulaId)?.name ?? '';
    const why = edit({ type: 'add', order: { id: newUuid(), who: who.slice(0, ORDER_LIMITS.who), formulaId, formulaName, pieces: count.value, avoids: [...avoids], when } });
    if (why === null) onClose();
    else setTrouble(why === 'required' || why === 'tooSmall' || why === 'tooMany' ? TROUBLE[why] : TROUBLE.other);
  };
  return (
    <Dialog onClose={onClose} title={words.dialog.title} hint={words.dialog.hint}>
      <label className="block text-sm">
        {words.dialog.who}
        <input type="text" value={who} maxLength={ORDER_LIMITS.who} onChange={(event) => setWho(event.currentTarget.value)} className="mt-1 min-h-10 w-full rounded border border-edge bg-surface px-2 text-base" />
      </label>
      <label className="mt-3 block text-sm">
        {words.dialog.what}
        <select value={formulaId} onChange={(event) => setFormulaId(event.currentTarget.value)} className="mt-1 min-h-10 w-full rounded border border-edge bg-surface px-2 text-base">
          {formulas.map(({ id, name }) => <option key={id} value={id}>{name}</option>)}
        </select>
      </label>
      <label className="mt-3 block text-sm">
        {words.dialog.pieces}
        <input type="text" inputMode="numeric" value={pieces} onChange={(event) => setPieces(event.currentTarget.value)} className="mt-1 block min-h-10 w-28 rounded border border-edge bg-surface px-2 text-base" />
      </label>
      <div className="mt-3">
        <Segmented label={words.dialog.when} value={kind} onChange={setKind} options={[{ value: 'once', label: words.dialog.once }, { value: 'weekly', label: words.dialog.weekly }]} />
      </div>
      {kind === 'once' ? (
        <label className="mt-2 flex flex-wrap items-center gap-2 text-sm">
          {words.dialog.at}
          <input type="datetime-local" step={300} value={wallField(timeZone, atMs)} className="min-h-10 rounded border border-edge bg-surface px-2"
            onChange={(event) => setAtMs(wallFieldMs(timeZone, event.target.value) ?? atMs)} />
        </label>
      ) : (
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <DayToggles label={words.dialog.days} nameOf={words.dialog.day} days={days} onChange={setDays} />
          <label className="flex items-center gap-2 text-sm">
            {words.dialog.clock}
            <input type="time" step={300} value={clock} className="min-h-10 rounded border border-edge bg-surface px-2" onChange={(event) => event.target.value && setClock(event.target.value.slice(0, 5))} />
          </label>
        </div>
      )}
      <fieldset className="mt-3">
        <legend className="text-sm">{words.dialog.avoids}</legend>
        <div className="flex flex-wrap gap-x-4">
          {EXCLUSIONS.map((each) => (
            <Tick key={each} on={avoids.includes(each)} onTick={(on) => setAvoids(on ? [...avoids, each] : avoids.filter((other) => other !== each))}>{EXCLUSION_WORD[each]}</Tick>
          ))}
        </div>
      </fieldset>
      {trouble && <p role="alert" className="mt-3 text-sm text-alarm">{trouble}</p>}
      <Button look="strong" className="mt-4 min-h-11 px-6" onClick={save}>{words.dialog.save}</Button>
    </Dialog>
  );
} // prettier-ignore
