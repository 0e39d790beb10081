import { BAD_SCORE, GOOD_SCORE, type SCORES_ASKED } from '@/core/bake';

/** What the screen says. */
export const words = {
  filter: (count: number) => (count === 0 ? 'Filter' : `Filter (${count})`),
  since: 'From day',
  until: 'To day',
  scores: 'Score',
  anyScore: 'Any score',
  score: (asked: (typeof SCORES_ASKED)[number]) => {
    const [name, how] = asked.split('.');
    return how === 'good' ? `${name} ${GOOD_SCORE} or more` : `${name} ${BAD_SCORE} or less`;
  },
  tellsOf: 'With',
  anything: 'Anything in it',
  told: { cut: 'A photograph of the cut', rise: 'How it rose', feel: 'How the dough felt' },
  clear: 'Clear filters',
} as const;
