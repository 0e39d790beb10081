import type { Shape } from '../method/heating';
import { asLearnt, formOf, learnSlice } from './learnSlice';
import { cutOf } from './testCuts';
import { sliceOf, type SliceFigures } from './slice';

const drawn = (shape: Shape = 'tin'): SliceFigures =>
  sliceOf({
    shape,
    widthM: 0.1,
    heightM: 0.08,
    porosity: 0.5,
    consistency: {
      rested: { s: 0.93, low: 0.8, high: 1.05, band: 'soft', likely: ['soft'], chance: [] },
      holds: 0.5,
      clings: 0.5,
    },
    tired: 0,
    crustMm: 3,
    brownTop: 5,
    brownBase: 3,
    setChance: 1,
  });
test('a cut that came as it was drawn teaches that nothing is off; without one nothing is taught', () => {
  const expected = drawn();
  const { learnt, bakes } = learnSlice([{ expected, read: cutOf(expected) }])!;
  for (const value of Object.values(learnt)) expect(value).toBeCloseTo(0, 12);
  expect(bakes).toBe(1);
  const next = asLearnt(expected, learnt);
  for (const figure of ['heightMm', 'widthMm', 'poreMm', 'seen', 'evenness', 'streak'] as const)
    expect(next[figure]).toBeCloseTo(expected[figure], 9);
  expect(asLearnt(expected, undefined)).toBe(expected);
  expect(learnSlice([])).toBeNull();
});

test('by hand: three cuts a fifth lower than drawn move the form by 0.2 ÷ (1 + 0.1² ÷ (3 × 0.2²)), as a logarithm', () => {
  const expected = drawn();
  const low = { expected, read: { ...cutOf(expected), heightToWidth: formOf(expected) * Math.exp(-0.2) } };
  const { learnt, form, missBefore, miss } = learnSlice([low, low, low])!;
  // 1/τ² = 25, n/σ² = 300: −0.2 × 300 / 325; sd 1/√325
  expect(learnt.form).toBeCloseTo(-0.184615, 6);
  expect(form.value).toBeCloseTo(0.83142, 5);
  expect(form.low).toBeCloseTo(Math.exp(-0.184615 - 1.2815516 / Math.sqrt(325)), 5);
  expect(missBefore).toBeCloseTo(0.2, 9);
  // each foretold from the two others: −0.2 × 200 / 225
  expect(miss).toBeCloseTo(0.2 - (0.2 * 200) / 225, 9);
  expect(learnSlice([low])!.miss).toBeNull();
});

test('one mad picture moves what many say by no more than two and a half sd of one', () => {
  const expected = drawn();
  const fine = { expected, read: cutOf(expected) };
  const mad = { expected, read: { ...cutOf(expected), heightToWidth: 19 } };
  const { learnt } = learnSlice([fine, fine, fine, fine, mad])!;
  expect(learnt.form).toBeCloseTo((2.5 * Math.hypot(0.2, 0.1) * 100) / 525, 9);
});

test('what was learnt is in the next drawing: a tin grows only in height, a piece that stands free by its volume', () => {
  const learnt = { form: Math.log(0.8), pores: Math.log(2), seen: Math.log(0.5), evenness: -0.12, denseLine: 6 };
  const tin = asLearnt(drawn('tin'), learnt);
  expect([tin.heightMm, tin.widthMm]).toEqual([drawn().heightMm * 0.8, drawn().widthMm]);
  expect(tin.poreMm).toBeCloseTo(2 * drawn().poreMm, 9);
  expect(tin.seen).toBeCloseTo(0.1125, 9);
  expect(tin.evenness).toBeCloseTo(drawn().evenness - 0.2, 9);
  expect(tin.streak).toBeCloseTo(0.06, 9);
  expect(tin.gas).toBe(drawn().gas);
  const free = asLearnt(drawn('hearth'), learnt);
  expect(formOf(free)).toBeCloseTo(0.8 * formOf(drawn('hearth')), 9);
  expect(free.heightMm * free.widthMm ** 2).toBeCloseTo(drawn('hearth').heightMm * drawn('hearth').widthMm ** 2, 6);
  // nothing a picture says makes a drawing that cannot be
  const wild = asLearnt(drawn(), { form: 1, pores: 1, seen: 3, evenness: -3, denseLine: 90 });
  expect(wild).toMatchObject({ evenness: 0.1, seen: 0.7, streak: 0.3 });
}); // prettier-ignore
