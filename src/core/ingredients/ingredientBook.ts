import type { Ingredient } from './ingredient';

/** The ingredients at hand, looked up by id. A kitchen's own and overridden ones will be laid over the library. */
export type IngredientBook = ReadonlyMap<string, Ingredient>;

const fold = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/**
 * Ingredients whose name or other name holds every word typed, best first: a name that begins with the text, then
 * a name with a word that does, then other names. An empty text gives the whole book in its own order.
 */
export function searchIngredients(book: IngredientBook, text: string): Ingredient[] {
  const words = fold(text).split(' ').filter(Boolean);
  const all = [...book.values()];
  if (words.length === 0) return all;
  const whole = words.join(' ');
  const ranked = all.flatMap((ingredient, order) => {
    const name = fold(ingredient.name);
    const others = ingredient.alsoCalled.map(fold);
    const everything = [name, ...others].join(' ');
    if (!words.every((word) => everything.includes(word))) return [];
    const rank = name.startsWith(whole)
      ? 0
      : others.includes(whole)
        ? 1
        : ` ${name}`.includes(` ${whole}`)
          ? 2
          : words.every((word) => name.includes(word))
            ? 3
            : 4;
    return [{ ingredient, rank, order }];
  });
  return ranked.sort((a, b) => a.rank - b.rank || a.order - b.order).map(({ ingredient }) => ingredient);
}
