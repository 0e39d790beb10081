import fc from 'fast-check';
import {
  FERMENTATION,
  riseCurve,
  schoolMethod,
  SCHOOLS,
  starterPeak,
  temperatureForTime,
  thermalLagS,
  yeastForTime,
  type Leavening,
  type RiseQuestion,
  type Stay,
} from '.';
import { cardinal, killedPerS, osmoticBrake } from './gassing';
import { freshDough, PLAIN_TEMPER, pressed, stepDough, type Dough } from './stepper';

const loaf: Leavening = {
  doughG: 1100, doughMl: 1080, waterG: 560, floursG: 500, yeastG: 18, wildG: 0, yeastCv: 0.2, wakingMin: 10, sugarG: 18,
  freedSugarG: 6, brake: 1, coldMmol: 0, ovenMmol: 0, mostHeld: 0.8,
}; // prettier-ignore
const room = (part: Partial<Stay> = {}): Stay => ({
  place: 'room', tempC: 24, durationS: 4 * 3600, standing: 'bowl', pieceG: 1100, pressedOut: 0, ...part,
}); // prettier-ignore
const curve = (part: Partial<RiseQuestion> = {}) => {
  const made = riseCurve({ leavening: loaf, doughC: 26, stays: [room()], ...part });
  if (!made.ok) throw new Error(JSON.stringify(made.problem));
  return made.value;
};
const wantedMin = (part: Partial<RiseQuestion>) =>
  (curve({ wanted: 1.3, central: true, ...part }).wantedAtS.value ?? Infinity) / 60;

test('gas and sugar are kept, whatever happens to the dough', () => {
  const happens = fc.array(
    fc.record({
      tempC: fc.double({ min: -2, max: 62, noNaN: true }),
      minutes: fc.integer({ min: 1, max: 300 }),
      press: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
    { minLength: 1, maxLength: 6 },
  );
  const doughs = fc.record({
    yeastG: fc.double({ min: 0, max: 60, noNaN: true }),
    wildG: fc.double({ min: 0, max: 6, noNaN: true }),
    sugarG: fc.double({ min: 0, max: 120, noNaN: true }),
    coldMmol: fc.double({ min: 0, max: 60, noNaN: true }),
    mostHeld: fc.double({ min: 0.05, max: 1.5, noNaN: true }),
  });
  fc.assert(
    fc.property(doughs, happens, (part, events) => {
      const leavening = { ...loaf, ...part };
      let dough: Dough = freshDough(leavening, 26);
      for (const { tempC, minutes, press } of events) {
        dough = pressed(dough, press, leavening);
        for (let minute = 0; minute < minutes; minute += 1)
          dough = stepDough(dough, leavening, PLAIN_TEMPER, tempC, 60);
        const { producedMmol, dissolvedMmol, heldMmol, lostMmol } = dough;
        expect(Math.abs(producedMmol - dissolvedMmol - heldMmol - lostMmol)).toBeLessThan(
          1e-9 * (1 + producedMmol),
        );
        for (const amount of [dissolvedMmol, heldMmol, lostMmol, dough.sugarG, dough.yeastG, dough.wildG])
          expect(amount).toBeGreaterThanOrEqual(-1e-12);
        // all sugar there was: eaten (as gas), left, or still to be freed
        const eaten = (producedMmol - leavening.coldMmol) * FERMENTATION.sugarGPerMmol;
        expect(eaten + dough.sugarG + dough.toFreeG).toBeCloseTo(leavening.sugarG + leavening.freedSugarG, 8);
        expect(dough.tired).toBeLessThanOrEqual(1);
      }
    }),
    { numRuns: 60 },
  );
});

test('limits: no yeast is flat, 0 °C nearly flat, 60 °C dead, salt and sugar brake, the best is near 36 °C', () => {
  expect(curve({ leavening: { ...loaf, yeastG: 0 } }).top.high).toBe(1);
  expect(
    curve({ doughC: 0, stays: [room({ place: 'fridge', tempC: 0, durationS: 12 * 3600 })] }).volume.at(-1),
  ).toBeLessThan(1.02);
  const scalded = curve({
    doughC: 60,
    stays: [
      room({ place: 'warm', tempC: 60, durationS: 1800 }),
      room({ place: 'warm', tempC: 30, durationS: 4 * 3600 }),
    ],
  });
  expect(scalded.end.yeastG).toBeLessThan(1e-3);
  expect(scalded.volume.at(-1)).toBeLessThan(1.03);
  expect(killedPerS(60) * 60).toBeGreaterThan(3);
  expect(cardinal(36)).toBeCloseTo(1, 9);
  for (const t of [1, 46, -5, 60]) expect(cardinal(t)).toBe(0);
  expect(osmoticBrake(5, 1.8)).toBe(1);
  expect(osmoticBrake(20, 2)).toBeLessThan(0.6);
  expect(osmoticBrake(4, 4)).toBeLessThan(0.7);
});

test('monotone: warmer and more yeast are sooner, a stickier hold rises further; a band lies round the middle', () => {
  expect(wantedMin({ stays: [room({ tempC: 30 })] })).toBeLessThan(
    wantedMin({ stays: [room({ tempC: 20 })] }),
  );
  expect(wantedMin({ leavening: { ...loaf, yeastG: 30 } })).toBeLessThan(wantedMin({}));
  expect(wantedMin({ leavening: { ...loaf, waterG: 300 } })).toBeLessThan(wantedMin({}));
  expect(curve({ leavening: { ...loaf, mostHeld: 1.1 } }).top.value).toBeGreaterThan(curve().top.value);
  // it never passes what it can hold, sinks after its top, and says when
  const long = curve({ stays: [room({ durationS: 9 * 3600 })] });
  expect(long.top.value).toBeLessThanOrEqual(long.canHold.value + 1e-9);
  expect(long.pastAtS.value).toBeGreaterThan(long.topAtS.value);
  expect(long.volume.at(-1)).toBeLessThan(long.top.value);
  long.volume.forEach((volume, index) => {
    expect(long.low[index]).toBeLessThanOrEqual(volume);
    expect(long.high[index]).toBeGreaterThanOrEqual(volume);
  });
  expect(curve()).toEqual(curve());
  // honest width: neither five percent nor sixty
  const { wantedAtS } = curve({ wanted: 1.4 });
  expect(wantedAtS.high! / wantedAtS.low!).toBeGreaterThan(1.15);
  expect(wantedAtS.high! / wantedAtS.low!).toBeLessThan(2.5);
});

test('the cold: a night in the fridge waits, the dough follows slowly, and it goes on in the room', () => {
  const night = curve({
    leavening: { ...loaf, yeastG: 7 },
    stays: [room({ place: 'fridge', tempC: 4, durationS: 12 * 3600 }), room({ durationS: 3 * 3600 })],
  });
  const at = (hours: number) => night.atS.findIndex((tS) => tS >= hours * 3600);
  expect(night.doughC[at(1)]).toBeGreaterThan(14);
  expect(night.doughC[at(10)]).toBeLessThan(6);
  expect(night.volume[at(12)]! - night.volume[at(8)]!).toBeLessThan(0.03);
  expect(night.volume.at(-1)).toBeGreaterThan(night.volume[at(12)]! + 0.1);
  // a roll follows the fridge sooner than a loaf, a loaf sooner than a sack
  expect(thermalLagS(90, 'pieces', 'fridge')).toBeLessThan(thermalLagS(1000, 'bowl', 'fridge'));
  expect(thermalLagS(1000, 'bowl', 'fridge') / 3600).toBeGreaterThan(1.5);
  expect(thermalLagS(1000, 'bowl', 'fridge') / 3600).toBeLessThan(5);
});

test('chemical, mixed, wild', () => {
  const powder = curve({ leavening: { ...loaf, yeastG: 0, coldMmol: 60 } });
  expect(powder.volume[0]).toBeGreaterThan(1.1);
  expect(powder.volume.at(-1)).toBeLessThan(powder.volume[0]!);
  expect(wantedMin({ leavening: { ...loaf, coldMmol: 30 } })).toBeLessThan(wantedMin({}) - 5);
  const wild = { ...loaf, yeastG: 0, wildG: 2, wakingMin: 12, yeastCv: 0.45 };
  const slow = curve({ leavening: wild, stays: [room({ durationS: 12 * 3600 })] });
  expect(slow.wantedAtS.value! / 3600).toBeGreaterThan(2.5);
  expect(slow.wantedAtS.value! / 3600).toBeLessThan(10);
  expect(slow.end.wildG).toBeGreaterThan(2 * wild.wildG);
  const feed = { seed: 1, flour: 1, water: 1, tempC: 25, totalG: 150 };
  const peak = (part: Partial<typeof feed>) => {
    const made = starterPeak({ ...feed, ...part });
    if (!made.ok) throw new Error(made.problem.path);
    return made.value.value / 3600;
  };
  expect(peak({})).toBeGreaterThan(4);
  expect(peak({})).toBeLessThan(10);
  expect(peak({ tempC: 20 })).toBeGreaterThan(peak({}));
  expect(peak({ flour: 4, water: 4 })).toBeGreaterThan(peak({}));
  expect(starterPeak({ ...feed, seed: 0 })).toMatchObject({
    ok: false,
    problem: { code: 'tooSmall', path: 'seed' },
  });
});

test('inverse: the yeast and the temperature for a time give that time back', () => {
  const question: RiseQuestion = {
    leavening: loaf,
    doughC: 26,
    stays: [room({ durationS: 10 * 3600 })],
    wanted: 1.4,
  };
  for (const hours of [1.2, 2, 4]) {
    const solved = yeastForTime(question, hours * 3600);
    if (!solved.ok) throw new Error(solved.problem.code);
    expect(solved.value.curve.wantedAtS.value! / 3600).toBeCloseTo(hours, 1);
  }
  const warm = temperatureForTime(question, 0, 1.5 * 3600);
  if (!warm.ok) throw new Error(warm.problem.code);
  expect(warm.value.curve.wantedAtS.value! / 3600).toBeCloseTo(1.5, 1);
  expect(yeastForTime({ ...question, wanted: 2.5 }, 7200)).toMatchObject({
    ok: false,
    problem: { code: 'notSolvable', path: 'targetS' },
  });
});

test.each(SCHOOLS)('%s: a ready method with times a baker can read', (school) => {
  const leavening =
    school === 'wild'
      ? { ...loaf, yeastG: 0, wildG: 2, yeastCv: 0.45 }
      : school === 'cold'
        ? { ...loaf, yeastG: 6 }
        : loaf;
  const made = schoolMethod(school, {
    leavening,
    doughC: 26,
    kitchen: { roomC: 21, warmC: 28, fridgeC: 5 },
    pieceG: 1000,
    standing: 'tin',
  });
  if (!made.ok) throw new Error(made.problem.path);
  const { steps, stays, curve: rise } = made.value;
  expect(steps.some((step) => step.kind === 'shape')).toBe(true);
  for (const step of steps) {
    if (step.minS === null) continue;
    expect(step.minS % 300).toBe(0);
    expect(step.maxS ?? step.minS).toBeGreaterThanOrEqual(step.minS);
  }
  expect(steps.some((step) => step.kind === 'chill')).toBe(school === 'cold');
  // what lifts the dough has worked by the end, where it is meant to
  if (school !== 'restForTaste') expect(rise.volume.at(-1)! - 1).toBeGreaterThan(0.6 * loaf.mostHeld);
  const hours = stays.reduce((sum, stay) => sum + stay.durationS, 0) / 3600;
  const [from, to] = {
    straight: [0.7, 3],
    bulkProof: [1, 5],
    cold: [12, 18],
    wild: [4, 20],
    restForTaste: [1, 1.1],
  }[school] as [number, number];
  expect(hours).toBeGreaterThanOrEqual(from);
  expect(hours).toBeLessThanOrEqual(to);
});

test('nonsense is refused with its place', () => {
  const field = (part: Partial<RiseQuestion>) => {
    const made = riseCurve({ leavening: loaf, doughC: 26, stays: [room()], ...part });
    return made.ok ? null : [made.problem.code, made.problem.path, made.problem.params?.max];
  };
  expect(field({ stays: [room({ place: 'fridge', tempC: 60 })] })).toEqual(['tooLarge', 'stays.0.tempC', 15]);
  expect(field({ stays: [room(), room({ durationS: -1 })] })).toEqual([
    'tooSmall',
    'stays.1.durationS',
    undefined,
  ]);
  expect(field({ doughC: 90 })).toEqual(['tooLarge', 'doughC', 65]);
  expect(field({ wanted: 0.5 })).toEqual(['tooSmall', 'wanted', undefined]);
  expect(field({ stays: [room({ pieceG: 0 })] })).toEqual(['tooSmall', 'stays.0.pieceG', undefined]);
});
