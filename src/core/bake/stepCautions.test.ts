import { loafSheet } from '../batch/testBatch';
import { libraryBook } from '../ingredients';
import { newStep, type StepKind } from '../method';
import { stepCautions } from './stepCautions';

const plain = loafSheet();
const line = (ingredientId: string, massG: number) => ({
  ...plain.stages[0]!.lines[0]!,
  id: ingredientId,
  ingredientId,
  massG,
});
const kettle = (...lines: ReturnType<typeof line>[]) => ({
  ...plain.stages[0]!,
  id: 'kettle',
  kind: 'kettle' as const,
  lines,
});
const step = (id: string, kind: StepKind, more: object = {}) => ({ ...newStep(kind, id), ...more });
const told = (steps: ReturnType<typeof step>[], ...stages: (typeof plain.stages)[number][]) =>
  steps.map(({ id }) => stepCautions({ steps, stages }, id, libraryBook).join(' ')); // prettier-ignore

test('each is told once, at the first step it concerns', () => {
  const steps = [
    step('mix', 'mix'),
    step('again', 'mix'),
    step('one', 'fry'),
    step('two', 'fry'),
    step('cool', 'cool'),
  ];
  expect(told(steps)).toEqual(['rawDough', '', 'hotOil', '', 'cutWhenSet']);
});

test('lids, steam, and only where the method has them', () => {
  const steps = [step('a', 'bake', { heat: { moist: 'lid' } }), step('b', 'bake', { heat: { moist: 'dry' } }), step('c', 'bake', { heat: { moist: 'steam' } })];
  expect(told(steps)).toEqual(['hotLid', '', 'steam']);
}); // prettier-ignore

test('a bath with lye; one that is syrup; not one with a spoon of honey in it', () => {
  const boil = [step('boil', 'boil')];
  expect(told(boil, kettle(line('water', 1000), line('lye', 30)))).toEqual(['lye']);
  expect(told(boil, kettle(line('water', 1000), line('honey', 150)))).toEqual(['boilingSugar']);
  expect(told(boil, kettle(line('water', 2000), line('honey', 30)))).toEqual(['']);
});

test('egg in what stands warm for two hours; in the cold, or shortly, nothing', () => {
  const dough = { ...plain.stages[0]!, lines: [line('egg-whole', 100)] };
  const rise = (more: object) => told([step('proof', 'proof', more)], dough);
  expect(rise({ minS: 7200, tempC: 30 })).toEqual(['warmLong']);
  expect(rise({ minS: 3600, maxS: 7200 })).toEqual(['warmLong']);
  expect(rise({ minS: 36_000, tempC: 5 })).toEqual(['']);
  expect(rise({ minS: 3600, maxS: 5400, tempC: 30 })).toEqual(['']);
  expect(told([step('proof', 'proof', { minS: 7200, tempC: 30 })], plain.stages[1]!)).toEqual(['']);
});
