import { kitchenEntrySchema } from './kitchenEntrySchema';
import { kitchenBook, libraryBook, PARTS } from '.';
import { ownThing } from './ownThing';

const told = { id: 'own-chutney', name: ' Plum chutney ', allergens: ['sulphites', 'mustard'], gluten: 'crossContactCommon' } as const; // prettier-ignore

test('a thing of which only the name is known may be saved, is in the book, and says whom it is not for; its figures say how unsure they are', () => {
  for (const like of [null, ...['crushed-tomatoes', 'jam', 'hard-cheese', 'mixed-seeds', 'salami'].map((id) => libraryBook.get(id)!)]) {
    const entry = ownThing({ ...told, like });
    expect(kitchenEntrySchema.safeParse(entry).success).toBe(true);
    const book = kitchenBook([{ id: entry.id, version: 1, away: false, entry }]);
    expect(book.ok && book.value.get('own-chutney')).toMatchObject({ name: 'Plum chutney', allergens: ['sulphites', 'mustard'], gluten: 'crossContactCommon', absorption: null });
    const sum = PARTS.reduce((all, part) => all + entry.per100g[part].value, 0);
    expect(Math.abs(sum - 100)).toBeLessThan(1.5);
    expect(entry.per100g.water.sd).toBeGreaterThanOrEqual(0.25 * (like?.per100g.water.value ?? 0));
  }
  const { per100g } = ownThing({ ...told, like: libraryBook.get('jam')! });
  expect(per100g.sugars.value).toBe(libraryBook.get('jam')!.per100g.sugars.value);
  expect(ownThing({ ...told, like: null }).per100g.fat).toEqual({ value: 12, sd: 12 });
}); // prettier-ignore
