import { LOOK_AGAIN, plainPage } from './plainPage';

/**
 * The page for when there is no page: the database is away, or something of ours broke. Whole in itself, since nothing else can be
 * counted on now; it looks whether things are well again and comes back by itself.
 */
export interface Trouble {
  readonly title: string;
  readonly words: string;
  /** Looks again by itself. */
  readonly looksAgain: boolean;
}

export const TROUBLE = {
  database: {
    title: 'The database is away',
    words:
      'Your formulas and bakes are safe, but the database does not answer just now. This page looks again every two seconds and comes back by itself. What you type or tap on pages that are open stays on this device until then.',
    looksAgain: true,
  },
  full: {
    title: 'The disk is full',
    words:
      'Nothing more can be saved until there is room on the machine that serves this kitchen. What was saved is safe. This page comes back by itself.',
    looksAgain: true,
  },
  ours: {
    title: 'Something broke at our end',
    words:
      'This page could not be made. Nothing was changed or lost. The reason stands in the log of ./crumb start.',
    looksAgain: false,
  },
} as const satisfies Record<string, Trouble>;

/** @param light as the reader's cookie has it */
export function troublePage(
  { title, words, looksAgain }: Trouble,
  nonce: string,
  light: 'day' | 'dim',
): string {
  return plainPage(
    { title, words, again: 'Look again now', ...(looksAgain && { script: LOOK_AGAIN }) },
    nonce,
    light,
  );
}
