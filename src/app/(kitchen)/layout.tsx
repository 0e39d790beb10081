import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { PREFERENCE_COOKIE, readPreferences } from '@/features/preferences/preferences';
import { PreferencesProvider } from '@/features/preferences/PreferencesProvider';
import { Shell } from '@/features/shell/Shell';
import { currentContext } from '@/server/currentContext';

/** The frame of every page of a kitchen, with its time of day. */
export default async function KitchenLayout({ children }: { children: ReactNode }) {
  const preferences = readPreferences((await cookies()).get(PREFERENCE_COOKIE)?.value);
  const { kitchen } = await currentContext();
  return (
    <PreferencesProvider initial={preferences} timeZone={kitchen.details.timeZone}>
      <Shell>{children}</Shell>
    </PreferencesProvider>
  );
}
