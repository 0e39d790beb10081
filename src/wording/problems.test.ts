import type { Problem } from '@/core/result';
import { wordProblem } from './problems';

const word = (problem: Problem, massUnit: 'g' | 'oz' = 'g', temperatureUnit: 'C' | 'F' = 'C') =>
  wordProblem(problem, { massUnit, temperatureUnit, lengthUnit: 'cm', decimalMark: 'point' });

test('limits are told in the unit of the field and of the reader', () => {
  expect(word({ code: 'tooLarge', path: 'massG', params: { max: 100_000 } })).toBe('At most 100 kg.');
  expect(word({ code: 'tooLarge', path: 'steps.0.tempC', params: { max: 550 } }, 'g', 'F')).toBe(
    'At most 1022 °F.',
  );
  expect(word({ code: 'tooSmall', path: 'percent', params: { min: 0.001 } })).toBe('At least 0.001 %.');
  expect(word({ code: 'tooLarge', path: 'minS', params: { max: 604_800 } })).toBe('At most 7 d.');
  expect(word({ code: 'tooSmall', path: 'massG', params: { min: 0.01 } })).toContain('take the line away');
  // at the bench there is a press for that
  expect(word({ code: 'tooSmall', path: 'weighedG', params: { min: 0.01 } })).toBe('At least 0.01 g.');
});

test('no refusal shows a code, a blank or a hole', () => {
  const codes = [
    'required', 'notANumber', 'notADuration', 'unknownUnit', 'tooLong', 'tooMany', 'notWhole', 'notAllowed', 'onlyLooks', 'unknownIngredient',
    'unknownLine', 'unknownStage', 'unknownWay', 'unknownStep', 'unknownLot', 'unknownRung', 'unknownPhoto', 'noPhoto', 'noSlice', 'duplicateId', 'onlyFlour', 'noFlour', 'noShareWithoutFlour', 'tooWet',
    'lastStage', 'cycle', 'nothingToWeigh', 'heavierThanBefore', 'alreadyClosed', 'alreadyDone', 'notDoneYet', 'timerRunning',
    'noTimer', 'rangeReversed', 'control', 'sumNot100', 'noReading', 'notSolvable', 'tooDeep', 'notText', 'formulaCell', 'wrongFormat',
    'wrongVersion',
  ] as const; // prettier-ignore
  for (const code of codes) {
    const words = word({
      code,
      path: 'x',
      params: { max: 9, percent: 900, unit: 'stone', sum: 93, line: 2, column: 5, version: 9 },
    });
    expect(words).toMatch(/^[A-ZI].*[.?]$/);
    expect(words).not.toMatch(/undefined|NaN|null/);
  }
});
