import { STEP_LIMITS } from '../../method';
import { timesOf } from './fields';
import { readMethod } from './readMethod';
import { heatsIn } from './spans';

let next = 0;
const read = (text: string) => readMethod([{ text, aside: false }], () => `s${next++}`);
/** Kind, time in minutes, heat, moisture of each step behind the first sentences. */
const steps = (before: string, text: string) => {
  const given = before ? read(before).steps.length : 0;
  return read(`${before} ${text}`.trim()).steps.slice(given).map(({ kind, minS, maxS, tempC, heat }) =>
    [kind, minS === null ? '' : `${minS / 60}${maxS === null ? '' : `-${maxS / 60}`}`, tempC === null ? '' : `${tempC}C`, heat?.moist ?? ''].filter(Boolean).join(' '),
  ); // prettier-ignore
};
const MIXED = 'Mix the dough 5 minutes.';
const SHAPED = `${MIXED} Shape it.`;
const BAKED = `${SHAPED} Bake 20 minutes at 220 °C.`;

test('what is not understood may mean what comes then: before the dough, of the dough, once it is shaped, once it is baked', () => {
  const kinds = (text: string) =>
    read(text).asks.map(({ readings }) => readings.map(({ kind }) => kind).join(' '));
  expect(kinds('Mix the flour with a stick. Tickle it for 50 minutes.')).toEqual(['bulk rest mix']);
  expect(kinds(`${SHAPED} Tickle it for 50 minutes.`)).toEqual(['proof rest bake']);
  expect(kinds(`${BAKED} Tickle it for 50 minutes.`)).toEqual(['bake cool rest']);
});

test.each([
  // a part of a baking is a step of its own, what is left of a range is a range
  [SHAPED, 'Bake 40 to 45 minutes, the first 15 with steam.', ['bake 15 steam', 'bake 25-30 dry']],
  [SHAPED, 'Bake 40 minutes, the last 10 without the lid.', ['bake 30 lid', 'bake 10 dry']],
  // as long as the whole, it is no part; of what is no baking it is a remark
  [SHAPED, 'Bake 15 minutes, the first 15 with steam.', ['bake 15 steam']],
  [SHAPED, 'Proof 60 minutes, the last 10 uncovered.', ['proof 60']],
  // back into the oven out of the tin: nothing cools between
  [SHAPED, 'Bake 50 minutes at 200 °C. Take it out of the tin and bake 10 minutes more.', ['bake 50 200C', 'bake 10 200C']],
  [BAKED, 'Cool 10 minutes. Bake 5 minutes.', ['cool 10', 'bake 5 220C']],
  // into the oven is a baking, with its light on a rise, before there is a dough neither
  [MIXED, 'Put it in the oven with the light on for 60 minutes.', ['bulk 60']],
  [SHAPED, 'Put it into the hot oven for 30 minutes.', ['bake 30']],
  [SHAPED, 'Slide it onto the hot stone for 12 minutes.', ['bake 12']],
  [SHAPED, 'Lower it into the hot pot for 30 minutes.', ['bake 30']],
  // what goes on goes on in what it is in
  [BAKED, 'Continue for 10 minutes.', ['bake 10 220C']],
  [BAKED, 'Then chill it for 2 hours.', ['chill 120']],
  [BAKED, 'Remove the lid for the last 10 minutes.', ['bake 10 220C dry']],
  [`${SHAPED} Griddle 3 minutes.`, 'Continue for 2 minutes.', ['griddle 2']],
  // yeast woken in the same breath is a bloom, not a dough
  ['', 'Stir the yeast into the water. Wait until it foams, 10 minutes.', ['bloom 10']],
  // a dark tray 20 degrees cooler is another's heat
  [SHAPED, 'Bake 30 minutes at 200 °C, 20 °C cooler on a dark sheet.', ['bake 30 200C']],
])('after “%s”: %s', (before, text, expected) => expect(steps(before, text)).toEqual(expected)); // prettier-ignore

test('a number without a scale is an oven of either up to 270 and from 325 on', () => {
  const at = (value: number) => {
    const { heats, unsure } = heatsIn(`bake at ${value}`);
    return unsure ? '?' : heats.map(({ tempC }) => tempC).join();
  };
  expect([at(270), at(271), at(324), at(325)]).toEqual(['270', '?', '?', '163']);
});

test('repeats are bounded as a step’s are', () => {
  const { min, max } = STEP_LIMITS.times;
  expect([max, max + 1].map((count) => timesOf(`${count} times`, false))).toEqual([max, null]);
  expect(timesOf(`${min - 1} times`, false)).toBeNull();
});
