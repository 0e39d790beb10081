import { atATimeOf, dividedInto, moistOf, timesOf } from './fields';
import { heatsIn, plainNumbers, spansIn } from './spans';
import { readMethod } from './readMethod';

const min = (s: number | null) => (s === null ? null : s / 60);
const spans = (text: string) =>
  spansIn(plainNumbers(text)).map(({ minS, maxS, role }) =>
    [min(minS), ...(maxS === null ? [] : [min(maxS)]), role].join(' '),
  );

test.each([
  ['bake 40 minutes', ['40 whole']],
  ['bake 40-45 min', ['40 45 whole']],
  ['50 minutes to 1 hour', ['50 60 whole']],
  ['1 hour and 10 minutes', ['70 whole']],
  ['1 hour, 10 minutes', ['70 whole']],
  ['1h30', ['90 whole']],
  ['an hour and a half', ['90 whole']],
  ['an hour and a quarter', ['75 whole']],
  ['one hour and three quarters', ['105 whole']],
  ['three quarters of an hour', ['45 whole']],
  ['a quarter of an hour', ['15 whole']],
  ['half a minute', ['0.5 whole']],
  ['two and a half hours', ['150 whole']],
  ['a couple of hours', ['120 whole']],
  ['twenty-five minutes', ['25 whole']],
  ['a hundred and twenty minutes', ['120 whole']],
  ['2½ h', ['150 whole']],
  ['1 1/2 hours', ['90 whole']],
  ['1,5 h', ['90 whole']],
  ['5 + 5 min', ['10 whole']],
  ["20'", ['20 whole']],
  ['two to three hours', ['120 180 whole']],
  ['Three hours', ['180 whole']],
  ['2 to Three minutes', ['2 3 whole']],
  ['1 hour to 90 minutes', ['60 90 whole']],
  ['1 hour to 60 minutes', ['60 whole']],
  // the wrong way round it is no range, and nobody can tell which was meant
  ['2 minutes to 0.5 minutes', []],
  ['2 or three minutes', ['2 3 whole']],
  ['a day', ['1440 whole']],
  ['another minute', ['1 whole']],
  ['3 minutes a side', ['3 side']],
  ['on each side for 2 minutes', ['2 side']],
  ['every 30 minutes', ['30 every']],
  ['at 30 minute intervals', ['30 every']],
  ['the first 15 minutes', ['15 first']],
  ['the last 10 minutes', ['10 last']],
  ['after 20 minutes', ['20 moment']],
  ['5 minutes before the end', ['5 moment']],
  ['within 10 minutes', ['10 moment']],
  ['up to 2 days', ['2880 upTo']],
  ['no longer than 5 min', ['5 upTo']],
  ['1 hour or overnight', ['60 whole', '480 720 other']],
  ['overnight', ['480 720 whole']],
  ['knead 5', ['5 whole']],
  ['knead 5.', ['5 whole']],
  ['3 minutes on low, 4 on high', ['3 whole', '4 whole']],
  ['18 minutes covered, the last 4 uncovered', ['18 whole', '4 last']],
  // no time: a weight, a part of a number, none at all, longer than a week
  ['250 g', []],
  ['a second sheet', []],
  ['one side', []],
  ['30 days', []],
])('lengths of time in “%s”', (text, expected) => expect(spans(text)).toEqual(expected));

const heats = (text: string) => {
  const { heats: found, unsure } = heatsIn(plainNumbers(text));
  return [...found.map(({ tempC, role }) => `${tempC} ${role}`), ...(unsure ? ['?'] : [])];
};
test.each([
  ['bake at 220 °C', ['220 place']],
  ['bake at 220 °C (425 °F)', ['220 place']],
  ['bake at 425 °F (220 °C)', ['220 place']],
  ['350 F', ['176.5 place']],
  ['200-220 °C', ['210 place']],
  ['gas mark 6', ['200 place']],
  ['220 °C / gas 7', ['220 place']],
  ['at 230', ['230 place']],
  ['at 450', ['232 place']],
  // between the scales nobody can tell
  ['at 300', ['?']],
  ['20 °C cooler', ['20 relative']],
  ['reduce it by 20 °C', ['20 relative']],
  ['220 °C, 200 °C fan', ['220 place', '200 other']],
  ['200 °C fan', ['200 place']],
  ['fan 200 °C', ['200 place']],
  ['220 °C or fan oven at 200 °C', ['220 place', '200 other']],
  ['the core is 97 °C', ['97 core']],
  ['96 °C in the middle', ['96 core']],
  ['115 °C inside', ['115 core']],
  ['a thermometer says 98 °C', ['98 core']],
  ['on the middle shelf at 110 °C', ['110 place']],
  ['the dough is at 26 °C', ['26 dough']],
  ['water at 40 °C', ['40 liquid']],
  ['35 °C water', ['35 liquid']],
  ['the dough, with water of 40 °C', ['40 liquid']],
  ['bake 200 g', []],
  ['at 100 minutes', []],
])('temperatures in “%s”', (text, expected) => expect(heats(text)).toEqual(expected));

test('how often, how many together, into what, wet or dry', () => {
  expect(
    ['three times', 'two more times', 'twice', 'thrice', '3 sets', 'four more folds', 'fold it'].map((text) =>
      timesOf(text, false),
    ),
  ).toEqual([3, 2, 2, 3, 3, 4, null]);
  // repeated: one more than is said, and once where nothing is
  expect(['three times', 'twice more', 'do the same'].map((text) => timesOf(text, true))).toEqual([4, 3, 2]);
  expect(timesOf('99 times', false)).toBeNull();
  expect(
    [
      'two at a time',
      'IN BATCHES OF 3',
      'Six to a tray',
      'One by one',
      '3 per load',
      'two trays at a time',
      'Four at a time',
      'all',
    ].map(atATimeOf),
  ).toEqual([2, 3, 6, 1, 3, null, 4, null]);
  expect(dividedInto('divide into eight pieces of 85 g')).toEqual({ pieces: 8, pieceMassG: 85 });
  expect(dividedInto('12 balls, about 70 g each')).toEqual({ pieces: 12, pieceMassG: 70 });
  expect(dividedInto('10 x 95 g')).toEqual({ pieces: 10, pieceMassG: 95 });
  expect(dividedInto('cut in two')).toEqual({ pieces: 2, pieceMassG: null });
  expect(dividedInto('shape it')).toEqual({ pieces: null, pieceMassG: null });
  expect(
    [
      'lid on',
      'covered',
      'lid off',
      'uncovered',
      'with steam',
      'no steam',
      'water into the hot tray',
      'on a covered tray',
      'in a dry pan',
      'golden',
    ].map(moistOf),
  ).toEqual(['lid', 'lid', 'dry', 'dry', 'steam', 'dry', 'steam', null, null, null]);
});

test('what a sentence leaves open is asked with what it may mean, the likeliest first', () => {
  let next = 0;
  const asks = (text: string) =>
    readMethod([{ text: `Mix the dough 5 minutes. ${text}`, aside: false }], () => `s${next++}`).asks.map(
      ({ about, readings }) => ({ about, readings }),
    );
  expect(asks('Let it rise 1 hour or overnight in the fridge.')).toEqual([
    {
      about: 'time',
      readings: [
        { minS: 3600, maxS: null },
        { minS: 28_800, maxS: 43_200, kind: 'chill', stands: { place: 'fridge' } },
      ],
    },
  ]);
  expect(asks('Proof 40 minutes, or 60 minutes.')).toEqual([
    {
      about: 'time',
      readings: [
        { minS: 2400, maxS: null },
        { minS: 3600, maxS: null },
      ],
    },
  ]);
  expect(asks('Bulk rise with a fold every hour for 3 hours.')).toMatchObject([
    { about: 'time', readings: [{ minS: 10_800, maxS: null }] },
  ]);
  expect(asks('Chill it for up to 2 days.')).toEqual([
    {
      about: 'upTo',
      readings: [
        { minS: 172_800, maxS: null },
        { minS: null, maxS: null },
      ],
    },
  ]);
  expect(asks('Bake 40 minutes at 350 °F / 220 °C.')).toEqual([
    { about: 'heat', readings: [{ tempC: 176.5 }, { tempC: 220 }, { tempC: null }] },
  ]);
  expect(asks('Bake 40 minutes at 300.')).toEqual([{ about: 'heat', readings: [{ tempC: null }] }]);
  expect(asks('Forty minutes somewhere.')).toEqual([
    { about: 'kind', readings: ['bulk', 'rest', 'mix'].map((kind) => ({ kind, minS: 2400, maxS: null })) },
  ]);
  expect(asks('Bake 40 minutes at 220 °C.')).toEqual([]);
});
