import type { ScoreAsked } from '@/core/bake';

/** What the screen says. */
export const words = {
  filter: (count: number) => (count === 0 ? 'Filter' : `Filter (${count})`),
  since: 'From day',
  until: 'To day',
  scores: 'Score',
  anyScore: 'Any score',
  score: ({ name, least, most }: ScoreAsked) =>
    least === null ? `${name} ${most} or less` : `${name} ${least} or more`,
  tellsOf: 'With',
  anything: 'Anything in it',
  told: { cut: 'A photograph of the cut', rise: 'How it rose', feel: 'How the dough felt' },
  clear: 'Clear filters',
} as const;
