const MOST = 30;

/**
 * A kitchen's word in addresses: what is left of its name in plain letters and figures, and a number where that is taken.
 * @param taken words that other kitchens have
 * @example kitchenWord('Süße Mühle', ['susse-muhle']) is 'susse-muhle-2'
 */
export function kitchenWord(name: string, taken: readonly string[]): string {
  const plain = name
    .normalize('NFKD')
    .replaceAll('ß', 'ss')
    .toLowerCase()
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, MOST)
    .replace(/^-+|-+$/g, '');
  const word = plain || 'kitchen';
  if (!taken.includes(word)) return word;
  let number = 2;
  while (taken.includes(`${word}-${number}`)) number++;
  return `${word}-${number}`;
}
