'use client';
import { Smartphone } from 'lucide-react';
import { useCallback, useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import {
  DEVICE_LIMITS,
  DEVICE_MAY,
  type DeviceMay,
  type NetworkPlace,
  type ShownDevice,
} from '@/core/network/pairedDevice';
import { Button } from '@/ui/Button';
import { Reason } from '@/ui/Reason';
import { wordProblem } from '@/wording/problems';
import { words } from '@/wording/screens/kit/KitDevices';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { useKitchenTime } from '../preferences/time';
import { KitCard } from './KitCard';
import { RemoveButton } from './KitRow';

interface Known {
  readonly devices: readonly ShownDevice[];
  readonly network: NetworkPlace | null;
}

/** Who of the network is let in: how to come, the devices that are paired, one more, and away with one. */
export function KitDevices() {
  const kitchen = useKitchen();
  const [known, setKnown] = useState<Known | 'elsewhere' | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const again = useCallback(async () => {
    const answer = await ask<Known>(kitchen.api('/devices'));
    if (answer.kind === 'ok') setKnown(answer.value);
    else if (answer.kind === 'refused') setKnown('elsewhere');
  }, [kitchen]);
  useEffect(() => {
    void (async () => again())();
  }, [again]);
  const withdraw = async (id: string) => {
    const answer = await ask(kitchen.api(`/devices/${id}/withdrawal`), {});
    setTrouble(answer.kind === 'ok' ? null : words.notWithdrawn);
    await again();
  };
  if (known === null) return null;
  if (known === 'elsewhere' || (known.network === null && known.devices.length === 0)) {
    return (
      <KitCard title={words.title}>
        <p className="text-sm text-soft">{known === 'elsewhere' ? words.elsewhere : words.closed}</p>
      </KitCard>
    );
  }
  const { devices, network } = known;
  return (
    <KitCard title={words.title}>
      <p className="mb-2 text-sm text-soft">{network ? words.what : words.closed}</p>
      {network && <Place network={network} />}
      {devices.map((each) => (
        <One key={each.id} device={each} onWithdraw={() => void withdraw(each.id)} />
      ))}
      <Reason>{trouble ?? undefined}</Reason>
      {network && <Add onAdded={() => void again()} />}
    </KitCard>
  );
}

function Place({ network: { addresses, fingerprint } }: { network: NetworkPlace }) {
  return (
    <div className="mb-3 text-sm">
      <p>{words.addresses}</p>
      {addresses.map((each) => (
        <p key={each} className="text-lg font-semibold break-all select-all">
          {each}
        </p>
      ))}
      <p className="mt-2 text-soft">{words.fingerprint}</p>
      <p className="font-mono text-xs break-all select-all" data-testid="fingerprint">
        {fingerprint}
      </p>
    </div>
  );
}

function One({ device, onWithdraw }: { device: ShownDevice; onWithdraw: () => void }) {
  const time = useKitchenTime();
  const { name, may, pairedAtMs, seenAtMs } = device;
  return (
    <div role="group" aria-label={name} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t-2 border-rule py-2">
      <span className="min-w-32 flex-1">
        <strong>{name}</strong>
        <span className="block text-sm text-soft">{words.may[may]}</span>
      </span>
      <span className="text-right text-sm text-soft">
        {words.paired(time.day(pairedAtMs))}
        <span className="block">{words.seen(seenAtMs === null ? null : time.dayAndClock(seenAtMs))}</span>
      </span>
      <RemoveButton name={name} onRemove={onWithdraw} />
    </div>
  );
} // prettier-ignore

interface Made {
  readonly name: string;
  readonly code: string;
  readonly expiresAtMs: number;
}

/** A code for one more. */
function Add({ onAdded }: { onAdded: () => void }) {
  const kitchen = useKitchen();
  const { preferences } = usePreferences();
  const time = useKitchenTime();
  const { register, handleSubmit, reset, formState } = useForm<{ name: string; may: DeviceMay }>({ defaultValues: { name: '', may: 'bench' } });
  const [trouble, setTrouble] = useState<string | null>(null);
  const [made, setMade] = useState<Made | null>(null);
  const save = handleSubmit(async ({ name, may }) => {
    const answer = await ask<Omit<Made, 'name'>>(kitchen.api('/devices'), { name: name.trim(), may });
    const problem = answer.kind === 'invalid' ? answer.problems[0] : undefined;
    setTrouble(answer.kind === 'ok' ? null : problem ? wordProblem(problem, preferences) : words.noCode);
    if (answer.kind !== 'ok') return;
    setMade({ name: name.trim(), ...answer.value });
    reset();
  });
  return (
    <form onSubmit={(event) => void save(event)} noValidate className="mt-2 border-t-2 border-rule pt-3">
      <div className="flex flex-wrap items-end gap-2">
        <label className="min-w-40 flex-1 text-sm font-semibold">
          {words.name}
          <input {...register('name', { validate: (text) => text.trim() !== '' || words.giveItAName })} maxLength={DEVICE_LIMITS.name} autoComplete="off" placeholder={words.forExample}
            className="mt-1 block min-h-10 w-full rounded-md border border-edge bg-surface px-3 font-normal" />
        </label>
        <label className="text-sm font-semibold">
          {words.mayWhat}
          <select {...register('may')} className="mt-1 block min-h-10 max-w-full rounded-md border border-edge bg-surface px-3 font-normal">
            {DEVICE_MAY.map((may) => <option key={may} value={may}>{words.may[may]}</option>)}
          </select>
        </label>
        <Button type="submit" look="strong" disabled={formState.isSubmitting}><Smartphone size={16} aria-hidden />{words.getCode}</Button>
      </div>
      <Reason>{formState.errors.name?.message ?? trouble ?? undefined}</Reason>
      {made && (
        <div role="status" className="mt-3 rounded-md border-2 border-now p-3" data-testid="pairing-code">
          <p className="font-semibold">{words.codeFor(made.name)}</p>
          <p className="figure mt-1 text-5xl select-all">{made.code.slice(0, 4)} {made.code.slice(4)}</p>
          <p className="mt-2 text-sm text-soft">{words.goodUntil(time.clock(made.expiresAtMs))}</p>
          <Button className="mt-2" onClick={() => { setMade(null); onAdded(); }}>{words.haveIt}</Button>
        </div>
      )}
    </form>
  );
} // prettier-ignore
