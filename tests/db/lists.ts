import { bakesUnderWay, logbook } from '@/server/bakes';
import type { Context } from '@/server/context';
import { loadShelf } from '@/server/shelf';

/** The first page of each list with nothing asked for. */
export const ended = (here: Context) =>
  logbook(here, { formulaId: null, words: [], again: null, order: 'newest' as const, after: null, most: 50 });
export const underWay = (here: Context) => bakesUnderWay(here, { after: null, most: 50 });
export const shelf = (here: Context, archived = false) =>
  loadShelf(here, { words: [], style: null, archived, order: 'name' as const, after: null, most: 50 });
