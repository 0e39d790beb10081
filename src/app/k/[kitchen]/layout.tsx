import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { MAY_HEADER } from '@/core/network/deviceKey';
import { DEVICE_MAY } from '@/core/network/pairedDevice';
import { KitchenProvider } from '@/features/kitchen/KitchenProvider';
import { PREFERENCE_COOKIE, readPreferences } from '@/features/preferences/preferences';
import { PreferencesProvider } from '@/features/preferences/PreferencesProvider';
import { Shell } from '@/features/shell/Shell';
import { kitchenOf, type KitchenParams } from './kitchenOf';

/** The frame of every page of a kitchen, with its time of day. */
export default async function KitchenLayout({ children, params }: KitchenParams & { children: ReactNode }) {
  const preferences = readPreferences((await cookies()).get(PREFERENCE_COOKIE)?.value);
  const { kitchen } = await kitchenOf(params);
  const { timeZone, clockFace, decimalMark, weekStart, eaters, people } = kitchen.details;
  const told = (await headers()).get(MAY_HEADER);
  // this machine's own pages say nothing of it
  const may = DEVICE_MAY.find((each) => each === told) ?? 'all';
  const ways = { timeZone, clockFace, decimalMark, weekStart };
  return (
    <PreferencesProvider initial={preferences} ways={ways}>
      <KitchenProvider address={kitchen.address} eaters={eaters} people={people} may={may}>
        <Shell name={kitchen.details.name}>{children}</Shell>
      </KitchenProvider>
    </PreferencesProvider>
  );
}
