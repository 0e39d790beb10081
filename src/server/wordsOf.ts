const MOST_WORDS = 6;

/** The words of what somebody looks for: letters and figures, nothing else. */
export const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .slice(0, 200)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .slice(0, MOST_WORDS);
