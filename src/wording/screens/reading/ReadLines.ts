import type { LineRole } from '@/core/recipe';

const roles: Readonly<Record<LineRole, string>> = {
  title: 'Title',
  heading: 'Heading',
  yield: 'What it makes',
  ingredient: 'Ingredient',
  step: 'Method',
  note: 'Note',
};

/** What the screen says. */
export const words = {
  savedInAboutIt: 'Saved in “about it”',
  theFileAlsoSaysA: (join: string) => `The file also says ${join}: a formula has no place for that.`,
  everyLine: 'Every line, and what it was taken for',
  roles,
  lineIs: (number: number) => `Line ${number} is`,
} as const;
