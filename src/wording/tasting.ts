import type { Occasion, QuestionAbout, QuestionId } from '@/core/tasting';

interface Question {
  readonly name: string;
  /** Where to look, what to do with the slice. */
  readonly how: string;
  /** What each score from 1 to 5 is. */
  readonly steps: readonly [string, string, string, string, string];
}

/** Every question of the tasting card, each score anchored in words: a 3 of one taster is a 3 of another. */
export const QUESTION_WORDS: Readonly<Record<QuestionId, Question>> = {
  height: {
    name: 'Height',
    how: 'Look at it from the side.',
    steps: ['a brick', 'low and heavy', 'risen some', 'well risen', 'as high as it can be'],
  },
  stand: {
    name: 'How it stands',
    how: 'Look at its edge.',
    steps: ['ran flat', 'spread a lot', 'spread a little', 'held its shape', 'stands round and firm'],
  },
  colourAbove: {
    name: 'Colour above',
    how: 'The top, in daylight.',
    steps: ['white', 'pale', 'golden, as meant', 'dark', 'burnt'],
  },
  colourBelow: {
    name: 'Colour beneath',
    how: 'Turn it over.',
    steps: ['white', 'pale', 'golden, as meant', 'dark', 'burnt'],
  },
  openness: {
    name: 'Openness',
    how: 'The cut face.',
    steps: ['no holes, like cake', 'fine, close holes', 'small holes', 'middling, open', 'large and open'],
  },
  evenness: {
    name: 'Evenness',
    how: 'Compare top, middle and base of the cut.',
    steps: [
      'all in one place',
      'clearly uneven',
      'some patches',
      'nearly even',
      'the same from edge to edge',
    ],
  },
  tunnels: {
    name: 'Tunnels',
    how: 'Look for long holes, and under the crust.',
    steps: [
      'a cave, the crust lifts off',
      'several tunnels',
      'one long tunnel',
      'a hint of one',
      'no tunnels',
    ],
  },
  denseLine: {
    name: 'Dense line',
    how: 'Look along the base of the cut.',
    steps: ['a thick wet band', 'a clear band', 'a thin line', 'just to be seen', 'no line'],
  },
  gumminess: {
    name: 'Gumminess',
    how: 'Press a piece of crumb together, and chew it.',
    steps: [
      'a paste that sticks to the knife',
      'sticks to the teeth',
      'a little gummy',
      'nearly clean',
      'clean and set',
    ],
  },
  moistness: {
    name: 'Moistness',
    how: 'Chew a piece from the middle.',
    steps: ['dry as sand', 'rather dry', 'moist, as meant', 'rather wet', 'wet'],
  },
  bend: {
    name: 'Bend',
    how: 'Bend a thin slice slowly.',
    steps: [
      'falls to crumbs',
      'breaks at once',
      'bends, then breaks',
      'bends well',
      'folds and springs back',
    ],
  },
  crust: {
    name: 'Crust',
    how: 'Bite through it.',
    steps: ['no crust', 'soft', 'thin and crisp', 'thick', 'hard as wood'],
  },
  flavour: {
    name: 'Flavour',
    how: 'A piece with crust and crumb.',
    steps: ['bad', 'dull', 'fine', 'good', 'so good I want more'],
  },
  aftertaste: {
    name: 'Aftertaste',
    how: 'Wait a moment after swallowing.',
    steps: ['bitter, soapy or beany', 'clear', 'a little', 'hardly any', 'clean'],
  },
  verdict: {
    name: 'Verdict',
    how: 'Whoever it is baked for.',
    steps: ['not eaten', 'eaten out of kindness', 'fine', 'gladly', 'asks for it again'],
  },
};

export const ABOUT_WORD: Readonly<Record<QuestionAbout, string>> = {
  look: 'The whole of it',
  cut: 'The cut face',
  feel: 'Hands and mouth',
  taste: 'Taste',
};

export const OCCASION_WORD: Readonly<Record<Occasion, string>> = {
  fresh: 'on the day',
  nextDay: 'the next day',
  frozen: 'after freezing',
};
