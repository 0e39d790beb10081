import { words } from '@/wording/screens/shell/stations';

/** The main pages: each by its place within the kitchen, what it is called, and the key after g that leads to it. */
export const STATIONS = [
  { href: '/', word: words.today, key: 't' },
  { href: '/formulas', word: words.formulas, key: 'f' },
  { href: '/ingredients', word: words.ingredients, key: 'i' },
  { href: '/kit', word: words.equipment, key: 'k' },
  { href: '/bench', word: words.bench, key: 'b' },
  { href: '/logbook', word: words.logbook, key: 'l' },
] as const;

/** The second key comes within so long of the g. */
export const CHORD_MS = 1200;

/** The page a key leads to that comes in time after a g. */
export const pageOf = (key: string): string | undefined =>
  key === 'd' ? '/day' : STATIONS.find((each) => each.key === key)?.href;
