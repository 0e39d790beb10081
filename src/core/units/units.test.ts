import fc from 'fast-check';
import {
  formatClock,
  formatDecimal,
  formatDuration,
  formatDurationRange,
  formatMass,
  formatTemperature,
  GRAMS_PER_OUNCE,
  heightNumber,
  lengthNumber,
  massCell,
  parseLengthCm,
  parseLitres,
  thicknessNumber,
  volumeNumber,
  withMark,
  parseDecimal,
  parseDurationRangeS,
  parseDurationS,
  parseMassG,
  parseTemperatureC,
  temperatureNumber,
  within,
} from '.';

const value = <T>(result: { ok: true; value: T } | { ok: false }): T | null =>
  result.ok ? result.value : null;

const code = (result: { ok: true } | { ok: false; problem: { code: string } }): string =>
  result.ok ? 'read' : result.problem.code;

describe('decimals', () => {
  test.each([
    ['', 'required'],
    ['   ', 'required'],
    ['twelve', 'notANumber'],
    ['1,200', 'notANumber'],
    ['-1,200', 'notANumber'],
    ['1,2005', 'read'],
    [',125', 'read'],
    ['-0,125', 'read'],
    ['0.1234567890123456789012', 'read'],
    ['0.12345678901234567890123', 'notANumber'],
  ])('%j: %s', (text, said) => {
    expect(code(parseDecimal(text))).toBe(said);
  });

  test.each([
    [1, 2, '1'],
    [1.5, 2, '1.5'],
    [10, 1, '10'],
    [100, 0, '100'],
    [1.005, 2, '1.01'],
    [-1.005, 2, '-1.01'],
    [0.5, 0, '1'],
    [-0.4, 0, '0'],
    [2.345, 1, '2.3'],
  ])('%d to %d places is %s', (number, places, text) => {
    expect(formatDecimal(number, places)).toBe(text);
  });

  test('a range takes its ends and names the end that was passed', () => {
    const bounds = { min: 1, max: 5 };
    expect([1, 5, 3].map((number) => value(within(number, bounds)))).toEqual([1, 5, 3]);
    expect(within(0.99, bounds, 'salt')).toEqual({
      ok: false,
      problem: { code: 'tooSmall', path: 'salt', params: { min: 1 } },
    });
    expect(within(5.01, bounds, 'salt')).toEqual({
      ok: false,
      problem: { code: 'tooLarge', path: 'salt', params: { max: 5 } },
    });
    expect(within(NaN, bounds)).toEqual({ ok: false, problem: { code: 'notANumber', path: '' } });
  });

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

  test.each([
    ['', 'required'],
    [' g', 'notANumber'],
    ['12 3', 'notANumber'],
    ['g 12', 'notANumber'],
    ['12 Kg', 'read'],
    ['  7  OZ  ', 'read'],
    ['1 constructor', 'unknownUnit'],
  ])('%j: %s', (text, said) => {
    expect(code(parseMassG(text, 'g'))).toBe(said);
  });

  test.each([
    [1.234, '1.23', '1.23 g'],
    [12.34, '12.3', '12.3 g'],
    [28.349523125, '28.3', '1'],
    [99.96, '100', '3.5'],
    [453.4, '453.4', '1 lb 0 oz'],
    [1000.4, '1000', '2 lb 3.3 oz'],
    [-12.34, '-12.3', '-12.3 g'],
    [-500, '-500', '-1 lb 1.6 oz'],
  ])('a cell shows %d g as %s in grams, as %s in ounces', (massG, grams, ounces) => {
    expect([massCell(massG, 'g'), massCell(massG, 'oz')]).toEqual([grams, ounces]);
  });

  test('as a scale shows it: kilograms from ten on, pounds and ounces, grams under an ounce', () => {
    expect([9999.9, 10_000, -10_000].map((massG) => formatMass(massG, 'g'))).toEqual([
      '10000 g',
      '10 kg',
      '-10 kg',
    ]);
    expect(formatMass(GRAMS_PER_OUNCE * 400, 'oz')).toBe('25 lb 0 oz');
    // never "16 oz" and never sixteen tenths: what rounds up goes over into the next unit
    expect([15.94, 15.96].map((oz) => formatMass(GRAMS_PER_OUNCE * oz, 'oz'))).toEqual([
      '15.9 oz',
      '1 lb 0 oz',
    ]);
    expect([0.94, 0.96].map((oz) => formatMass(GRAMS_PER_OUNCE * oz, 'oz'))).toEqual(['26.6 g', '1 oz']);
  });

  test('a shown mass reads back within half its last place, in both units and with either mark', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 90_000, noNaN: true }),
        fc.constantFrom('g', 'oz'),
        fc.constantFrom('point', 'comma'),
        (massG, unit, mark) => {
          for (const show of [massCell, formatMass]) {
            const back = value(parseMassG(withMark(show(massG, unit), mark), unit, mark)) ?? NaN;
            expect(Math.abs(back - massG)).toBeLessThanOrEqual(unit === 'g' ? 5.001 : 1.42);
            if (massG < 10_000 && unit === 'g') expect(Math.abs(back - massG)).toBeLessThanOrEqual(0.5);
          }
        },
      ),
    );
    expect(formatMass(12_350, 'g')).toBe('12.35 kg');
    expect(formatMass(9.94, 'g')).toBe('9.94 g');
  });
});

describe('the decimal mark', () => {
  test('a comma stands before the tenths and nowhere else; what is printed is read', () => {
    expect([withMark('12.5 % of 1200 g', 'comma'), withMark('The end. 3 h', 'comma')]).toEqual([
      '12,5 % of 1200 g',
      'The end. 3 h',
    ]);
    // three digits after the kitchen's own mark are thousandths; after the other one nobody can tell
    expect([value(parseDecimal('1,125', 'comma')), value(parseDecimal('1.125', 'comma'))]).toEqual([
      1.125,
      null,
    ]);
    expect([value(parseDecimal('1.125')), value(parseDecimal('1,125'))]).toEqual([1.125, null]);
    fc.assert(
      fc.property(
        fc.double({ min: -1e5, max: 1e5, noNaN: true }),
        fc.integer({ min: 0, max: 4 }),
        (number, places) => {
          const read = value(parseDecimal(withMark(formatDecimal(number, places), 'comma'), 'comma'));
          expect(Math.abs((read ?? NaN) - number)).toBeLessThanOrEqual(0.5 / 10 ** places + 1e-6);
        },
      ),
    );
  });
});

describe('lengths', () => {
  test.each([
    ['24', 'cm', 24],
    ['9.5', 'in', 24.13],
    ['9,5 in', 'cm', 24.13],
    ['18 mm', 'cm', 1.8],
    ['300', 'ft', 9144],
    ['12"', 'cm', 30.48],
    ['3 miles', 'cm', null],
    ['', 'cm', null],
  ] as const)('%j where the unit is %s is %d cm', (text, unit, lengthCm) => {
    const read = value(parseLengthCm(text, unit));
    if (lengthCm === null) expect(read).toBeNull();
    else expect(read).toBeCloseTo(lengthCm, 6);
  });

  test('sizes, thicknesses, heights and volumes in the reader’s unit, and litres read back', () => {
    expect([lengthNumber(24, 'cm'), lengthNumber(24, 'in')]).toEqual(['24', '9.45']);
    expect([thicknessNumber(18, 'cm'), thicknessNumber(18, 'in')]).toEqual(['18', '0.71']);
    expect([heightNumber(1800, 'cm'), heightNumber(1800, 'in')]).toEqual(['1800', '5906']);
    expect([volumeNumber(62, 'cm'), volumeNumber(62, 'in')]).toEqual(['62', '65.5']);
    expect([value(parseLitres('62 l', 'in')), value(parseLitres('500 ml', 'cm'))]).toEqual([62, 0.5]);
    expect(value(parseLitres('2', 'in'))).toBeCloseTo(1.8927, 4);
    expect(value(parseLitres('2 cups', 'cm'))).toBeNull();
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
  test.each([
    ['', 'required'],
    ['°', 'required'],
    ['C', 'notANumber'],
    ['° F', 'notANumber'],
    ['12 13', 'notANumber'],
    ['x 12 C', 'notANumber'],
    ['300 K', 'unknownUnit'],
  ])('%j: %s', (text, said) => {
    expect(code(parseTemperatureC(text, 'C'))).toBe(said);
  });
  test('the unit that is not known is named; places are as asked', () => {
    expect(parseTemperatureC('300 k', 'C')).toMatchObject({ problem: { path: '', params: { unit: 'K' } } });
    expect([temperatureNumber(21.26, 'C', 1), temperatureNumber(21.26, 'F', 1)]).toEqual(['21.3', '70.3']);
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

  test.each([
    ['', 'required'],
    ['  ', 'required'],
    ['soon', 'notADuration'],
    ['1 d 2 h 3 min 4 s', 'read'],
    ['1 d 2 h 3 min 4 s 5 s', 'notADuration'],
    ['x1:30', 'notADuration'],
    ['1:30x', 'notADuration'],
    ['10:30', 'read'],
    ['123:59', 'read'],
    ['5 min!', 'notADuration'],
    ['!5 min', 'notADuration'],
    ['1 h 2 h', 'notADuration'],
    ['1,200 min', 'notADuration'],
  ])('%j: %s', (text, said) => {
    expect(code(parseDurationS(text))).toBe(said);
  });

  test.each([
    [0, '0 min'],
    [59, '59 s'],
    [60, '1 min'],
    [119, '119 s'],
    [120, '2 min'],
    [121, '2 min 1 s'],
    [3600, '1 h'],
    [3661, '1 h 1 min 1 s'],
    [86_400, '24 h'],
    [172_799, '47 h 59 min 59 s'],
    [172_800, '2 d'],
    [187_260, '2 d 4 h 1 min'],
    [-5, '0 min'],
  ])('%d s is shown as %s', (seconds, text) => {
    expect(formatDuration(seconds)).toBe(text);
  });

  test.each([
    [2700, null, '45 min'],
    [2700, 2700, '45 min'],
    [3600, 5400, '60 – 90 min'],
    [3600, 7200, '1 h – 2 h'],
    [7140, 7140, '1 h 59 min'],
    [90, 120, '90 s – 2 min'],
    [60, 90, '1 min – 90 s'],
    [7200, 9000, '2 h – 2 h 30 min'],
  ])('%d to %j s is shown as %s', (minS, maxS, text) => {
    expect(formatDurationRange(minS, maxS)).toBe(text);
  });

  test.each([
    ['', 'required'],
    ['1-2-3', 'notADuration'],
    ['x-5 min', 'notADuration'],
    ['5 min-x', 'notADuration'],
    ['90-60 min', 'rangeReversed'],
  ])('the range %j: %s', (text, said) => {
    expect(code(parseDurationRangeS(text))).toBe(said);
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
