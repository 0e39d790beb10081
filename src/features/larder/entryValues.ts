import {
  libraryBook, PARTS, type BagEntry, type Ingredient, type IngredientBook, type KitchenEntry, type StoredEntry,
} from '@/core/ingredients'; // prettier-ignore
import { newUuid } from '@/ui/newUuid';
import { otherNames } from './otherNames';
import { words } from '@/wording/screens/larder/entryValues';

/** What the dialog of an ingredient holds while it is being filled in. */
export interface EntryValues {
  readonly figures: Ingredient;
  readonly bag: string;
  /** The recipe that works with this bag, which another dialog writes. */
  readonly works: BagEntry['works'];
  /** As it is typed: a list made of it at each key would swallow the comma. */
  readonly also: string;
  readonly note: string;
}

/** Where it starts: from the ingredient itself, or a new one from white rice flour. */
export function startOf(id: string | null, book: IngredientBook, before?: StoredEntry): EntryValues {
  const found = book.get(id ?? 'white-rice-flour') ?? libraryBook.get('white-rice-flour');
  // what is known of the open bag alone stays that bag's
  const start = found?.lot?.plain ?? found;
  if (!start) throw new Error('The library has white rice flour');
  const figures =
    id === null
      ? { ...start, id: `own-${newUuid().slice(0, 18)}`, name: '', alsoCalled: [], madeOf: null, source: '' }
      : start;
  return {
    figures,
    bag: before?.entry.kind === 'bag' ? before.entry.bag : '',
    works: before?.entry.kind === 'bag' ? before.entry.works : undefined,
    also: figures.alsoCalled.join(', '),
    note: before && before.entry.kind !== 'lot' ? before.entry.source : '',
  };
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Only what differs from the library is a fact about the bag; the rest goes on following the library. */
function changesOf(library: Ingredient, now: Ingredient): BagEntry['changes'] {
  const keys = [
    'per100g', 'saltPer100g', 'densitySpooned', 'densityScooped', 'absorption', 'gelatinisationC', 'usualShare', 'mostShare',
    'allergens', 'gluten', 'smokePointC', 'vigour', 'absorbs',
  ] as const; // prettier-ignore
  return Object.fromEntries(
    keys.filter((key) => !same(library[key], now[key])).map((key) => [key, now[key]]),
  );
}

const figuresAlone = ({ madeOf: _madeOf, lots: _lots, lot: _lot, ...figures }: Ingredient) => figures;

export function entryOf({ figures, bag, works, also, note }: EntryValues, isBag: boolean): KitchenEntry {
  const library = libraryBook.get(figures.id);
  if (isBag && library)
    return {
      kind: 'bag',
      id: figures.id,
      bag: bag.trim(),
      source: note,
      ...(works && { works }),
      changes: changesOf(library, figures),
    };
  return {
    kind: 'own',
    ...figuresAlone(figures),
    name: figures.name.trim(),
    alsoCalled: otherNames(also),
    roles: [...figures.roles],
    allergens: [...figures.allergens],
    source: note,
  };
}

/** All parts of 100 g together, g. */
export const sumOf = ({ per100g }: Ingredient): number =>
  PARTS.reduce((total, part) => total + per100g[part].value, 0);
export const addsUp = (figures: Ingredient): boolean => Math.abs(sumOf(figures) - 100) <= 2;

/** What still stands in the way of saving it, in words. */
export function missingIn({ figures, bag }: EntryValues, isBag: boolean): string | null {
  if (isBag && bag.trim() === '') return words.sayWhichBagItIs;
  if (!isBag && figures.name.trim() === '') return words.giveItAName;
  return addsUp(figures) ? null : words.thePartsMustAddUp;
}
