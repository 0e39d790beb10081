import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { PLAIN_WAYS } from '@/core/kit';
import { PREFERENCE_COOKIE, readPreferences } from '@/features/preferences/preferences';
import { PreferencesProvider } from '@/features/preferences/PreferencesProvider';

/** The frame of the pages before a kitchen is entered. */
export default async function DoorLayout({ children }: { children: ReactNode }) {
  const preferences = readPreferences((await cookies()).get(PREFERENCE_COOKIE)?.value);
  return (
    <PreferencesProvider initial={preferences} ways={{ ...PLAIN_WAYS, timeZone: 'UTC' }}>
      <main className="mx-auto w-full max-w-4xl px-4 py-8 sm:px-6">{children}</main>
    </PreferencesProvider>
  );
}
