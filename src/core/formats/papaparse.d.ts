/** The two calls of papaparse that the core makes: text to rows and back. Its own types would bring the DOM's with them. */
declare module 'papaparse' {
  interface Parsed {
    readonly data: string[][];
    readonly meta: { readonly delimiter: string };
    readonly errors: readonly { readonly code: string; readonly row?: number }[];
  }
  const papa: {
    parse(
      text: string,
      options: {
        skipEmptyLines?: 'greedy';
        preview?: number;
        delimiter?: string;
        delimitersToGuess?: readonly string[];
      },
    ): Parsed;
    unparse(rows: readonly (readonly (string | number)[])[], options: { newline: string }): string;
  };
  export default papa;
}
