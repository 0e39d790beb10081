'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { KitchenDetails } from '@/core/kit';
import { Button } from '@/ui/Button';
import { Reason } from '@/ui/Reason';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useZones } from '../kitchen/useZones';
import { ZoneOptions } from '../kitchen/ZoneOptions';
import { KitCard } from './KitCard';

const FIELD = 'mt-1 block min-h-10 w-full rounded-md border border-edge bg-surface px-3';

/** What the kitchen is called and by which clock it lives. Its address stays as it is. */
export function DetailsCard({ details }: { details: KitchenDetails }) {
  const router = useRouter();
  const kitchen = useKitchen();
  const { register, handleSubmit, reset, formState } = useForm({ defaultValues: details });
  const { errors, isDirty, isSubmitting } = formState;
  const [said, setSaid] = useState<string | null>(null);
  const zones = [...new Set([details.timeZone, ...useZones()])];
  const save = handleSubmit(async (typed) => {
    const next = { ...typed, name: typed.name.trim() };
    const answer = await ask(kitchen.api('/details'), next);
    setSaid(answer.kind === 'ok' ? null : 'That was not saved. Look at the name, then save again.');
    if (answer.kind !== 'ok') return;
    reset(next);
    // the name stands on other pages, and times are told by the zone
    router.refresh();
  });
  return (
    <KitCard title="Name and place">
      <form
        onSubmit={(event) => void save(event)}
        noValidate
        className="grid gap-3 border-t border-rule pt-3"
      >
        <label className="block text-sm font-semibold">
          Name
          <input
            {...register('name', { validate: (name) => name.trim() !== '' || 'Give it a name.' })}
            maxLength={80}
            autoComplete="off"
            className={FIELD}
          />
          <Reason>{errors.name?.message}</Reason>
        </label>
        <label className="block text-sm font-semibold">
          Time zone
          <select {...register('timeZone')} className={FIELD}>
            <ZoneOptions zones={zones} />
          </select>
        </label>
        <label className="block text-sm font-semibold">
          About it
          <textarea
            {...register('about')}
            maxLength={1000}
            rows={2}
            className={`${FIELD} py-2 font-normal`}
          />
        </label>
        <div className="flex flex-wrap items-center gap-3 pb-1">
          <Button type="submit" look="strong" disabled={!isDirty || isSubmitting} className="min-h-10 px-4">
            Save
          </Button>
          <Reason>{said ?? undefined}</Reason>
        </div>
      </form>
    </KitCard>
  );
}
