import { LRUCache } from 'lru-cache';
import { sparingBook, type IngredientBook, type StoredEntry } from '@/core/ingredients';
import { listEntries } from '@/db/queries/ingredients';
import type { Queryable } from '@/db/rows';

/** What a kitchen has of its own in the book, the book with it, and a word that changes whenever any of it does. */
export interface Larder {
  readonly entries: readonly StoredEntry[];
  readonly book: IngredientBook;
  readonly signature: string;
}

/** Entries are never rewritten, so a book made of the same versions is the same book. */
const books = new LRUCache<string, IngredientBook>({ max: 50 });

/** The larder, asked of the database when first needed, and once. */
export function larderOf(db: Queryable, kitchen: { id: string; epoch: string }): () => Promise<Larder> {
  let larder: Promise<Larder> | null = null;
  return () => (larder ??= loadLarder(db, kitchen));
}

async function loadLarder(db: Queryable, { id, epoch }: { id: string; epoch: string }): Promise<Larder> {
  const entries = await listEntries(db, id);
  const signature = entries.map((entry) => `${entry.id}.${entry.version}.${entry.away}`).join(' ');
  const key = `${epoch} ${id} ${signature}`;
  const book = books.get(key) ?? sparingBook(entries).book;
  books.set(key, book);
  return { entries, book, signature };
}
