import { PREFERENCE_COOKIE, readPreferences, writePreferences } from '../preferences/preferences';
import { CHORD_MS, STATIONS } from './stations';

/**
 * The lamp and the ways to the pages, before the page's own code is there: a script of the document's first kilobyte, so that at four in the
 * morning the light goes down at the first press. It steps back as soon as the page answers itself. As text, because it must run before
 * anything is fetched; what it does is what the frame does (`Shell.tsx`), and one test holds both.
 */
export const EARLY_KEYS = `(() => {
  const COOKIE = ${JSON.stringify(PREFERENCE_COOKIE)}, DEFAULTS = ${JSON.stringify(writePreferences(readPreferences(undefined)).split('.'))}, PAGES = ${JSON.stringify(Object.fromEntries(STATIONS.map(({ key, href }) => [key, href])))};
  let g = -1e9;
  const onKey = (event) => {
    if (document.querySelector('main[data-awake="true"]')) return removeEventListener('keydown', onKey);
    const { key, target, timeStamp } = event;
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (target instanceof Element && target.closest('input, textarea, select, [contenteditable]')) return;
    const found = document.cookie.match(new RegExp('(?:^|; )' + COOKIE + '=([^;]*)'));
    const parts = found ? found[1].split('.') : DEFAULTS;
    if (parts[5] === 'off') return;
    if (key === 'D') {
      parts[0] = document.documentElement.dataset.light === 'dim' ? 'day' : 'dim';
      document.documentElement.dataset.light = parts[0];
      document.cookie = COOKIE + '=' + parts.join('.') + ';path=/;max-age=31536000;samesite=strict';
    } else if (key === 'g') g = timeStamp;
    else if (timeStamp - g < ${CHORD_MS} && key in PAGES) {
      const kitchen = location.pathname.match(/^\\/k\\/[^/]+/);
      if (kitchen) location.assign(kitchen[0] + PAGES[key]);
    }
  };
  addEventListener('keydown', onKey);
})();`;
