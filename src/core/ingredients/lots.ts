import type { Ingredient, Lot } from './ingredient';
import type { IngredientBook } from './ingredientBook';
import type { LotEntry } from './kitchenEntrySchema';

/** Of each ingredient the bag in use: of those that are open the one opened last, then the one written down last. */
export function openLots(lots: readonly LotEntry[]): ReadonlyMap<string, LotEntry> {
  const open = new Map<string, LotEntry>();
  for (const lot of lots) {
    const before = open.get(lot.of);
    if (lot.open && (lot.openedOn ?? '') >= (before?.openedOn ?? '')) open.set(lot.of, lot);
  }
  return open;
}

export const lotOf = ({ id, code, absorbs, vigour, openedOn, bestBefore }: LotEntry, open: boolean): Lot => ({
  id,
  name: code,
  open,
  ...(openedOn && { openedOn }),
  ...(bestBefore && { bestBefore }),
  ...(absorbs && { absorbs }),
  ...(vigour && { vigour }),
});

/**
 * How old a bag was on a day: how many days it had been open, and by how many it was past its date (below zero: before it). Null where nobody said; of
 * one that was opened later, too: it is another one by now.
 */
export function ageOfLot(
  { openedOn, bestBefore }: Pick<Lot, 'openedOn' | 'bestBefore'>,
  day: string,
): { readonly openDays: number | null; readonly pastDays: number | null } {
  const since = (from: string | undefined) =>
    from === undefined ? null : Math.round((Date.parse(day) - Date.parse(from)) / 86_400_000);
  const openDays = since(openedOn);
  return { openDays: openDays !== null && openDays >= 0 ? openDays : null, pastDays: since(bestBefore) };
}

/** What is in a bag: its kind, absorbing and as lively as that bag is known to be; null: of no bag that is told apart. */
export function fromLot(plain: Ingredient, lot: Lot | null): Ingredient {
  if (!lot) return plain;
  const { id, name, absorbs, vigour } = lot;
  // how lively another jar was says nothing of this one
  const { vigour: _, ...kind } = plain;
  const { absorption } = plain;
  const before = plain.absorbs?.value ?? 1;
  return {
    ...kind,
    lot: { id, name, plain },
    ...(vigour && { vigour }),
    ...(absorbs &&
      absorption && {
        absorption: {
          ...absorption,
          gPerG: { value: absorption.gPerG.value * absorbs.value, sd: absorption.gPerG.value * absorbs.sd },
        },
      }),
    ...(absorbs && !absorption && { absorbs: { value: before * absorbs.value, sd: before * absorbs.sd } }),
  };
}

/**
 * The book as it was for a bake: of each ingredient whose bags are told apart the bag that went in, whichever is open now.
 * @param used the bag by the ingredient; one that is no longer written down counts as none
 */
export function withLots(book: IngredientBook, used: ReadonlyMap<string, string>): IngredientBook {
  const told = [...book.values()].filter(({ lots }) => lots !== undefined);
  if (told.length === 0) return book;
  const then = new Map(book);
  for (const ingredient of told) {
    const plain = ingredient.lot?.plain ?? ingredient;
    const lotId = used.get(ingredient.id);
    then.set(ingredient.id, fromLot(plain, plain.lots?.find(({ id }) => id === lotId) ?? null));
  }
  return then;
}
