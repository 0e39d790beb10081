import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { PREFERENCE_COOKIE, readPreferences } from '@/features/preferences/preferences';
import { PreferencesProvider } from '@/features/preferences/PreferencesProvider';
import { BookProvider } from '@/features/book/BookProvider';
import { KitProvider } from '@/features/kit/KitProvider';
import { Shell } from '@/features/shell/Shell';
import { currentContext } from '@/server/context';
import { siftLarder } from '@/server/ingredients';
import { loadKit } from '@/server/kit';

/** What every page of a kitchen has at hand: its ingredients, its kit, its time of day. */
export default async function KitchenLayout({ children }: { children: ReactNode }) {
  const preferences = readPreferences((await cookies()).get(PREFERENCE_COOKIE)?.value);
  const context = await currentContext();
  const [{ kept }, kit] = await Promise.all([siftLarder(context), loadKit(context)]);
  return (
    <PreferencesProvider initial={preferences} timeZone={context.kitchen.details.timeZone}>
      <BookProvider kept={kept}>
        <KitProvider kept={kit}>
          <Shell>{children}</Shell>
        </KitProvider>
      </BookProvider>
    </PreferencesProvider>
  );
}
