import { errorsOf, replayFeel, replayRise, replaySlice } from './testKitchens';

test.each([
  ['the rise', replayRise],
  ['the feel', replayFeel],
  ['how high a cut stands', replaySlice],
] as const)(
  'in kitchens with a hidden truth what is expected of %s is off by half as much after five bakes, and hardly ever by more',
  (_, replay) => {
    const all = Array.from({ length: 24 }, (_each, at) => replay(900 + at, 5));
    const errors = errorsOf(all);
    expect(errors[5]!).toBeLessThan(0.5 * errors[0]!);
    expect(errors[1]!).toBeLessThan(errors[0]!);
    expect(all.filter(({ errors: own, noise }) => own[5]! > own[0]! + noise).length).toBeLessThanOrEqual(1);
  },
);
