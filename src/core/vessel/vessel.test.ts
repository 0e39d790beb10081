import fc from 'fast-check';
import { consistencyOf } from '../consistency';
import { formulaTotals } from '../formula';
import { line, plainLoaf } from '../formula/testFormulas';
import { libraryBook } from '../ingredients';
import { doughBody, fillVessel, type DoughBody, type Vessel } from '.';

const body: DoughBody = { densityGPerMl: 1.1, rise: { value: 2, low: 1.7, high: 2.3 } };
const fill = (vessel: Vessel, of = body) => {
  const filled = fillVessel(vessel, of);
  if (!filled.ok) throw new Error(JSON.stringify(filled.problem));
  return filled.value;
};
const tin = {
  kind: 'tin',
  topLengthCm: 24,
  topWidthCm: 12,
  baseLengthCm: null,
  baseWidthCm: null,
  heightCm: 8,
} as const;

test('volumes: a box, a cone, a sloping tin, a disc, and water poured in', () => {
  expect(fill(tin).volumeMl).toBeCloseTo(2304, 9);
  expect(fill({ ...tin, baseLengthCm: 20, baseWidthCm: 10 }).volumeMl).toBeCloseTo(
    (8 / 6) * (288 + 4 * 22 * 11 + 200),
    9,
  );
  expect(fill({ kind: 'round', topAcrossCm: 20, baseAcrossCm: null, heightCm: 10 }).volumeMl).toBeCloseTo(
    Math.PI * 1000,
    6,
  );
  expect(fill({ kind: 'disc', acrossCm: 30, thickMm: 5 }).massG).toBeCloseTo(
    ((Math.PI * 900) / 4) * 0.5 * 1.1,
    6,
  );
  expect(fill({ kind: 'filled', waterMl: 2304 }).massG).toBeCloseTo(fill(tin).massG, 9);
});

test('a dough that rises more fills its tin less, and a tin is never filled to the rim', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 3.5, noNaN: true }),
      fc.double({ min: 0.01, max: 1, noNaN: true }),
      (value, more) => {
        const rising = (rise: number) => fill(tin, { ...body, rise: { value: rise, low: rise, high: rise } });
        expect(rising(value + more).massG).toBeLessThanOrEqual(rising(value).massG);
        expect(rising(value).fill).toBeLessThanOrEqual(0.95 + 1e-9);
      },
    ),
  );
  const filled = fill(tin);
  expect(filled.lowG).toBeLessThan(filled.massG);
  expect(filled.highG).toBeGreaterThan(filled.massG);
});

test('the dough decides: without leaven it stays low, and its density is a dough’s', () => {
  const of = (formula = plainLoaf()) =>
    doughBody(formula, libraryBook, formulaTotals(formula, libraryBook), consistencyOf(formula, libraryBook));
  expect(of().rise.value).toBe(1);
  expect(of().densityGPerMl).toBeGreaterThan(0.95);
  expect(of().densityGPerMl).toBeLessThan(1.25);
  const leavened = plainLoaf();
  const withYeast = {
    ...leavened,
    stages: leavened.stages.map((stage, i) =>
      i === 0 ? { ...stage, lines: [...stage.lines, line('instant-yeast', 8)] } : stage,
    ),
  };
  expect(of(withYeast).rise.value).toBeGreaterThan(1.25);
});

test('nonsense is refused at its field', () => {
  const problem = (vessel: Vessel) => {
    const filled = fillVessel(vessel, body);
    return filled.ok ? null : [filled.problem.code, filled.problem.path];
  };
  expect(problem({ ...tin, heightCm: 0 })).toEqual(['tooSmall', 'heightCm']);
  expect(problem({ ...tin, baseLengthCm: 30 })).toEqual(['rangeReversed', 'baseLengthCm']);
  expect(problem({ kind: 'disc', acrossCm: 30, thickMm: 200 })).toEqual(['tooLarge', 'thickMm']);
  expect(problem({ kind: 'filled', waterMl: Number.NaN })).toEqual(['notANumber', 'waterMl']);
});
