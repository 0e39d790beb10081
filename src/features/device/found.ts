/** What was found in the browser's storage, looked at by hand: these pages do without the library that reads documents. */
export const isRecord = (found: unknown): found is Readonly<Record<string, unknown>> =>
  typeof found === 'object' && found !== null && !Array.isArray(found);

export const isList = (found: unknown, most: number): found is readonly unknown[] =>
  Array.isArray(found) && found.length <= most;

export const isWithin = (found: unknown, min: number, max: number): found is number =>
  typeof found === 'number' && found >= min && found <= max;
