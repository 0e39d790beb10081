'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { pairingSchema } from '@/core/network/pairedDevice';
import { KEPT_PAGES } from '@/offline/keptName';
import { Button, buttonClass } from '@/ui/Button';
import { Reason } from '@/ui/Reason';
import { words } from '@/wording/screens/kit/KitDevices';
import { ask } from '../asking/ask';

/** Pages that were kept here are of a kitchen that this device may not look at (any more); what waits to be sent stays. */
async function forgetPages(): Promise<void> {
  if (typeof caches === 'undefined') return;
  const names = await caches.keys();
  await Promise.all(names.filter((name) => name.startsWith(KEPT_PAGES)).map((name) => caches.delete(name)));
}

/** The code of eight digits, and then the kitchen. @param isNeeded false: on the machine itself */
export function PairPage({ isNeeded }: { isNeeded: boolean }) {
  const { register, handleSubmit, formState } = useForm({ defaultValues: { code: '' } });
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    if (isNeeded) void forgetPages();
  }, [isNeeded]);
  const pair = handleSubmit(async ({ code }) => {
    const answer = await ask<{ address: string }>('/api/pairing', { code });
    if (answer.kind !== 'ok') return setTrouble(answer.kind === 'invalid' ? words.wrongCode : words.tooFast);
    router.push(`/k/${answer.value.address}`);
  });
  return (
    <main className="mx-auto mt-10 w-full max-w-lg px-4">
      <div className="docket rounded-b-md p-6">
        <h1 className="text-3xl">{words.pair}</h1>
        {isNeeded ? (
          <form onSubmit={(event) => void pair(event)} noValidate>
            <p className="mt-2 text-soft">{words.pairWhat}</p>
            <label className="mt-4 block text-lg font-semibold">
              {words.code}
              <input
                {...register('code', { validate: (code) => pairingSchema.safeParse({ code }).success || words.eightDigits })}
                inputMode="numeric"
                autoComplete="one-time-code"
                maxLength={12}
                autoFocus
                aria-invalid={!!formState.errors.code}
                className="figure mt-1 block min-h-16 w-full rounded-lg border border-edge bg-surface px-4 text-5xl"
              />
            </label>
            <Reason>{formState.errors.code?.message ?? trouble ?? undefined}</Reason>
            <Button type="submit" look="now" size="bench" className="mt-4 w-full" disabled={formState.isSubmitting}>
              {words.pair}
            </Button>
          </form>
        ) : (
          <>
            <p className="mt-2 text-soft">{words.notNeeded}</p>
            <Link href="/" className={buttonClass('strong', 'table', 'mt-4')}>
              {words.toTheKitchen}
            </Link>
          </>
        )}
      </div>
    </main>
  );
} // prettier-ignore
