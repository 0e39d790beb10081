import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { PLAIN_WAYS } from '@/core/kit';
import { KitchenProvider } from '@/features/kitchen/KitchenProvider';
import { LateTimerBell } from '@/features/timers/LateTimerBell';
import { PREFERENCE_COOKIE, readPreferences } from '@/features/preferences/preferences';
import { PreferencesProvider } from '@/features/preferences/PreferencesProvider';
import { lastKitchen } from '../lastKitchen';

/** The frame of the pages before a kitchen is entered. */
export default async function DoorLayout({ children }: { children: ReactNode }) {
  const preferences = readPreferences((await cookies()).get(PREFERENCE_COOKIE)?.value);
  // a timer rings wherever somebody is, also on the way from one kitchen to another
  const last = await lastKitchen();
  return (
    <PreferencesProvider initial={preferences} ways={{ ...PLAIN_WAYS, timeZone: 'UTC' }}>
      {last && (
        <KitchenProvider address={last}>
          <LateTimerBell />
        </KitchenProvider>
      )}
      <main className="mx-auto w-full max-w-4xl px-4 py-8 sm:px-6">{children}</main>
    </PreferencesProvider>
  );
}
