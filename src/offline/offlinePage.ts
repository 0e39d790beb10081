import { contentSecurityPolicy } from '@/door/headers';
import { LOOK_AGAIN, plainPage } from '@/door/plainPage';
import { words } from '@/wording/screens/offline/offlinePage';
import type { KeptPage } from './pageKeeper';

const NONCE = 'offline';
const MOST_LINKS = 8;

/** Titles come out of pages, where they are written as HTML already. */
const link = ({ url, title }: KeptPage): string =>
  `<li><a href="${new URL(url).pathname}">${title.replace(/ · Honest Crumb$/, '')}</a></li>`;

/** Says that a page is not on this device, and which are: the bench first, since somebody may stand at it. */
export function offlinePage(others: readonly KeptPage[], light: 'day' | 'dim'): Response {
  const isBench = ({ url }: KeptPage): boolean => new URL(url).pathname.includes('/bench/');
  const seen = new Set<string>();
  const listed = [...others]
    .sort((a, b) => Number(isBench(b)) - Number(isBench(a)))
    .filter(({ url }) => !seen.has(new URL(url).pathname) && seen.add(new URL(url).pathname))
    .slice(0, MOST_LINKS);
  const more = listed.length === 0 ? '' : `<p>${words.theseAreHere}</p><ul>${listed.map(link).join('')}</ul>`;
  const page = plainPage(
    {
      title: words.notOnThisDevice,
      words: words.theServerCantBeReached,
      more,
      again: words.lookAgain,
      script: LOOK_AGAIN,
    },
    NONCE,
    light,
  );
  return new Response(page, {
    status: 503,
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': contentSecurityPolicy(NONCE, false),
    },
  });
}
