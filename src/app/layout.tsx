import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { PREFERENCE_COOKIE, readPreferences } from '@/features/preferences/preferences';
import { EARLY_KEYS } from '@/features/shell/earlyKeys';
import './globals.css';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = {
  title: { default: words.honestCrumb, template: words.sHonestCrumb },
  description: words.forPeopleWhoBakeYeasted,
};

export const viewport: Viewport = { themeColor: '#1a2226', width: 'device-width', initialScale: 1 };

/** The frame of every answer, also of addresses that lead nowhere: nothing of any kitchen is in it, and no database is asked. */
export default async function RootLayout({ children }: { children: ReactNode }) {
  const preferences = readPreferences((await cookies()).get(PREFERENCE_COOKIE)?.value);
  // the door gives every answer a word that its scripts have to carry
  const nonce = /'nonce-([^']+)'/.exec((await headers()).get('content-security-policy') ?? '')?.[1];
  return (
    // the lamp may have been turned before the page's own code came
    <html lang="en" data-light={preferences.light} suppressHydrationWarning>
      <head>
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: EARLY_KEYS }} />
      </head>
      <body>{children}</body>
    </html>
  );
}
