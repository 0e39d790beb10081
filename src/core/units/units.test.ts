import fc from 'fast-check';
import {
  formatClock,
  formatDecimal,
  formatDuration,
  formatDurationRange,
  formatMass,
  formatTemperature,
  massNumber,
  parseDecimal,
  parseDurationRangeS,
  parseDurationS,
  parseMassG,
  parseTemperatureC,
} from '.';

const value = <T>(result: { ok: true; value: T } | { ok: false }): T | null =>
  result.ok ? result.value : null;

describe('decimals', () => {
  test.each([
    ['12', 12],
    [' 12.5 ', 12.5],
    ['12,5', 12.5],
    ['.5', 0.5],
    ['\u22123', -3],
    ['0,125', 0.125],
    ['', null],
    ['1,200', null],
    ['1e3', null],
    ['0x10', null],
    ['NaN', null],
    ['Infinity', null],
    ['12g', null],
    ['1.2.3', null],
    ['🍞', null],
    ['9'.repeat(40), null],
  ])('%j is read as %j', (text, expected) => {
    expect(value(parseDecimal(text))).toBe(expected);
  });

  test('what is written can be read again to the shown place, and no text makes the reader throw', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        fc.integer({ min: 0, max: 4 }),
        (number, places) => {
          const read = value(parseDecimal(formatDecimal(number, places)));
          expect(Math.abs((read ?? NaN) - number)).toBeLessThanOrEqual(0.5 / 10 ** places + 1e-6);
        },
      ),
    );
    fc.assert(fc.property(fc.string(), (text) => typeof parseDecimal(text).ok === 'boolean'));
  });
});

describe('masses', () => {
  test.each([
    ['350', 'g', 350],
    ['1.2 kg', 'g', 1200],
    ['4 oz', 'g', 113.398],
    ['4', 'oz', 113.398],
    ['1 lb', 'g', 453.592],
    ['350g', 'oz', 350],
  ] as const)('%j typed where the unit is %s is %d g', (text, unit, massG) => {
    expect(value(parseMassG(text, unit))).toBeCloseTo(massG, 3);
  });

  test('an unknown unit is named, not guessed', () => {
    expect(parseMassG('3 stone', 'g')).toEqual({
      ok: false,
      problem: { code: 'unknownUnit', path: '', params: { unit: 'stone' } },
    });
  });

  test('a shown mass reads back within half its last place, in both units', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 90_000, noNaN: true }),
        fc.constantFrom('g', 'oz'),
        (massG, unit) => {
          const back = value(parseMassG(massNumber(massG, unit), unit)) ?? NaN;
          expect(Math.abs(back - massG)).toBeLessThanOrEqual(unit === 'g' ? 0.5 : 0.15);
        },
      ),
    );
    expect(formatMass(12_350, 'g')).toBe('12.35 kg');
    expect(formatMass(9.94, 'g')).toBe('9.94 g');
  });
});

describe('temperatures', () => {
  test.each([
    ['230', 'C', 230],
    ['230 °C', 'F', 230],
    ['446F', 'C', 230],
    ['-18', 'C', -18],
  ] as const)('%j in °%s', (text, unit, tempC) => {
    expect(value(parseTemperatureC(text, unit))).toBeCloseTo(tempC, 9);
  });
  test('Kelvin is refused, and both units are written', () => {
    expect(parseTemperatureC('300 K', 'C').ok).toBe(false);
    expect(formatTemperature(97, 'C')).toBe('97 °C');
    expect(formatTemperature(97, 'F')).toBe('207 °F');
  });
});

describe('lengths of time', () => {
  test.each([
    ['45', 2700],
    ['45 min', 2700],
    ['90 s', 90],
    ['1 h 15', 4500],
    ['1h15m', 4500],
    ['1.5 h', 5400],
    ['2:30', 9000],
    ['12 hours', 43_200],
    ['2 d 4', 187_200],
    ['5 min 30', 330],
    ['', null],
    ['soon', null],
    ['15 min 1 h', null],
    ['5 5', null],
    ['1:75', null],
    ['3 fortnights', null],
    ['5 constructor', null],
    ['5 toString', null],
  ])('%j is %j s', (text, seconds) => {
    expect(value(parseDurationS(text))).toBe(seconds);
  });

  test.each([
    ['60–90 min', { minS: 3600, maxS: 5400 }],
    ['60 - 90', { minS: 3600, maxS: 5400 }],
    ['1 h to 1 h 30', { minS: 3600, maxS: 5400 }],
    ['45–60 s', { minS: 45, maxS: 60 }],
    ['30 min', { minS: 1800, maxS: null }],
    ['20–20 min', { minS: 1200, maxS: null }],
    ['90-60 min', null],
    ['1-2-3', null],
    ['1-1 h 30', { minS: 3600, maxS: 5400 }],
    ['2–3 d 12 h', { minS: 172_800, maxS: 302_400 }],
    ['1-5 constructor', null],
  ])('the range %j', (text, range) => {
    expect(value(parseDurationRangeS(text))).toEqual(range);
  });

  test('every written time or range is read as itself', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 119 }), fc.integer({ min: 1, max: 2880 }), (seconds, minutes) => {
        expect(value(parseDurationS(formatDuration(seconds)))).toBe(seconds);
        expect(value(parseDurationS(formatDuration(minutes * 60)))).toBe(minutes * 60);
        const range = { minS: minutes * 60, maxS: (minutes + seconds) * 60 };
        expect(value(parseDurationRangeS(formatDurationRange(range.minS, range.maxS)))).toEqual(range);
      }),
    );
  });

  test('a clock shows hours only when there are some', () => {
    expect(formatClock(425)).toBe('7:05');
    expect(formatClock(4025)).toBe('1:07:05');
    expect(formatClock(-61.5)).toBe('1:01');
  });
});
