/**
 * How a cell begins that a spreadsheet would run: one of `= + - @`, also in full width, after any blanks that it drops (no-break, zero
 * width, byte order mark among them), or a tab or return.
 */
const RUNS =
  /^(?:[\s\u00ad\u180e\u200b-\u200f\u2028-\u202f\u205f-\u2064\u3000\ufeff]*[=+\-@\uff1d\uff0b\uff0d\uff20\u2212]|[\t\r])/;

export const isRun = (text: string): boolean => RUNS.test(text);

/** A text a spreadsheet would take for a formula is marked as text, the way spreadsheets themselves do it. One that is marked already is marked once more, so that it comes back as it was. */
export const asText = (text: string): string => (isRun(text) || /^'+/.test(text) ? `'${text}` : text);
export const fromText = (text: string): string => (text.startsWith("'") ? text.slice(1) : text);
