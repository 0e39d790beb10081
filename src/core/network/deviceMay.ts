import type { PairedDevice } from './pairedDevice';

/** Asked of the whole installation, and the same for everybody. */
const EVERYBODYS: ReadonlySet<string> = new Set([
  '/serviceWorker.js',
  '/manifest.webmanifest',
  '/api/health',
  '/api/news',
]);
/** Kept to the machine itself: keys, other devices, the end of a kitchen. */
const THIS_MACHINES = /^\/(?:devices|instruments\/[^/]+\/withdrawal|removal)(?:\/|$)/;
const BENCH_WRITES = /^\/bakes(?:\/[0-9a-f-]{36}\/(?:taps|photos\/[0-9a-f-]{36}))?$/;

/**
 * Whether a paired device may ask for something. It knows one kitchen; what is not of that is not there for it.
 *
 * @param asked path as it was sent, by the door's rules
 * @returns 'home': a page that is not for it, shown its own kitchen instead
 */
export function deviceMay(
  { address, may }: Pick<PairedDevice, 'address' | 'may'>,
  asked: { readonly path: string; readonly isPage: boolean; readonly writes: boolean },
): 'yes' | 'home' | 'no' {
  const { path, isPage, writes } = asked;
  if (!writes && EVERYBODYS.has(path)) return 'yes';
  const root = isPage ? `/k/${address}` : `/api/k/${address}`;
  // no address of ours needs an escaped letter, and what is compared has to be what is served
  const isInside = !path.includes('%') && (path === root || path.startsWith(`${root}/`));
  if (!isInside) return isPage && !writes ? 'home' : 'no';
  if (isPage) return writes ? 'no' : 'yes';
  const rest = path.slice(root.length);
  if (THIS_MACHINES.test(rest)) return 'no';
  if (!writes) return 'yes';
  if (may === 'all') return rest === '/instruments' ? 'no' : 'yes';
  return may === 'bench' && BENCH_WRITES.test(rest) ? 'yes' : 'no';
}
