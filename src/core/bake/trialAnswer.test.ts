import { newPhase, ORDINARY_OVENS, simulateBake, type BakeQuestion } from '../heat';
import { rolls, tinLoaf } from '../heat/testBakes';
import { trialAnswer } from './trialAnswer';

const bake = { kind: 'bake', tempC: 220, minS: 1200 } as const;
const fry = { kind: 'fry', tempC: 170, minS: 180 } as const;
const look = (coreC: number | null, colour: 'pale' | 'right' | 'dark' | null, tookS = 1500) => ({
  coreC,
  colour,
  tookS,
});

test('as it should be, or nothing said: nothing changes', () => {
  expect(trialAnswer(look(97, 'right'), bake, 0)).toBeNull();
  expect(trialAnswer(look(null, null), bake, 0)).toBeNull();
  expect(trialAnswer(look(96.8, null), bake, 0)).toBeNull();
});

test('without a clock it counts as in for as long as it was meant to; without that nothing can be said', () => {
  expect(trialAnswer(look(93, null, 0), bake, 0)?.durationS).toBe(1380);
  expect(trialAnswer(look(93, null, 0), { ...bake, minS: null }, 0)).toBeNull();
});

test('what came out far from done tells nothing', () => {
  expect(trialAnswer(look(82, 'pale'), bake, 0)?.durationS).toBe(2400);
  expect(trialAnswer(look(81.5, 'pale'), bake, 0)).toBeNull();
});

test('a short core: four percent of its time a degree, from three to five and a half', () => {
  // 25 min, 4 °C short: 29 (28 to 30.5); no colour was told, so the heat stays
  expect(trialAnswer(look(93, null), bake, 0)).toEqual({ durationS: 1740, leastS: 1680, mostS: 1860, tempC: null, shortC: 4 });
  // its own cue comes first, and on a mountain it boils sooner: 94 °C is done at 900 m
  expect(trialAnswer(look(93, null), { ...bake, cue: { kind: 'core', tempC: 93 } }, 0)).toBeNull();
  expect(trialAnswer(look(94, null), bake, 900)).toBeNull();
  // over: it cannot tell how long ago it was there
  expect(trialAnswer(look(99.9, null), bake, 0)?.durationS).toBe(1320);
  expect(trialAnswer(look(112, null), bake, 0)?.durationS).toBe(1260);
}); // prettier-ignore

test('pale and dark change the heat, and the time with it; a longer bake browns by itself', () => {
  expect(trialAnswer(look(97, 'pale'), bake, 0)).toMatchObject({ tempC: 235, durationS: 1380 });
  expect(trialAnswer(look(97, 'dark'), bake, 0)).toMatchObject({ tempC: 205, durationS: 1620 });
  expect(trialAnswer(look(92, 'pale'), bake, 0)).toMatchObject({ tempC: null, durationS: 1800 });
  expect(trialAnswer(look(92, 'right'), bake, 0)).toMatchObject({ tempC: 205, durationS: 1920 });
  expect(trialAnswer(look(93, 'dark', 180), fry, 0)).toEqual({ tempC: 162, durationS: 210, leastS: 210, mostS: 240, shortC: 4 });
  expect(trialAnswer(look(null, 'pale', 60), { ...fry, kind: 'boil' }, 0)).toMatchObject({ tempC: null, durationS: 60 });
}); // prettier-ignore

/** How much longer than until `coreC` the model's piece takes until it is done, as a share for each degree. */
function sharePerC(question: BakeQuestion, endS: number, coreC: number): number {
  const run = simulateBake(question, undefined, 'coarse');
  if (!run.ok) throw new Error(run.problem.code);
  const { atS, coreC: cores } = run.value;
  const whenS = (c: number) => {
    const at = cores.findIndex((each, index) => each >= c && atS[index]! <= endS);
    const share = (c - cores[at - 1]!) / (cores[at]! - cores[at - 1]!);
    return atS[at - 1]! + share * (atS[at]! - atS[at - 1]!);
  };
  return (whenS(96.5) / whenS(coreC) - 1) / (96.5 - coreC);
}

test.each<[string, BakeQuestion, number]>([
  [
    'tin loaf',
    tinLoaf({ phases: [newPhase('oven', 5400, 205, { inTin: true }), newPhase('rack', 60, 0)] }),
    5400,
  ],
  ['rolls', rolls({ phases: [newPhase('oven', 3000, 205, { on: 'tray' }), newPhase('rack', 60, 0)] }), 3000],
  [
    'baguettes',
    tinLoaf({
      piece: { shape: 'baguette', massG: 320, lightness: 1.7, lengthCm: 35, widthCm: null },
      tin: null,
      phases: [newPhase('oven', 3000, 235, { on: 'stone' }), newPhase('rack', 60, 0)],
    }),
    3000,
  ],
  [
    'fried balls',
    rolls({
      piece: { shape: 'ball', massG: 40, lightness: 1.8, lengthCm: null, widthCm: null },
      oven: ORDINARY_OVENS.fryer,
      count: 4,
      phases: [newPhase('fry', 700, 170), newPhase('rack', 60, 0)],
    }),
    700,
  ],
])('%s: the heat model’s last degrees take what is said here', (_, question, endS) => {
  for (const coreC of [85, 90]) {
    const share = sharePerC(question, endS, coreC);
    expect(share).toBeGreaterThan(0.0275);
    expect(share).toBeLessThan(0.0555);
  }
});
