import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { KitchenProvider } from '@/features/kitchen/KitchenProvider';
import { PREFERENCE_COOKIE, readPreferences } from '@/features/preferences/preferences';
import { PreferencesProvider } from '@/features/preferences/PreferencesProvider';
import { Shell } from '@/features/shell/Shell';
import { kitchenOf, type KitchenParams } from './kitchenOf';

/** The frame of every page of a kitchen, with its time of day. */
export default async function KitchenLayout({ children, params }: KitchenParams & { children: ReactNode }) {
  const preferences = readPreferences((await cookies()).get(PREFERENCE_COOKIE)?.value);
  const { kitchen } = await kitchenOf(params);
  const { timeZone, clockFace, decimalMark, weekStart, eaters } = kitchen.details;
  const ways = { timeZone, clockFace, decimalMark, weekStart };
  return (
    <PreferencesProvider initial={preferences} ways={ways}>
      <KitchenProvider address={kitchen.address} eaters={eaters}>
        <Shell name={kitchen.details.name}>{children}</Shell>
      </KitchenProvider>
    </PreferencesProvider>
  );
}
