import { newStep, type MethodStep } from '../../method';
import { answered } from './answered';

const open = (part: Partial<MethodStep>): MethodStep => ({ ...newStep('free', 's'), ...part });

test('what is done was open: answered, its words are read for that kind, and what it cannot have is gone', () => {
  const step = open({ note: 'Forty minutes on the stone at 230, until deep golden, under a cloth', minS: 2400, tempC: 230, stands: { place: 'room', cover: 'cloth' } }); // prettier-ignore
  expect(answered(step, undefined, [step])).toBe(step);
  const bake = answered(step, { kind: 'bake', minS: 2400, maxS: null }, [step]);
  expect(bake).toMatchObject({ kind: 'bake', handsOn: false, tempC: 230, heat: { on: 'stone' }, cue: { kind: 'colour', colour: 'deepGolden' } }); // prettier-ignore
  expect(bake.stands).toBeUndefined();
  // a dough proofs at no 230 °C, and on no stone
  const proof = answered(step, { kind: 'proof' }, [step]);
  expect([proof.tempC, proof.heat, proof.minS]).toEqual([null, undefined, 2400]);
  const warm = answered(
    open({ note: 'under film in a warm place', tempC: 28 }),
    { kind: 'proof', minS: 60 },
    [],
  );
  expect(warm).toMatchObject({ tempC: 28, minS: 60, stands: { place: 'warm', cover: 'film' } });
  expect(answered(step, { kind: 'shape' }, [step]).handsOn).toBe(true);
});

test('a time or a heat that was open changes that alone', () => {
  const step = open({ kind: 'bake', minS: 60, heat: { on: 'steel' }, handsOn: true });
  expect(answered(step, { minS: 120, maxS: null }, [step])).toEqual({ ...step, minS: 120, maxS: null });
  expect(answered(step, { kind: 'bake', tempC: 200 }, [step])).toEqual({ ...step, tempC: 200 });
});
