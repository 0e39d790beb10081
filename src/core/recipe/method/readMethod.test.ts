import fc from 'fast-check';
import { methodStepSchema, STEP_LIMITS } from '../../method';
import { readAs } from '../../readAs';
import { libraryBook } from '../../ingredients';
import { matchIngredient } from '..';
import { heatContradictions } from './contradictions';
import { sentencesOf } from './clauses';
import { readMethod } from './readMethod';

const ids = () => {
  let next = 0;
  return () => `n${next++}`;
};
const readSteps = (text: string, newId: () => string) => readMethod([{ text, aside: false }], newId).steps;
const steps = (text: string) =>
  readSteps(text, ids()).map(({ kind, minS, maxS, tempC }) => [kind, minS, maxS, tempC]);

test('butter, oil and flour are things and deeds: behind an abbreviation no sentence begins', () => {
  expect(
    sentencesOf('stir in 2 tbsp. butter and approx. cool water. mix 8 min. rest at room temp. bake'),
  ).toEqual(['stir in 2 tbsp. butter and approx. cool water.', 'mix 8 min.', 'rest at room temp.', 'bake']);
});

test.each([
  ['Whisk the flours together.', [['mix', null, null, null]]],
  ['Preheat the oven to 230 °C.', [['preheat', null, null, 230]]],
  ['Heat the oven to 450 °F with the stone in it.', [['preheat', null, null, 232]]],
  ['Let it rest for 30 minutes.', [['rest', 1800, null, null]]],
  ['Let it rise 1 to 1½ hours until doubled.', [['bulk', 3600, 5400, null]]],
  ['Proof 45-60 min at 30 °C.', [['proof', 2700, 3600, 30]]],
  ['Bake for 1 hour and 10 minutes.', [['bake', 4200, null, null]]],
  ['Boil for 45 seconds each side.', [['boil', 45, null, null]]],
  ['Deep-fry at 165 °C for 6 minutes.', [['fry', 360, null, 165]]],
  ['Refrigerate overnight.', [['chill', 28_800, 43_200, null]]],
  ['Cool on a rack for 2 hours before slicing.', [['cool', 7200, null, null]]],
  ['Divide into eight.', [['divide', null, null, null]]],
  ['Sing to it.', [['free', null, null, null]]],
  [
    'mix 8 min. rest at room temp. bake 40 min',
    [
      ['mix', 480, null, null],
      ['rest', null, null, null],
      ['bake', 2400, null, null],
    ],
  ],
  [
    'Mix 5 minutes. Rest 20 minutes. Bake 40 minutes at 220 °C.',
    [
      ['mix', 300, null, null],
      ['rest', 1200, null, null],
      ['bake', 2400, null, 220],
    ],
  ],
  [
    'Bake at 200 °C for 1 hour, then cool for 2 hours.',
    [
      ['bake', 3600, null, 200],
      ['cool', 7200, null, null],
    ],
  ],
  [
    'Bake 20 minutes at 235 °C with the lid on; then 40 minutes at 210 °C.',
    [
      ['bake', 1200, null, 235],
      ['bake', 2400, null, 210],
    ],
  ],
  [
    'Let it stand for 15 minutes and then scrape it into a tin.',
    [
      ['rest', 900, null, null],
      ['shape', null, null, null],
    ],
  ],
  [
    'Bake 20 minutes at 235 °C covered and 40 minutes at 210 °C uncovered.',
    [
      ['bake', 1200, null, 235],
      ['bake', 2400, null, 210],
    ],
  ],
  [
    'Mix 2 minutes on low, 4 minutes on high.',
    [
      ['mix', 120, null, null],
      ['mix', 240, null, null],
    ],
  ],
  [
    'Rest 10 minutes and bake 40-45 minutes.',
    [
      ['rest', 600, null, null],
      ['bake', 2400, 2700, null],
    ],
  ],
  [
    'Bake 20 minutes with the lid on and another 25 minutes or until golden.',
    [
      ['bake', 1200, null, null],
      ['bake', 1500, null, null],
    ],
  ],
  ['Bake 40 + 30 minutes at 200 °C.', [['bake', 4200, null, 200]]],
  ['Bake 1 hour, 10 minutes at 200 °C.', [['bake', 4200, null, 200]]],
  ['Bake for 50 minutes, covering it after 30 minutes.', [['bake', 3000, null, null]]],
  ['Let it rise for 1 hour, 2 hours if the kitchen is cold.', [['bulk', 3600, null, null]]],
  ['Griddle 6 minutes and turn it every 2 minutes.', [['griddle', 360, null, null]]],
  [
    'Cool 10 minutes in the tin and 2 hours on a rack.',
    [
      ['cool', 600, null, null],
      ['cool', 7200, null, null],
    ],
  ],
  ['Mix until smooth, then beat for 2 minutes more.', [['mix', 120, null, null]]],
  ['Lower the oven to 190 °C for 30 minutes.', [['bake', 1800, null, 190]]],
  ['Scrape into the tin. Smooth the top with a wet hand.', [['shape', null, null, null]]],
] as const)('%j', (text, expected) => {
  expect(steps(text)).toEqual(expected);
});

test('two scales that disagree are told, and neither is taken', () => {
  expect(heatContradictions('Bake at 350 °F / 220 °C.')).toMatchObject([
    { written: '350 °F / 220 °C', secondC: 220 },
  ]);
  expect(heatContradictions('Bake at 220 °C (425 °F).')).toEqual([]);
  expect(heatContradictions('Bake at 180 °C or 350 F.')).toEqual([]);
  expect(heatContradictions('First 250 °C for ten minutes, then down to 200 °C.')).toEqual([]);
  expect(heatContradictions('From 60 °C in the centre to 400 °F in the oven')).toEqual([]);
  expect(steps('Bake at 350 °F / 220 °C for 50 minutes.')).toEqual([['bake', 3000, null, null]]);
});

test('a temperature that can’t be one of that step stays in the words alone', () => {
  expect(steps('Proof at 90 °C for an hour.')).toEqual([['proof', 3600, null, null]]);
});

test('no word is lost, and every step may be saved, whatever the paragraph', () => {
  const word = fc.constantFrom(
    'Mix',
    'rest',
    'for',
    '20',
    'minutes.',
    'Bake',
    'at',
    '220 °C',
    '(350 °F)',
    'until',
    'golden.',
    'Then',
    '1½',
    'hours',
    'x'.repeat(60),
    '!',
    '🍞',
  );
  fc.assert(
    fc.property(fc.array(word, { minLength: 1, maxLength: 120 }), (words) => {
      const text = words.join(' ');
      const read = readSteps(text, ids());
      // between two actions an "and", a "then", a comma may go
      const wordsIn = (said: string) =>
        said.toLowerCase().split(/[\s.;,]+/).filter((each) => each !== '' && !/^(?:and|then)$/.test(each)); // prettier-ignore
      const { steps: all, over } = readMethod([{ text, aside: false }], ids());
      expect(wordsIn([...all.map(({ note }) => note), ...over].join(' ')).sort()).toEqual(
        wordsIn(text).sort(),
      );
      for (const step of read) {
        expect(step.note.length).toBeLessThanOrEqual(STEP_LIMITS.cueLength);
        expect(readAs(methodStepSchema, step).ok).toBe(true);
      }
    }),
    { numRuns: 200 },
  );
});

test('what a note has no room for goes over whole, cut between words', () => {
  const of = (text: string) => {
    const { steps: all, over } = readMethod([{ text, aside: false }], ids());
    return { notes: all.map(({ note }) => note), over };
  };
  const limit = STEP_LIMITS.cueLength;
  const fits = `mix ${'x'.repeat(limit - 4)}`;
  const full = `Mix ${'x'.repeat(limit - 4)}`;
  expect(of(fits)).toEqual({ notes: [full], over: [] });
  expect(of(`${fits.slice(0, -1)}. stir again`)).toEqual({
    notes: [`${full.slice(0, -1)}.`],
    over: ['stir again'],
  });
  expect(of(`mix ${'x'.repeat(limit - 10)} ${'y'.repeat(40)} end`)).toEqual({
    notes: [`mix ${'x'.repeat(limit - 10)}`],
    over: [`${'y'.repeat(40)} end`],
  });
  expect(of('mix it well, then stir it')).toEqual({ notes: ['Mix it well; stir it'], over: [] });
  // no blank to cut at: in the middle
  expect(of(`mix${'x'.repeat(2 * limit)}`).notes[0]?.length).toBe(limit / 2);
});

describe('which ingredient a name means', () => {
  test.each([
    ['rice flour', 'white-rice-flour'],
    ['Brown Rice Flour, superfine', 'brown-rice-flour'],
    ['linseeds, ground', '?'],
    ['flax meal', 'ground-linseed'],
    ['garbanzo flour', 'chickpea-flour'],
    ['sweet rice flour', 'sweet-rice-flour'],
    ['tapioca flour', 'tapioca-starch'],
    ['corn starch', 'maize-starch'],
    ['cornflour', 'maize-starch'],
    ['corn flour', '?'],
    ['yeast', '?'],
    ['dried yeast', '?'],
    ['fast-action dried yeast', 'instant-yeast'],
    ['oil', '?'],
    ['bicarb', 'baking-soda'],
    ['cream of tartar', 'cream-of-tartar'],
    ['buckwheat flour', 'buckwheat-flour'],
    ['yoghurt', 'plain-yoghurt'],
    ['plain yogurt', 'plain-yoghurt'],
    ['gluten-free flour', '?'],
    ['rice flour and tapioca starch', '?'],
    ['moon dust', 'unknown'],
    ['bread flour', 'gluten'],
    ['plain flour', 'gluten'],
    ['wholemeal spelt', 'gluten'],
    ['malt extract', 'gluten'],
    ['gluten-free wheat starch', 'wheat-starch-gluten-free'],
  ] as const)('%j → %s', (name, expected) => {
    const match = matchIngredient(name, libraryBook);
    expect(match.kind === 'sure' ? match.ingredientId : match.kind === 'which' ? '?' : match.kind).toBe(
      expected,
    );
  });
});
