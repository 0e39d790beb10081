import type { Metadata } from 'next';
import { LinkGone, LinkTaste } from '@/features/tasting/LinkTaste';
import { installation, kitchenContext } from '@/server/kitchenContext';
import { linkedBread } from '@/server/tasteLinks';
import { words } from '@/wording/screens/pages';

export const metadata: Metadata = {
  title: words.tasting,
  robots: { index: false, follow: false },
  referrer: 'no-referrer',
};

const DAY_MS = 86_400_000;

/** One card for one bread, by a link: nothing else of any kitchen is in it. */
export default async function Page({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const { pool, now } = installation();
  const at = now();
  const bread = await linkedBread(kitchenContext, pool, token, at);
  if (!bread) return <LinkGone />;
  const day = new Intl.DateTimeFormat('en-GB', { timeZone: bread.timeZone, dateStyle: 'long' }).format(bread.startedAtMs); // prettier-ignore
  const first = at.getTime() - bread.startedAtMs > DAY_MS ? 'nextDay' : 'fresh';
  return <LinkTaste token={token} name={bread.name} day={day} rungs={bread.rungs} first={first} />;
}
