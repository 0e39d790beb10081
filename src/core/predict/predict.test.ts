import fc from 'fast-check';
import { anyFormula, line, plainLoaf } from '../formula/testFormulas';
import { STYLES, type Formula } from '../formula';
import { libraryBook } from '../ingredients';
import { newStep } from '../method';
import { ORDINARY_DAY, predict } from '.';

const loaf: Formula = {
  ...plainLoaf(),
  stages: plainLoaf().stages.map((stage, index) =>
    index === 0 ? { ...stage, lines: [...stage.lines, line('instant-yeast', 6), line('sugar', 12)] } : stage,
  ),
  steps: [
    // it stands in the room
    ...plainLoaf().steps.map((step) => ({ ...step, tempC: null })),
    { ...newStep('bake', 'bake'), minS: 3900, tempC: 205 },
    { ...newStep('cool', 'cool'), minS: 7200 },
  ],
};
type Day = Partial<typeof ORDINARY_DAY>;
const answer = (day: Day = {}) => {
  const { run } = predict(loaf, libraryBook, { ...ORDINARY_DAY, ...day });
  if (!run || 'problem' in run || !run.bake || 'problem' in run.bake) throw new Error(JSON.stringify(run));
  const { bake } = run;
  return { run, bake, ready: run.rise.wantedAtS.value!, set: bake.setAtS.value! };
};

test('says the whole day: rise, bake, cooling, preheating and slice, each as a range', () => {
  const { run, bake } = answer();
  for (const { low, value, high } of [run.rise.wantedAtS, bake.setAtS, run.cool!.cutAfterS]) {
    expect(low!).toBeLessThan(value!);
    // null: later than all that was looked at
    expect(value!).toBeLessThan(high ?? Infinity);
  }
  expect(run.preheat!.ovenS.low).toBeGreaterThan(300);
  expect(run.preheat!.ovenS.high).toBeGreaterThan(run.preheat!.ovenS.low!);
  expect(run.slice!.shape).toBe('tin');
  expect(run.steps.map(({ kind }) => kind)).toEqual(loaf.steps.map(({ kind }) => kind));
});

test('a colder room is slower, a fan and a hotter oven set sooner, a mountain boils lower', () => {
  const plain = answer();
  expect(answer({ roomC: 15 }).ready).toBeGreaterThan(plain.ready);
  expect(answer({ wantedC: 31 }).ready).toBeLessThan(plain.ready);
  expect(answer({ oven: 'fan' }).set).toBeLessThan(plain.set);
  expect(answer({ ovenOffsetC: 20 }).set).toBeLessThan(plain.set);
  expect(answer({ ovenOffsetC: -20 }).set).toBeGreaterThan(plain.set);
  expect(answer({ altitudeM: 2500 }).bake.boilingC).toBeLessThan(plain.bake.boilingC - 7);
});

test('what cannot be is told at its field and leaves the rest standing', () => {
  const { run, consistency, waterTemperature } = predict(loaf, libraryBook, { ...ORDINARY_DAY, roomC: 500 });
  expect(run).toMatchObject({ problem: { code: 'tooLarge', params: { max: 45 } } });
  expect(waterTemperature).toMatchObject({ problem: { code: 'tooLarge', path: 'roomC' } });
  expect(consistency).not.toBeNull();
  expect(predict(loaf, libraryBook, { ...ORDINARY_DAY, ovenOffsetC: 300 }).run).toMatchObject({
    bake: { problem: { code: 'tooLarge', path: 'offsetC' } },
  });
});

/** With a day to go through, a shape to bake in, and now and then no water at all. */
const anyDay = fc
  .tuple(
    anyFormula,
    fc.constantFrom(...STYLES),
    fc.boolean(),
    fc.integer({ min: 40, max: 900 }),
    fc.integer({ min: 5, max: 90 }),
    fc.integer({ min: 150, max: 260 }),
  )
  .map(([formula, style, wet, pieceMassG, minutes, tempC]): Formula => ({
    ...formula,
    style,
    stages: formula.stages.map((stage, index) =>
      index === 0 && wet
        ? { ...stage, lines: [...stage.lines, line('water', 500, 'w'), line('instant-yeast', 8, 'y')] }
        : stage,
    ),
    usualYield: { ...formula.usualYield, pieceMassG },
    steps: [
      { ...newStep('mix', 'm'), minS: 300 },
      { ...newStep('proof', 'p'), minS: minutes * 60 },
      { ...newStep('bake', 'b'), minS: minutes * 60, tempC },
      { ...newStep('cool', 'c'), minS: 3600 },
    ],
  }));

test('answers for any formula with numbers that are numbers, the same each time', () => {
  let baked = 0;
  fc.assert(
    fc.property(fc.oneof(anyFormula, { arbitrary: anyDay, weight: 3 }), (formula) => {
      const once = predict(formula, libraryBook);
      const text = JSON.stringify(once, (_, value: unknown) => {
        if (typeof value === 'number' && !Number.isFinite(value)) throw new Error('a figure that is none');
        return value;
      });
      expect(text.length).toBeGreaterThan(200);
      expect(JSON.stringify(predict(formula, libraryBook))).toBe(text);
      if (text.includes('"setAtS"')) baked += 1;
    }),
    { numRuns: 16 },
  );
  expect(baked).toBeGreaterThan(5);
});
