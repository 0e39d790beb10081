import { kitchenWord } from '@/core/kit';
import {
  addressesLike,
  insertKitchen,
  kitchenByRequest,
  lockKitchens,
  type KitchenRow,
  type NewKitchen,
} from '@/db/queries/kitchens';
import type { Queryable } from '@/db/rows';

/**
 * A new kitchen with a word of its own in addresses; or the one that the same wish made before. In a transaction: two wishes at once are
 * made one after the other.
 */
export async function makeKitchen(
  db: Queryable,
  kitchen: Omit<NewKitchen, 'address'>,
): Promise<{ readonly kitchen: KitchenRow; readonly isNew: boolean }> {
  await lockKitchens(db);
  const before = kitchen.requestId ? await kitchenByRequest(db, kitchen.requestId) : null;
  if (before) return { kitchen: before, isNew: false };
  const word = kitchenWord(kitchen.details.name, []);
  const address = kitchenWord(kitchen.details.name, await addressesLike(db, word));
  return { kitchen: await insertKitchen(db, { ...kitchen, address }), isNew: true };
}
