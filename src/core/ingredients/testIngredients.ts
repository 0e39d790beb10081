import type { Ingredient } from './ingredient';
import { libraryBook } from './libraryBook';
import type { OwnEntry } from './kitchenEntrySchema';

const figuresOf = ({ madeOf: _madeOf, ...figures }: Ingredient) => figures;

/** A made-up flour of the baker's own for tests: white rice flour under another name. */
export function ownFlour(id: string, name: string): OwnEntry {
  const rice = libraryBook.get('white-rice-flour');
  if (!rice) throw new Error('The library has white rice flour');
  return {
    ...figuresOf(rice),
    kind: 'own',
    id,
    name,
    alsoCalled: [],
    roles: ['flour'],
    allergens: [],
    source: '',
  };
}
