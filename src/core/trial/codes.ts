/** No code that means something: not the first, not the best. */
const FIRST = 101;
const COUNT = 899;

/**
 * Codes for the rungs of a ladder: three digits each, all different, the same for the same wish.
 *
 * @param from hexadecimal digits of the wish's id
 */
export function rungCodes(from: string, count: number): string[] {
  const digits = from.replace(/[^0-9a-f]/gi, '');
  const codes = new Set<number>();
  for (let at = 0; codes.size < count; at++) {
    const part = parseInt(digits.slice((3 * at) % 24, ((3 * at) % 24) + 6) || '0', 16);
    // steps of a prime over the range, so that the same part twice is another code
    codes.add(FIRST + ((part + 311 * at) % COUNT));
  }
  return [...codes].map(String);
}
