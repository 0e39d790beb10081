import type { Metadata, Viewport } from 'next';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { PREFERENCE_COOKIE, readPreferences } from '@/features/preferences/preferences';
import { PreferencesProvider } from '@/features/preferences/PreferencesProvider';
import { BookProvider } from '@/features/book/BookProvider';
import { KitProvider } from '@/features/kit/KitProvider';
import { Shell } from '@/features/shell/Shell';
import { currentContext } from '@/server/context';
import { loadEntries } from '@/server/ingredients';
import { loadKit } from '@/server/kit';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Honest Crumb', template: '%s · Honest Crumb' },
  description: 'For people who bake yeasted gluten-free bread.',
};

export const viewport: Viewport = { themeColor: '#1a2226', width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const preferences = readPreferences((await cookies()).get(PREFERENCE_COOKIE)?.value);
  const context = await currentContext();
  const [kept, kit] = await Promise.all([loadEntries(context), loadKit(context)]);
  return (
    <html lang="en" data-light={preferences.light}>
      <body>
        <PreferencesProvider
          initial={preferences}
          timeZone={context.kitchen.details.timeZone}
          altitudeM={context.kitchen.details.altitudeM}
        >
          <BookProvider kept={kept}>
            <KitProvider kept={kit}>
              <Shell>{children}</Shell>
            </KitProvider>
          </BookProvider>
        </PreferencesProvider>
      </body>
    </html>
  );
}
