'use client';
import { Radio } from 'lucide-react';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import {
  INSTRUMENT_KINDS,
  INSTRUMENT_LIMITS,
  SCALE_STEPS_G,
  type InstrumentKind,
} from '@/core/instrument/instrumentKinds';
import type { ShownInstrument } from '@/core/instrument/shownInstrument';
import { Button } from '@/ui/Button';
import { newUuid } from '@/ui/newUuid';
import { Reason } from '@/ui/Reason';
import { INSTRUMENT_WORD } from '@/wording/instruments';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/kit/KitInstruments';
import { ask } from '../asking/ask';
import { useNow } from '../clock/useNow';
import { KitchenInstruments, useInstrumentBoard, useInstruments } from '../instruments/InstrumentsProvider';
import { useKitchen } from '../kitchen/KitchenProvider';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { KitCard } from './KitCard';
import { RemoveButton } from './KitRow';

/** A key that nobody guesses, in letters that a configuration file takes. */
function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(32));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/, '');
}

/** Scales and thermometers that tell by themselves: what each shows, one more, and away with one. */
export const KitInstruments = () => (
  <KitchenInstruments>
    <Card />
  </KitchenInstruments>
);

function Card() {
  const instruments = useInstruments();
  const board = useInstrumentBoard();
  const kitchen = useKitchen();
  const [trouble, setTrouble] = useState<string | null>(null);
  const again = async () => {
    const answer = await ask<{ instruments: readonly ShownInstrument[]; nowMs: number }>(
      kitchen.api('/instruments'),
    );
    if (answer.kind === 'ok') board.put(answer.value.instruments);
  };
  const withdraw = async (id: string) => {
    const answer = await ask(kitchen.api(`/instruments/${id}/withdrawal`), {});
    setTrouble(answer.kind === 'ok' ? null : words.notWithdrawn);
    await again();
  };
  return (
    <KitCard title={words.title}>
      <p className="mb-2 text-sm text-soft">{words.what}</p>
      {instruments.map((each) => (
        <One key={each.id} instrument={each} onWithdraw={() => void withdraw(each.id)} />
      ))}
      <Reason>{trouble ?? undefined}</Reason>
      <Add onAdded={() => void again()} />
    </KitCard>
  );
}

function One({ instrument, onWithdraw }: { instrument: ShownInstrument; onWithdraw: () => void }) {
  const units = useUnits();
  const time = useKitchenTime();
  const board = useInstrumentBoard();
  // silence is told by nobody
  useNow(0, 0);
  const { name, kind, last } = instrument;
  const shows = board.shows(instrument);
  const figure = (value: number) => (kind === 'scale' ? units.mass(value) : units.temperature(value));
  return (
    <div role="group" aria-label={name} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t-2 border-rule py-2">
      <span className="min-w-32 flex-1"><strong>{name}</strong><span className="block text-sm text-soft">{INSTRUMENT_WORD[kind]}</span></span>
      <span className="text-right" data-testid="shows">
        {shows ? (
          <span className="figure text-2xl">{shows.state === 'overload' ? words.overload : shows.state === 'fault' ? words.fault : figure(shows.value)}</span>
        ) : (
          <span className="text-sm text-soft">{last ? words.silentSince(figure(last.value), `${time.day(last.atMs)} ${time.clock(last.atMs)}`) : words.nothingYet}</span>
        )}
      </span>
      <RemoveButton name={name} onRemove={onWithdraw} />
    </div>
  );
} // prettier-ignore

interface Typed {
  name: string;
  kind: InstrumentKind;
  stepG: string;
}

/** One more; its key is shown once. */
function Add({ onAdded }: { onAdded: () => void }) {
  const kitchen = useKitchen();
  const { preferences } = usePreferences();
  const units = useUnits();
  const { register, handleSubmit, reset, formState, control } = useForm<Typed>({ defaultValues: { name: '', kind: 'scale', stepG: '1' } });
  // sent again after a dead network it is the same wish, with the same key
  const [wish, setWish] = useState(() => ({ requestId: newUuid(), key: newKey() }));
  const isScale = useWatch({ control, name: 'kind' }) === 'scale';
  const [trouble, setTrouble] = useState<string | null>(null);
  const [made, setMade] = useState<{ readonly name: string; readonly key: string } | null>(null);
  const save = handleSubmit(async ({ name, kind, stepG: typedG }) => {
    const stepG = kind === 'scale' ? Number(typedG) : null;
    const answer = await ask<{ id: string }>(kitchen.api('/instruments'), { ...wish, name: name.trim(), kind, stepG });
    const problem = answer.kind === 'invalid' ? answer.problems[0] : undefined;
    setTrouble(answer.kind === 'ok' ? null : problem ? wordProblem(problem, preferences) : words.notAdded);
    // something else under this wish: the next press is a wish of its own
    if (answer.kind === 'refused') setWish({ requestId: newUuid(), key: newKey() });
    if (answer.kind !== 'ok') return;
    setMade({ name: name.trim(), key: wish.key });
    setWish({ requestId: newUuid(), key: newKey() });
    reset();
    onAdded();
  });
  return (
    <form onSubmit={(event) => void save(event)} noValidate className="mt-2 border-t-2 border-rule pt-3">
      <div className="flex flex-wrap items-end gap-2">
        <label className="min-w-40 flex-1 text-sm font-semibold">
          {words.name}
          <input {...register('name', { validate: (text) => text.trim() !== '' || words.giveItAName })} maxLength={INSTRUMENT_LIMITS.name} autoComplete="off" placeholder={words.forExample}
            className="mt-1 block min-h-10 w-full rounded-md border border-edge bg-surface px-3 font-normal" />
        </label>
        <label className="text-sm font-semibold">
          {words.kind}
          <select {...register('kind')} className="mt-1 block min-h-10 rounded-md border border-edge bg-surface px-3 font-normal">
            {INSTRUMENT_KINDS.map((kind) => <option key={kind} value={kind}>{INSTRUMENT_WORD[kind]}</option>)}
          </select>
        </label>
        {isScale && (
          <label className="text-sm font-semibold">
            {words.stepsOf}
            <select {...register('stepG')} className="mt-1 block min-h-10 rounded-md border border-edge bg-surface px-3 font-normal">
              {SCALE_STEPS_G.map((stepG) => <option key={stepG} value={stepG}>{units.mass(stepG)}</option>)}
            </select>
          </label>
        )}
        <Button type="submit" look="strong" disabled={formState.isSubmitting}><Radio size={16} aria-hidden />{words.add}</Button>
      </div>
      <Reason>{formState.errors.name?.message ?? trouble ?? undefined}</Reason>
      {made && (
        <div role="status" className="mt-3 rounded-md border-2 border-now p-3" data-testid="instrument-key">
          <p className="font-semibold">{words.keyOf(made.name)}</p>
          <p className="mt-1 font-mono text-sm break-all select-all">{made.key}</p>
          <p className="mt-2 text-sm text-soft">{words.keyOnce}</p>
          <Button className="mt-2" onClick={() => setMade(null)}>{words.haveIt}</Button>
        </div>
      )}
    </form>
  );
} // prettier-ignore
