import fc from 'fast-check';
import {
  FERMENTATION,
  riseCurve,
  schoolMethod,
  SCHOOLS,
  starterPeak,
  thermalLagS,
  type Leavening,
  type RiseQuestion,
  type Stay,
} from '.';
import { cardinal, killedPerS, osmolPerKg, osmoticBrake } from './gassing';
import { afterFreezing } from './freezing';
import { freshDough, PLAIN_TEMPER, pressed, stepDough, type Dough } from './stepper';
import { testLeavening } from './testLeavening';

const loaf: Leavening = testLeavening;
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
  // only its air shrinks as it cools to the room
  expect(curve({ leavening: { ...loaf, yeastG: 0 } }).top.high).toBeCloseTo(1, 2);
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
  const between = { min: 1, best: 36, max: 46 };
  expect(cardinal(36, between)).toBeCloseTo(1, 9);
  for (const t of [1, 46, -5, 60]) expect(cardinal(t, between)).toBe(0);
  // 9 g of salt and 12.5 g of sugar in 475 g of water: 0.648 + 0.146 osmol/kg
  expect(osmolPerKg(12.5, 9, 475)).toBeCloseTo(0.7945, 3);
  expect(osmoticBrake(0.8, 0.15)).toBeCloseTo(Math.exp(-0.096), 9);
  expect(osmoticBrake(osmolPerKg(140, 9, 475), 0.15)).toBeLessThan(0.5);
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
  const minutes = (count: number) => Array.from({ length: count }, () => room({ durationS: 60 }));
  expect(field({ stays: minutes(40) })).toBeNull();
  expect(field({ stays: minutes(41) })).toEqual(['tooMany', 'stays', 40]);
});

test('bubbles of the mixing swell at once, long before the water is full; volumes start at one whatever the air', () => {
  const slow = { ...loaf, yeastG: 3 };
  let dough = freshDough(slow, 21);
  expect(dough.volume).toBe(1);
  expect(freshDough(slow, 21, 101_325, { ...PLAIN_TEMPER, air: 1.6 }).volume).toBe(1);
  for (let minute = 0; minute < 60; minute += 1) dough = stepDough(dough, slow, PLAIN_TEMPER, 21, 60);
  const full = 560 * 0.0339 * Math.exp(2400 * (1 / 294.15 - 1 / 298.15));
  expect(dough.dissolvedMmol / full).toBeLessThan(0.4);
  expect(dough.volume).toBeGreaterThan(1.01);
  // in the end gas and water are even: the share of CO2 in the bubbles is that of the water's saturation
  let still = { ...dough, yeastG: 0, sugarG: 0, toFreeG: 0 };
  const tight = { ...PLAIN_TEMPER, leakPerH: 0, caught: 1 };
  for (let minute = 0; minute < 300; minute += 1)
    still = { ...stepDough(still, slow, tight, 21, 60), sugarG: 0 };
  expect(still.heldMmol / (still.heldMmol + still.airMmol)).toBeCloseTo(still.dissolvedMmol / full, 3);
});

test('knocked back it loses gas and catches less; an elastic dough less of both than one that cracks; a dry skin likewise', () => {
  let dough = freshDough(loaf, 28);
  for (let minute = 0; minute < 70; minute += 1) dough = stepDough(dough, loaf, PLAIN_TEMPER, 28, 60);
  const soft = pressed(dough, 0.45, loaf);
  const stiff = pressed(dough, 0.45, { ...loaf, cracks: 4 });
  expect(soft.heldMmol).toBeCloseTo(0.55 * dough.heldMmol, 9);
  expect(stiff.heldMmol).toBeCloseTo(0.55 ** 4 * dough.heldMmol, 9);
  expect(soft.worn).toBeCloseTo(0.3 * 0.45, 9);
  const grows = (from: Dough) => {
    let now = from;
    for (let minute = 0; minute < 20; minute += 1) now = stepDough(now, loaf, PLAIN_TEMPER, 28, 60);
    return now.heldMmol - from.heldMmol;
  };
  expect(grows(soft)).toBeLessThan(grows({ ...soft, worn: 0 }));
  const dry = curve({ stays: [room({ air: 'dry' })] });
  expect(dry.top.value).toBeLessThan(curve().top.value);
  expect(dry.top.value).toBeGreaterThan(1);
});

test('frozen dough wakes weaker, the longer the more; dry yeast in cold water too; nonsense is refused', () => {
  const after = (weeks: number) => {
    const made = afterFreezing(loaf, weeks);
    if (!made.ok) throw new Error(made.problem.code);
    return made.value;
  };
  expect(after(0)).toEqual(loaf);
  expect(after(8).yeastG).toBeLessThan(after(2).yeastG);
  expect(after(8).mostHeld).toBeLessThan(after(2).mostHeld);
  expect(afterFreezing(loaf, -1)).toMatchObject({ ok: false, problem: { code: 'tooSmall', path: 'weeks' } });
  const wet = { ...loaf, wetsDry: true };
  expect(freshDough(wet, 20).yeastG).toBe(18);
  expect(freshDough(wet, 10).yeastG).toBeLessThan(0.7 * 18);
  expect(freshDough(loaf, 10).yeastG).toBe(18);
});

test('no range of a rise is of no width, from the cold to the warm, whatever lifts it', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 40, noNaN: true }),
      fc.double({ min: 0.3, max: 20, noNaN: true }),
      fc.double({ min: 2, max: 34, noNaN: true }),
      fc.boolean(),
      (yeastG, hours, tempC, wild) => {
        const leavening = {
          ...loaf,
          yeastG: wild ? 0 : yeastG,
          wildG: wild ? yeastG / 8 : 0,
          holdingCv: 0.24,
        };
        const rise = curve({
          leavening,
          doughC: 24,
          stays: [
            room({ place: tempC <= 15 ? 'fridge' : 'room', tempC, durationS: Math.round(hours * 3600) }),
          ],
        });
        expect(rise.high.at(-1)! - rise.low.at(-1)!).toBeGreaterThan(1e-5);
        expect(rise.top.high).toBeGreaterThan(rise.top.low);
        expect(rise.canHold.high).toBeGreaterThan(rise.canHold.low);
        expect(rise.wantedRise.high).toBeGreaterThan(rise.wantedRise.low);
        const { low, high } = rise.wantedAtS;
        if (low !== null && high !== null) expect(high).toBeGreaterThan(low);
      },
    ),
    { numRuns: 40 },
  );
});
