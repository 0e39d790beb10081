import { finish, newPhase } from '.';
import { bakeForecast } from './forecast';
import { oilTaken } from './oilTaken';
import { ORDINARY_OVENS } from './oven';
import { tinLoaf } from './testBakes';

const fried = (massG: number, min: number) =>
  tinLoaf({
    piece: { shape: 'ring', massG, lightness: 2.2, lengthCm: null, widthCm: null },
    oven: ORDINARY_OVENS.fryer,
    tin: null,
    eatenWarm: true,
    phases: [newPhase('fry', min * 60, 170)],
  });
const taken = (question: ReturnType<typeof tinLoaf>) => {
  const made = finish(bakeForecast(question));
  if (!made.ok) throw new Error();
  return oilTaken(question, made.value);
};

test('a fried ring takes up a twelfth of its weight or so; smaller and longer fried ones more; bread none', () => {
  const ring = taken(fried(60, 4))!;
  expect(ring.value * 60).toBeGreaterThan(3);
  expect(ring.value * 60).toBeLessThan(8);
  expect(ring.high / ring.low).toBeCloseTo(2.25, 9);
  expect(taken(fried(30, 4))!.value).toBeGreaterThan(ring.value);
  expect(taken(fried(60, 7))!.value).toBeGreaterThan(ring.value);
  expect(taken(tinLoaf())).toBeNull();
});
