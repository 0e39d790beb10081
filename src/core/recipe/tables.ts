import type { IngredientBook } from '../ingredients/ingredientBook';
import { matchIngredient } from './match';

/** Two cells, a name and a bare number: what a spreadsheet pastes without its heading. */
const NAME_NUMBER = /^([^\t;|\d][^\t;|]*[\t;|]\s*\d+(?:[.,]\d+)?)\s*$/;
const NUMBER_NAME = /^(\d+(?:[.,]\d+)?)(\s*[\t;|]\s*[^\d\t;|][^\t;|]*)$/;

/**
 * In a table of names and bare numbers the numbers are grams: two rows of it side by side make a table. One line alone stays what it is.
 */
export function tableGrams(raw: readonly string[]): readonly string[] {
  const isRow = (line = ''): boolean => NAME_NUMBER.test(line) || NUMBER_NAME.test(line);
  return raw.map((line, index) => {
    if (!isRow(line) || !(isRow(raw[index - 1]) || isRow(raw[index + 1]))) return line;
    return line.replace(NAME_NUMBER, '$1 g').replace(NUMBER_NAME, '$1 g$2');
  });
}

/** A name and a number, no sign between: what a note on the fridge says. */
const NAME_SPACE_NUMBER = /^([\p{L}][\p{L} ,'’-]{2,40}?)\s+(\d{1,4}(?:[.,]\d)?)\s*$/u;

/** Three lines and more of ingredients with bare numbers are grams as well; an oven's 200 is no ingredient. */
export function bareGrams(raw: readonly string[], book: IngredientBook): readonly string[] {
  const isRow = raw.map((line) => {
    const name = NAME_SPACE_NUMBER.exec(line.trim())?.[1];
    return name !== undefined && matchIngredient(name, book).kind !== 'unknown';
  });
  return raw.map((line, index) => {
    let from = index;
    while (isRow[from - 1]) from -= 1;
    let to = index;
    while (isRow[to + 1]) to += 1;
    return isRow[index] && to - from >= 2 ? `${line.trimEnd()} g` : line;
  });
}
