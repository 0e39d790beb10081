/**
 * Do two documents say the same? For telling a repetition from another wish under the same id. Order of keys and a missing key against
 * an undefined one are no difference.
 */
export function sameContent(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((key) =>
    sameContent((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]),
  );
}
